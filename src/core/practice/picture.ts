import type { Corner } from '../corner.ts';
import type { BodyRole, FamilyCode, Body } from '../families/index.ts';
import type { Layout, Place, Sound } from '../diagnosis/index.ts';
import type { Mark } from '../old-part/index.ts';
import type { Stack } from '../press/index.ts';
import type { CastleWay, LockPlace, PlayWindow, Procedure, Through } from '../torque/index.ts';
import type { LaidStack, PracticeBench, PracticeStroke } from './bench.ts';

/** A family in section, as it is or with something wrong in it. */
export interface SectionPicture {
  of: 'section';
  code: FamilyCode;
  title?: string;
  /** With wheel, brake and what else stands round the bearing. */
  corner?: true;
  /** Other than the family's own. */
  bodies?: Body[];
  lit?: readonly BodyRole[];
  /** Off the car by now. */
  off?: readonly BodyRole[];
  /** What a wrong choice harms, or what it is still held by. */
  hurt?: readonly BodyRole[];
}

/** A stroke of the ram that runs until it is stopped. */
export interface RamPicture {
  of: 'ram';
  operation: PracticeStroke;
  travelMm: number;
  band: { mm: number; low: number; high: number }[];
  trace: [mm: number, kn: number][];
  /** Point of the trace that the run begins at. */
  from: number;
  /** Time from one point to the next, ms, and how many make a stroke of the pump. */
  everyMs: number;
  aPump: number;
  /** Once it is answered: where it was stopped, and the points between which it should have been. */
  ended?: { at: number; first: number; last: number };
}

/** A nut that is walked with a stand-in wrench through its procedure. */
export interface NutPicture {
  of: 'nut';
  procedure: Procedure;
  /** What can be done next, stages and slips in no order. */
  acts: { id: string; text: string }[];
  seed: number;
  handDegPerS: number;
  /** Once it is answered: the stage at which the walk ended, and what was pulled there. */
  ended?: { stageId: string | undefined; actual: number | undefined };
}

/** A stroke to lay a stack for, as whoever was there before left the press. */
export interface LayPicture {
  of: 'lay';
  bench: PracticeBench;
  left: Stack;
}

/** A figure that a choice comes to, against what is asked. */
interface Landed {
  of: 'landed';
  title: string;
  unit: 'N·m' | 'mm';
  low: number;
  high: number;
  at: number;
  inside: boolean;
}
export const landed = (figure: Omit<Landed, 'of' | 'inside'>): PracticePicture => ({
  of: 'landed',
  ...figure,
  inside: figure.at >= figure.low && figure.at <= figure.high,
});

/** What is drawn for an exercise, and for what a choice comes to; everything in it is made up. */
export type PracticePicture =
  | SectionPicture
  | { of: 'rings'; family: FamilyCode; balls: number; marks: Mark[] }
  | { of: 'stack'; laid: LaidStack; judged?: true }
  | { of: 'castle'; slots: number; holeEnds: number; pastDeg: number; turned?: CastleWay }
  | {
      of: 'places';
      places: LockPlace[];
      window: PlayWindow;
      playMm: number;
      figures: boolean;
      locked?: LockPlace;
    }
  | { of: 'offset'; lengthMm: number; through: Through; setNm?: number }
  | Landed
  | RamPicture
  | NutPicture
  | LayPicture
  | { of: 'car'; title: string; layout: Layout; told: ToldAt[]; was?: NamedPlace[] }
  /** Alone, or in the noise of a road. */
  | { of: 'sound'; sound: Sound; overRoadDb?: number }
  /** Beside each other: what it is and what was taken for it, or what was done and what it came to. */
  | { of: 'beside'; list: { title: string; picture: PracticePicture }[] };

/** What a test said, where it was made. */
export interface ToldAt {
  place: Place;
  text: string;
}
/** A cause where it sits. */
export interface NamedPlace extends ToldAt {
  right: boolean;
}

/** The cause that it is, and the one that was taken for it, where they sit. */
export const namedPlaces = (
  suspects: readonly { id: string; name: string; corner?: Corner }[],
  rightId: string,
  chosenId: string,
): NamedPlace[] =>
  suspects
    .filter((s) => s.id === rightId || s.id === chosenId)
    .map((s) => ({ place: s.corner ?? 'car', text: s.name, right: s.id === rightId }));

/** What was chosen beside what it is; alone where the choice is right. */
export const besideRight = (
  [title, right]: readonly [string, PracticePicture],
  chosen: readonly [string, PracticePicture] | undefined,
): PracticePicture => ({
  of: 'beside',
  list: [
    { title, picture: right },
    ...(chosen ? [{ title: `Yours: ${chosen[0]}`, picture: chosen[1] }] : []),
  ],
});
