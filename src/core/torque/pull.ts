import { median } from '../median.ts';
import { callOf, gives, longSnugDeg, slips } from './pull-call.ts';
import { bodyLine, freeShare, type Pull, pullsOf, springFrom, stillShare } from './pulls.ts';

/** A pull on a nut as a wrench with torque and angle sees it. */

/** One reading: torque at the square and angle of the wrench’s body. A wrench shows clockwise positive; here, at the nut, tightening is. */
export interface PullSample {
  ms: number;
  torqueNm: number;
  angleDeg: number;
}

/** What a wrench says: first itself and all that it has seen of this nut, then reading by reading. */
export type WrenchMessage =
  | {
      name: string;
      /** Simulated: what it reads is no evidence. */
      standIn: boolean;
      /** It fell silent under load in the last pull. */
      lost: boolean;
      seen: readonly PullSample[];
    }
  | PullSample;

export const pullCalls = [
  'waiting',
  'snugging',
  'turning',
  'let-go',
  'slipped',
  'cross-threaded',
  'yielding',
] as const;
export type PullCall = (typeof pullCalls)[number];

/** What is known of a nut from its pulls so far. */
export interface Followed {
  call: PullCall;
  /** How far the nut has turned since it was snug; undefined before. */
  turnedDeg: number | undefined;
  torqueNm: number;
  peakNm: number;
  pulls: number;
  /** Nobody pulls just now: the torque has gone back to nothing. */
  free: boolean;
  /** Twist of the wrench itself, as its own springing back shows; undefined before the first. */
  springDegPerNm: number | undefined;
  /** Torque over the nut's angle, pull joined to pull; from snug once that is known. */
  curve: [deg: number, nm: number][];
}

/** Share of a torque within which its readings stand for the instant at which it is reached. */
const nearShare = 0.1;
/** A thread that sticks and gives: the torque falls by this share of it from one reading to the next. Noise does not. */
const stickShare = 0.02;

/**
 * Body angle, told at `nm`, of the nut at the instant a rising torque first reaches it. Where the thread sticks and gives
 * that is the tip of a tooth; where it goes on evenly a line through the readings round it, so that noise does not choose.
 */
function reachedAt({ rise }: Pull, nm: number, spring: number): number | undefined {
  const first = rise.findIndex((s) => s.torqueNm >= nm);
  if (first < 0) return undefined;
  const round = rise
    .slice(Math.max(0, first - 30), first + 12)
    .filter((s) => Math.abs(s.torqueNm / nm - 1) < nearShare);
  const sticks = round.some(
    (s, i) => i > 0 && round[i - 1]!.torqueNm - s.torqueNm > stickShare * nm,
  );
  const line = sticks || round.length < 5 ? undefined : bodyLine(round);
  if (line) return line.at(nm);
  return median(
    rise
      .slice(Math.max(0, first - 1), first + 1)
      .map((s) => s.angleDeg - spring * (s.torqueNm - nm)),
  );
}

/** Body angle at a torque while the nut still stands as the last pull left it. */
function takenUpAt(
  { rise, heldNm, loading }: Pull,
  nm: number,
  spring: number,
): number | undefined {
  if (loading) return loading.at(nm, spring);
  // A quick hand passes in a reading or two: the twist of the wrench tells the rest.
  const few = rise.filter((s) => s.torqueNm < stillShare * heldNm);
  const seen = few.length > 0 ? few : rise.slice(0, 1);
  return seen.length > 0
    ? median(seen.map((s) => s.angleDeg - spring * (s.torqueNm - nm)))
    : undefined;
}

/** Body angle that this pull would show at a torque with the nut where the pull has brought it to. */
function leftAt({ rise, unloading }: Pull, nm: number, spring: number): number {
  if (unloading) return unloading.at(nm, spring);
  const ends = rise.slice(-4).map((s) => s.angleDeg - spring * (s.torqueNm - nm));
  return median(ends);
}

