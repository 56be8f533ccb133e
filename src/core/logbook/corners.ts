import type { Corner } from '../corner.ts';
import { wilson } from './enough.ts';
import { type LifeRecord, ranKm, type Span } from './life.ts';

/** A corner of a unit that has had more than one bearing fail. */
export interface HungryCorner {
  unit: string;
  corner: Corner;
  failed: number;
  /** From the first fitting to the last failure, km. */
  withinKm: number;
  /** What killed them, where it was read. */
  causes: string[];
  lives: LifeRecord[];
}

const km = (s: Span) => s.exact?.time ?? s.interval?.to ?? 0;

/** Corners that eat bearings, those with the shortest lives first. */
export function hungryCorners(spans: readonly Span[]): HungryCorner[] {
  const at = new Map<string, Span[]>();
  for (const s of spans) {
    const key = `${s.life.unit} ${s.life.corner}`;
    at.set(key, [...(at.get(key) ?? []), s]);
  }
  return [...at.values()]
    .flatMap((own): HungryCorner[] => {
      const failed = own.filter((s) => s.life.end === 'failed');
      const [first] = own;
      if (failed.length < 2 || !first) return [];
      return [
        {
          unit: first.life.unit,
          corner: first.life.corner,
          failed: failed.length,
          withinKm: failed.reduce((sum, s) => sum + km(s), 0),
          causes: [...new Set(failed.flatMap((s) => s.life.cause ?? []))],
          lives: own.map((s) => s.life),
        },
      ];
    })
    .sort((a, b) => a.withinKm / a.failed - b.withinKm / b.failed);
}

/** Distance within which a failure is a comeback, km, unless the shop sets another. Our judgement. */
export const comebackKm = 5000;

/** Whether one failed so soon after it was fitted. */
export const cameBack = (life: LifeRecord, withinKm = comebackKm): boolean =>
  life.end === 'failed' && (ranKm(life) ?? Infinity) < withinKm;

/** Bearings of a corner that failed, laid end to end, km. */
export function endToEnd({ lives }: HungryCorner) {
  let at = 0;
  return lives
    .filter((l) => l.end === 'failed')
    .map((l) => {
      const from = at;
      at += ranKm(l) ?? 0;
      return { from, to: at, cause: l.cause };
    });
}

/** Those that failed on a corner that eats bearings: more than one has; none elsewhere. */
export function eatenHere(lives: readonly LifeRecord[]): LifeRecord[] {
  const failed = lives.filter((l) => l.end === 'failed');
  return failed.length > 1 ? failed : [];
}

/** Bearings that failed soon after they were fitted, of those that ran as far or failed before; not those a lead ruled out. */
export function comebacks(spans: readonly Span[], withinKm = comebackKm) {
  const known = spans.flatMap((s) => (s.exact ? [{ life: s.life, ...s.exact }] : []));
  const told = known.filter((l) => l.time >= withinKm || l.failed);
  const soon = told.filter((l) => l.failed && l.time < withinKm);
  const back = soon.filter((l) => l.life.comeback?.is !== false);
  return {
    withinKm,
    count: back.length,
    /** Of these, how many a lead has looked at. */
    marked: back.filter((l) => l.life.comeback).length,
    of: told.length,
    lives: soon.map((l) => l.life),
    ...(told.length > 0 ? wilson(back.length, told.length) : { share: 0, low: 0, high: 1 }),
  };
}
