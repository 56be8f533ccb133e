import type { Bearing } from '../corner-record.ts';
import type { Side } from '../corner.ts';
import type { PressFit, SeatKind } from '../fits/index.ts';
import type { Band } from '../verdict.ts';
import type { AdapterShape } from './kit.ts';
import type { windowRules } from './press.rules.ts';

export const operations = [
  'hub-out',
  'bearing-out',
  'bearing-in',
  'hub-in',
  'cartridge-out',
  'cartridge-in',
  'shaft-bearing-off',
  'shaft-bearing-on',
  'press-ring-on',
  'shell-in',
  'seal-in',
  'first-ring-in',
  'second-ring-in',
  'outer-cup-in',
  'inner-cup-in',
  'stud-out',
  'stud-in',
] as const;
export type Operation = (typeof operations)[number];

export const operationNames: Record<Operation, string> = {
  'hub-out': 'Press hub out of bearing',
  'bearing-out': 'Press bearing out of knuckle',
  'bearing-in': 'Press bearing into knuckle',
  'hub-in': 'Press hub into bearing',
  'cartridge-out': 'Draw cartridge out of knuckle',
  'cartridge-in': 'Draw cartridge into knuckle',
  'shaft-bearing-off': 'Press bearing off the shaft',
  'shaft-bearing-on': 'Press bearing on to the shaft',
  'press-ring-on': 'Press ring on to the shaft',
  'shell-in': 'Press bearing shell into its bore',
  'seal-in': 'Press seal into its bore',
  'first-ring-in': 'Press outer bearing into hub',
  'second-ring-in': 'Press inner bearing into hub',
  'outer-cup-in': 'Press outer cup into hub',
  'inner-cup-in': 'Press inner cup into hub',
  'stud-out': 'Press wheel stud out',
  'stud-in': 'Press wheel stud in',
};

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
  /** It stands proud: what reaches it touches nothing else. */
  first?: boolean;
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

/** Radius from the axis and height down from the drawing's datum, mm. */
export type Place = readonly [rMm: number, zMm: number];

/** One body of the work in half section. */
export interface Body {
  key: string;
  name: string;
  size: string;
  /** How its cut face is lined; `none` is drawn whole and only in the section. */
  lining: 'outer' | 'inner' | 'knuckle' | 'hub' | 'bed' | 'seat' | 'none';
  /** Outer and inner contour, top to bottom; a solid body's inner contour is empty. */
  edge: readonly Place[];
  bore: readonly Place[];
  moves: boolean;
  /** It houses the others: from outside it covers what is in it. */
  houses?: boolean;
  /** Where its number points; absent when the list does not name it. */
  tag?: Place;
}

/** What a stroke looks like before anything has moved. */
export interface Picture {
  bodies: readonly Body[];
  /** A double-row bearing, drawn with its rows and seals from its upper face. */
  bearing?: {
    of: Bearing;
    topMm: number;
    moves: boolean;
    encoderUp?: boolean | undefined;
    missingInner?: 'upper' | 'lower';
    /** Its name in the list of the stack, where no body stands for it. */
    name?: string;
  };
  /** Single balls or rollers. */
  rolling?: readonly { r: number; z: number; radius: number; moves: boolean }[];
  /** Heights of the face that is pushed, of the face that is carried, and of the leading edge. */
  pusherAtMm: number;
  supportAtMm: number;
  leadMm: number;
  /** A stretch between two heights where nothing changes, left out with break lines. */
  cut?: readonly [number, number];
  /** Way of the force through each part. */
  ways: Partial<Record<PartNode, readonly { at: Place; moves: boolean }[]>>;
  /** Lowest point of the work and greatest radius at the end of the stroke. */
  lowestMm: number;
  radiusMm: number;
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
