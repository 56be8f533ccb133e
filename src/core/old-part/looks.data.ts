/** How the metal of a worn bearing looks. Modes of ISO 15243 (from memory); the parting questions are common practice, no published source. */
export const lookIds = [
  'spall-below',
  'spall-surface',
  'wear-even',
  'wear-torn',
  'rust',
  'shaken',
  'dents',
  'fretting',
  'current',
  'particles',
  'broken-forced',
  'broken-fatigue',
  'heat',
] as const;
export type LookId = (typeof lookIds)[number];

export interface Look {
  name: string;
  /** Mode of the standard. */
  mode: string;
  /** What the eye sees, with a glass and light from the side. */
  seen: string;
  /** The look it is most easily taken for. */
  rival: LookId;
  /** Parts the two: yes is this one, no the rival. */
  ask: string;
  /** Where it is looked for first. */
  on: readonly MarkPlace[];
}

export const markPlaces = ['outer', 'inner', 'balls', 'cage', 'seal', 'seat'] as const;
export type MarkPlace = (typeof markPlaces)[number];
export const placeNames: Record<MarkPlace, string> = {
  outer: 'outer ring',
  inner: 'inner ring',
  balls: 'balls or rollers',
  cage: 'cage',
  seal: 'seal',
  seat: 'bore or outside, where it sits',
};

const rings = ['outer', 'inner'] as const;

export const looks: Readonly<Record<LookId, Look>> = {
  'spall-below': {
    name: 'Flake with a steep edge',
    mode: 'fatigue from below the surface',
    seen: 'A pit with steep walls; the track round it still shines.',
    rival: 'spall-surface',
    ask: 'Is the rest of the track a mirror?',
    on: rings,
  },
  'spall-surface': {
    name: 'Frosted, shallow flaking',
    mode: 'fatigue from the surface',
    seen: 'Dull, frosted patches and shallow flakes.',
    rival: 'spall-below',
    ask: 'Is the track dull and frosted beside the flakes?',
    on: rings,
  },
  'wear-even': {
    name: 'Even, dull wear',
    mode: 'abrasive wear',
    seen: 'The lines of grinding are gone, smooth and grey.',
    rival: 'wear-torn',
    ask: 'Is it smooth to the fingernail?',
    on: [...rings, 'balls', 'cage'],
  },
  'wear-torn': {
    name: 'Torn streaks',
    mode: 'adhesive wear',
    seen: 'Metal smeared and torn along the way of rolling.',
    rival: 'wear-even',
    ask: 'Does it feel torn?',
    on: [...rings, 'balls'],
  },
  rust: {
    name: 'Dark etched spots',
    mode: 'moisture corrosion',
    seen: 'Brown or black spots and edges, grease milky or brown.',
    rival: 'shaken',
    ask: 'Is it a stain more than a hollow?',
    on: [...rings, 'balls', 'seal'],
  },
  shaken: {
    name: 'Hollows with the lines worn off',
    mode: 'false brinelling',
    seen: 'Reddish or bright hollows at the pitch of the balls, without a rim.',
    rival: 'dents',
    ask: 'Are the grinding lines worn away in the hollow?',
    on: rings,
  },
  dents: {
    name: 'Dents with a raised rim',
    mode: 'overload, true brinelling',
    seen: 'Dents at the pitch of the balls; the rim stands up.',
    rival: 'shaken',
    ask: 'Do the grinding lines run through the floor of the dent?',
    on: rings,
  },
  fretting: {
    name: 'Red-brown or black on the fit',
    mode: 'fretting corrosion',
    seen: 'Powder and stains where the ring sits, polished in between.',
    rival: 'rust',
    ask: 'Is it on the fit, and the track clean?',
    on: ['seat'],
  },
  current: {
    name: 'Washboard or pin-pricks',
    mode: 'electrical erosion',
    seen: 'Grey, even ripples across the track, or melted pin-pricks.',
    rival: 'shaken',
    ask: 'Do the ripples stand closer than the balls?',
    on: [...rings, 'balls'],
  },
  particles: {
    name: 'Small dents, scattered',
    mode: 'indentation by particles',
    seen: 'Many small dents at no pitch.',
    rival: 'dents',
    ask: 'Are they scattered, at no pitch?',
    on: [...rings, 'balls'],
  },
  'broken-forced': {
    name: 'Broken, coarse face',
    mode: 'forced fracture',
    seen: 'A crystalline, coarse face all over.',
    rival: 'broken-fatigue',
    ask: 'Is the whole face coarse?',
    on: [...rings, 'cage'],
  },
  'broken-fatigue': {
    name: 'Broken with beach lines',
    mode: 'fatigue fracture',
    seen: 'Smooth with lines like a beach, coarse only at the end.',
    rival: 'broken-forced',
    ask: 'Are there lines like a beach?',
    on: [...rings, 'cage'],
  },
  heat: {
    name: 'Blue or straw, cross cracks',
    mode: 'thermal cracking',
    seen: 'Tempered colours, fine cracks across, grease burnt.',
    rival: 'wear-torn',
    ask: 'Is the metal coloured?',
    on: [...rings, 'balls', 'cage'],
  },
};
