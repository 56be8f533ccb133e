/** A straight line through points, by least squares. */
export interface Line {
  slope: number;
  /** Height at `x`, along the line itself or along another slope through its middle. */
  at: (x: number, slope?: number) => number;
  /** How much the line is worth: spread of its `x`. */
  weight: number;
}

/** The line through [x, y]; undefined for fewer than three points, or all at one `x`. */
export function lineThrough(points: readonly (readonly [number, number])[]): Line | undefined {
  const mean = (k: 0 | 1) => points.reduce((a, p) => a + p[k], 0) / points.length;
  const [mx, my] = [mean(0), mean(1)];
  let [up, weight] = [0, 0];
  for (const [x, y] of points) {
    up += (x - mx) * (y - my);
    weight += (x - mx) ** 2;
  }
  if (points.length < 3 || weight === 0) return undefined;
  const slope = up / weight;
  return { slope, weight, at: (x, along = slope) => my + along * (x - mx) };
}
