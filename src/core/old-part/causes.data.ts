/** What kills a wheel bearing, and what to do on this car so that it does not happen again. Common practice, no published source. */
export const causeIds = [
  'through-balls',
  'kerb',
  'parked',
  'seat',
  'water',
  'dirt',
  'tight',
  'loose',
  'dry',
  'current',
  'age',
] as const;
export type CauseId = (typeof causeIds)[number];

export interface Cause {
  name: string;
  /** Chance before anything is seen. Our judgement. */
  prior: number;
  advice: readonly string[];
}

export const causes: Readonly<Record<CauseId, Cause>> = {
  'through-balls': {
    name: 'Loaded through the balls',
    prior: 0.1,
    advice: [
      'The ring that sits tight takes the force: pusher and support on that ring alone.',
      'Fitted on both sides the same day? Listen to the other side.',
      'Stop where the force jumps: do not chase the seat.',
    ],
  },
  kerb: {
    name: 'Kerb or pothole',
    prior: 0.12,
    advice: [
      'Rim, tyre and strut on this corner looked at: the blow went through them first.',
      'Alignment checked.',
    ],
  },
  parked: {
    name: 'Shaken while standing',
    prior: 0.05,
    advice: [
      'Carried on a trailer or towed far? Wheels turned a little before each leg.',
      'A unit that stands for long is moved every week or two.',
    ],
  },
  seat: {
    name: 'Seat out of round or tapered',
    prior: 0.09,
    advice: [
      'Measure the seat in three planes before the new one goes in.',
      'Out of its limits: a new knuckle, or one that is bored and sleeved.',
    ],
  },
  water: {
    name: 'Water past the seal',
    prior: 0.17,
    advice: [
      'Track of the seal felt with a fingernail: a groove leaks again.',
      'Wades or stands in salt: the greased kind with the better seal, and looked at each year.',
    ],
  },
  dirt: {
    name: 'Dirt in at fitting, or past the seal',
    prior: 0.1,
    advice: [
      'Bench and hands clean, the new part out of its wrapping last.',
      'Seat and bore wiped until the rag stays clean.',
    ],
  },
  tight: {
    name: 'Too tight: ran hot',
    prior: 0.07,
    advice: [
      'Torque by the maker’s stages only, never by the gun.',
      'A pair that is adjusted: end play by the dial, and the hub felt for heat after 20 km.',
    ],
  },
  loose: {
    name: 'Too loose: it crept',
    prior: 0.09,
    advice: [
      'Fit measured: a ring that turns on its seat eats it.',
      'The nut at its torque, locked, and looked at again after the first drive.',
    ],
  },
  dry: {
    name: 'Too little grease, or burnt',
    prior: 0.06,
    advice: [
      'Filled by its free space, rollers packed, lip oiled.',
      'Two greases that do not mix: the old one washed out.',
    ],
  },
  current: {
    name: 'Current through the bearing',
    prior: 0.02,
    advice: [
      'Welded on the car? The clamp goes beside the weld, never with a bearing between.',
      'Earth straps of engine and body looked at.',
    ],
  },
  age: {
    name: 'Its time was up',
    prior: 0.13,
    advice: ['Look at the other side: it is as old.'],
  },
};
