import type { Figure } from '../figures.ts';
import { housingFigures } from './common.data.ts';

export const b2: readonly Figure[] = [
  ...housingFigures('housing', 'hub', ['first-ring-in'], {
    depth: 6,
    wall: 22,
    shoulder: (b) => b.outerMm - 9,
  }).map((f) =>
    // Both bores are cut in one setting: the class of the first is that of the second.
    f.path === 'housing.boreClass'
      ? { ...f, needs: ['first-ring-in', 'second-ring-in'] as const }
      : f,
  ),
  ...housingFigures('far', 'hub at its other end', ['second-ring-in'], {
    depth: 10,
    wall: 22,
    shoulder: (b) => b.outerMm - 9,
  }).map(({ seat: _seat, ...f }) => (f.path === 'far.boreClass' ? { ...f, needs: [] } : f)),
];
