import { random } from '../../src/core/standins/cars.ts';
import { fitWeibull, type Life, medianOf, survivalCurve } from '../../src/core/logbook/index.ts';

/** Curve, median and shape of very many lives, over sorting the same ones by a comparator. */
export function livesRatio(seed: number, count = 100_000, runs = 5): number {
  const r = random(seed);
  const lives = Array.from({ length: count }, (): Life => {
    const time = Math.round(90_000 * (-Math.log(1 - r())) ** (1 / 1.6));
    const end = Math.round(40_000 + 100_000 * r());
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
