import { fitWeibull, type Life, medianOf, survivalCurve } from '../src/core/logbook/index.ts';

/** Curve, median and shape of very many lives, over sorting the same ones by a comparator. */
export function livesRatio(seed: number, count = 100_000, runs = 5): number {
  let state = seed % 2 ** 32;
  const random = () => {
    state = (state * 1664525 + 1013904223) % 2 ** 32;
    return (state + 0.5) / 2 ** 32;
  };
  const lives = Array.from({ length: count }, (): Life => {
    const time = Math.round(90_000 * (-Math.log(random())) ** (1 / 1.6));
    const end = Math.round(40_000 + 100_000 * random());
    return { time: Math.min(time, end) + 1, failed: time <= end };
  });
  const timed = (work: () => void) => {
    const from = performance.now();
    for (let i = 0; i < runs; i++) work();
    return performance.now() - from;
  };
  const sorted = timed(() => [...lives].sort((a, b) => a.time - b.time));
  const told = timed(() => {
    medianOf(survivalCurve(lives));
    fitWeibull(lives);
  });
  return told / sorted;
}
