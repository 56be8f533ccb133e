import { printed } from '../printed.ts';
import { measureNames } from '../rules/rule.ts';
import { contactKey, meetsAlone } from './contacts.ts';
import { forcePaths } from './force-path.ts';
import { grows, judgePiece, stops } from './judge-piece.ts';
import { judgeCap, judgeKnown, judgeRiser, judgeTogether } from './judge-stack.ts';
import { type Adapter, backMm, footHollowMm, footOf, headOf, hollowMm, openBehind } from './kit.ts';
import type { Measure, Need } from './requirement.ts';
import { capScore, pieceScore, riserScore } from './score.ts';
import { mayGiveKn } from './screw.ts';
import {
  type Setup,
  carriesNose,
  drawnInMm,
  goesRound,
  type Judgement,
  letsScrew,
  measured,
  overlapMm,
  type Role,
  screwClearMm,
  type Stack,
  takesIn,
} from './stack.ts';

export interface Solution {
  stack: Stack;
  judgement: Judgement;
}

export interface Missing {
  role: Role | 'press';
  /** Dimension windows of the piece that would solve it, in words. */
  text: string;
}

export interface SolveResult {
  /** Best first. */
  solutions: Solution[];
  missing: Missing[];
}

interface Ranked<T> {
  item: T;
  score: number;
}

const best = <T>(list: Ranked<T>[]) => list.sort((a, b) => b.score - a.score);
const sound = (verdicts: readonly { status: string }[]) =>
  verdicts.every((v) => v.status !== 'stop');

/**
 * The best stacks of a kit for one stroke whose corner is known, at most `most` of them, best first.
 * Exact: a head (pusher and what is on it) and a foot (support and what is under it) are fit or not by themselves, so each is
 * sifted alone and only the survivors are joined, in order of their summed worth, under the rules that need them together.
 * Spacers that others beat in height and in worth are left out unless a beater may be taken by another place.
 */
export function solveKnown(whole: readonly Adapter[], setup: Setup, most = 5): SolveResult {
  const { press } = setup;
  const kit = whole.filter((a) => letsScrew(a, press));
  if (neverFits(setup)) return { solutions: [], missing: missing(whole, 1, 1, setup) };
  const heads = headsOf(kit, setup);
  const solutions =
    heads.length > 0
      ? join(heads, best([...feetIn(kit, setup, depthsOf(heads, setup))]), setup, most)
      : [];
  if (solutions.length > 0) return { solutions, missing: [] };
  // A foot that no head goes into is a foot all the same: then it is both together that do not fit.
  const noFoot = feetIn(kit, setup, anyDepth).next().done === true;
  return { solutions, missing: missing(whole, heads.length, noFoot ? 0 : 1, setup) };
}

/** Nothing of the kit helps where the tool itself cannot do the stroke. */
const neverFits = ({ requirement: r, press, forceKn }: Setup): boolean =>
  mayGiveKn(forceKn.high, press.screw) > press.capacityKn ||
  (r.drawn && (press.kind ?? 'press') === 'press') ||
  (press.kind === 'hammer' && !r.hammer.allowed) ||
  (press.screw !== undefined && r.throughMm < press.screw.rodMm);

interface Head {
  pusher: Adapter;
  cap?: Adapter;
}
interface Foot {
  support?: Adapter;
  riser?: Adapter;
}

const leastOf = (need: Need, m: Measure) =>
  printed(
    Math.max(0, ...need.windows.filter((w) => stops(w) && w.measure === m).map((w) => w.min ?? 0)),
  );

/** As many of the best spacers as other places can take away, and one more. */
const spare = 3;

