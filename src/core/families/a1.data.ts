import type { Step } from './steps.ts';

import { drum, ground, level, parkingBrake, wheel } from './shared.data.ts';

/** Family A1, roller bearing in the axle tube, shaft held by clips. Common practice, no published source. */
export const a1Steps: readonly Step[] = [
  ground,
  level,
  wheel,
  parkingBrake,
  drum,
  {
    id: 'oil',
    place: 'car',
    minutes: 8,
    single: 'cover-gasket',
    lit: ['housing'],
    out: {
      text: 'Tray under the axle, cover off, oil caught and looked at',
      why: 'Metal in the oil is the gear set, not this bearing. Flakes: stop and look further.',
      caution: 'oil',
    },
    back: {
      text: 'Cover face clean, gasket on, bolts tight in a cross',
      why: 'Oil goes in once the cover is tight and the car stands level.',
      look: 'No old gasket on the face',
      fastener: 'cover',
    },
  },
  {
    id: 'clip',
    place: 'car',
    minutes: 10,
    lit: ['shaft'],
    out: {
      text: 'Lock pin and cross pin out, shaft pushed in, clip out',
      why: 'The pin can break inside: turn it, never hammer it through.',
    },
    back: {
      text: 'Shaft in to the stop, clip in its groove, cross pin, new lock pin secured',
      why: 'This clip is all that keeps the wheel on.',
      look: 'Shaft does not come out by hand',
      fastener: 'lock-pin',
    },
  },
  {
    id: 'shaft',
    place: 'car',
    minutes: 5,
    lit: ['shaft'],
    out: {
      text: 'Shaft drawn out straight, its weight carried',
      why: 'What it scrapes is the seal lip and the track.',
      caution: 'shaft-weight',
    },
    back: {
      text: 'Track oiled, shaft in straight, splines turned until they find',
      why: 'A dry start and a cut lip are the two ways to do it twice.',
      caution: 'shaft-weight',
    },
  },
  {
    id: 'seal',
    place: 'car',
    minutes: 5,
    single: 'axle-seal',
    lit: ['seal'],
    out: {
      text: 'Seal levered out by its inner lip edge',
      why: 'A lever on the bore raises a burr that leaks. Rusted: penetrant first.',
      tools: ['seal lever'],
    },
  },
];
