import { gravestFirst, worst, type Band, type Status, type Verdict } from '../verdict.ts';
import { faceLimitMpa, facePressureMpa } from './contact.ts';
import {
  backMm,
  bearingInnerMm,
  footHollowMm,
  footOf,
  headOf,
  hollowMm,
  lipMm,
  openBehind,
  type Adapter,
  type Press,
} from './kit.ts';
import { forcePath, type ForcePath } from './force-path.ts';
import type { Measure, Need, Requirement, Window } from './operation.ts';

/** Pieces laid for one stroke, top to bottom: spacer (if any), pusher, the work, support, spacer under it (if any). */
export interface Stack {
  cap?: Adapter;
  pusher: Adapter;
  /** Absent where the work stands by itself. */
  support?: Adapter;
  /** Raises the support. */
  riser?: Adapter;
}
export type Role = 'cap' | 'pusher' | 'support' | 'riser';
export const roles: readonly Role[] = ['cap', 'pusher', 'support', 'riser'];
export const piecesOf = (s: Stack): Adapter[] => roles.flatMap((r) => s[r] ?? []);

export interface Judgement {
  status: Status;
  verdicts: Verdict[];
  path: ForcePath;
  /** Worth of the stack, 0 to 100; only meaningful when it is not Stop. */
  score: number;
}

/** What a stack is judged against. */
export interface Bench {
  requirement: Requirement;
  press: Press;
  /** Expected force of the stroke, kN. */
  forceKn: Band;
  /** What comes off is to be used again: then its balls may not carry anything either. */
  usedAgain?: boolean;
}

const round1 = (x: number) => x.toFixed(1);
export const measureNames: Record<Measure, string> = {
  outerMm: 'outside',
  innerMm: 'inside',
  heightMm: 'height',
  hollowMm: 'inside depth',
  lipMm: 'lip',
};
export function measured(a: Adapter, m: Measure): number {
  if (m === 'hollowMm') return hollowMm(a);
  return m === 'lipMm' ? lipMm(a) : a[m];
}

/** Radial width on which a piece bears on the face it is meant for, mm. */
export const contactMm = (a: Adapter, need: Need): number =>
  (Math.min(a.outerMm, need.face.outerMm) -
    Math.max(bearingInnerMm(a, need.proudMm), need.face.innerMm)) /
  2;

const judgeWindow = (a: Adapter, w: Window): Verdict | undefined => {
  const value = measured(a, w.measure);
  const fault =
    w.min !== undefined && value < w.min
      ? w.tooSmall
      : w.max !== undefined && value > w.max
        ? w.tooLarge
        : undefined;
  if (fault === undefined) return undefined;
  const limit =
    value < (w.min ?? -Infinity) ? `at least ${round1(w.min!)}` : `at most ${round1(w.max!)}`;
  return {
    status: w.level,
    rule: w.rule,
    value,
    limit: `${limit} mm`,
    text: `${a.name} ${fault}: ${measureNames[w.measure]} ${round1(value)}, ${limit} mm.`,
    source: 'geometry of the parts',
  };
};

/** Where only more height or depth is missing, a further piece can help. */
export const grows = (w: Window): boolean =>
  w.min !== undefined && (w.measure === 'heightMm' || w.measure === 'hollowMm');

