import type { Figure } from '../figures.ts';
import { housingFigures, length } from './common.data.ts';

const sealFigures = (needs: Figure['needs']): Figure[] => [
  length(
    'seal.outerMm',
    'Seal, outside',
    'Printed on the seal, or caliper on the new one.',
    needs,
    (b) => b.outerMm + 6,
  ),
  length(
    'seal.innerMm',
    'Seal, inside',
    'Printed on the seal, or the track on the shaft.',
    needs,
    (b) => b.boreMm + 1,
  ),
  length('seal.widthMm', 'Seal, width', 'Printed on the seal, or caliper.', needs, () => 9),
  length(
    'seal.depthMm',
    'How deep the seal sits',
    'Depth rod from the face to the old seal; 0 where it is flush.',
    needs,
    () => 0,
  ),
];

/** A shell in a bore with a seal before it. */
const shellAndSeal = (what: string, depth: number): readonly Figure[] => [
  ...sealFigures(['seal-in']),
  ...housingFigures(
    'housing',
    what,
    ['shell-in'],
    { depth, wall: 22, shoulder: (b) => b.outerMm - 8 },
    ['seal-in'],
  ),
];

/** An axle tube that holds shell and seal. */
export const a1: readonly Figure[] = [
  ...shellAndSeal('axle tube', 14),
  length(
    'housing.entry.depthMm',
    'Bore of the seal, depth',
    'Depth rod from the face to where the wider bore ends.',
    ['shell-in'],
    () => 12,
  ),
  {
    path: 'housing.entry.boreMm',
    name: 'Bore of the seal',
    how: 'It follows from the seal.',
    needs: [],
    derive: (_b, known) => {
      const value = known('seal.outerMm');
      return value === undefined ? undefined : { value, from: 'the seal’s outside' };
    },
    outline: (b) => b.outerMm + 6,
  },
];

/** A stub axle's pilot needle. */
export const n1 = shellAndSeal('stub axle', 2);
