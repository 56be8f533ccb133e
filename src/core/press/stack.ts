import { gravestFirst, worst, type Band, type Status, type Verdict } from '../verdict.ts';
import { faceLimitMpa, facePressureMpa } from './contact.ts';
import { bearingInnerMm, hollowMm, openBehind, type Adapter, type Press } from './kit.ts';
import { forcePath, type ForcePath } from './force-path.ts';
import type { Measure, Need, Requirement, Work, Window } from './operation.ts';

/** Pieces laid on the press for one stroke, top to bottom: cap (if any), pusher, the work, support. */
export interface Stack {
  cap?: Adapter;
  pusher: Adapter;
  support: Adapter;
}

export interface Judgement {
  status: Status;
  verdicts: Verdict[];
  path: ForcePath;
  /** Worth of the stack, 0 to 100; only meaningful when it is not Stop. */
  score: number;
}

/** What a stack is judged against. */
export interface Bench {
  work: Work;
  requirement: Requirement;
  press: Press;
  /** Expected force of the stroke, kN. */
  forceKn: Band;
}

const round1 = (x: number) => x.toFixed(1);
const measureNames: Record<Measure, string> = { outerMm: 'outside', innerMm: 'inside', heightMm: 'height', hollowMm: 'inside depth' };
export const measured = (a: Adapter, m: Measure): number => (m === 'hollowMm' ? hollowMm(a) : a[m]);

/** Radial width on which a piece bears on the face it is meant for, mm. */
export const contactMm = (a: Adapter, need: Need): number =>
  (Math.min(a.outerMm, need.face.outerMm) - Math.max(bearingInnerMm(a, need.proudMm), need.face.innerMm)) / 2;

const judgeWindow = (a: Adapter, w: Window): Verdict | undefined => {
  const value = measured(a, w.measure);
  const fault = w.min !== undefined && value < w.min ? w.tooSmall : w.max !== undefined && value > w.max ? w.tooLarge : undefined;
  if (fault === undefined) return undefined;
  const limit = value < (w.min ?? -Infinity) ? `at least ${round1(w.min!)}` : `at most ${round1(w.max!)}`;
  return { status: w.level, rule: w.rule, value, limit: `${limit} mm`, text: `${a.name} ${fault}: ${measureNames[w.measure]} ${round1(value)}, ${limit} mm.`, source: 'geometry of the parts' };
};

/** Everything wrong with one piece in one place; independent of the other pieces. */
export function judgePiece(a: Adapter, role: 'pusher' | 'support' | 'cap', need: Need | undefined, forceKn: Band): Verdict[] {
  const out: Verdict[] = [];
  if (a.retired) out.push({ status: 'stop', rule: 'kit.retired', text: `${a.name} is retired: ${a.retired}` });
  if (a.material === 'chrome' && role !== 'support') out.push({ status: 'stop', rule: 'kit.chrome', text: `${a.name} is a chrome socket: it can shatter under a press. Use an impact socket or a ring.`, source: 'common practice' });
  if (a.material === 'wood' && role !== 'support') out.push({ status: 'stop', rule: 'kit.wood', text: `${a.name} is wood: it cannot push square.`, source: 'common practice' });
  if (forceKn.high > a.ratingKn) out.push({ status: 'stop', rule: 'kit.rating', value: a.ratingKn, limit: `at least ${round1(forceKn.high)} kN`, text: `${a.name} is rated ${round1(a.ratingKn)} kN; this stroke may need ${round1(forceKn.high)} kN.` });
  if (!need) return out;
  for (const w of need.windows) {
    const v = judgeWindow(a, w);
    if (v) out.push(v);
  }
  const contact = contactMm(a, need);
  const pressure = facePressureMpa(a, need, forceKn.high);
  if (contact >= need.face.leastMm && pressure > faceLimitMpa(a)) out.push({ status: 'stop', rule: 'press.pressure', value: pressure, limit: `at most ${faceLimitMpa(a).toFixed(0)} MPa`, text: `${a.name} would press on the ${need.face.name} with ${pressure.toFixed(0)} MPa: its edge or the face gives way.`, source: '0.6 of the yield, judgement' });
  if (contact < need.face.leastMm) out.push({ status: 'stop', rule: 'press.contact', value: contact, limit: `at least ${round1(need.face.leastMm)} mm`, text: contact > 0 ? `${a.name} bears on the ${need.face.name} by ${round1(contact)} mm only; ${round1(need.face.leastMm)} is the least.` : `${a.name} does not reach the ${need.face.name}.`, source: 'engineering judgement' });
  return out;
}