/** Everything wrong with one piece in one place, alone or as one with its spacer; `leave` passes over windows that a spacer may still fill. */
export function judgePiece(
  a: Adapter,
  role: Role,
  need: Need | undefined,
  forceKn: Band,
  leave: (w: Window) => boolean = () => false,
): Verdict[] {
  const out: Verdict[] = [];
  const pushes = role === 'pusher' || role === 'cap';
  if (a.retired)
    out.push({ status: 'stop', rule: 'kit.retired', text: `${a.name} is retired: ${a.retired}` });
  if (a.material === 'chrome' && pushes)
    out.push({
      status: 'stop',
      rule: 'kit.chrome',
      text: `${a.name} is a chrome socket: it can shatter under a press. Use an impact socket or a ring.`,
      source: 'common practice',
    });
  if (a.material === 'wood' && pushes)
    out.push({
      status: 'stop',
      rule: 'kit.wood',
      text: `${a.name} is wood: it cannot push square.`,
      source: 'common practice',
    });
  if (forceKn.high > a.ratingKn)
    out.push({
      status: 'stop',
      rule: 'kit.rating',
      value: a.ratingKn,
      limit: `at least ${round1(forceKn.high)} kN`,
      text: `${a.name} is rated ${round1(a.ratingKn)} kN; this stroke may need ${round1(forceKn.high)} kN.`,
    });
  // Two halves hold only where they are shut in by what they grip.
  if (
    (a.shape === 'half-shells' || a.shape === 'split-plate') &&
    !need?.shapes?.only.includes(a.shape)
  )
    out.push({
      status: 'stop',
      rule: 'press.split',
      text: `${a.name} is in two halves: it opens under a load here.`,
      source: 'common practice',
    });
  if (!need) return out;
  if (need.shapes && !need.shapes.only.includes(a.shape))
    out.push({
      status: 'stop',
      rule: 'press.shape',
      text: `${a.name} is no ${need.shapes.only.join(' or ').replace('-', ' ')}: ${need.shapes.why}.`,
      source: 'geometry of the parts',
    });
  for (const w of need.windows) {
    const v = leave(w) ? undefined : judgeWindow(a, w);
    if (v) out.push(v);
  }
  const contact = contactMm(a, need);
  const pressure = facePressureMpa(a, need, forceKn.high);
  if (contact >= need.face.leastMm && pressure > faceLimitMpa(a))
    out.push({
      status: 'stop',
      rule: 'press.pressure',
      value: pressure,
      limit: `at most ${faceLimitMpa(a).toFixed(0)} MPa`,
      text: `${a.name} would press on the ${need.face.name} with ${pressure.toFixed(0)} MPa: its edge or the face gives way.`,
      source: '0.6 of the yield, judgement',
    });
  if (contact < need.face.leastMm)
    out.push({
      status: 'stop',
      rule: 'press.contact',
      value: contact,
      limit: `at least ${round1(need.face.leastMm)} mm`,
      text:
        contact > 0
          ? `${a.name} bears on the ${need.face.name} by ${round1(contact)} mm only; ${round1(need.face.leastMm)} is the least.`
          : `${a.name} does not reach the ${need.face.name}.`,
      source: 'engineering judgement',
    });
  const wall = (a.outerMm - bearingInnerMm(a, need.proudMm)) / 2;
  if (
    role === 'support' &&
    !need.shapes &&
    contact >= need.face.leastMm &&
    a.outerMm > need.face.outerMm &&
    contact < wall / 2
  )
    out.push({
      status: 'check',
      rule: 'press.overhang',
      value: need.face.outerMm,
      text: `${a.name} overhangs the ${need.face.name}: of its wall of ${round1(wall)} mm it carries on ${round1(contact)}.`,
      source: 'engineering judgement',
    });
  const { pilotMm } = need;
  if (pilotMm && !(a.pilotMm !== undefined && a.pilotMm >= pilotMm.min && a.pilotMm <= pilotMm.max))
    out.push({
      status: 'check',
      rule: 'press.pilot',
      ...(a.pilotMm === undefined ? {} : { value: a.pilotMm }),
      limit: `nose ${round1(pilotMm.min)}–${round1(pilotMm.max)} mm`,
      text: `${a.name} has no nose that guides it in the ${need.face.name.split(' of ').at(-1)}: hold it square by hand.`,
      source: 'common practice',
    });
  return out;
}

/** A piece over a hole or under a ram has to reach this much past it on diameter, mm (judgement). */
const overlapMm = 6;
const screwClearMm = 0.5;

const shortOf = (pusher: Adapter, need: Need): boolean =>
  need.windows.some(
    (w) =>
      w.level === 'stop' &&
      w.measure === 'heightMm' &&
      w.min !== undefined &&
      pusher.heightMm < w.min,
  );