/** How the nut has turned, from the pull in which the torque was first a third of snug. */
interface Turned {
  sofarDeg: number | undefined;
  snugAtDeg: number | undefined;
  /** Every reading at which the nut went on, in degrees as `sofarDeg` counts. */
  went: { deg: number; nm: number }[];
}

/**
 * One pull more. The nut is compared with itself at the same torque, coming and going: so the twist of the wrench falls
 * out, and so does what a ratchet goes back.
 */
function goOn(t: Turned, p: Pull, snugNm: number, spring: number): Turned {
  const earlyNm = snugNm / 3;
  const sameNm = t.sofarDeg === undefined ? earlyNm : Math.min(snugNm, 0.6 * p.heldNm);
  const from =
    t.sofarDeg === undefined ? reachedAt(p, earlyNm, spring) : takenUpAt(p, sameNm, spring);
  if (from === undefined) return t;
  const zero = from - (t.sofarDeg ?? 0);
  const end = Math.max(t.sofarDeg ?? 0, leftAt(p, sameNm, spring) - zero);
  const atSnug = t.snugAtDeg === undefined ? reachedAt(p, snugNm, spring) : undefined;
  // The end told at the snug torque itself, where this pull went through it.
  const snugAtDeg = atSnug === undefined ? t.snugAtDeg : end - (leftAt(p, snugNm, spring) - atSnug);
  const went = p.rise
    .map((s) => ({ deg: s.angleDeg - spring * (s.torqueNm - sameNm) - zero, nm: s.torqueNm }))
    // Until the torque is back the nut only stands where it was left.
    .filter((x) => t.sofarDeg === undefined || x.deg > t.sofarDeg + 1);
  return { sofarDeg: end, snugAtDeg, went: [...t.went, ...went] };
}

/**
 * Follows a nut through its pulls: snug is the instant at which the torque first reaches `snugNm`; from there the angle is
 * that of the nut, without the twist of the wrench and without what a ratchet goes back.
 */
export function followPull(
  samples: readonly PullSample[],
  snugNm: number,
  /** Twist of the wrench as earlier pulls showed it, until this one shows its own. */
  knownSpring = 0.035,
): Followed {
  const torqueNm = samples.at(-1)?.torqueNm ?? 0;
  const pulls = pullsOf(samples, freeShare * snugNm);
  const found = springFrom(pulls);
  const spring = found ?? knownSpring;
  const start: Turned = { sofarDeg: undefined, snugAtDeg: undefined, went: [] };
  const {
    sofarDeg = 0,
    snugAtDeg,
    went,
  } = pulls.reduce((t, p) => goOn(t, p, snugNm, spring), start);
  const turnedDeg = snugAtDeg === undefined ? undefined : Math.max(0, sofarDeg - snugAtDeg);
  const free = torqueNm <= freeShare * snugNm;
  const curve = went.map(({ deg, nm }): [number, number] => [deg - (snugAtDeg ?? sofarDeg), nm]);
  return {
    call: callOf({
      slipped: pulls.some((p) => slips(p, snugNm)),
      crossed: (snugAtDeg ?? sofarDeg) > longSnugDeg,
      gives: snugAtDeg !== undefined && gives(curve),
      snug: turnedDeg !== undefined,
      free,
    }),
    turnedDeg,
    torqueNm,
    peakNm: Math.max(0, ...samples.map((s) => s.torqueNm)),
    pulls: pulls.length,
    free,
    springDegPerNm: found,
    curve,
  };
}

const mostOnCurve = 60;
/** The curve for the record: thinned, in tenths. */
export function keptCurve({ curve }: Followed): [number, number][] {
  const step = Math.max(1, Math.ceil(curve.length / mostOnCurve));
  return curve
    .filter((_p, i) => i % step === 0 || i === curve.length - 1)
    .map(([deg, nm]) => [Number(deg.toFixed(1)), Number(nm.toFixed(1))]);
}
