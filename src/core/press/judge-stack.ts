import { printed } from '../printed.ts';
import type { Found, RuleId } from '../rules/index.ts';
import { gravestFirst, verdict, type Verdict, worst } from '../verdict.ts';
import { forcePath } from './force-path.ts';
import { grows, judgePiece, missesWindow, stops } from './judge-piece.ts';
import { type Adapter, backMm, footOf, headOf, openBehind, type Press } from './kit.ts';
import type { Need, Requirement } from './requirement.ts';
import { score } from './score.ts';
import { mayGiveKn } from './screw.ts';
import {
  type Setup,
  carriesNose,
  drawnInMm,
  footDepthMm,
  goesRound,
  type Judgement,
  letsScrew,
  overlapMm,
  piecesOf,
  roles,
  screwClearMm,
  type Stack,
  stackHeightMm,
  takesIn,
} from './stack.ts';

/** Collects what the rules say. */
function sayings() {
  const out: Verdict[] = [];
  const say = (when: boolean, rule: RuleId, found: () => Found = () => ({})): void => {
    if (when) out.push(verdict(rule, found()));
  };
  return { out, say };
}

const shortOf = (pusher: Adapter, need: Need): boolean =>
  need.windows.some(
    (w) =>
      stops(w) &&
      w.measure === 'heightMm' &&
      w.min !== undefined &&
      pusher.heightMm < printed(w.min),
  );

/** What bears on the top of the stack: its name, and what bridges a pusher too open for it. */
const noseOf = (press: Press) =>
  press.kind === 'screw'
    ? { nose: 'washer', lay: 'bored plate' }
    : { nose: 'ram', lay: 'solid disc' };

/** Judges the spacer on the pusher: it bridges an open pusher, or adds the reach that is missing. */
export function judgeCap(pusher: Adapter, cap: Adapter | undefined, setup: Setup): Verdict[] {
  const { press, requirement: r, forceKn } = setup;
  const { out, say } = sayings();
  const back = backMm(pusher);
  const names = { ...noseOf(press), ram: press.ramMm.toFixed(1), pusher: pusher.name };
  if (!cap) {
    say(!carriesNose(pusher, press), 'press.bridge', () => ({
      role: 'pusher',
      part: pusher.name,
      value: back,
      max: press.ramMm - overlapMm,
      unit: 'mm',
      with: names,
    }));
    return out;
  }
  out.push(...judgePiece(cap, 'cap', undefined, forceKn));
  const on: Found = { role: 'cap', part: cap.name, with: names };
  const open = press.kind === 'screw' ? !carriesNose(cap, press) : cap.innerMm !== 0;
  say(open, 'press.cap-solid', () => on);
  say(openBehind(pusher) && cap.outerMm < printed(back + overlapMm), 'press.cap-wide', () => ({
    ...on,
    value: cap.outerMm,
    min: printed(back + overlapMm),
    unit: 'mm',
  }));
  const follows = pusher.heightMm < r.followMm && cap.outerMm > r.entryMm;
  say(follows, 'press.cap-follow', () => ({ ...on, value: cap.outerMm, unit: 'mm' }));
  say(carriesNose(pusher, press) && !shortOf(pusher, r.pusher), 'press.cap-spare', () => on);
  return out;
}

/** Judges what is under the support: a spacer raises it, or carries the nut of a screw that would be drawn into it. */
export function judgeRiser(support: Adapter, riser: Adapter | undefined, setup: Setup): Verdict[] {
  const { press, requirement: r, forceKn } = setup;
  if (!r.support) return [];
  const { out, say } = sayings();
  const carriesNut = (a: Adapter) => press.kind !== 'screw' || carriesNose(a, press);
  const foot = riser ?? support;
  say(!carriesNut(foot), 'press.foot-bridge', () => ({
    role: riser ? 'riser' : 'support',
    part: foot.name,
    value: backMm(foot),
    max: press.ramMm - overlapMm,
    unit: 'mm',
    with: { ram: press.ramMm.toFixed(1) },
  }));
  if (!riser) return out;
  out.push(...judgePiece(riser, 'riser', undefined, forceKn));
  const inner = Math.max(riser.innerMm, openBehind(support) ? support.innerMm : 0);
  const contact = printed((Math.min(riser.outerMm, support.outerMm) - inner) / 2);
  const on: Found = { role: 'riser', part: riser.name, with: { support: support.name } };
  say(contact < overlapMm / 2, 'press.riser-carries', () => ({
    ...on,
    value: contact,
    min: overlapMm / 2,
    unit: 'mm',
  }));
  // Whether what is drawn needs the depth is known with its pusher only: judgeDrawing says it.
  say(
    !r.drawn && carriesNut(support) && !wantsRiser(support, r.support),
    'press.riser-spare',
    () => on,
  );
  return out;
}

/** A support that is too low or not deep enough by itself. */
const wantsRiser = (support: Adapter, need: Need): boolean =>
  need.windows.some((w) => stops(w) && grows(w) && missesWindow(support, w));