/** Judges the spacer on the pusher: it bridges an open pusher, or adds the reach that is missing. */
export function judgeCap(
  pusher: Adapter,
  cap: Adapter | undefined,
  { press, requirement: r, forceKn }: Bench,
): Verdict[] {
  const out: Verdict[] = [];
  const back = backMm(pusher);
  if (!cap) {
    if (!carriesNose(pusher, press))
      out.push({
        status: 'stop',
        rule: 'press.bridge',
        value: back,
        limit: `under ${round1(press.ramMm - overlapMm)} mm`,
        text: `${press.kind === 'screw' ? 'The washer' : 'The ram'} (${round1(press.ramMm)} mm) would drop into ${pusher.name} (inside ${round1(back)}). Lay a ${press.kind === 'screw' ? 'bored plate' : 'solid disc'} on it.`,
      });
    return out;
  }
  out.push(...judgePiece(cap, 'cap', undefined, forceKn));
  if (press.kind === 'screw' ? !carriesNose(cap, press) : cap.innerMm !== 0)
    out.push({
      status: 'stop',
      rule: 'press.cap-solid',
      text: `${cap.name} is open, so it cannot carry the ${press.kind === 'screw' ? 'washer' : 'ram. Use a solid disc'}.`,
    });
  if (openBehind(pusher) && cap.outerMm < back + overlapMm)
    out.push({
      status: 'stop',
      rule: 'press.cap-wide',
      value: cap.outerMm,
      limit: `at least ${round1(back + overlapMm)} mm`,
      text: `${cap.name} would fall into ${pusher.name}.`,
    });
  if (pusher.heightMm < r.followMm && cap.outerMm > r.entryMm)
    out.push({
      status: 'stop',
      rule: 'press.cap-follow',
      value: cap.outerMm,
      text: `${cap.name} meets the work before the stroke is done.`,
    });
  if (carriesNose(pusher, press) && !shortOf(pusher, r.pusher))
    out.push({
      status: 'check',
      rule: 'press.cap-spare',
      text: `${cap.name} is not needed: fewer pieces stand straighter.`,
    });
  return out;
}

/** Judges what is under the support: a spacer raises it, or carries the nut of a screw that would be drawn into it. */
export function judgeRiser(
  support: Adapter,
  riser: Adapter | undefined,
  { press, requirement: r, forceKn }: Bench,
): Verdict[] {
  if (!r.support) return [];
  const out: Verdict[] = [];
  const carriesNut = (a: Adapter) => press.kind !== 'screw' || carriesNose(a, press);
  const foot = riser ?? support;
  if (!carriesNut(foot))
    out.push({
      status: 'stop',
      rule: 'press.foot-bridge',
      value: backMm(foot),
      limit: `under ${round1(press.ramMm - overlapMm)} mm`,
      text: `${foot.name} (inside ${round1(backMm(foot))}) would let the nut (${round1(press.ramMm)} mm) through. Lay a bored plate under it.`,
    });
  if (!riser) return out;
  out.push(...judgePiece(riser, 'riser', undefined, forceKn));
  const contact =
    (Math.min(riser.outerMm, support.outerMm) -
      Math.max(riser.innerMm, openBehind(support) ? support.innerMm : 0)) /
    2;
  if (contact < overlapMm / 2)
    out.push({
      status: 'stop',
      rule: 'press.riser-carries',
      value: contact,
      limit: `at least ${round1(overlapMm / 2)} mm`,
      text: `${support.name} stands on ${riser.name} by ${round1(Math.max(0, contact))} mm only.`,
    });
  if (
    carriesNut(support) &&
    !r.support.windows.some((w) => w.level === 'stop' && grows(w) && judgeWindow(support, w))
  )
    out.push({
      status: 'check',
      rule: 'press.riser-spare',
      text: `${riser.name} is not needed: a lower stack stands straighter.`,
    });
  return out;
}

/** What is drawn stands inside its receiver and adds no height. */
export const stackHeightMm = (s: Stack, r: Requirement): number =>
  piecesOf(s).reduce(
    (h, a) => h + (r.drawn && (a === s.pusher || a === s.cap) ? 0 : a.heightMm),
    r.workHeightMm,
  );

/** A receiver that passes round what draws. */
export const goesRound = (support: Adapter, pusher: Adapter): boolean =>
  backMm(support) >= pusher.outerMm + screwClearMm;
/** How far what draws comes into the receiver, and how far it can, mm. */
const drawnInMm = ({ pusher, cap }: Stack, r: Requirement): number =>
  r.travelMm + pusher.heightMm + (cap?.heightMm ?? 0) + 3;
