import { pitchDiameterMm, strengthOf, stressAreaMm2, type Thread, yieldClampN } from './threads.ts';
import { frictions, type Grade, type ThreadState } from './threads.data.ts';

/** What a torque does in the joint. Torque in N·m, lengths in mm, forces in N. */

/** What a nut turns against: its thread, and the face under it. */
export interface Rub {
  thread: Thread;
  frictionThread: number;
  frictionBearing: number;
  /** Mean diameter of the face that turns under nut or head. */
  bearingDiameterMm: number;
}

/** Torque for each newton of clamp, mm: pitch, thread friction, face friction. Motosh's form; VDI 2230 (from memory). */
function leverMm({ thread, frictionThread, frictionBearing, bearingDiameterMm }: Rub): number {
  const cos30 = Math.cos(Math.PI / 6);
  return (
    thread.pitchMm / (2 * Math.PI) +
    (frictionThread * pitchDiameterMm(thread)) / (2 * cos30) +
    (frictionBearing * bearingDiameterMm) / 2
  );
}

/** Clamp of a torque, N. */
export const clampN = (torqueNm: number, rub: Rub): number => (1000 * torqueNm) / leverMm(rub);

/** Torque of a clamp, N·m. */
export const torqueForNm = (clampN: number, rub: Rub): number => (clampN * leverMm(rub)) / 1000;

/** Torque at which the shank begins to yield, N·m. */
export const yieldTorqueNm = (rub: Rub, yieldMpa: number): number =>
  (yieldClampN(rub.thread, yieldMpa, rub.frictionThread) * leverMm(rub)) / 1000;

/** Mean face diameter of a hex nut of which none is on record, mm: our judgement. */
export const faceDiameterMm = (hexMm: number, holeMm: number): number =>
  (0.95 * hexMm + holeMm) / 2;

/** Clamp of one torque with one thing on the thread: low, likely, high friction give high, likely, low clamp. */
export interface ClampBar {
  state: ThreadState;
  lowN: number;
  likelyN: number;
  highN: number;
  /** Likely clamp over the proof load; undefined without a grade of this size. */
  proofShare?: number;
}

/** The same torque on a thread that is dry, as the procedure says, and greased, against the proof load. */
export function clampBars(
  torqueNm: number,
  thread: Thread,
  bearingDiameterMm: number,
  states: readonly ThreadState[],
  grade?: Grade,
): { bars: ClampBar[]; proofN?: number } {
  const strength = grade && strengthOf(grade, thread);
  const proofN = strength && strength.proofMpa * stressAreaMm2(thread);
  const at = (f: number) =>
    clampN(torqueNm, { thread, frictionThread: f, frictionBearing: f, bearingDiameterMm });
  const bars = states.map((state): ClampBar => {
    const [low, likely, high] = frictions[state];
    const likelyN = at(likely);
    return {
      state,
      lowN: at(high),
      likelyN,
      highN: at(low),
      ...(proofN === undefined ? {} : { proofShare: likelyN / proofN }),
    };
  });
  return { bars, ...(proofN === undefined ? {} : { proofN }) };
}

/** Stiffness of what is clamped as a cone under a head of one and a half diameters, N/mm. Shigley (from memory). */
export function platesStiffness(
  diameterMm: number,
  lengthMm: number,
  modulusMpa = 206_000,
): number {
  const d = diameterMm;
  const spread = (5 * (0.5774 * lengthMm + 0.5 * d)) / (0.5774 * lengthMm + 2.5 * d);
  return (0.5774 * Math.PI * modulusMpa * d) / (2 * Math.log(spread));
}

/** Extra clamp of an angle past snug and below yield, N; compliance of bolt and joint together in mm/N. VDI 2230 (from memory). */
export const clampOfAngleN = (
  angleDeg: number,
  pitchMm: number,
  complianceMmPerN: number,
): number => ((angleDeg / 360) * pitchMm) / complianceMmPerN;
