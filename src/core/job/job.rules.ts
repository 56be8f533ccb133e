import { judgement, practice, type Rule, ruleTable } from '../rules/rule.ts';

const refuses = (title: string, sentence: Rule['sentence'], source = practice): Rule => ({
  title,
  says: ['refuses'],
  source,
  sentence,
});
const owes = (title: string, sentence: Rule['sentence'], source = practice, digits = 1): Rule => ({
  title,
  digits,
  says: ['owes'],
  source,
  sentence,
});
const records = 'records of the shop';
const noSuch = (title: string, what: string): Rule =>
  refuses(title, (f) => `No ${what} is called “${f.part}”.`, records);

/** What may be recorded, and when. */
export const interlockRules = ruleTable({
  'kit.instrument': noSuch('An instrument on record', 'instrument'),
  'figure.none': refuses(
    'A figure of this family',
    (f) => `This family has no figure “${f.part}”.`,
    'figures of the family',
  ),
  'figure.word': refuses('One of the words', (f) => `${f.part}: choose one of the words.`),
  'figure.length': refuses(
    'A length is read',
    (f) => `${f.part}: type what was read, in mm or in.`,
  ),
  'figure.contradicts': refuses(
    'Figures that can all be true',
    (f) =>
      `${f.part} ${f.value.toFixed(1)} mm and ${f.is('other').toLowerCase()} ${Number(f.is('otherMm')).toFixed(1)} mm cannot both be true: it is the ${f.is('smaller') ? 'smaller' : 'greater'} of the two.${f.is('inches') ? ' As inches it could: type it with “in”.' : ''}`,
    'what metal is',
  ),
  'job.caution': noSuch('A caution of this work', 'caution'),
  'fastener.none': noSuch('A fastener of this walk', 'fastener'),
  'fastener.figure': refuses(
    'A figure, or whose manual',
    () => 'Type its torque or angle, or say that it is tightened by the maker’s manual.',
  ),
  'figure.not-alike': {
    title: 'Built alike, or measured anew',
    says: ['stop'],
    source: '0.5 mm apart, our judgement: more than a caliper can be off',
    sentence: (f) =>
      `${f.part} ${f.at} mm here, ${f.is('there')} mm at ${f.is('from')}. It is not built alike: what was taken over from it is asked for anew.`,
  },
  'press.measure-first': refuses(
    'Nothing is pressed on a size that nobody knows',
    (f) => {
      const [least, most] = [Number.isFinite(f.min), Number.isFinite(f.max)];
      const limits = [least ? `at least ${f.least}` : '', most ? `at most ${f.most}` : ''];
      const right = limits.filter(Boolean).join(' and ');
      const says = right
        ? `this stack is right only if it is ${right} mm`
        : 'it decides this stack';
      const more = f.number('more');
      const then = more > 0 ? ` Then ${more} more.` : '';
      return `Measure “${f.part}”: ${says}.${then}`;
    },
    'geometry of the parts',
  ),
  'figure.used': refuses(
    'Not changed under a stroke',
    (f) => `${f.part} was laid out by this figure: it stays as it was read.`,
  ),
  'kit.stand-ins-off': refuses(
    'Real instruments in a real shop',
    () =>
      'Simulated instruments are off in this shop. A lead switches them on in the settings; a job with one is practice.',
  ),
  'kit.press': noSuch('A press on record', 'press'),
  'kit.tool': noSuch('A tool on record', 'tool'),
  'kit.piece': refuses(
    'Pieces of the kit',
    () => 'A piece of this stack is not in the kit.',
    records,
  ),
  'diagnose.result': refuses('A result the test can have', (f) => f.is('fault'), judgement),
  'diagnose.suspect': refuses(
    'A suspect of this vehicle',
    (f) => `A vehicle of this layout has no suspect “${f.part}”.`,
    'suspects of the layout',
  ),
  'job.no-rule': refuses(
    'What is answered for is a rule',
    (f) => `No rule is called “${f.part}”: an override answers for one that stands in the list.`,
  ),
  'prove.recheck-clock': refuses(
    'A clock that can be true at the recheck',
    (f) =>
      `${f.value} km cannot be: it was signed at ${f.is('from')} km, and a recheck is made before ${f.is('most')} km.`,
    judgement,
  ),
  'job.typed': refuses(
    'What was typed and its figure',
    (f) => `“${f.is('typed')}” was typed, and ${f.value} sent with it: they are not the same.`,
  ),
  'match.layout': {
    title: 'A kind of bearing that can stand there',
    says: ['check'],
    source: practice,
    sentence: (f) =>
      `${f.part} stands on ${f.is('on')}; the ${f.is('corner')} of this unit is on record as ${f.is('unit')}. One of the two is wrong: look at the axle, then name the bearing by what is seen, or have a lead mend the unit.`,
  },
  'prove.clock-back': refuses(
    'A clock that goes on',
    (f) =>
      `${f.value} km is less than the ${f.is('record')} km on record: read the clock again, or a lead brings the record down on the unit’s page.`,
  ),
  'diagnose.bench-corner': refuses(
    'The bearing of this corner',
    (f) => `The bearing on the bench is of the ${f.part} corner.`,
  ),
  'diagnose.not-off': refuses(
    'Turned on the bench once it is out',
    () => 'The old bearing is still in: it is turned on the bench once it is out.',
  ),
  'plan.step': refuses(
    'A step of this family',
    (f) => `The ${f.is('phase')} has no step “${f.part}”.`,
    'steps of the family',
  ),
  'press.caution': refuses(
    'Each who works a tool has read its caution',
    (f) => `Read the caution first. ${f.part}`,
  ),
  'press.not-here': refuses(
    'A stroke of this family',
    (f) => `${f.part}: this family has no such stroke.`,
    'walk of the family',
  ),
  'press.order': refuses('Strokes in the order of the metal', (f) => `${f.part} comes first.`),
  'press.geometry': refuses('Judged on known parts only', (f) =>
    f.part
      ? `These parts have no ${f.part} to measure.`
      : 'Dimensions of the parts are missing, so nothing can be judged.',
  ),
  'press.seat-verdict': refuses(
    'No press on to a seat without a verdict',
    (f) => `The ${f.part} has no verdict yet.`,
  ),
  'press.seat-replace': refuses(
    'No press on to a seat that was given up',
    (f) => `The ${f.part} was judged “replace”. Fit the new part, measure it, judge again.`,
  ),
  'press.sensor-side': refuses(
    'The side of the sensor is known',
    () =>
      'Where the sensor sits is not on record, and the old part’s encoder was not read. Read it at Press out, Old part.',
  ),
  'press.encoder': refuses(
    'Encoder side checked',
    () => 'The encoder side has not been checked. Hold the viewing card to both faces.',
  ),
  'press.encoder-reversed': refuses(
    'Encoder to the sensor',
    (f) =>
      `The encoder would face ${f.is('faces')}; the sensor sits ${f.is('sensor')}. Turn the bearing over: pressed in like this it is lost.`,
  ),
  'press.cocked': refuses(
    'Nothing kept of a cocked stroke',
    () =>
      'The last trace was cocked: back off, square it and press again before the seat is recorded.',
  ),
  'press.galling': refuses(
    'Nothing kept of a galling stroke',
    () =>
      'The last trace was galling: press it out and look at the seat before anything is recorded.',
  ),
  'press.stuck': refuses(
    'Nothing kept of a stroke that is stuck',
    () => 'The last trace was stuck: it has not moved. Soak, look at the support, press again.',
  ),
  'job.corner-kept': refuses(
    'The corner stays once metal has moved',
    (f) =>
      `Work has begun on ${f.part}: what was pressed and measured there is not at another corner. Start a second job.`,
  ),
  'job.family-kept': refuses(
    'The family stays once metal has moved',
    () =>
      'A stroke was made as the family was named. Close this job and start another if it is a different one.',
  ),
  'match.fitted': refuses(
    'The new part is chosen and turned before it is pressed',
    () => 'The new bearing is in. Press it out again before the part or its side changes.',
  ),
  'match.other-kind': refuses(
    'A part of the kind that the corner takes',
    (f) =>
      `${f.part} is a ${f.is('is')}; this corner takes a ${f.is('wants')}. Name its family anew if that is wrong.`,
  ),
  'seat.covered': refuses(
    'A seat is measured bare',
    (f) => `The new bearing covers the ${f.part}. Press it out again to measure.`,
  ),
  'seat.old-in': refuses(
    'A seat is measured bare',
    (f) => `The old part still covers the ${f.part}: it is measured once that is out.`,
  ),
  'press.covered': refuses(
    'Nothing is pressed under what stands on it',
    (f) => `Done already: “${f.part}”. Take that apart before this stroke is made again.`,
  ),
  'press.old-in': refuses(
    'The old bearing out before the new one in',
    () => 'The old bearing has not been seen out.',
  ),
  'stroke.over-capacity': refuses(
    'No reading beyond the press',
    (f) => `${f.part} ends at ${f.most} kN: ${f.value} kN cannot have been read on it.`,
    'record of the press',
  ),
  'press.stroke-not-right': refuses(
    'Nothing is built on a stroke that is Stop',
    (f) => `“${f.part}” is not right yet: press again, or out again.`,
  ),
  'press.unproven': refuses(
    'No press on a part that was not held against the old one',
    () => 'The new part was not confirmed against the old one. Do it at Press out, Old part.',
  ),
  'press.part-missing': refuses(
    'The part in hand',
    () => 'The new bearing is not in hand. Mark it at Match, On the bench.',
  ),
  'match.spent': refuses(
    'What is used once and came off again',
    (f) =>
      `${f.part}: the one that was used came off again and does not go back on. Take a new one and mark it at Match, On the bench.`,
  ),
  'torque.not-rebuilt': refuses(
    'The nut after the rebuild',
    () => 'The rebuild has steps to go before the axle nut.',
  ),
  'prove.sign': refuses(
    'A reading that can be',
    (f) => `${f.part} is measured from 0 up: type it without a sign.`,
  ),
  'prove.nut-first': refuses(
    'Proved after the nut',
    () => 'The procedure of the axle nut is not finished: nothing is proved before it is.',
  ),
  'press.depth': refuses(
    'Depth measured after the stroke',
    () => 'Measure the seat depth after the stroke and type it.',
  ),
  'job.signed': refuses(
    'A signed card is closed',
    () => 'This job card is signed. A correction is a new job or a line that refers to it.',
  ),
  'fact.amount': refuses('An amount where one is measured', (f) =>
    f.part
      ? `${f.part}: measure and type how much; where it was not seen, no amount.`
      : 'Nothing is measured with this.',
  ),
  'school.none': refuses(
    'A way of this family',
    (f) => `“${f.part}” is not asked, or is no way of this family.`,
  ),
  'school.begun': refuses(
    'Another way is not possible any more',
    (f) => `“${f.part}” was done the other way: this question is settled on this job.`,
  ),
  'school.reason': refuses(
    'Another way with its reason',
    (f) => `Another way than the usual one (${f.part}): say why.`,
  ),
  'job.not-signed': refuses(
    'Only a signed card is corrected',
    () => 'This card is not signed: read it again, the last reading counts.',
  ),
  'job.no-line': refuses(
    'A line of this card',
    (f) => `No line “${f.part}” says “${f.is('was')}” on the signed card.`,
  ),
  'prove.nothing-kept': refuses('A recording to keep', () => 'Neither a sound nor a signal.'),
  'job.closed': refuses('A closed job is closed', (f) => `This job is closed: ${f.is('why')}`),
  'job.not-closed': refuses('Only a closed job is opened again', () => 'This job is not closed.'),
  'job.order': refuses('Stations in order', (f) => `${f.part} is not done yet.`),
});

