import { judgement, practice, ruleTable } from '../rules/rule.ts';

const band = 'expected band from the fit';
const travel = (f: { number: (key: string) => number }) => f.number('travelMm').toFixed(1);

/** One reading while the handle moves, and what is kept of a stroke. */
export const readingRules = ruleTable({
  'stroke.capacity': {
    title: 'Reading within the press',
    says: ['stop'],
    source: 'record of the press',
    digits: 0,
    sentence: (f) => `Above what ${f.part} gives (${f.most} kN). Release and check the reading.`,
  },
  'stroke.past': {
    title: 'Not past the planned seat',
    says: ['stop'],
    source: 'plan of the stroke',
    sentence: (f) => `Travel is ${f.is('past')} mm past the planned seat. Release and measure.`,
  },
  'stroke.seated': {
    title: 'Travel at plan and force risen',
    says: ['good'],
    source: band,
    sentence: () => 'Seated: travel is at plan and force has risen. Stop, do not chase it.',
  },
  'stroke.above': {
    title: 'Inside the band, from above',
    says: ['check', 'stop'],
    source: band,
    sentence: (f) =>
      f.is('kept')
        ? `Peak ${f.at} kN is above the band: look for galling.`
        : 'Above the expected band: cocked or galling. Back off, look, start square again.',
  },
  'stroke.forced': {
    title: 'No more than the shoulder asks',
    says: ['stop'],
    source: `${band}; 20 kN or as much again over it, ${judgement}`,
    sentence: (f) =>
      `${f.at} kN where the ring meets its shoulder: more than ${f.most} kN loads the part and the frame. Release, measure, look at the raceways.`,
  },
  'stroke.break-away': {
    title: 'No more than a rusted seat needs',
    says: ['check'],
    source: band,
    sentence: () => 'More than a rusted seat should need. Release, soak again, check the support.',
  },
  'stroke.easy': {
    title: 'Inside the band, from below',
    says: ['check'],
    source: band,
    sentence: (f) =>
      f.is('kept')
        ? `Peak ${f.at} kN is below the band: the seat may be worn.`
        : 'Easier than the fit should be: worn seat? Measure before going on.',
  },
  'stroke.in-band': {
    title: 'Inside the band',
    says: ['good'],
    source: band,
    sentence: (f) =>
      f.is('fitting')
        ? 'Reading is inside the expected band.'
        : 'Inside what a clean to rusted seat needs.',
  },
  'stroke.seat': {
    title: 'Home at the planned depth',
    says: ['stop'],
    source: 'plan of the stroke',
    digits: 2,
    sentence: (f) => {
      if (Number.isNaN(f.value)) return 'Depth not measured.';
      return f.value < f.min
        ? `Not home: ${f.is('off')} mm short of the seat. Press on, square.`
        : `${f.is('off')} mm past the planned seat. Look at the shoulder and measure again.`;
    },
  },
  'stroke.good': {
    title: 'A sound stroke',
    says: ['good'],
    source: band,
    sentence: (f) => {
      const how = { read: 'force inside the band', driven: 'driven, no force was read' };
      const by = f.is('force') === 'read' ? how.read : how.driven;
      if (f.is('fitting')) return `Home at the planned depth${by === how.read ? ',' : ';'} ${by}.`;
      return by === how.read ? 'Came out inside the expected band.' : `Out; ${by}.`;
    },
  },
  'stroke.no-travel': {
    title: 'What goes in is followed by its travel',
    says: ['refuses'],
    source: practice,
    sentence: () => 'Type the travel with the force: what seats is known by both.',
  },
  'stroke.no-force': {
    title: 'A force is read, never filled in',
    says: ['refuses'],
    source: practice,
    sentence: () => 'Type what the gauge showed: a force is never filled in for you.',
  },
  'stroke.trace': {
    title: 'A trace that can be',
    says: ['refuses'],
    source: judgement,
    sentence: (f) => f.is('fault'),
  },
});

/** What the follower says of a stroke while the pump goes. */
export const followRules = ruleTable({
  'follow.waiting': {
    title: 'Nothing moves yet',
    says: ['check'],
    source: judgement,
    sentence: () => 'Pump. Nothing moves yet.',
  },
  'follow.square': {
    title: 'Square and inside the band',
    says: ['good'],
    source: band,
    sentence: (f) => `Square and inside the band at ${travel(f)} mm. Go on.`,
  },
  'follow.moves': {
    title: 'It moves',
    says: ['good'],
    source: band,
    sentence: (f) => `It moves: ${f.at} kN at ${travel(f)} mm, inside what this seat needs.`,
  },
  'follow.cocked': {
    title: 'A start that is too hard is cocked',
    says: ['stop'],
    source: `${band}; factors ${judgement}`,
    sentence: (f) =>
      `Cocked: ${f.at} kN at ${travel(f)} mm is too much for a start. Back off, square it, begin again.`,
  },
  'follow.galling': {
    title: 'Over the band later on, or with drops, it galls',
    says: ['stop'],
    source: `${band}; factors ${judgement}`,
    sentence: (f) =>
      `Galling: ${f.at} kN at ${travel(f)} mm, with drops. Stop, press it out, look at the seat.`,
  },
  'follow.galls-out': {
    title: 'Force that should fall and does not',
    says: ['stop'],
    source: `${band}; factors ${judgement}`,
    sentence: (f) =>
      `Galling: ${f.at} kN at ${travel(f)} mm and it should fall. Stop, look for a ring left in or a crooked pull.`,
  },
  'follow.easy': {
    title: 'Below the band',
    says: ['check'],
    source: band,
    sentence: (f) =>
      `Too easy: ${f.at} kN at ${travel(f)} mm is below the band. Seat worn? Measure before it leaves.`,
  },
  'follow.seated': {
    title: 'The shoulder: far steeper than any ramp',
    says: ['good'],
    source: `${band}; factors ${judgement}`,
    sentence: (f) => `Seated at ${travel(f)} mm. Stop, do not chase it.`,
  },
  'follow.short': {
    title: 'A hard stop before the plan',
    says: ['stop'],
    source: `${band}; ${judgement}`,
    sentence: (f) =>
      `Hard stop at ${travel(f)} mm, short of the plan. Release; look for dirt, a burr or a ring left under it.`,
  },
  'follow.past': {
    title: 'Past the stop',
    says: ['stop'],
    source: 'plan of the stroke',
    sentence: (f) =>
      `Past the stop: ${travel(f)} mm. Release. More pumping loads frame and part only.`,
  },
  'follow.stuck': {
    title: 'Force and no movement',
    says: ['stop'],
    source: `${band}; factors ${judgement}`,
    sentence: (f) =>
      `Stuck: ${f.at} kN and nothing moves. Release, soak again, look at the support and for a ring left in.`,
  },
  'follow.free': {
    title: 'Free',
    says: ['good'],
    source: band,
    sentence: (f) => `Free at ${travel(f)} mm. Stop, catch it: it drops.`,
  },
});
