import type { Step } from './steps.ts';

import { axleNut, drum, ground, parkingBrake, soak, wheel } from './shared.data.ts';

/** Family B2, two ball bearings with a spacer in a hub of their own. Common practice, no published source. */
export const b2Steps: readonly Step[] = [
  ground,
  { ...soak, lit: ['hub', 'nut'] },
  {
    ...axleNut,
    single: 'axle-nut',
    back: {
      text: 'Drive flange on, new axle nut by hand until it seats',
      why: 'Full torque goes through rings and spacer: no adjusting.',
      look: 'Splines oiled, flange face clean',
      nut: true,
    },
  },
  wheel,
  parkingBrake,
  drum,
  {
    id: 'flange',
    place: 'car',
    minutes: 8,
    lit: ['shaft'],
    out: {
      text: 'Drive flange drawn off the splines',
      why: 'It seldom slides: a puller, not a bar against the drum.',
      tools: ['puller'],
    },
  },
  {
    id: 'brake-line',
    place: 'car',
    minutes: 6,
    lit: ['shoes', 'backing'],
    out: {
      text: 'Brake line off and capped, springs drawn on paper before they come out',
      why: 'Nobody remembers which hook goes where.',
      caution: 'fluid',
    },
    back: {
      text: 'Line on, springs as drawn, brake bled',
      why: 'Air in the line is found at the first crossing.',
      look: 'Pedal firm, no weep',
      fastener: 'brake-line',
    },
  },
  {
    id: 'hub',
    place: 'car',
    minutes: 6,
    lit: ['hub'],
    out: {
      text: 'Hub off the shaft with its bearings',
      why: 'Straight: an inner ring that stays on the shaft is drawn afterwards.',
    },
    back: {
      text: 'Hub on the shaft over the inner rings',
      why: 'A new ring that slides on by hand is a worn shaft: it will turn on it.',
      look: 'Inner ring grips',
    },
  },
];