/** Pushers that fit their place, alone or with the piece that bridges them or lends them reach. */
function headsOf(kit: readonly Adapter[], setup: Setup): Ranked<Head>[] {
  const { requirement: r, forceKn } = setup;
  const caps = best(
    kit
      .filter(
        (a) =>
          (setup.press.kind === 'screw' ? carriesNose(a, setup.press) : a.innerMm === 0) &&
          sound(judgePiece(a, 'cap', undefined, forceKn)),
      )
      .map((item) => ({ item, score: capScore(item) })),
  );
  const [high, deep] = [leastOf(r.pusher, 'heightMm'), leastOf(r.pusher, 'hollowMm')];
  return best(
    kit
      .filter((a) => sound(judgePiece(a, 'pusher', r.pusher, forceKn, grows)))
      .flatMap((pusher): Ranked<Head>[] => {
        const base = pieceScore(pusher, r.pusher, forceKn);
        const alone = sound(judgePiece(pusher, 'pusher', r.pusher, forceKn));
        if (alone && judgeCap(pusher, undefined, setup).length === 0)
          return [{ item: { pusher }, score: base }];
        // A spacer on top lends height, never depth.
        if (hollowMm(pusher) < deep) return [];
        const back = openBehind(pusher) ? backMm(pusher) : 0;
        // Spacers by what the head then touches: one that carries otherwise beats none of the others.
        const byItself = meetsAlone('pusher', pusher, r);
        const kept = new Map<string, Adapter[]>();
        const heads: Ranked<Head>[] = [];
        for (const { item: cap, score } of caps) {
          // A quick look first, and no words for what three better ones beat already.
          if (
            cap.id === pusher.id ||
            cap.outerMm < back ||
            (!alone && (cap.outerMm > r.entryMm || printed(pusher.heightMm + cap.heightMm) < high))
          )
            continue;
          const touched = byItself ? '' : contactKey('pusher', { pusher, cap }, r);
          const alike = kept.get(touched) ?? [];
          if (alike.filter((k) => k.heightMm <= cap.heightMm).length >= spare) continue;
          if (
            !judgeCap(pusher, cap, setup).every((v) => v.status === 'good') ||
            !(
              alone ||
              sound(judgePiece(headOf(pusher, cap, r.entryMm), 'pusher', r.pusher, forceKn))
            )
          )
            continue;
          kept.set(touched, [...alike, cap]);
          heads.push({ item: { pusher, cap }, score: base + score });
        }
        return heads;
      }),
  );
}

/** How far heads come into a receiver, the one that comes in least and the one that comes in most, mm. */
interface Depths {
  least: number;
  most: number;
}
const anyDepth: Depths = { least: 0, most: Infinity };
const depthsOf = (heads: readonly Ranked<Head>[], { requirement: r }: Setup): Depths => {
  if (!r.drawn) return anyDepth;
  const all = heads.map((h) => drawnInMm(h.item, r));
  return { least: Math.min(...all), most: Math.max(...all) };
};

/** Supports that fit their place, alone or with what is under them, as far as some head of these depths may go into them. */
function* feetIn(kit: readonly Adapter[], setup: Setup, depths: Depths): Generator<Ranked<Foot>> {
  const { requirement: r, press, forceKn } = setup;
  const need = r.support;
  if (!need) return yield { item: {}, score: 0 };
  const risers = kit
    .filter(
      (a) =>
        (press.kind !== 'screw' || carriesNose(a, press)) &&
        sound(judgePiece(a, 'riser', undefined, forceKn)),
    )
    .sort((a, b) => a.heightMm - b.heightMm);
  for (const support of kit) {
    if (!sound(judgePiece(support, 'support', need, forceKn, grows))) continue;
    const score = pieceScore(support, need, forceKn);
    const alone =
      sound(judgePiece(support, 'support', need, forceKn)) &&
      sound(judgeRiser(support, undefined, setup));
    if (alone) yield { item: { support }, score };
    // Whether a receiver is deep enough is known with what is drawn into it only: more is spare where it takes all of it in.
    if (alone && (!r.drawn || hollowMm(support) >= depths.most)) continue;
    for (const riser of under(support, need, risers, setup, depths))
      yield { item: { support, riser }, score: score + riserScore(riser) };
  }
}

/** What of the spacers, the lowest first, can raise a support: a lower one that is no less open is never worse. */
function* under(
  support: Adapter,
  need: Need,
  risers: readonly Adapter[],
  setup: Setup,
  { least, most }: Depths,
): Generator<Adapter> {
  const { requirement: r, forceKn } = setup;
  const high = leastOf(need, 'heightMm');
  const deep = Math.max(leastOf(need, 'hollowMm'), least);
  // Deeper than the head that comes in furthest is no better.
  const openMm = (a: Adapter) => Math.min(hollowMm(a), most - support.heightMm);
  const asOpen = (k: Adapter, a: Adapter) =>
    !r.drawn || (k.innerMm >= a.innerMm && openMm(k) >= openMm(a));
  const byItself = meetsAlone('support', support, r);
  const kept = new Map<string, Adapter[]>();
  for (const riser of risers) {
    const touched = byItself ? '' : contactKey('support', { support, riser }, r);
    const alike = kept.get(touched) ?? [];
    if (alike.filter((k) => asOpen(k, riser)).length >= spare) continue;
    if (riser.id === support.id || Math.min(riser.outerMm, support.outerMm) <= riser.innerMm)
      continue;
    if (
      printed(support.heightMm + riser.heightMm) < high ||
      printed(footHollowMm(support, riser, r.riserMm)) < deep ||
      !sound(judgeRiser(support, riser, setup)) ||
      !sound(judgePiece(footOf(support, riser, r.riserMm), 'support', need, forceKn))
    )
      continue;
    kept.set(touched, [...alike, riser]);
    yield riser;
  }
}

