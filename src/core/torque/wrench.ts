import { type Static, Type } from '@sinclair/typebox';
import { closed, DateOnly, Id, Maybe, Mm, oneOf, Text } from '../schemas/common.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { type Stage, stageUnit } from './stage.ts';

const wrenchTypes = [
  'click',
  'beam',
  'digital',
  'angle-gauge',
  'multiplier',
  'offset',
  'bar',
  'hand',
] as const;
/** Square that it drives, inch. */
export const drives = ['1/4', '3/8', '1/2', '3/4', '1'] as const;

export const WrenchSchema = closed({
  id: Id,
  name: Text(60),
  type: oneOf(wrenchTypes),
  minNm: Maybe(Type.Number({ exclusiveMinimum: 0 })),
  maxNm: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
  lengthMm: Maybe(Mm()),
  calibrationDue: Maybe(DateOnly),
  /** Deviation at its last calibration, per cent of what it gave: a tool that shows more than it gives has a positive one. ISO 6789-1, from memory. */
  deviationPct: Maybe(Type.Number({ minimum: -50, maximum: 50 })),
  drive: Maybe(oneOf(drives)),
  /** Of a multiplier: torque out over torque in by its teeth, and what of it arrives. */
  ratio: Maybe(Type.Number({ exclusiveMinimum: 1, maximum: 200 })),
  efficiency: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 1 })),
  /** Of an offset adapter: from square to square. */
  offsetMm: Maybe(Mm()),
  /** Why it is used no more; stays in records of what was tightened with it. */
  retired: Maybe(Text(60)),
});
export type Wrench = Static<typeof WrenchSchema>;

/** A wrench is trusted from this share of its largest value on. ISO 6789-1. */
const trustedFrom = 0.2;

/** Deviation that a tool of its class may show, per cent: more for one that ends at 10 N·m. ISO 6789-1, from memory. */
const mostDeviationPct = ({ maxNm = 0 }: Wrench): number => (maxNm <= 10 ? 6 : 4);

/** From where to where a wrench can be trusted, N·m: 20 % to 100 % of its largest value (ISO 6789-1); undefined for what reads no torque. */
export const trustedRange = ({
  minNm = 0,
  maxNm,
}: Pick<Wrench, 'minNm' | 'maxNm'>): { low: number; high: number } | undefined =>
  maxNm === undefined ? undefined : { low: Math.max(minNm, trustedFrom * maxNm), high: maxNm };

/** Whether a wrench may be used for a torque: 20 % to 100 % of its largest value (ISO 6789-1), calibration not overdue. */
export function judgeWrench(w: Wrench, nm: number, today: string): Verdict[] {
  const part = w.name;
  const trusted = trustedRange(w);
  if (!trusted) return [verdict('wrench.none', { part })];
  const out: Verdict[] = [];
  const { low, high } = trusted;
  const range = { part, value: nm, min: low, max: high, unit: 'N·m' as const };
  if (nm > high) out.push(verdict('wrench.range', range, 'stop'));
  // Below the end of its scale it cannot be set at all; below a fifth it can, and is not to be trusted.
  else if (nm < (w.minNm ?? 0)) out.push(verdict('wrench.range', range, 'stop'));
  else if (nm < low) out.push(verdict('wrench.range', range, 'check'));
  if (w.calibrationDue !== undefined && w.calibrationDue < today)
    out.push(verdict('wrench.calibration', { part, with: { due: w.calibrationDue } }));
  const { deviationPct = 0 } = w;
  const most = mostDeviationPct(w);
  if (Math.abs(deviationPct) > most)
    out.push(verdict('wrench.deviation', { part, value: deviationPct, max: most }));
  return out.length > 0 ? out : [verdict('wrench.good', range)];
}

const byHand = (w: Wrench) => Number(w.type === 'hand');

/** Tools that can read a stage, those that can be trusted with it first; angles need no torque scale. */
export function wrenchesFor(stage: Stage, wrenches: readonly Wrench[], today: string): Wrench[] {
  // Drag is read by a spring scale, end play by a dial; a wait needs no tool of its own.
  if (stage.kind === 'drag' || stage.kind === 'wait' || stage.kind === 'end-play')
    return [...wrenches];
  const shows = wrenches.filter((w) => w.maxNm === undefined || w.type === 'digital');
  // A nut is locked by hand and punch.
  if (stage.kind === 'lock') return [...shows].sort((a, b) => byHand(b) - byHand(a));
  if (stageUnit(stage) !== 'torque') return shows;
  const nm = stage.value ?? 0;
  const trusted = (w: Wrench) => judgeWrench(w, nm, today).every((v) => v.status === 'good');
  const able = wrenches.filter((w) => w.maxNm !== undefined);
  return [...able.filter(trusted), ...able.filter((w) => !trusted(w))];
}
