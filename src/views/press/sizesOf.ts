import type { Adapter } from '../../core/press/index.ts';

/** Outside × inside × height of a piece, mm. */
export const sizesOf = (a: Adapter): string => `${a.outerMm} × ${a.innerMm || '–'} × ${a.heightMm}`;
