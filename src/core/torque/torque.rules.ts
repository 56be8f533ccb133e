import { geometry, judgement, practice, ruleTable } from '../rules/rule.ts';

const maker = 'the maker’s procedure on record';

export const torqueRules = ruleTable({
  'torque.locked': {
    title: 'Locked and seen',
    says: ['good'],
    source: maker,
    sentence: () => 'Locked and seen.',
  },
  'torque.as-said': {
    title: 'Done as said, not measured',
    says: ['good'],
    source: practice,
    sentence: () => 'Done as said, not measured.',
  },
  'torque.waited': {
    title: 'Waited as long as said',
    says: ['good'],
    source: maker,
    sentence: () => 'Waited as said.',
  },
  'torque.below': {
    title: 'Up to the window',
    says: ['check'],
    source: maker,
    digits: 0,
    sentence: (f) =>
      `Below the window by ${(f.min - f.value).toFixed(0)}: keep pulling, one smooth pull, and record again.`,
  },
  'torque.back-short': {
    title: 'Turned back as far as said',
    says: ['check'],
    source: maker,
    digits: 0,
    sentence: (f) => `Turn it back by ${(f.min - f.value).toFixed(0)}° more, and record it again.`,
  },
  'torque.back-far': {
    title: 'Not turned back further than said',
    says: ['check'],
    source: maker,
    digits: 0,
    sentence: (f) =>
      `Turned back too far: turn it on by ${(f.value - f.max).toFixed(0)}°, and record where it stands.`,
  },
  'thread.left': {
    title: 'A left-hand thread',
    says: ['check'],
    source: geometry,
    sentence: (f) => `${f.part} is left-hand: it tightens anticlockwise.`,
  },
  'thread.unlisted': {
    title: 'A thread of its standard',
    says: ['check'],
    source: 'ISO 261, ASME B1.1 (from memory)',
    sentence: (f) => `${f.part} stands in no table of its standard: read it again.`,
  },
  'thread.proof': {
    title: 'A clamp under the proof load',
    says: ['stop'],
    source: 'ISO 898-1, SAE J429 (from memory)',
    sentence: (f) => `${f.at} kN lie past the proof load of ${f.part}, ${f.most} kN.`,
  },
  'thread.nut-class': {
    title: 'A bare mark on a metric nut',
    says: ['check'],
    source: 'ISO 898-2 (from memory)',
    sentence: (f) =>
      `A metric ${f.is('mark')} is the class of a nut: held as the bolt that goes with it, not as an inch grade.`,
  },
  'torque.slot': {
    title: 'The next slot is not past the proof load',
    says: ['good', 'check', 'stop'],
    source:
      'Motosh’s form, Shigley’s cone, ISO 898-1 (from memory); friction and grip our judgement',
    digits: 0,
    sentence: (f) => {
      const means = `${f.is('deg')}° more make ${f.is('clamp')} kN, as ${f.is('torque')} N·m would; the proof load is ${f.most} kN.`;
      const otherwise = 'another washer or another nut brings a slot sooner';
      if (f.is('past') === 'all')
        return `${means} All of it lies past that: not to this slot, ${otherwise}.`;
      return f.is('past') === 'part'
        ? `${means} Part of it lies past that, as far as grip and friction are known: ${otherwise}.`
        : means;
    },
  },
  'torque.slot-unknown': {
    title: 'What the next slot clamps',
    says: ['check'],
    source: 'Motosh’s form, Shigley’s cone (from memory); friction and grip our judgement',
    sentence: (f) =>
      `${f.is('deg')}° more make ${f.is('clamp')} kN, as ${f.is('torque')} N·m would. The grade is not on record: hold it against the most that the maker allows.`,
  },
  'torque.slots-odd': {
    title: 'Slots that line up with the pin',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `${f.at} slots never line up with both ends of a hole through the shaft: count again, or it is another nut.`,
  },
  'torque.hand': {
    title: 'One hand of the thread',
    says: ['check'],
    source: maker,
    sentence: (f) =>
      `The procedure’s thread is ${f.is('size')}, left-hand; the unit’s record says right-hand. Look at the thread before anything is turned, and correct the wrong one.`,
  },
  'torque.turns-short': {
    title: 'As many turns of the hub as said',
    says: ['check'],
    source: maker,
    digits: 0,
    sentence: (f) => {
      const more = Math.ceil(f.min - f.value);
      return `Turn the hub ${more === 1 ? 'once' : `${more} times`} more, and record all its turns.`;
    },
  },
  'torque.over': {
    title: 'Not over the window',
    says: ['stop'],
    source: maker,
    digits: 0,
    sentence: (f) => `Over by ${(f.value - f.max).toFixed(0)}: slacken, begin again at stage 1.`,
  },
  'torque.over-stretch': {
    title: 'A stretch fastener taken too far is spoilt',
    says: ['stop'],
    source: maker,
    digits: 0,
    sentence: (f) =>
      `Over by ${(f.value - f.max).toFixed(0)} on a stretch fastener: it is spoilt. Fit a new one and begin again at stage 1.`,
  },
  'torque.in-window': {
    title: 'In the window',
    says: ['good'],
    source: maker,
    digits: 0,
    sentence: () => 'In the window.',
  },
  'torque.drag-once': {
    title: 'The first movement of a drag is not read',
    says: ['refuses'],
    source: practice,
    sentence: () =>
      'What starts the hub is not its drag: pull on, and read the scale at least once while it turns.',
  },
  'torque.drag-typed': {
    title: 'A drag is what its readings say',
    says: ['refuses'],
    source: geometry,
    sentence: (f) => `The scale gives ${f.is('read')} N·m, and ${f.value} was sent with it.`,
  },
  'torque.drag-over': {
    title: 'Not more drag than the procedure lets',
    says: ['stop'],
    source: maker,
    digits: 2,
    sentence: (f) =>
      `${(f.value - f.max).toFixed(2)} N·m too much: the rows are clamped too hard. Slacken, begin again at stage 1.`,
  },
  'torque.drag-under': {
    title: 'Not less drag than the procedure asks',
    says: ['check'],
    source: maker,
    digits: 2,
    sentence: (f) =>
      `${(f.min - f.value).toFixed(2)} N·m too little: tighten a little, turn the hub, and read again.`,
  },
  'torque.drag-seal': {
    title: 'A seal drags less than the hub with it',
    says: ['refuses'],
    source: geometry,
    sentence: (f) =>
      `The seal alone was read at ${f.is('seal')} N·m, more than the hub with it: one of the two readings is wrong.`,
  },
  'torque.slipped': {
    title: 'A socket that slipped',
    says: ['stop'],
    source: practice,
    sentence: () =>
      'The socket slipped: the angle is lost. Look at the hex, slacken, and begin again at stage 1.',
  },
  'torque.crossed': {
    title: 'A thread that runs square',
    says: ['stop'],
    source: practice,
    sentence: () =>
      'It turns on and on before it is snug: crossed, or something lies between. Take it off and look.',
  },
  'torque.yielding': {
    title: 'A shank that does not give',
    says: ['stop'],
    source: practice,
    sentence: () =>
      'The torque no longer grows with the angle: the thread or the shank gives. Stop, and fit new parts.',
  },
  'torque.put-down': {
    title: 'A pull that ends with the hand off',
    says: ['check'],
    source: practice,
    sentence: () =>
      'Put down under load: nothing is recorded. Pull on from where it stands, or read the paint mark.',
  },
  'torque.lost': {
    title: 'A wrench that is seen all the way',
    says: ['check'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      `The wrench fell silent in mid-pull at ${f.value.toFixed(0)} N·m: nothing is recorded. ${
        f.is('mark')
          ? 'The nut has turned unseen, so the angle is told by the paint mark alone: type what it shows.'
          : 'Pull again: a torque is the same from wherever it is pulled.'
      }`,
  },
  'torque.no-reading': {
    title: 'A torque is read, never filled in',
    says: ['stop', 'refuses'],
    source: practice,
    sentence: () => 'Type what the tool showed: a reading is never filled in for you.',
  },
  'torque.no-procedure': {
    title: 'No figure without a procedure',
    says: ['refuses'],
    source: practice,
    sentence: () =>
      'This unit has no procedure on record. The lead enters it from the maker’s data; True Spindle never guesses a figure.',
  },
  'torque.procedure-kept': {
    title: 'A procedure is typed before the nut is pulled',
    says: ['refuses'],
    source: practice,
    sentence: () => 'This nut has its procedure, and it stays: a lead changes the record of it.',
  },
  'torque.no-stage': {
    title: 'A stage of this procedure',
    says: ['refuses'],
    source: maker,
    sentence: (f) => `This procedure has no stage “${f.part}”.`,
  },
  'torque.order': {
    title: 'Stages in order',
    says: ['refuses'],
    source: maker,
    sentence: (f) =>
      f.is('restart')
        ? 'Out of order: the last reading was over, so the procedure begins again at stage 1.'
        : `Out of order: stage ${f.is('stage')} (${f.part}) is not in its window yet.`,
  },
  'torque.again': {
    title: 'Not pulled a second time',
    says: ['refuses'],
    source: practice,
    sentence: (f) =>
      `“${f.part}” was done: pulled again it adds to what came after. Begin again at stage 1.`,
  },
  'torque.new-nut': {
    title: 'Begun again only with a new fastener',
    says: ['refuses'],
    source: maker,
    sentence: (f) =>
      `${f.part} is used once, or was stretched: take a new one in hand before stage 1 is pulled again.`,
  },
  'torque.sign': {
    title: 'A reading that can be',
    says: ['refuses'],
    source: practice,
    sentence: () => 'A torque, an angle or turns are typed without a sign, from 0 up.',
  },
  'fastener.below': {
    title: 'Up to its figure',
    says: ['check'],
    source: maker,
    digits: 0,
    sentence: (f) => `Below by ${(f.min - f.value).toFixed(0)}: pull on, and record again.`,
  },
  'fastener.over': {
    title: 'Not over its figure',
    says: ['stop'],
    source: maker,
    digits: 0,
    sentence: (f) =>
      `Over by ${(f.value - f.max).toFixed(0)}: slacken this one and bring it up again from its first round.`,
  },
  'fastener.over-angle': {
    title: 'Taken too far by its angle',
    says: ['stop'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      `${(f.value - f.max).toFixed(0)}° too far: stretched for good. A new one in its place, from the first round.`,
  },
  'fastener.spoilt': {
    title: 'A new one for a stretched one',
    says: ['refuses'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      `Number ${f.value} was taken too far by its angle: fit a new one and say so before it is pulled again.`,
  },
  'fastener.order': {
    title: 'In their order',
    says: ['refuses'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      f.value > 0
        ? `Out of order: number ${f.value} in round ${f.is('round')} is next.`
        : 'Every one has had its turns.',
  },
  'fastener.count': {
    title: 'As many as there are',
    says: ['refuses'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      `Begun with ${f.value} in the circle: a circle does not change its number half-way.`,
  },
  'fastener.to-what': {
    title: 'Tightened to what',
    says: ['refuses'],
    source: practice,
    sentence: () =>
      'No figure is on record for it: say to what it was tightened, in words, or type its figure first.',
  },
  'wrench.deviation': {
    title: 'A last deviation inside the tool’s class',
    says: ['check'],
    source: 'ISO 6789-1, 4 %, up to 10 N·m 6 % (from memory)',
    sentence: (f) =>
      `${f.part} was ${f.value > 0 ? '+' : '−'}${Math.abs(f.value).toFixed(1)} % off at its last calibration: more than ${f.max} %.`,
  },
  'wrench.efficiency': {
    title: 'What arrives through a multiplier',
    says: ['check'],
    source: judgement,
    digits: 0,
    sentence: (f) =>
      `How much arrives through ${f.part} is not on its record: ${f.at} % is taken. If only 75 % arrives, the nut is a sixth too loose.`,
  },
  'wrench.length': {
    title: 'Length from square to grip',
    says: ['refuses'],
    source: geometry,
    sentence: (f) =>
      `An offset changes what is set by the length of ${f.part} from square to grip: that length is not on its record.`,
  },
  'wrench.shown': {
    title: 'What the wrench showed',
    says: ['refuses'],
    source: geometry,
    sentence: (f) =>
      `What ${f.part} shows is not what arrives at the nut: the figure that was read goes with the one at the nut.`,
  },
  'wrench.at-nut': {
    title: 'At the nut by what the wrench showed',
    says: ['refuses'],
    source: geometry,
    digits: 1,
    sentence: (f) =>
      `${f.part} showed ${f.is('shown')} N·m: that is ${f.is('nut')} N·m at the nut, not ${f.at}.`,
  },
  'wrench.behind': {
    title: 'A nut before the grip',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `Turned back so far, the offset brings the nut behind the grip of ${f.part}: it would turn the other way.`,
  },
  'wrench.none': {
    title: 'A tool that shows torque',
    says: ['stop'],
    source: 'record of the tool',
    sentence: (f) => `${f.part} shows no torque.`,
  },
  'wrench.range': {
    title: 'From a fifth to the whole of its range',
    says: ['check', 'stop'],
    source: 'ISO 6789-1',
    digits: 0,
    sentence: (f) =>
      f.value > f.max
        ? `${f.part} ends at ${f.most} N·m. Take a larger one or a multiplier.`
        : `${f.value} N·m is below ${f.least} N·m, from where ${f.part} can be set and trusted.`,
  },
  'wrench.calibration': {
    title: 'Calibration not run out',
    says: ['check'],
    source: 'record of the tool',
    sentence: (f) =>
      `Calibration of ${f.part} ran out on ${f.is('due')}. It will be noted on the card.`,
  },
  'wrench.good': {
    title: 'A tool that can do it',
    says: ['good'],
    source: 'ISO 6789-1',
    sentence: (f) => `${f.part} can do it.`,
  },
});
