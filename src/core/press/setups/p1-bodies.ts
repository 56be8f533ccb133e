import { type Knuckle } from '../../corner-record.ts';
import { type Body, type Picture, type Place } from '../picture.ts';
import { type Requirement, type Touch } from '../requirement.ts';
import { seatsOf, type WorkOf } from '../workpiece.ts';
import { sizeOfBearing, tube, turned } from './common.ts';

type W = WorkOf<'P1'>;

/** What the strokes of the pressed-in family are drawn with, and what touches what. */

/** The face of the inner ring at one end. */
export const innerFace = (b: W['bearing'], role: Touch['role'], proudMm: number): Touch => ({
  role,
  node: 'inner',
  innerMm: b.boreMm,
  outerMm: b.innerFaceOuterMm,
  proudMm,
});

export const rings: Requirement['joins'] = [
  ['inner', 'balls'],
  ['balls', 'outer'],
  ['outer', 'knuckle'],
];
export const pick = (w: W, kind: 'bore' | 'journal') => {
  const { fit, lengthMm } = seatsOf(w)[kind];
  return { fit, lengthMm };
};
export const bossRadius = (k: Knuckle) => Math.max(k.farFaceOuterMm, k.bossOuterMm + 18) / 2;

export const bearingAt = (
  w: W,
  up: 'inboard' | 'outboard',
  topMm: number,
  more: { moves?: boolean; missingInner?: 'lower'; name?: string } = {},
): Pick<Picture, 'bearing'> => ({
  bearing: {
    of: w.bearing,
    topMm,
    moves: false,
    encoderUp:
      w.bearing.encoder.kind === 'none' || !w.encoderSide ? undefined : w.encoderSide === up,
    ...more,
  },
});

/** Way of the force through bearing and knuckle. */
export function waysOf(
  { bearing: b, knuckle: k }: W,
  top: number,
  moves: boolean,
): Picture['ways'] {
  const mid = top + b.widthMm / 2;
  const outerR = (b.outerMm + b.outerFaceInnerMm) / 4;
  return {
    inner: [{ at: [(b.boreMm + b.innerFaceOuterMm) / 4, top + b.widthMm * 0.25], moves }],
    balls: [{ at: [b.pitchMm / 2, top + b.widthMm * 0.27], moves }],
    outer: [
      { at: [outerR, top + b.widthMm * 0.3], moves },
      { at: [outerR, top + b.widthMm * 0.6], moves },
    ],
    knuckle: [
      {
        at: [
          (k.boreMm + k.bossOuterMm) / 4,
          Math.min(k.bossDepthMm * 0.7, Math.max(k.bossDepthMm * 0.35, mid + 6)),
        ],
        moves: false,
      },
    ],
  };
}

/** Seen from outside, the bearing is its outer ring. */
export const ringOutside = ({ bearing: b }: W, top: number, name: string): Body => ({
  key: 'bearing',
  name,
  size: sizeOfBearing(b),
  lining: 'outer',
  edge: [
    [b.outerMm / 2, top],
    [b.outerMm / 2, top + b.widthMm],
  ],
  bore: [
    [b.outerMm / 2 - 0.1, top],
    [b.outerMm / 2 - 0.1, top + b.widthMm],
  ],
  moves: true,
  tag: [b.outerMm / 2 - 2, top + b.widthMm * 0.12],
});

export const bossEdge = (k: Knuckle): Place[] => {
  const [boss, far, d] = [k.bossOuterMm / 2, k.farFaceOuterMm / 2, k.bossDepthMm];
  return [
    [boss, 0],
    [boss, d * 0.28],
    [boss + 9, d * 0.34],
    [boss + 8, d * 0.45],
    [boss + 9.5, d * 0.55],
    [boss + 8.5, d * 0.66],
    [boss + 1.5, d * 0.74],
    [far - 1, d * 0.84],
    [far, d],
  ];
};
/** With the arms that it stands on when the hub goes out. */
export function wheelEdge(k: Knuckle): Place[] {
  const [boss, far, reach, d] = [
    k.bossOuterMm / 2,
    k.farFaceOuterMm / 2,
    k.wheelSideReachMm / 2,
    k.bossDepthMm,
  ];
  const arm = Math.min(14, d * 0.28);
  return k.snapRingSide === 'outboard'
    ? [
        [reach, 0],
        [reach, arm],
        [boss, arm + 5],
        [boss, d - 10],
        [far, d - 5],
        [far, d],
      ]
    : [
        [boss, 0],
        [boss, d - arm - 5],
        [reach, d - arm],
        [reach, d],
      ];
}

