import type { Figure } from '../figures.ts';
import { always, bore, length, onlyDrawn } from './common.data.ts';

/** Strokes in which the press ring goes on. */
const ringOn = ['press-ring-on', 'bearing-and-ring-on'] as const;
const shaftOn = ['shaft-bearing-on', ...ringOn] as const;
const shaftStrokes = ['shaft-bearing-off', ...shaftOn] as const;
export const a2: readonly Figure[] = [
  length(
    'shaft.reachMm',
    'Shoulder to the shaft’s end',
    'Rule along the shaft.',
    shaftStrokes,
    () => 300,
  ),
  length(
    'shaft.flangeFromShoulderMm',
    'Shoulder to the flange’s inner face',
    'Depth rod along the shaft.',
    shaftStrokes,
    () => 35,
  ),
  length(
    'shaft.flangeMm',
    'Wheel flange, across',
    'Caliper or ruler over the flange.',
    shaftStrokes,
    () => 150,
  ),
  length(
    'shaft.flangeThickMm',
    'Wheel flange, thickness',
    'Caliper on its edge.',
    shaftStrokes,
    () => 11,
  ),
  length(
    'shaft.studLengthMm',
    'Studs, how far they stand out',
    'Caliper from the flange’s face.',
    shaftStrokes,
    () => 34,
  ),
  length(
    'shaft.insideStudsMm',
    'Flange, flat inside the studs',
    'Caliper from stud to stud, inside.',
    shaftOn,
    () => 96,
  ),
  length(
    'shaft.shoulderMm',
    'Shoulder, across',
    'Caliper on the shaft behind the bearing.',
    ['shaft-bearing-off'],
    (b) => b.boreMm + 6,
  ),
  {
    ...length(
      'shaft.journalLengthMm',
      'Journal, from the shoulder',
      'Over bearing and ring together, and what stands proud of them.',
      shaftStrokes,
      (b) => b.widthMm + 18,
    ),
    seat: true,
  },
  length(
    'shaft.ring.outerMm',
    'Press ring, outside',
    'Caliper on the new ring.',
    ringOn,
    (b) => b.boreMm + 18,
  ),
  length('shaft.ring.widthMm', 'Press ring, width', 'Caliper on the new ring.', ringOn, () => 16),
  length(
    'shaft.ring.lowMm',
    'Press ring, least interference',
    'From its fitting sheet, or journal less ring as measured.',
    ringOn,
    () => 0.035,
  ),
  length(
    'shaft.ring.highMm',
    'Press ring, greatest interference',
    'From its fitting sheet, or journal less ring as measured.',
    ringOn,
    () => 0.07,
  ),
  {
    path: 'shaft.journalMm',
    name: 'Journal',
    how: 'It follows from the ring.',
    needs: shaftStrokes,
    seat: true,
    derive: bore,
    outline: (b) => b.boreMm,
  },
  {
    path: 'shaft.journalClass',
    name: 'Class of the journal',
    how: 'The usual one.',
    needs: ['shaft-bearing-off', 'shaft-bearing-on', 'bearing-and-ring-on'],
    seat: true,
    derive: always('m6'),
    outline: () => 'm6',
  },
  onlyDrawn('shaft.studs', 'Studs', () => 5),
];
