import { drum, ground, level, parkingBrake, wheel } from './shared.data.ts';
import type { Step } from './steps.ts';
import { adjustedNut } from './t2.data.ts';

/** Family A3, the hub of a full-floating axle on its tube. Common practice, no published source. */
export const a3Steps: readonly Step[] = [
  ground,
  { ...level, lit: ['spindle'] },
  {
    id: 'shaft',
    place: 'car',
    minutes: 12,
    single: 'shaft-gasket',
    lit: ['shaft', 'flange-bolt'],
    out: {
      text: 'Shaft nuts off, cone washers loosened by the stud end with a soft drift, shaft out',
      why: 'Never by striking the face of the shaft: its cone seats are spread, and the studs shear later.',
      tools: ['soft drift', 'drip tray'],
      caution: 'hammer',
      look: 'Studs straight, cone seats round',
    },
    back: {
      text: 'Both faces clean to metal, new gasket or sealant, shaft in, cone washers and nuts',
      why: 'After the nut is locked: the shaft covers it. A face that weeps washes the brake.',
      look: 'Washers level; splines home without a blow',
      fastener: 'shaft-nuts',
      answeredBy: 'shaft-face',
    },
  },
  wheel,
  parkingBrake,
  drum,
  {
    id: 'lock',
    place: 'car',
    minutes: 3,
    lit: ['nut'],
    out: {
      text: 'Lock screws out, or the tab bent back; where they stood is marked',
      why: 'The mark tells how tight it ran.',
    },
  },
  adjustedNut,
  {
    id: 'hub',
    place: 'car',
    minutes: 10,
    lit: ['hub', 'seal'],
    out: {
      text: 'Hub off the tube on a stand or by two; inner seal and cone out of it',
      why: 'It is heavy, and the thread of the tube is soft.',
      caution: 'stands',
      look: 'Oil or grease: metal in it, water, burnt; which of the two it was',
    },
    back: {
      text: 'Hub on the tube, thread covered, straight over the lip of the seal',
      why: 'A thread that is struck takes no nut; a lip that is folded leaks.',
      look: 'Hub turns, seal not pushed out',
    },
  },
];
