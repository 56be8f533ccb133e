import type { OrderSpectrum } from './spectra.ts';

/** A line that stands out of a spectrum. */
export interface Line {
  order: number;
  db: number;
}

/** A row of lines: multiples of a base, each with so many side lines to both sides. */
export interface Series {
  base: number;
  side: number;
}

/** Least dB over the floor of a line, and least order, under which the swell of the road lies (judgement, tuned with the bench). */
const lineDb = 9;
const leastOrder = 0.25;
/** Multiples and side lines of a series that are looked for. */
const multiples = 5;
const sides = 3;
/** How far a line may lie off its place: a share of its order, or steps of the spectrum. */
const offShare = 0.004;
const offSteps = 2;

/** Lines are looked at up to so many times the base of a series. */
export const linesTo = 4;

/** All lines of a spectrum up to an order. */
export function linesOf({ db, step }: OrderSpectrum, to: number): Line[] {
  const lines: Line[] = [];
  const last = Math.min(db.length - 1, Math.floor(to / step));
  for (let k = Math.ceil(leastOrder / step); k < last; k++)
    if (db[k]! > lineDb && db[k]! >= db[k - 1]! && db[k]! > db[k + 1]!)
      lines.push({ order: k * step, db: db[k]! });
  return lines;
}

/** The same for whole orders, whose common factor is looked for finely. */
const wholeShare = 0.0012;

const near = (order: number, place: number, step: number, share = offShare) =>
  place > 0.2 && Math.abs(order - place) < Math.max(offSteps * step, share * place);

/** Whether a line lies where a series has one. */
function belongs(order: number, { base, side }: Series, step: number): boolean {
  for (let k = 0; k <= multiples; k++)
    for (let m = side > 0 ? -sides : 0; m <= (side > 0 ? sides : 0); m++)
      if (near(order, k * base + m * side, step)) return true;
  return false;
}

/** Share of the lines, by their dB, that a series explains; 0 without any line. */
export function explained(lines: readonly Line[], series: Series, step: number): number {
  const all = lines.reduce((a, l) => a + l.db, 0);
  const own = lines.reduce((a, l) => a + (belongs(l.order, series, step) ? l.db : 0), 0);
  return all > 0 ? own / all : 0;
}

/** Share of the lines, by their dB, that lie on whole orders at the best common factor: what knocks once a turn of the wheel. */
export function onWholeOrders(lines: readonly Line[], slack: number, step: number): number {
  const all = lines.reduce((a, l) => a + l.db, 0);
  let best = 0;
  for (let f = 1 - slack; f <= 1 + slack; f += wholeShare) {
    const on = lines.reduce((a, { order, db }) => {
      const whole = Math.max(1, Math.round(order / f)) * f;
      return a + (near(order, whole, step, wholeShare) ? db : 0);
    }, 0);
    best = Math.max(best, on);
  }
  return all > 0 ? best / all : 0;
}