function footDepthMm({ support, riser }: Stack, r: Requirement): number {
  if (!support) return 0;
  return riser ? footHollowMm(support, riser, r.riserMm) : hollowMm(support);
}
export const takesIn = (s: Stack, r: Requirement): boolean => footDepthMm(s, r) >= drawnInMm(s, r);
/** The screw of a tool goes through every piece of its stack. */
export const letsScrew = (a: Adapter, press: Press): boolean =>
  press.screw === undefined || (openBehind(a) && a.innerMm >= press.screw.rodMm + screwClearMm);
/** A piece that carries the nose of the ram, or the washer or nut of a screw, by itself. */
export const carriesNose = (a: Adapter, press: Press): boolean =>
  !openBehind(a) || backMm(a) + overlapMm <= press.ramMm;

/** Rules that need all pieces at once, and the press. */
export function judgeTogether(s: Stack, { press, requirement: r, forceKn }: Bench): Verdict[] {
  const out: Verdict[] = [];
  const ids = piecesOf(s).map((a) => a.id);
  if (new Set(ids).size < ids.length)
    out.push({
      status: 'stop',
      rule: 'press.one-piece-twice',
      text: 'One piece is used in two places at once.',
    });
  if (r.support && !s.support)
    out.push({
      status: 'stop',
      rule: 'press.no-support',
      text: `Nothing carries the ${r.support.face.name}.`,
    });
  if (r.drawn && (press.kind ?? 'press') === 'press')
    out.push({
      status: 'stop',
      rule: 'press.draws',
      text: `${press.name} pushes; this has to be drawn: a screw tool or a hollow ram.`,
      source: 'geometry of the parts',
    });
  if (r.drawn && s.support && !takesIn(s, r))
    out.push({
      status: 'stop',
      rule: 'press.receive',
      value: footDepthMm(s, r),
      limit: `at least ${round1(drawnInMm(s, r))} mm`,
      text: `${s.support.name} is too shallow: ${s.pusher.name}${s.cap ? ` with ${s.cap.name}` : ''} comes ${round1(drawnInMm(s, r))} mm into it, it has ${round1(footDepthMm(s, r))}.`,
      source: 'geometry of the parts',
    });
  if (r.drawn && s.support && !goesRound(s.support, s.pusher))
    out.push({
      status: 'stop',
      rule: 'press.round-pusher',
      value: backMm(s.support),
      limit: `at least ${round1(s.pusher.outerMm + screwClearMm)} mm`,
      text: `${s.support.name} (inside ${round1(backMm(s.support))}) does not pass round ${s.pusher.name} (outside ${round1(s.pusher.outerMm)}).`,
    });
  if (press.kind === 'hammer') return [...out, ...judgeHammer(s.pusher, r)];
  const rod = press.screw && press.screw.rodMm + screwClearMm;
  if (rod !== undefined) {
    if (r.throughMm < rod)
      out.push({
        status: 'stop',
        rule: 'press.rod-work',
        value: r.throughMm,
        limit: `at least ${round1(rod)} mm`,
        text:
          r.throughMm === 0
            ? `${press.name} cannot go through the work: it is closed. A press or a ram.`
            : `${press.name} (screw ${round1(press.screw!.rodMm)} mm) does not go through the work, ${round1(r.throughMm)} mm.`,
      });
    for (const a of piecesOf(s))
      if (!letsScrew(a, press))
        out.push({
          status: 'stop',
          rule: 'press.rod-piece',
          value: a.innerMm,
          limit: `at least ${round1(rod)} mm`,
          text: `${a.name} lets no screw of ${round1(press.screw!.rodMm)} mm through.`,
        });
  }
  if (press.strokeMm !== undefined && press.strokeMm < r.travelMm)
    out.push({
      status: 'check',
      rule: 'press.stroke',
      value: press.strokeMm,
      limit: `at least ${round1(r.travelMm)} mm`,
      text: `${press.name} goes ${round1(press.strokeMm)} mm in one reach; this stroke needs ${round1(r.travelMm)}. Stop half way, pack it, and begin again square.`,
    });
  const height = stackHeightMm(s, r);
  if (height > press.daylightMm)
    out.push({
      status: 'stop',
      rule: 'press.daylight',
      value: height,
      limit: `at most ${round1(press.daylightMm)} mm`,
      text: `The stack stands ${round1(height)} mm; ${press.name} opens ${round1(press.daylightMm)}.`,
    });
  if (forceKn.high > press.capacityKn)
    out.push({
      status: 'stop',
      rule: 'press.capacity',
      value: forceKn.high,
      limit: `at most ${round1(press.capacityKn)} kN`,
      text: `This stroke may need ${round1(forceKn.high)} kN; ${press.name} gives ${round1(press.capacityKn)}. Choose another route.`,
    });
  return out;
}

