import { median } from '../median.ts';
import { verdict, type Verdict } from '../verdict.ts';

/** A pull on a nut as a wrench with torque and angle sees it. */

/** One reading: torque at the square, angle of the wrench’s body, tightening positive. */
export interface PullSample {
  ms: number;
  torqueNm: number;
  angleDeg: number;
}

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
  /** Twist of the wrench itself, as its own springing back shows; undefined before the first. */
  springDegPerNm: number | undefined;
  /** Torque over the nut's angle, pull joined to pull; from snug once that is known. */
  curve: [deg: number, nm: number][];
}

/** Below this share of the snug torque the wrench is free: nobody pulls. Our judgement. */
const freeShare = 0.06;
/** The nut stands still while the torque is below this share of what it was left at. Our judgement. */
const stillShare = 0.85;
/** Torque lost within so many readings while the hand goes on: the socket slipped. Our judgement. */
const slipShare = 0.4;
const slipReadings = 4;
const slipDeg = 2;
/** From a third of snug to snug a sound nut turns less than this, degrees; one that is crossed, more. Our judgement. */
const longSnugDeg = 130;
/** A thread that gives: the slope falls to this share of what it was. Our judgement. */
const givingShare = 0.45;
/** Degrees over which a slope is read. */
const slopeDeg = 8;

/** Stretches in which somebody pulls, as [first, last] readings. */
function pullsIn(samples: readonly PullSample[], freeNm: number): [number, number][] {
  const out: [number, number][] = [];
  let from: number | undefined;
  for (const [i, s] of samples.entries()) {
    if (s.torqueNm > freeNm) from ??= i;
    else if (from !== undefined) {
      if (i - from > 3) out.push([from, i - 1]);
      from = undefined;
    }
  }
  if (from !== undefined && samples.length - from > 3) out.push([from, samples.length - 1]);
  return out;
}

/** Where the hand begins to let go: back from the end, as long as the torque was higher before. */
function letGoAt(samples: readonly PullSample[], [from, to]: readonly [number, number]): number {
  let at = to;
  let top = samples[to]!.torqueNm;
  for (let i = to - 1; i >= from; i--) {
    const t = samples[i]!.torqueNm;
    if (t > top) [at, top] = [i, t];
    // Noise goes up and down; a pull goes up for good.
    else if (t < 0.93 * top) break;
  }
  return at;
}

/** Angle of the wrench’s body as a line over torque: least squares. */
interface Line {
  /** Degrees for each newton metre. */
  slope: number;
  /** Angle at a torque, along the line itself or along another slope through its middle. */
  at: (nm: number, slope?: number) => number;
  /** How much the line is worth: spread of its torques. */
  weight: number;
}
function lineOf(part: readonly PullSample[]): Line | undefined {
  const mean = (of: (s: PullSample) => number) => part.reduce((a, s) => a + of(s), 0) / part.length;
  const [mt, ma] = [mean((s) => s.torqueNm), mean((s) => s.angleDeg)];
  let [up, weight] = [0, 0];
  for (const s of part) {
    up += (s.torqueNm - mt) * (s.angleDeg - ma);
    weight += (s.torqueNm - mt) ** 2;
  }
  if (part.length < 3 || weight === 0) return undefined;
  const slope = up / weight;
  return { slope, weight, at: (nm, along = slope) => ma + along * (nm - mt) };
}

interface Pull {
  all: readonly PullSample[];
  /** Readings up to where the hand lets go, or to the last one. */
  rise: readonly PullSample[];
  /** Torque that it was left at before, under which the nut stands still; 0 at the first. */
  heldNm: number;
  /** The body over torque while the nut stands still: as the torque comes back, and as the hand lets go. */
  loading: Line | undefined;
  unloading: Line | undefined;
}

function pullsOf(samples: readonly PullSample[], freeNm: number): Pull[] {
  let heldNm = 0;
  return pullsIn(samples, freeNm).map((part): Pull => {
    const top = letGoAt(samples, part);
    const topNm = samples[top]?.torqueNm ?? 0;
    const rise = samples.slice(part[0], top + 1);
    const above = rise.findIndex((s) => s.torqueNm >= stillShare * heldNm);
    const fall = samples
      .slice(top, part[1] + 1)
      .filter((s) => s.torqueNm > 0.1 * topNm && s.torqueNm < 0.92 * topNm);
    const pull = {
      all: samples.slice(part[0], part[1] + 1),
      rise,
      heldNm,
      loading: heldNm > 0 ? lineOf(rise.slice(0, Math.max(0, above))) : undefined,
      unloading: lineOf(fall),
    };
    heldNm = Math.max(heldNm, topNm);
    return pull;
  });
}

/** Twist of the wrench from every stretch in which the nut stood still. */
function springFrom(pulls: readonly Pull[]): number | undefined {
  const lines = pulls
    .flatMap((p) => [p.loading, p.unloading])
    .filter((l) => l !== undefined)
    .filter((l) => l.slope > 0);
  const weight = lines.reduce((a, l) => a + l.weight, 0);
  return weight > 0 ? lines.reduce((a, l) => a + l.slope * l.weight, 0) / weight : undefined;
}

/** A socket that rides up: the torque falls away while the hand still goes on. */
const slips = ({ all }: Pull, snugNm: number): boolean =>
  all.some((b, i) => {
    const a = all[i - slipReadings];
    if (!a || a.torqueNm < snugNm / 3) return false;
    const lost = a.torqueNm - b.torqueNm;
    return lost > slipShare * a.torqueNm && b.angleDeg - a.angleDeg > slipDeg;
  });

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
  const line = sticks || round.length < 5 ? undefined : lineOf(round);
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
    springDegPerNm: found,
    curve,
  };
}

/** Whether torque grows much less for each degree at the end than it did just past snug. */
function gives(curve: readonly (readonly [number, number])[]): boolean {
  const far = curve.reduce((most, [deg]) => Math.max(most, deg), 0);
  if (far < 2 * slopeDeg) return false;
  const slopeIn = (from: number): number | undefined => {
    const part = curve
      .filter(([deg]) => deg >= from && deg < from + slopeDeg)
      .map(([deg, nm]) => ({ ms: 0, torqueNm: deg, angleDeg: nm }));
    return part.length > 5 ? lineOf(part)?.slope : undefined;
  };
  const [first, end] = [slopeIn(1), slopeIn(far - slopeDeg)];
  return first !== undefined && end !== undefined && first > 0 && end < givingShare * first;
}

function callOf(x: Record<'slipped' | 'crossed' | 'gives' | 'snug' | 'free', boolean>): PullCall {
  if (x.slipped) return 'slipped';
  if (x.crossed) return 'cross-threaded';
  if (x.gives) return 'yielding';
  if (!x.snug) return x.free ? 'waiting' : 'snugging';
  return x.free ? 'let-go' : 'turning';
}

/** What a pull says of the nut itself, whatever its figure; undefined while nothing is wrong. */
export function pullVerdict(call: PullCall): Verdict | undefined {
  if (call === 'slipped') return verdict('torque.slipped');
  if (call === 'cross-threaded') return verdict('torque.crossed');
  return call === 'yielding' ? verdict('torque.yielding') : undefined;
}

const mostOnCurve = 60;
/** The curve for the record: thinned, in tenths. */
export function keptCurve({ curve }: Followed): [number, number][] {
  const step = Math.max(1, Math.ceil(curve.length / mostOnCurve));
  return curve
    .filter((_p, i) => i % step === 0 || i === curve.length - 1)
    .map(([deg, nm]) => [Number(deg.toFixed(1)), Number(nm.toFixed(1))]);
}
