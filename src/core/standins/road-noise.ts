/** Pink-ish noise (Kellet's three poles) with a slow swell. */
export function roadNoise(n: number, r: () => number): Float32Array {
  let a = 0;
  let b = 0;
  let c = 0;
  const swell = 1 + 4 * r();
  return Float32Array.from({ length: n }, (_, i) => {
    const w = 2 * r() - 1;
    a = 0.99765 * a + w * 0.099046;
    b = 0.963 * b + w * 0.2965164;
    c = 0.57 * c + w * 1.0526913;
    return (a + b + c + w * 0.1848) * (1 + 0.15 * Math.sin((i / n) * 2 * Math.PI * swell));
  });
}
