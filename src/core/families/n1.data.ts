import type { Step } from './steps.ts';

import { calliper, ground, sensor, wheel } from './shared.data.ts';

/** Family N1, needle bearing and seal in a stub axle. Common practice, no published source. */
export const n1Steps: readonly Step[] = [
  ground,
  wheel,
  calliper,
  sensor,
  {
    id: 'locking',
    place: 'car',
    minutes: 8,
    lit: ['locking'],
    out: {
      text: 'Locking hub or flange off, washers laid out in their order',
      why: 'Metal, plastic, metal: an earlier hand may have had it wrong. A picture of it.',
    },
    back: {
      text: 'Washers in their order, thrust grooves to the axle, hub on',
      why: 'A washer too few is end play of the shaft.',
      look: 'Lock ring snaps all round',
    },
  },
  {
    id: 'stub',
    place: 'car',
    minutes: 10,
    only: 'bench',
    lit: ['spindle'],
    out: {
      text: 'Stub axle bolts out, stub tapped loose on its flange',
      why: 'With the stub on the bench the bore is seen.',
    },
    back: {
      text: 'Stub on, face clean, bolts crossed',
      why: 'A stub that stands on dirt runs out.',
      fastener: 'stub-bolts',
    },
  },
  {
    id: 'shaft',
    place: 'car',
    minutes: 6,
    lit: ['shaft'],
    out: {
      text: 'Shaft drawn out straight, its weight carried',
      why: 'The needles are thinner than they look.',
      caution: 'shaft-weight',
    },
    back: {
      text: 'Needles topped up with grease, shaft in straight',
      why: 'Even greased ones: what is on them is for the shelf.',
      caution: 'shaft-weight',
    },
  },
];