/** The casting round its bore, groove and shoulder; turned over when its snap-ring face is down. */
export function knuckleBody({ knuckle: k }: W, up: 'inboard' | 'outboard', edge: Place[]): Body {
  const R = k.boreMm / 2;
  const bore: Place[] = [
    [R, 0],
    [R, k.grooveFromFaceMm],
    [k.grooveMm / 2, k.grooveFromFaceMm],
    [k.grooveMm / 2, k.grooveFromFaceMm + k.grooveWidthMm],
    [R, k.grooveFromFaceMm + k.grooveWidthMm],
    [R, k.seatDepthMm],
    [k.shoulderMm / 2, k.seatDepthMm],
    [k.shoulderMm / 2, k.bossDepthMm],
  ];
  const flip = k.snapRingSide !== up;
  return {
    key: 'knuckle',
    name: 'Knuckle',
    size: `bore ${k.boreMm} × ${k.seatDepthMm}`,
    lining: 'knuckle',
    edge: flip ? turned(edge, k.bossDepthMm) : edge,
    bore: flip ? turned(bore, k.bossDepthMm) : bore,
    moves: false,
    houses: true,
    tag: [k.bossOuterMm / 2 - 4, k.bossDepthMm * 0.5],
  };
}

/** In its groove, behind the hub: it is in before the hub is. */
export function snapRing({ knuckle: k }: W, up: 'inboard' | 'outboard'): Body {
  const at: [number, number] =
    k.snapRingSide === up
      ? [k.grooveFromFaceMm, k.grooveFromFaceMm + k.grooveWidthMm]
      : [k.bossDepthMm - k.grooveFromFaceMm - k.grooveWidthMm, k.bossDepthMm - k.grooveFromFaceMm];
  return tube(
    'snap-ring',
    '',
    '',
    'none',
    [k.boreMm / 2 - 3.2, k.grooveMm / 2 - 0.2],
    [at[0] + 0.2, at[1] - 0.2],
  );
}

export function hubBody({ hub: h, bearing: b }: W, shoulder: number, flangeUp: boolean): Body {
  const neck = b.innerFaceOuterMm / 2 + 1.5;
  const [j, f] = [h.journalMm / 2, h.flangeMm / 2];
  const edge: Place[] = [
    [f, -h.overhangMm],
    [f, -h.overhangMm + h.flangeThickMm],
    [neck, -h.overhangMm + h.flangeThickMm],
    [neck, 0],
    [j, 0],
    [j, h.journalLengthMm - 1],
    [j - 1, h.journalLengthMm],
  ];
  const bore: Place[] = [
    [h.boreMm / 2, -h.overhangMm],
    [h.boreMm / 2, h.journalLengthMm],
  ];
  const at = (p: Place[]) =>
    (flangeUp ? p : turned(p, 0)).map(([r, z]): Place => [r, z + shoulder]);
  return {
    key: 'hub',
    name: 'Hub',
    size: `journal ${h.journalMm} × ${h.journalLengthMm}`,
    lining: 'hub',
    edge: at(edge),
    bore: at(bore),
    moves: true,
    tag: [f - 6, flangeUp ? shoulder - h.overhangMm + 5 : shoulder + h.overhangMm - 5],
  };
}

export function studBody({ hub: h }: W, shoulder: number, flangeUp: boolean): Body {
  const [r, from, to] = [h.studCircleMm / 2, h.overhangMm - h.flangeThickMm, h.overhangMm + 16];
  const [z0, z1] = flangeUp ? [shoulder - to, shoulder - from] : [shoulder + from, shoulder + to];
  return {
    key: 'wheel-stud',
    name: 'Stud',
    size: '',
    lining: 'none',
    edge: [
      [r + 6, z0],
      [r + 6, z1],
    ],
    bore: [
      [r - 6, z0],
      [r - 6, z1],
    ],
    moves: true,
  };
}
