import type { FamilyCode } from '../../families/families.data.ts';
import type { Figure } from '../figures.ts';
import { a2 } from './a2.data.ts';
import { p1 } from './p1.data.ts';
import { p2 } from './p2.data.ts';
import { b2, cupPair } from './pair.data.ts';
import { a1, n1 } from './shell.data.ts';

/** Figures of each family in the order of reach. What rests on which: found by varying each one, held by a property test. */
export const figuresOf: Partial<Record<FamilyCode, readonly Figure[]>> = {
  P1: p1,
  P2: p2,
  A1: a1,
  N1: n1,
  A2: a2,
  B2: b2,
  T2: cupPair,
  A3: cupPair,
};
