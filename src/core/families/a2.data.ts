import type { Step } from './steps.ts';

import { drum, ground, level, parkingBrake, wheel } from './shared.data.ts';

/** Family A2, ball or taper bearing on the axle shaft behind a press ring. Common practice, no published source. */
export const a2Steps: readonly Step[] = [
  ground,
  level,
  wheel,
  parkingBrake,
  drum,
  {
    id: 'flange-nuts',
    place: 'car',
    minutes: 8,
    single: 'flange-nuts',
    lit: ['plate', 'bolt'],
    out: {
      text: 'Nuts of the retainer plate off through the hole in the flange',
      why: 'The brake backing is held by the same bolts: wire it up, no load on the line.',
      caution: 'backing',
    },
    back: {
      text: 'Retainer nuts on by hand, crossed',
      why: 'The stages at Torque begin from there.',
      look: 'Plate flat all round',
      fastener: 'retainer-nuts',
    },
  },
  {
    id: 'shaft',
    place: 'car',
    minutes: 10,
    lit: ['shaft'],
    out: {
      text: 'Shaft drawn with a slide hammer on the flange, its weight carried',
      why: 'The bearing comes with it: this one is scrap. A tray under the tube.',
      tools: ['slide hammer', 'tray'],
      caution: 'oil',
    },
    back: {
      text: 'Bore of the housing oiled, shaft in straight until the bearing stands in it',
      why: 'The outer ring slides by design; tapped on the flange it goes in by the inner ring.',
      look: 'Splines found without force',
      caution: 'shaft-weight',
    },
  },
  {
    id: 'look',
    place: 'bench',
    minutes: 5,
    lit: ['shaft'],
    out: {
      text: 'Shaft looked at: seal track, journal, splines, straight in V-blocks',
      why: 'A bent shaft eats the next bearing; a groove under the lip leaks.',
    },
  },
];