/** Joins heads and feet in falling order of worth until enough good stacks are found. */
function join(
  heads: readonly Ranked<Head>[],
  feet: readonly Ranked<Foot>[],
  setup: Setup,
  most: number,
): Solution[] {
  const { requirement: r, press } = setup;
  const found: Ranked<Stack>[] = [];
  const floor = () => (found.length < most ? -Infinity : found[most - 1]!.score);
  const room = printed(press.daylightMm - r.workHeightMm);
  const standing = feet.map((f) => ({
    ...f,
    heightMm: printed((f.item.support?.heightMm ?? 0) + (f.item.riser?.heightMm ?? 0)),
  }));
  // Worked out for the few feet that come to it.
  const touches = new Map<Foot, string>();
  const touchOf = (foot: Foot): string => {
    let touch = touches.get(foot);
    if (touch === undefined) touches.set(foot, (touch = contactKey('support', foot, r)));
    return touch;
  };
  const ways = new Map<string, boolean>();
  for (const head of heads) {
    if (standing[0] === undefined || head.score + standing[0].score <= floor()) break;
    const left = r.drawn
      ? room
      : printed(room - head.item.pusher.heightMm - (head.item.cap?.heightMm ?? 0));
    const above = contactKey('pusher', head.item, r);
    for (const foot of standing) {
      const worth = head.score + foot.score;
      if (worth <= floor()) break;
      if (
        foot.heightMm > left ||
        (r.drawn && foot.item.support && !goesRound(foot.item.support, head.item.pusher))
      )
        continue;
      const stack: Stack = { ...head.item, ...foot.item };
      if (r.drawn && !takesIn(stack, r)) continue;
      // Which parts are touched decides the way of the force; few patterns occur.
      const key = `${above}/${touchOf(foot.item)}`;
      let way = ways.get(key);
      if (way === undefined) {
        way = forcePaths(stack, setup).every((path) => sound(path.verdicts));
        ways.set(key, way);
      }
      if (!way || !sound(judgeTogether(stack, setup))) continue;
      found.push({ item: stack, score: worth });
      found.sort((a, b) => b.score - a.score);
      found.length = Math.min(found.length, most);
    }
  }
  return found.map(({ item }) => ({ stack: item, judgement: judgeKnown(item, setup) }));
}

type Range = { min?: number | undefined; max?: number | undefined };

/** Windows of outside, inside and height that a piece for this place must have, contact width included. */
export function pieceWindows(need: Need): Partial<Record<Measure, Range>> {
  const of = (m: Measure) => need.windows.filter((w) => w.measure === m && stops(w));
  const least = (m: Measure, ...more: number[]) =>
    finite(Math.max(...of(m).map((w) => w.min ?? -Infinity), ...more));
  const most = (m: Measure, ...more: number[]) =>
    finite(Math.min(...of(m).map((w) => w.max ?? Infinity), ...more));
  const inMin = least('innerMm');
  const outMax = most('outerMm');
  const twice = 2 * need.face.leastMm;
  return {
    outerMm: {
      min: least('outerMm', need.face.innerMm + twice, (inMin ?? -Infinity) + twice),
      max: outMax,
    },
    innerMm: {
      min: inMin,
      max: most('innerMm', need.face.outerMm - twice, (outMax ?? Infinity) - twice),
    },
    heightMm: { min: least('heightMm') },
    hollowMm: { min: least('hollowMm') },
    ...(of('lipMm').length > 0 ? { lipMm: { max: most('lipMm') } } : {}),
  };
}

