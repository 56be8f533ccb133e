import type { FamilyCode } from '../families/index.ts';
import type { Mark } from '../old-part/index.ts';
import type { Layout, Place, Sound } from '../diagnosis/index.ts';
import type { LaidStack, PracticeStroke } from './bench.ts';
import type { LockPlace, PlayWindow, Through } from '../torque/index.ts';

/** What is drawn for an exercise; everything in it is made up. */
export type PracticePicture =
  | { of: 'section'; code: FamilyCode }
  | { of: 'rings'; family: FamilyCode; balls: number; marks: Mark[] }
  | { of: 'stack'; laid: LaidStack }
  | { of: 'castle'; slots: number; holeEnds: number; pastDeg: number }
  | { of: 'places'; places: LockPlace[]; window: PlayWindow; playMm: number; figures: boolean }
  | { of: 'offset'; lengthMm: number; through: Through }
  | {
      of: 'ram';
      operation: PracticeStroke;
      travelMm: number;
      band: { mm: number; low: number; high: number }[];
      /** Trace so far, mm and kN, and as it would go on. */
      shown: [mm: number, kn: number][];
      then: [mm: number, kn: number][];
    }
  | { of: 'told'; title: string; lines: string[] }
  | { of: 'car'; title: string; layout: Layout; told: ToldAt[] }
  | { of: 'sound'; sound: Sound }
  | { of: 'step'; code: FamilyCode; lit: readonly string[]; text: string };

/** What a test said, where it was made. */
export interface ToldAt {
  place: Place;
  text: string;
}

export interface PracticeOption {
  id: string;
  text: string;
}

/** One made-up situation with what may be done in it. */
export interface Exercise {
  ask: string;
  picture: PracticePicture;
  options: PracticeOption[];
  answer: string;
  /** Why, by the rule or the geometry behind it. */
  because: string;
  source: string;
  /** What happens on the car by a wrong choice. */
  otherwise: string;
  /** The one number that says how hard it is. */
  hard: { value: number; unit: string };
}

/** Least and most difficult. */
export const levels = { least: 1, most: 5 } as const;

/** Makes one exercise of a kind: fresh from its seed, as hard as its level. */
export type Maker = (random: () => number, level: number) => Exercise;
