import { axleNut, calliper, ground, soak, wheel } from './shared.data.ts';
import type { Step } from './steps.ts';

/** Family P3, the unit bolted to the knuckle from behind: nothing is pressed, the rust bond decides. Common practice, no published source. */
export const p3Steps: readonly Step[] = [
  ground,
  {
    ...soak,
    out: {
      text: 'Penetrant round the pilot of the unit and on its bolts, from behind',
      why: 'The bond between pilot and knuckle decides the time: twenty minutes, longer on rust.',
      wait: { label: 'penetrant soak', minutes: 20 },
      tools: ['penetrant'],
    },
  },
  axleNut,
  wheel,
  calliper,
  {
    id: 'lead',
    place: 'car',
    minutes: 5,
    lit: ['outer'],
    out: {
      text: 'Wheel-speed lead unplugged and freed along its whole way',
      why: 'First, before a bolt is touched: it tears when the unit lets go.',
      caution: 'sensor',
    },
    back: {
      text: 'Wheel-speed lead along its old way, clipped and plugged',
      why: 'A loose lead is cut by the wheel.',
      look: 'Port of the unit as it was, no strain at full lock',
    },
  },
  {
    id: 'shaft',
    place: 'car',
    minutes: 6,
    single: 'axle-nut',
    lit: ['shaft', 'nut'],
    out: {
      text: 'Nut back on flush, tap the shaft until it moves in the splines, then nut off',
      why: 'A mushroomed thread costs a shaft.',
      caution: 'thread',
    },
    back: {
      text: 'Shaft through the unit, new axle nut on by hand until it seats',
      why: 'A unit without a rolled end takes its preload from this nut: no weight on the wheel before its last stage.',
      look: 'Joints of the shaft while it is open; thread clean, in the state the procedure asks for',
      nut: true,
    },
  },
  {
    id: 'bolts',
    place: 'car',
    minutes: 12,
    single: 'hub-bolts',
    lit: ['bolt'],
    out: {
      text: 'Bolts of the unit out from behind; one stays in by a few threads',
      why: 'The one that stays takes the blows when the bond is broken, and holds the unit when it lets go.',
      tools: ['socket, 12-point on some', 'long extension'],
    },
    back: {
      text: 'New hub bolts crossed in stages, from behind',
      why: 'Drawn down on one side the pilot jams, and the unit sits crooked.',
      fastener: 'hub-bolts',
    },
  },
];
