import { calliper, ground, soak, wheel } from './shared.data.ts';
import type { Step } from './steps.ts';

/**
 * Family P3L, the bolt-on unit of a part-time 4x4 with a locking hub and a vacuum seal: the order of the washers decides.
 * Common practice, no published source.
 */
export const p3lSteps: readonly Step[] = [
  ground,
  {
    ...soak,
    out: {
      text: 'Penetrant round the pilot of the unit and on its nuts, from behind',
      why: 'The bond between pilot and knuckle decides the time.',
      wait: { label: 'penetrant soak', minutes: 20 },
      tools: ['penetrant'],
    },
  },
  wheel,
  calliper,
  {
    id: 'lead',
    place: 'car',
    minutes: 6,
    lit: ['outer'],
    out: {
      text: 'Wheel-speed lead unplugged and vacuum line off, both freed along their whole way',
      why: 'First, before a nut is touched: they tear when the unit lets go.',
      caution: 'sensor',
    },
    back: {
      text: 'Lead and vacuum line along their old way, port upwards, clipped and plugged',
      why: 'A lead that is pinched is cut; a line that leaks leaves the axle unlocked.',
      look: 'Nothing strained at full lock',
    },
  },
  {
    id: 'locking-hub',
    place: 'car',
    minutes: 6,
    single: 'lock-ring',
    lit: ['locking'],
    out: {
      text: 'Lock ring out, locking hub off',
      why: 'It sits over the end of the shaft.',
      tools: ['picks', 'snap-ring pliers'],
    },
    back: {
      text: 'Locking hub on, new lock ring in its groove all round',
      why: 'A ring that is short of its groove lets the hub go on the road.',
      look: 'Locks and frees by hand',
    },
  },
  {
    id: 'washers',
    place: 'car',
    minutes: 6,
    single: 'shaft-snap-ring',
    lit: ['clip', 'shaft'],
    out: {
      text: 'Snap ring off the shaft, then the washer set: lay it out in the order it comes off',
      why: 'An earlier hand may have had it wrong: what is found is said.',
      look: 'Metal, hexagonal nylon, metal; if not, say what was found',
      tools: ['snap-ring pliers'],
    },
    back: {
      text: 'Washer set on in its order: metal, hexagonal nylon, metal; new snap ring',
      why: 'Two metal ones together wear through, and the shaft wanders.',
      look: 'Grooves of the thrust washer towards the axle; ring snaps all round',
    },
  },
  {
    id: 'bolts',
    place: 'car',
    minutes: 12,
    lit: ['bolt'],
    out: {
      text: 'Nuts of the unit off from behind; one stays on by a few threads',
      why: 'The one that stays takes the blows, and holds the unit when it lets go.',
      tools: ['socket set', 'long extension'],
    },
    back: {
      text: 'Studs with threadlocker, nuts crossed in stages, from behind',
      why: 'Drawn down on one side the pilot jams, and the O-ring is cut.',
      fastener: 'hub-nuts',
    },
  },
];