/** What a station still owes before it is done; not a verdict, only what is next. */
export const owedRules = ruleTable({
  'complaint.none': owes('A complaint', () => 'Nothing recorded yet'),
  'diagnose.no-call': owes('A call', () => 'No call made yet'),
  'diagnose.not-bearing': owes(
    'A call that is a bearing',
    () => 'The call is not a bearing: close the job or call again',
  ),
  'match.no-corner': owes('A corner', () => 'No corner named yet'),
  'match.no-family': owes(
    'A family',
    () => 'Which family is it? Nothing is on record: name it by what is seen',
  ),
  'match.no-part': owes('A part', () => 'No part chosen'),
  'match.misfit': owes(
    'A part that belongs to this unit',
    (f) =>
      `${f.part} of the part is ${f.at} mm, on record ${f.is('record')} mm: it does not belong here`,
    'the unit’s record; doubt of ±0.1 mm is our judgement',
    2,
  ),
  'match.open-item': owes('Everything the job uses up', (f) => `${f.part} is not here`),
  'plan.no-route': owes('A route', () => 'No route chosen'),
  'plan.route-elsewhere': owes(
    'A route that is walked here',
    () => 'This route is worked elsewhere: choose one that can be walked here',
  ),
  'press.no-geometry': owes(
    'Dimensions on record',
    () => 'Dimensions of the parts it sits in are not on record',
  ),
  'match.conflict': owes(
    'Readings that can all be true',
    (f) => f.is('fault'),
    'geometry of the parts; our judgement of wear',
  ),
  'match.unconfirmed': owes(
    'New part held against the old',
    () => 'Part not confirmed against the old one',
  ),
  'plan.steps-to-go': owes(
    'Every step',
    (f) =>
      `${f.value} ${f.is('phase')} ${f.value === 1 ? 'step' : 'steps'} to go: ${f.part.toLowerCase()}`,
  ),
  'press.not-done': owes('Every stroke', (f) => `${f.part}: not done`),
  'press.not-right': owes('Every stroke right', (f) => `${f.part}: ${f.is('because')}`),
  'press.contrary': owes(
    'What was seen instead, and what to do',
    (f) => `${f.part}: ${f.is('then')}`,
  ),
  'press.unseen': owes('Everything to be seen', (f) => `${f.part}: not seen yet`),
  'match.readings-to-go': owes(
    'Readings of the old part',
    (f) => `${f.part} of the old part: ${f.value} reading to go`,
  ),
  'match.encoder-unread': owes('Encoder of the old part', () => 'Encoder of the old part not read'),
  'seat.unmeasured': owes('Seats measured', (f) => `${f.part} not measured`),
  'seat.no-verdict': owes('A verdict on each seat', (f) => `No verdict on the ${f.part}`),
  'seat.to-replace': owes(
    'No seat that was given up',
    (f) => `The ${f.part} has to be replaced and measured again`,
  ),
  'press.encoder-unchecked': owes('Encoder side checked', () => 'Encoder side not checked'),
  'prove.bolt-open': owes(
    'Every bolt of what was begun',
    (f) => `${f.part}: number ${f.value} of round ${f.is('round')} is not right yet`,
  ),
  'torque.procedure-missing': owes(
    'A procedure',
    () => 'No procedure on record for this nut: the lead enters it from the maker’s data',
  ),
  'torque.unchecked': owes(
    'A procedure that a second person has checked',
    () => 'Nobody has checked this procedure: check it or answer for it by name',
  ),
  'torque.stage-to-go': owes(
    'Every stage',
    (f) => `Stage ${f.value} of ${f.is('of')}: ${f.part.toLowerCase()}`,
    'the maker’s procedure on record',
  ),
});
