import { calliper, ground, wheel } from './shared.data.ts';
import type { Step } from './steps.ts';

/** Nut, keyed washer and outer cone of a hub on two taper rows. Common practice, no published source. */
export const adjustedNut: Step = {
  id: 'nut',
  place: 'car',
  minutes: 6,
  lit: ['nut', 'inner'],
  out: {
    text: 'Lock out, nut and keyed washer off, outer cone into the hand',
    why: 'The cone falls out when the hub is pulled: cones and cups stay together, each to its side.',
    tools: ['socket of the nut', 'clean tray'],
    nut: true,
  },
  back: {
    text: 'Outer cone, keyed washer and nut on by hand',
    why: 'It is set by its torque while turning and by the dial, not by feel.',
    look: 'Key of the washer in its groove; thread clean',
    nut: true,
  },
};

/** Family T2, two taper rows adjusted by their nut. Common practice, no published source. */
export const t2Steps: readonly Step[] = [
  ground,
  wheel,
  calliper,
  {
    id: 'cap',
    place: 'car',
    minutes: 3,
    lit: ['cap'],
    single: 'grease-cap',
    out: {
      text: 'Grease cap levered off, all round; pin out',
      why: 'A bent cap lets water in: a new one goes on.',
      tools: ['cap pliers'],
    },
    back: {
      text: 'New grease cap on, driven all round',
      why: 'After the lock: it covers the pin.',
      look: 'Vent clear where it has one',
      answeredBy: 'locked',
    },
  },
  adjustedNut,
  {
    id: 'hub',
    place: 'car',
    minutes: 6,
    lit: ['hub', 'seal'],
    out: {
      text: 'Hub off the spindle; inner seal and cone out of it',
      why: 'It slides by hand. One that does not has turned on its spindle: look there first.',
      look: 'Grease: metal in it, water, or burnt',
    },
    back: {
      text: 'Hub on the spindle, straight, over the lip of the seal',
      why: 'A lip that is folded leaks from the first day.',
      look: 'Hub turns, seal not pushed out',
    },
  },
];