/** Rules that need all pieces at once, and the press. */
export function judgeTogether(s: Stack, setup: Setup): Verdict[] {
  const { press, requirement: r } = setup;
  const { out, say } = sayings();
  const ids = piecesOf(s).map((a) => a.id);
  say(new Set(ids).size < ids.length, 'press.one-piece-twice');
  if (r.support && !s.support)
    say(true, 'press.no-support', () => ({ with: { face: r.support!.face.name } }));
  if (r.drawn) out.push(...judgeDrawing(s, setup));
  if (press.kind === 'hammer') return [...out, ...judgeHammer(s.pusher, r)];
  return [...out, ...judgeScrew(s, setup), ...judgeReach(s, setup)];
}

/** What is drawn comes into a receiver that has to be deep enough and pass round it. */
function judgeDrawing(s: Stack, { press, requirement: r }: Setup): Verdict[] {
  const { out, say } = sayings();
  const { riser, ...low } = s;
  const { support, pusher, cap } = low;
  say((press.kind ?? 'press') === 'press', 'press.draws', () => ({ part: press.name }));
  if (!support || !r.support) return out;
  const bridges = press.kind === 'screw' && !carriesNose(support, press);
  const spare = riser && !bridges && takesIn(low, r) && !wantsRiser(support, r.support);
  say(spare === true, 'press.riser-spare', () => ({ role: 'riser', part: riser!.name }));
  const on: Found = { role: 'support', part: support.name, unit: 'mm' };
  say(!takesIn(s, r), 'press.drawn-in', () => ({
    ...on,
    value: footDepthMm(s, r),
    min: drawnInMm(s, r),
    with: { pieces: `${pusher.name}${cap ? ` with ${cap.name}` : ''}` },
  }));
  say(!goesRound(support, pusher), 'press.round-pusher', () => ({
    ...on,
    value: backMm(support),
    min: pusher.outerMm + screwClearMm,
    with: { pusher: pusher.name, outside: pusher.outerMm.toFixed(1) },
  }));
  return out;
}

/** The screw of a tool goes through the work and through every piece. */
function judgeScrew(s: Stack, { press, requirement: r }: Setup): Verdict[] {
  const { screw } = press;
  if (!screw) return [];
  const { out, say } = sayings();
  const min = printed(screw.rodMm + screwClearMm);
  const rod = { rod: screw.rodMm.toFixed(1) };
  say(r.throughMm < min, 'press.rod-work', () => ({
    part: press.name,
    value: r.throughMm,
    min,
    unit: 'mm',
    with: rod,
  }));
  for (const role of roles) {
    const piece = s[role];
    if (piece && !letsScrew(piece, press))
      out.push(
        verdict('press.rod-piece', {
          role,
          part: piece.name,
          value: piece.innerMm,
          min,
          unit: 'mm',
          with: rod,
        }),
      );
  }
  return out;
}

/** Stroke, daylight and force of the press. */
function judgeReach(s: Stack, { press, requirement: r, forceKn }: Setup): Verdict[] {
  const { out, say } = sayings();
  const on: Found = { part: press.name, unit: 'mm' };
  const reach = press.strokeMm;
  say(reach !== undefined && reach < r.travelMm, 'press.stroke', () => ({
    ...on,
    value: reach,
    min: r.travelMm,
  }));
  const height = stackHeightMm(s, r);
  say(height > press.daylightMm, 'press.daylight', () => ({
    ...on,
    value: height,
    max: press.daylightMm,
  }));
  const mostKn = mayGiveKn(forceKn.high, press.screw);
  say(mostKn > press.capacityKn, 'press.capacity', () => ({
    part: press.name,
    value: mostKn,
    max: press.capacityKn,
    unit: 'kN',
  }));
  return out;
}

/** Blows are a school: allowed where the stroke says so, on the old ring where a ring is driven. */
function judgeHammer(pusher: Adapter, r: Requirement): Verdict[] {
  const word = { with: { word: r.hammer.text } };
  if (!r.hammer.allowed) return [verdict('press.no-hammer', word)];
  const { out, say } = sayings();
  const ring = r.carries === 'outer ring' && pusher.shape !== 'old-ring';
  say(ring, 'press.old-ring-drives', () => ({ role: 'pusher', part: pusher.name }));
  say(true, 'press.hammer', () => word);
  return out;
}

/** What is wrong with the pieces of a stack, whichever way the force takes. */
export function judgePieces(s: Stack, setup: Setup): Verdict[] {
  const { requirement: r, forceKn } = setup;
  const { pusher, cap, support, riser } = s;
  const below = support
    ? [
        ...judgePiece(footOf(support, riser, r.riserMm), 'support', r.support, forceKn),
        ...judgeRiser(support, riser, setup),
      ]
    : [];
  return [
    ...judgePiece(headOf(pusher, cap, r.entryMm), 'pusher', r.pusher, forceKn),
    ...judgeCap(pusher, cap, setup),
    ...below,
    ...judgeTogether(s, setup),
  ];
}

/** Judges a whole stack against a corner of which all is known that the stroke asks. */
export function judgeKnown(s: Stack, setup: Setup): Judgement {
  const path = forcePath(s, setup);
  const verdicts = gravestFirst([...path.verdicts, ...judgePieces(s, setup)]);
  return { status: worst(verdicts), verdicts, path, score: score(s, setup) };
}
