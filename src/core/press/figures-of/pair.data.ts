import type { Figure } from '../figures.ts';
import type { Operation } from '../operations.ts';
import { housingFigures } from './common.data.ts';

/** A hub with a ring or a cup in each end. Both bores are cut in one setting: the class of the first is that of the second. */
const pairInHub = (first: Operation, second: Operation): readonly Figure[] => [
  ...housingFigures('housing', 'hub', [first], {
    depth: 6,
    wall: 22,
    shoulder: (b) => b.outerMm - 9,
  }).map((f) => (f.path === 'housing.boreClass' ? { ...f, needs: [first, second] } : f)),
  ...housingFigures('far', 'hub at its other end', [second], {
    depth: 10,
    wall: 22,
    shoulder: (b) => b.outerMm - 9,
  }).map(({ seat: _seat, ...f }) => (f.path === 'far.boreClass' ? { ...f, needs: [] } : f)),
];

export const b2 = pairInHub('first-ring-in', 'second-ring-in');
export const cupPair = pairInHub('outer-cup-in', 'inner-cup-in');