/** Judges cap on pusher: a ram smaller than an open pusher needs a solid piece between. */
export function judgeCap(pusher: Adapter, cap: Adapter | undefined, bench: Bench): Verdict[] {
  const { press, requirement, forceKn } = bench;
  const bridged = !openBehind(pusher) || pusher.innerMm + 6 <= press.ramMm;
  const out: Verdict[] = [];
  if (!cap) {
    if (!bridged) out.push({ status: 'stop', rule: 'press.bridge', value: pusher.innerMm, limit: `under ${round1(press.ramMm - 6)} mm`, text: `The ram (${round1(press.ramMm)} mm) would drop into ${pusher.name} (inside ${round1(pusher.innerMm)}). Lay a solid disc on it.` });
  } else {
    out.push(...judgePiece(cap, 'cap', undefined, forceKn));
    if (cap.innerMm !== 0) out.push({ status: 'stop', rule: 'press.cap-solid', text: `${cap.name} is open, so it cannot carry the ram. Use a solid disc.` });
    if (cap.outerMm < pusher.innerMm + 6) out.push({ status: 'stop', rule: 'press.cap-wide', value: cap.outerMm, limit: `at least ${round1(pusher.innerMm + 6)} mm`, text: `${cap.name} would fall into ${pusher.name}.` });
    if (pusher.heightMm < requirement.followMm && cap.outerMm > entryMm(bench)) out.push({ status: 'stop', rule: 'press.cap-follow', value: cap.outerMm, text: `${cap.name} meets the knuckle before the stroke is done.` });
    if (bridged) out.push({ status: 'check', rule: 'press.cap-spare', text: `${cap.name} is not needed: fewer pieces stand straighter.` });
  }
  return out;
}

/** Opening that a following piece goes through. */
const entryMm = ({ requirement, work }: Bench): number =>
  requirement.operation === 'bearing-out' ? work.knuckle.shoulderMm
    : requirement.operation === 'hub-out' ? work.bearing.boreMm : work.knuckle.boreMm;

export const stackHeightMm = (s: Stack, r: Requirement): number =>
  (s.cap?.heightMm ?? 0) + s.pusher.heightMm + r.workHeightMm + s.support.heightMm;

/** Rules that need all pieces at once. */
function judgeTogether(s: Stack, { press, requirement, forceKn }: Bench): Verdict[] {
  const out: Verdict[] = [];
  const ids = [s.cap?.id, s.pusher.id, s.support.id].filter((id) => id !== undefined);
  if (new Set(ids).size < ids.length) out.push({ status: 'stop', rule: 'press.one-piece-twice', text: 'One piece is used in two places at once.' });
  if (press.strokeMm !== undefined && press.strokeMm < requirement.travelMm) out.push({ status: 'check', rule: 'press.stroke', value: press.strokeMm, limit: `at least ${round1(requirement.travelMm)} mm`, text: `The ram of ${press.name} goes ${round1(press.strokeMm)} mm in one reach; this stroke needs ${round1(requirement.travelMm)}. Stop half way, pack it, and begin again square.` });
  const height = stackHeightMm(s, requirement);
  if (height > press.daylightMm) out.push({ status: 'stop', rule: 'press.daylight', value: height, limit: `at most ${round1(press.daylightMm)} mm`, text: `The stack stands ${round1(height)} mm; ${press.name} opens ${round1(press.daylightMm)}.` });
  if (forceKn.high > press.capacityKn) out.push({ status: 'stop', rule: 'press.capacity', value: forceKn.high, limit: `at most ${round1(press.capacityKn)} kN`, text: `This stroke may need ${round1(forceKn.high)} kN; ${press.name} gives ${round1(press.capacityKn)}. Choose another route.` });
  return out;
}

/** Judges a whole stack, as the solver found it or as it was laid by hand. */
export function judgeStack(s: Stack, bench: Bench): Judgement {
  const { requirement: r, forceKn } = bench;
  const path = forcePath(s, bench);
  const verdicts = gravestFirst([
    ...path.verdicts,
    ...judgePiece(s.pusher, 'pusher', r.pusher, forceKn),
    ...judgeCap(s.pusher, s.cap, bench),
    ...judgePiece(s.support, 'support', r.support, forceKn),
    ...judgeTogether(s, bench),
  ]);
  return { status: worst(verdicts), verdicts, path, score: score(s, bench) };
}

const share = (part: number, whole: number) => Math.max(0, Math.min(1, part / whole));

/** Worth of one piece: how much of the right face it bears on, how closely it centres, how much margin its rating leaves. */
export function pieceScore(a: Adapter, need: Need, forceKn: Band): number {
  const whole = (need.face.outerMm - need.face.innerMm) / 2;
  const guide = need.windows.find((w) => w.max !== undefined && w.measure === 'outerMm')?.max;
  const centring = guide === undefined ? 0.5 : share(10 - (guide - a.outerMm), 10);
  const check = need.windows.some((w) => w.level === 'check' && judgeWindow(a, w)) ? -15 : 0;
  return 25 * share(contactMm(a, need), whole) + 12 * centring + 8 * share(a.ratingKn / Math.max(0.1, forceKn.high) - 1, 2) + (a.shape === 'old-ring' ? 4 : 0) - 0.02 * a.heightMm + check;
}

/** A further piece costs, a low one less. */
export const capScore = (cap: Adapter | undefined): number => (cap ? -8 - 0.02 * cap.heightMm - 0.01 * cap.outerMm : 0);

export const score = (s: Stack, { requirement: r, forceKn }: Bench): number =>
  10 + pieceScore(s.pusher, r.pusher, forceKn) + pieceScore(s.support, r.support, forceKn) + capScore(s.cap);