/** Blows are a school: allowed where the stroke says so, on the old ring where a ring is driven. */
function judgeHammer(pusher: Adapter, r: Requirement): Verdict[] {
  if (!r.hammer.allowed)
    return [
      { status: 'stop', rule: 'press.no-hammer', text: r.hammer.text, source: 'common practice' },
    ];
  const ring = r.carries === 'outer ring' && pusher.shape !== 'old-ring';
  return [
    ...(ring
      ? [
          {
            status: 'check' as const,
            rule: 'press.old-ring-drives',
            text: `Drive it with the old ring, ground down, not with ${pusher.name}: it is as wide as the ring and as hard.`,
            source: 'common practice',
          },
        ]
      : []),
    {
      status: 'check',
      rule: 'press.hammer',
      text: r.hammer.text,
      source: 'school: hammer with a driver',
    },
  ];
}

/** Judges a whole stack, as the solver found it or as it was laid by hand. */
export function judgeStack(s: Stack, bench: Bench): Judgement {
  const { requirement: r, forceKn } = bench;
  const path = forcePath(s, bench);
  const verdicts = gravestFirst([
    ...path.verdicts,
    ...judgePiece(headOf(s.pusher, s.cap, r.entryMm), 'pusher', r.pusher, forceKn),
    ...judgeCap(s.pusher, s.cap, bench),
    ...(s.support
      ? [
          ...judgePiece(footOf(s.support, s.riser, r.riserMm), 'support', r.support, forceKn),
          ...judgeRiser(s.support, s.riser, bench),
        ]
      : []),
    ...judgeTogether(s, bench),
  ]);
  return { status: worst(verdicts), verdicts, path, score: score(s, bench) };
}

const share = (part: number, whole: number) => Math.max(0, Math.min(1, part / whole));

/** Worth of one piece: how much of the right face it bears on, how closely it centres, how much margin its rating leaves. */
export function pieceScore(a: Adapter, need: Need, forceKn: Band): number {
  const whole = (need.face.outerMm - need.face.innerMm) / 2;
  const guide = need.windows.find((w) => w.guides)?.max;
  const piloted =
    need.pilotMm &&
    a.pilotMm !== undefined &&
    a.pilotMm >= need.pilotMm.min &&
    a.pilotMm <= need.pilotMm.max;
  const guided = guide === undefined ? 0.5 : share(10 - (guide - a.outerMm), 10);
  const centring = piloted ? 1.5 : guided;
  const check = need.windows.some((w) => w.level === 'check' && judgeWindow(a, w)) ? -15 : 0;
  return (
    25 * share(contactMm(a, need), whole) +
    12 * centring +
    8 * share(a.ratingKn / Math.max(0.1, forceKn.high) - 1, 2) +
    (a.shape === 'old-ring' ? 4 : 0) -
    0.02 * a.heightMm +
    check
  );
}

/** A further piece costs, a low one less. */
export const capScore = (cap: Adapter | undefined): number =>
  cap ? -8 - 0.02 * cap.heightMm - 0.01 * cap.outerMm : 0;
export const riserScore = (riser: Adapter | undefined): number =>
  riser ? -8 - 0.02 * riser.heightMm : 0;

export const score = (s: Stack, { requirement: r, forceKn }: Bench): number =>
  10 +
  pieceScore(s.pusher, r.pusher, forceKn) +
  capScore(s.cap) +
  (s.support && r.support ? pieceScore(s.support, r.support, forceKn) + riserScore(s.riser) : 0);
