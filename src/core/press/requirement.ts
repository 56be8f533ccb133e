import type { Side } from '../corner.ts';
import type { PressFit, SeatKind } from '../fits/index.ts';
import type { Band } from '../verdict.ts';
import type { AdapterShape } from './kit.ts';
import type { Picture } from './picture.ts';
import type { windowRules } from './press.rules.ts';

import type { Operation } from './operations.ts';

/** `lipMm` is the web of a hollow piece: its height less its recess. */
export type Measure = 'outerMm' | 'innerMm' | 'heightMm' | 'hollowMm' | 'lipMm';

export type WindowRule = keyof typeof windowRules;

/** A window that one dimension of a piece must lie in. */
export interface Window {
  measure: Measure;
  min?: number;
  max?: number;
  rule: WindowRule;
  /** The part that the window is of, for the rule's sentence. */
  what?: string;
}

/** An annular face that a piece must bear on. */
export interface Face {
  name: string;
  innerMm: number;
  outerMm: number;
  /** Least radial width of contact. */
  leastMm: number;
}

export interface Need {
  windows: Window[];
  face: Face;
  /** How far something else stands proud of that face inside it; a recess must be deeper. */
  proudMm: number;
  /** Only these shapes can get there; any when absent. */
  shapes?: { only: readonly AdapterShape[]; why: string };
  /** Diameter of a nose that centres the piece; absent where none is asked for. */
  pilot?: { min: number; max: number; in: string };
}

/** Parts of the work that may carry the force. */
export type PartNode =
  | 'hub'
  | 'inner'
  | 'balls'
  | 'outer'
  | 'knuckle'
  | 'shaft'
  | 'press-ring'
  | 'shell'
  | 'housing'
  | 'seal'
  | 'stud'
  | 'flange';

/** Where a piece would touch a part: an annulus. */
export interface Touch {
  role: 'pusher' | 'support';
  node: PartNode;
  innerMm: number;
  outerMm: number;
  /** How far it stands out towards the piece past the face that is meant, at the end of the stroke; negative behind it. */
  proudMm?: number;
  /** Where its figures can lie while they are not all known. */
  reach?: Record<'innerMm' | 'outerMm' | 'proudMm', { low: number; high: number }>;
}

/** A fit that the stroke closes or opens. */
export interface Seat {
  /** Which measured seat it is; `fixed` carries its own interference, of a part that is not measured on the bench. */
  kind: SeatKind | 'fixed';
  fit: Omit<PressFit, 'interferenceMm'>;
  lengthMm: number;
  /** Interference of a fixed seat, mm, and who says so. */
  tightMm?: Band;
  source?: string;
}

/** All that one stroke asks, from the parts alone. */
export interface Requirement {
  operation: Operation;
  /** Puts a part on; otherwise it takes one off. */
  fitting: boolean;
  pusher: Need;
  /** Absent where the work stands by itself. */
  support?: Need;
  /** Side of the vehicle that looks up at the ram; absent where it makes no difference. */
  up?: Side;
  /** Travel from first contact of the fit to home, or until the fit lets go, mm. */
  travelMm: number;
  /** Height of the work between pusher face and support face at the start, mm. */
  workHeightMm: number;
  /** How deep the pusher follows below the upper face of the work, mm, and the opening it goes through. */
  followMm: number;
  entryMm: number;
  /** Least opening of a piece under the support that lets the work come out further, mm. */
  riserMm: number;
  /** It is drawn, not pushed: a screw or a hollow ram pulls the pusher into a receiver that stands round it. */
  drawn?: boolean;
  touches: readonly Touch[];
  /** Contacts of the parts with each other, and with the ground where there is no support. */
  joins: readonly (readonly [PartNode, PartNode | 'bed'])[];
  /** In words: what should carry the force. */
  carries: string;
  /** What dents when the force crosses it. */
  row?: { staticAxialKn: number; ballMm: number };
  seat: Seat;
  /** A second fit that closes in the same stroke, from this travel on. */
  then?: Seat & { fromMm: number };
  /** Where blows are an accepted way, and the word that goes with them. */
  hammer: { allowed: boolean; text: string };
  /** The end of the stroke that is felt and not heard, mm: no impact tool there. */
  lastByHandMm?: number;
  /** Least through hole of the work, for a screw, mm; 0 when it is closed. */
  throughMm: number;
  picture: Picture;
}

/** Clearances on diameter: general, and for a piece that follows into the bore (engineering judgement, editable). */
export interface Clearances {
  generalMm: number;
  followMm: number;
  leastContactMm: number;
}
export const usualClearances: Clearances = { generalMm: 0.5, followMm: 0.2, leastContactMm: 1.5 };
