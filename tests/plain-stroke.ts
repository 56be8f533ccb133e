import type { Press, Requirement } from '../src/core/press/index.ts';

/** A made-up stroke in round figures: a ring of 60 to 76 mm goes into a body that stands on its back face. */
export const plainStroke = {
  operation: 'bearing-in',
  fitting: true,
  pusher: {
    windows: [],
    face: { name: 'outer ring', innerMm: 60, outerMm: 76, leastMm: 2 },
    proudMm: 0,
  },
  support: {
    windows: [],
    face: { name: 'back face', innerMm: 70, outerMm: 110, leastMm: 3 },
    proudMm: 0,
  },
  travelMm: 40,
  workHeightMm: 50,
  followMm: 5,
  entryMm: 76.5,
  riserMm: 40,
  touches: [
    { role: 'pusher', node: 'outer', innerMm: 60, outerMm: 76 },
    { role: 'support', node: 'knuckle', innerMm: 70, outerMm: 110 },
  ],
  joins: [['outer', 'knuckle']],
  carries: 'outer ring',
  seat: {
    kind: 'bore',
    lengthMm: 40,
    fit: {
      diameterMm: 76,
      outerDiameterMm: 110,
      innerBoreMm: 60,
      outerMaterial: 'steel',
      innerMaterial: 'steel',
    },
  },
  hammer: { allowed: false, text: 'A blow dents it.' },
  throughMm: 30,
  picture: {
    bodies: [],
    pusherAtMm: 50,
    supportAtMm: 0,
    leadMm: 40,
    ways: {},
    lowestMm: 0,
    radiusMm: 55,
  },
} satisfies Requirement;

/** A press with room for it. */
export const plainPress: Press = {
  id: 'press',
  name: 'The press',
  capacityKn: 100,
  ramMm: 50,
  daylightMm: 200,
  strokeMm: 150,
};
