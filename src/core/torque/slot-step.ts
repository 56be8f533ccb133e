import { verdict, type Verdict } from '../verdict.ts';
import { materials } from '../fits/index.ts';
import { castleTurn, neverLinesUp } from './castle.ts';
import { clampN, clampOfAngleN, faceDiameterMm, platesStiffness, torqueForNm } from './clamp.ts';
import type { Procedure, SlotStands } from './stage.ts';
import { frictions } from './threads.data.ts';
import { readGrade, readThread, strengthOf, stressAreaMm2, type Thread } from './threads.ts';

/** What it means for a castle nut that clamps to be tightened on to its next slot. */

interface Range {
  low: number;
  high: number;
}
export interface SlotStep {
  /** Clamp once it is there, N, and the torque that it stands for, N·m; over friction and grip as far as they are not known. */
  clampN: Range;
  torqueNm: Range;
  proofN?: number;
  verdict: Verdict;
}

/** Thickness that a centre nut clamps where nobody has measured it, in diameters of its thread. Our judgement. */
const gripDiameters = { low: 1, high: 6 };

/** Stretch of shank and joint for each newton, mm/N. Shigley’s cone (from memory), a shank of the thread’s stress area. */
const compliance = (thread: Thread, gripMm: number): number =>
  1 / platesStiffness(thread.diameterMm, gripMm) +
  gripMm / (stressAreaMm2(thread) * materials.steel.eMpa);

/** Torque and angle that the procedure applies before the lock. */
function pulled(p: Procedure): { torqueNm: number; angleDeg: number } | undefined {
  const last = p.stages.findLastIndex((s) => s.kind === 'torque');
  const torqueNm = p.stages[last]?.value;
  if (torqueNm === undefined) return undefined;
  const after = p.stages.slice(last + 1);
  // A nut that is backed off sets end play and clamps nothing.
  if (after.some((s) => s.kind === 'back-off')) return undefined;
  const angles = after.filter((s) => s.kind === 'angle');
  return { torqueNm, angleDeg: angles.reduce((sum, s) => sum + (s.value ?? 0), 0) };
}

/**
 * Clamp and torque after `deg` more, held against the proof load: Stop only where all of it is past it. `gripMm`: the
 * thickness that is clamped, where it was measured. Undefined where the procedure names no thread or no torque.
 */
export function slotStep(p: Procedure, deg: number, gripMm?: number): SlotStep | undefined {
  const read = readThread(p.size ?? '');
  const had = pulled(p);
  if (!read.ok || !had) return undefined;
  const { thread } = read;
  const d = thread.diameterMm;
  const grips = gripMm === undefined ? gripDiameters : { low: gripMm / d, high: gripMm / d };
  const at = (friction: number, gripInD: number) => {
    const bearingDiameterMm = faceDiameterMm(p.hexMm, d);
    const rub = { thread, frictionThread: friction, frictionBearing: friction, bearingDiameterMm };
    const more = clampOfAngleN(had.angleDeg + deg, thread.pitchMm, compliance(thread, gripInD * d));
    const clamp = clampN(had.torqueNm, rub) + more;
    return { clamp, torque: torqueForNm(clamp, rub) };
  };
  const [slippery, , rough] = frictions[p.thread];
  const corners = [slippery, rough].flatMap((f) => [at(f, grips.low), at(f, grips.high)]);
  const range = (of: readonly number[]): Range => ({ low: Math.min(...of), high: Math.max(...of) });
  const clamp = range(corners.map((c) => c.clamp));
  const torque = range(corners.map((c) => c.torque));
  const grade = p.grade === undefined ? undefined : readGrade(p.grade, thread.series);
  const strength = grade && strengthOf(grade, thread);
  const proofN = strength && strength.proofMpa * stressAreaMm2(thread);
  const found = {
    value: clamp.high / 1000,
    ...(proofN === undefined ? {} : { max: proofN / 1000 }),
    unit: 'kN' as const,
    with: {
      deg: deg.toFixed(0),
      clamp: between(clamp, 1000),
      torque: between(torque, 1),
    },
  };
  const ranges = { clampN: clamp, torqueNm: torque };
  if (proofN === undefined) return { ...ranges, verdict: verdict('torque.slot-unknown', found) };
  const some = clamp.high > proofN ? 'part' : 'none';
  const past = clamp.low > proofN ? 'all' : some;
  const said = { ...found, with: { ...found.with, past } };
  return { ...ranges, proofN, verdict: verdict('torque.slot', said, statusOf[past]) };
}

const statusOf = { all: 'stop', part: 'check', none: 'good' } as const;
const between = ({ low, high }: Range, unit: number): string =>
  `${(low / unit).toFixed(0)} to ${(high / unit).toFixed(0)}`;

/** What speaks against locking a castle nut so, as it stands: slots that never line up, or a step past its proof load. */
export function slotVerdict(
  p: Procedure,
  {
    slots,
    holeEnds,
    pastDeg,
    gripMm,
  }: Pick<SlotStands, 'slots' | 'holeEnds'> & Partial<SlotStands>,
): Verdict | undefined {
  if (neverLinesUp(slots, holeEnds)) return verdict('torque.slots-odd', { value: slots });
  if (pastDeg === undefined || p.locking?.holds !== 'clamp') return undefined;
  return slotStep(p, castleTurn(slots, holeEnds, pastDeg).onDeg, gripMm)?.verdict;
}
