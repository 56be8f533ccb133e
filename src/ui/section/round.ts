/** Points round a centre, degrees clockwise from the top. */
export function roundOf(cx: number, cy: number) {
  const polar = (r: number, deg: number): readonly [number, number] => [
    cx + r * Math.sin((deg * Math.PI) / 180),
    cy - r * Math.cos((deg * Math.PI) / 180),
  ];
  /** The same as a path takes it. */
  const at = (r: number, deg: number): string =>
    polar(r, deg)
      .map((v) => v.toFixed(1))
      .join(' ');
  return { polar, at };
}

/** A hexagon in plan as a path, a corner to the right. */
export const hexPath = (cx: number, cy: number, r: number): string => {
  const { at } = roundOf(cx, cy);
  return `M${Array.from({ length: 6 }, (_, i) => at(r, 90 + i * 60)).join('L')}Z`;
};
