import type { Bearing } from '../corner-record.ts';
import type { PartNode } from './requirement.ts';

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
