/** A figure as it would be printed, to nine digits, without the dust of its sum: what stands at a limit is not past it. */
export const printed = (x: number): number => Math.round(x * 1e9) / 1e9;

/** How far two figures lie apart. */
export const apart = (a: number, b: number): number => printed(Math.abs(a - b));

/** From the least to the greatest of some figures; −∞ for none. */
export const spread = (xs: readonly number[]): number => printed(Math.max(...xs) - Math.min(...xs));
