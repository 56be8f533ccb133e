import type { Step } from './steps.ts';

import { axleNut, calliper, ground, sensor, soak, steering, strut, wheel } from './shared.data.ts';

/** Family P2, the cartridge drawn on the car with half-shells, or the knuckle on the bench. Common practice, no published source. */
export const p2Steps: readonly Step[] = [
  ground,
  soak,
  axleNut,
  wheel,
  calliper,
  sensor,
  {
    id: 'shaft',
    place: 'car',
    minutes: 8,
    single: 'axle-nut',
    lit: ['shaft'],
    out: {
      text: 'Nut back on flush, tap the shaft until it moves in the splines, then nut off',
      why: 'A mushroomed thread costs a shaft.',
      caution: 'thread',
    },
    back: {
      text: 'Shaft through the hub, new axle nut on by hand until it seats',
      why: 'The stages at Torque begin from there.',
      look: 'Thread clean, in the state the procedure asks for',
      nut: true,
    },
  },
  {
    id: 'lower',
    place: 'car',
    minutes: 10,
    lit: ['lower'],
    single: 'plate-bolts',
    out: {
      text: 'Bolts of the lower joint plate out, joint levered down',
      why: 'They are often stretch bolts: renewed, never used again.',
    },
    back: {
      text: 'Lower joint on with new plate bolts',
      why: 'A stretched bolt does not clamp again.',
      fastener: 'lower-joint',
    },
  },
  steering,
  {
    id: 'aside',
    place: 'car',
    minutes: 5,
    lit: ['shaft'],
    out: {
      text: 'Shaft pulled aside and tied up',
      why: 'A joint that hangs at full angle tears its boot.',
      tools: ['wire'],
    },
    back: {
      text: 'Shaft untied, its joints looked at, splines dry of filings',
      why: 'Open once, look once.',
      look: 'Boots whole, no grease thrown',
    },
  },
  strut,
];
