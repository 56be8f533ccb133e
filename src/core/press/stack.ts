import { printed } from '../printed.ts';
import type { Hull, Span } from './hull.ts';
import type { Band, Status, Verdict } from '../verdict.ts';
import type { ForcePath } from './force-path.ts';
import {
  type Adapter,
  backMm,
  bearingInnerMm,
  footHollowMm,
  hollowMm,
  lipMm,
  openBehind,
  type Press,
} from './kit.ts';
import type { Measure, Need, Requirement } from './requirement.ts';

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
export interface Setup {
  requirement: Requirement;
  press: Press;
  /** Expected force of the stroke, kN, and what of it belongs to a second fit that closes later. */
  forceKn: Band;
  thenKn?: Band;
  /** What comes off is to be used again: then its balls may not carry anything either. */
  usedAgain?: boolean;
  /** Present while figures of the corner are not known: then this setup is only drawn, and judged by these. */
  open?: Open;
}

/** A figure that nobody knows, and where it can lie. */
export interface OpenFigure {
  path: string;
  name: string;
  span: Span;
}

/** A setup as far as it is known. */
export interface Open extends Hull {
  figures: readonly OpenFigure[];
  /** What the stroke asks once some of the figures lie in narrower spans. */
  within: (spans: ReadonlyMap<string, Span>) => Hull;
  /** Values the setup is drawn with. */
  drawn: ReadonlyMap<string, number>;
}

export function measured(a: Adapter, m: Measure): number {
  if (m === 'hollowMm') return hollowMm(a);
  return m === 'lipMm' ? lipMm(a) : a[m];
}

/** Radial width on which a piece bears on the face it is meant for, mm. */
export const contactMm = (a: Adapter, need: Need): number =>
  printed(
    (Math.min(a.outerMm, need.face.outerMm) -
      Math.max(bearingInnerMm(a, need.proudMm), need.face.innerMm)) /
      2,
  );

/** A piece over a hole or under a ram has to reach this much past it on diameter, mm (judgement). */
export const overlapMm = 6;
/** What passes through or round another clears it by this on diameter, mm (judgement). */
export const screwClearMm = 0.5;

/** What is drawn stands inside its receiver and adds no height. */
export const stackHeightMm = (s: Stack, r: Requirement): number =>
  printed(
    piecesOf(s).reduce(
      (h, a) => h + (r.drawn && (a === s.pusher || a === s.cap) ? 0 : a.heightMm),
      r.workHeightMm,
    ),
  );

/** A receiver that passes round what draws. */
export const goesRound = (support: Adapter, pusher: Adapter): boolean =>
  backMm(support) >= printed(pusher.outerMm + screwClearMm);
/** How far what draws comes into the receiver, and how far it can, mm. */
export const drawnInMm = ({ pusher, cap }: Pick<Stack, 'pusher' | 'cap'>, r: Requirement): number =>
  printed(r.travelMm + pusher.heightMm + (cap?.heightMm ?? 0) + 3);
export function footDepthMm({ support, riser, pusher, cap }: Stack, r: Requirement): number {
  if (!support) return 0;
  if (!riser) return hollowMm(support);
  // What draws passes the spacer too, or stops at it.
  const widest = r.drawn ? Math.max(pusher.outerMm, cap?.outerMm ?? 0) + screwClearMm : 0;
  return footHollowMm(support, riser, Math.max(r.riserMm, widest));
}
export const takesIn = (s: Stack, r: Requirement): boolean => footDepthMm(s, r) >= drawnInMm(s, r);
/** The screw of a tool goes through every piece of its stack. */
export const letsScrew = (a: Adapter, press: Press): boolean =>
  press.screw === undefined ||
  (openBehind(a) && a.innerMm >= printed(press.screw.rodMm + screwClearMm));
/** A piece that carries the nose of the ram, or the washer or nut of a screw, by itself. */
export const carriesNose = (a: Adapter, press: Press): boolean =>
  !openBehind(a) || printed(backMm(a) + overlapMm) <= press.ramMm;
