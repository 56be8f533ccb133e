import { keysOf } from '../keys-of.ts';
import { materials } from '../fits/index.ts';
import type { ScratchResult } from './calculator.ts';

export const materialNames = keysOf(materials);

export const figure = (
  what: string,
  value: number,
  dimension: 'length' | 'torque' | 'force' | 'angle' | 'speed' | 'ratio' | 'count' | 'share',
  decimals?: number,
): ScratchResult => ({ what, value, dimension, ...(decimals === undefined ? {} : { decimals }) });

export const main = (r: ScratchResult): ScratchResult => ({ ...r, main: true });

export const text = (what: string, words: string): ScratchResult => ({ what, text: words });
