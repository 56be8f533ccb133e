import { crossPatterns } from './threads.data.ts';

/** One bolt of a circle in its turn: round from 1, bolt from 1 at the top and on clockwise. */
export interface CircleTurn {
  round: number;
  bolt: number;
}

/** Every bolt of a circle in the order it is taken, round after round; undefined for a count that no order is known of. */
export const circleTurns = (count: number, rounds: number): CircleTurn[] | undefined =>
  crossPatterns[count] &&
  Array.from({ length: rounds }, (_, r) =>
    crossPatterns[count]!.map((bolt) => ({ round: r + 1, bolt })),
  ).flat();
