/** A figure as it would be printed, without the dust of its sum: what stands at a limit is not past it. */
export const printed = (x: number): number => Number(x.toFixed(9));