const finite = (x: number) => (Number.isFinite(x) ? x : undefined);

function missing(kit: readonly Adapter[], heads: number, feet: number, setup: Setup): Missing[] {
  const out: Missing[] = [];
  const { requirement: r, press, forceKn } = setup;
  if (r.drawn && (press.kind ?? 'press') === 'press')
    return [{ role: 'press', text: 'a screw tool or a hollow ram: this has to be drawn' }];
  if (press.kind === 'hammer' && !r.hammer.allowed)
    return [{ role: 'press', text: 'a press or a screw tool: this is no stroke for a hammer' }];
  const mostKn = mayGiveKn(forceKn.high, press.screw);
  if (mostKn > press.capacityKn)
    out.push({
      role: 'press',
      text: `a press of at least ${mostKn.toFixed(0)} kN; ${press.name} gives ${press.capacityKn.toFixed(0)}`,
    });
  if (press.screw && r.throughMm < press.screw.rodMm)
    out.push({
      role: 'press',
      text: `a press or a ram: ${press.name} does not go through the work`,
    });
  const pushers = kit.filter(
    (a) => letsScrew(a, press) && sound(judgePiece(a, 'pusher', r.pusher, forceKn)),
  );
  const open = pushers.filter(openBehind).map(backMm);
  if (heads === 0 && open.length === 0)
    out.push({ role: 'pusher', text: `a pusher with ${windowText(r.pusher)}${forScrew(press)}` });
  else if (heads === 0)
    out.push({
      role: 'cap',
      text: `a ${press.kind === 'screw' ? 'bored plate' : 'solid disc'} at least ${(Math.min(...open) + overlapMm).toFixed(1)} across to lay on the pusher`,
    });
  if (feet === 0) out.push({ role: 'support', text: `a support with ${windowText(r.support!)}` });
  if (out.length === 0) out.push({ role: 'support', text: together(setup) });
  return out;
}

/** What a screw asks of every piece besides. */
const forScrew = ({ screw }: Setup['press']): string =>
  screw
    ? `, bored at least ${(screw.rodMm + screwClearMm).toFixed(1)} mm right through for the screw`
    : '';

function together({ requirement: r, press }: Setup): string {
  const daylight = `${press.daylightMm.toFixed(0)} mm`;
  if (press.screw) {
    const rod = `a screw of ${press.screw.rodMm.toFixed(0)} mm`;
    return `pieces that ${rod} goes through, not higher than ${daylight} together`;
  }
  if (r.drawn) return 'a receiver that passes round the half-shells, or a press that opens wider';
  return `a lower support or pusher: every stack that fits stands higher than ${daylight}, or needs one piece twice`;
}

/** "outside 73.0–75.7, inside 68.2–72.7, at least 6.5 high": what to turn, borrow or buy. */
export function windowText(need: Need): string {
  const w = pieceWindows(need);
  const range = (m: Measure) => {
    const r = w[m];
    if (!r || (r.min === undefined && r.max === undefined)) return undefined;
    const name = measureNames[m];
    if (r.min !== undefined && r.max !== undefined)
      return `${name} ${r.min.toFixed(1)}–${r.max.toFixed(1)}`;
    return r.min === undefined
      ? `${name} at most ${r.max!.toFixed(1)}`
      : `${name} at least ${r.min.toFixed(1)}`;
  };
  return `${need.shapes ? `${need.shapes.only.join(' or ').replaceAll('-', ' ')}, ` : ''}${(['outerMm', 'innerMm', 'heightMm', 'hollowMm', 'lipMm'] as const).map(range).filter(Boolean).join(', ')} mm`;
}

/** By how much a piece falls out of each window of a place, worst first. */
export function missesOf(
  piece: Adapter,
  need: Need,
): { measure: Measure; byMm: number; text: string }[] {
  return (Object.entries(pieceWindows(need)) as [Measure, Range][])
    .flatMap(([measure, { min, max }]) => {
      const v = measured(piece, measure);
      const byMm = Math.max(0, (min ?? v) - v, v - (max ?? v));
      return byMm > 0
        ? [
            {
              measure,
              byMm,
              text: `${measureNames[measure]} ${byMm.toFixed(1)} mm too ${v < (min ?? -Infinity) ? 'small' : 'large'}`,
            },
          ]
        : [];
    })
    .sort((a, b) => b.byMm - a.byMm);
}
