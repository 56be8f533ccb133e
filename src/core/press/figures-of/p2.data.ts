import type { Figure } from '../figures.ts';
import { housingFigures, length } from './common.data.ts';

const cartridgeStrokes = ['cartridge-out', 'cartridge-in'] as const;

export const p2: readonly Figure[] = [
  length(
    'cartridge.shoulderMm',
    'Shoulder of the outer ring, across',
    'Caliper over the shoulder.',
    cartridgeStrokes,
    (b) => b.outerMm + 10,
  ),
  length(
    'cartridge.shoulderThickMm',
    'Shoulder, thickness',
    'Caliper on the shoulder’s edge.',
    ['cartridge-out'],
    () => 5,
  ),
  length(
    'cartridge.neckMm',
    'Outer ring beside the shoulder, across',
    'Caliper on the ring behind the flange.',
    cartridgeStrokes,
    (b) => b.outerMm + 1,
  ),
  length(
    'cartridge.gapMm',
    'Room between shoulder and wheel flange',
    'Feeler or the inside jaws.',
    cartridgeStrokes,
    () => 9,
  ),
  length(
    'cartridge.reliefMm',
    'Room behind the shoulder',
    'How far the relief of the knuckle lets a half-shell reach in.',
    ['cartridge-out'],
    () => 6,
  ),
  length(
    'cartridge.flangeMm',
    'Wheel flange, across',
    'Caliper or ruler over the flange.',
    cartridgeStrokes,
    (b) => b.outerMm * 1.9,
  ),
  length(
    'cartridge.flangeThickMm',
    'Wheel flange, thickness',
    'Caliper on its edge.',
    ['cartridge-out'],
    () => 10,
  ),
  length(
    'cartridge.hubBoreMm',
    'Hub, splines across',
    'Caliper over the major diameter.',
    cartridgeStrokes,
    (b) => b.boreMm * 0.75,
  ),
  ...housingFigures('housing', 'knuckle', cartridgeStrokes, {
    depth: -7,
    wall: 110,
    shoulder: (b) => b.outerMm,
  }).map((f) =>
    // A cartridge goes through: nothing stops it behind.
    f.path === 'housing.shoulderMm' ? { ...f, needs: [] } : f,
  ),
];
