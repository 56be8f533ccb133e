import { type Body, type Place } from '../picture.ts';
import {
  type Clearances,
  type Need,
  type Requirement,
  type Seat,
  usualClearances,
} from '../requirement.ts';
import { seatsOf, type WorkOf } from '../workpiece.ts';
import { housingContact, innerProudMm, need, rowOf, tube, window } from './common.ts';
import { ballBodies } from './housing.ts';

type W = WorkOf<'A2'>;

/** The shaft stands on its flange, end up; the datum is the shoulder that the bearing stops at. */
function shaftBody({ shaft: s }: W, moves: boolean): Body {
  const edge: Place[] = [
    [s.journalMm / 2 - 2, -s.reachMm],
    [s.journalMm / 2 - 2, -s.journalLengthMm - 4],
    [s.journalMm / 2, -s.journalLengthMm],
    [s.journalMm / 2, 0],
    [s.shoulderMm / 2, 0],
    [s.shoulderMm / 2 + 2, s.flangeFromShoulderMm],
    [s.flangeMm / 2, s.flangeFromShoulderMm],
    [s.flangeMm / 2, s.flangeFromShoulderMm + s.flangeThickMm],
  ];
  return {
    key: 'shaft',
    name: 'Axle shaft',
    size: `Ø ${s.journalMm} × ${s.reachMm}`,
    lining: 'hub',
    edge,
    bore: [],
    moves,
    tag: [s.journalMm / 2 - 3, -s.journalLengthMm - 14],
  };
}

/** The plain stretch of the shaft between its end and what is pressed, left out of the drawing when it is long. */
function cutOf({ shaft: s }: W, onMm: number, dropMm = 0): Pick<Requirement['picture'], 'cut'> {
  const [from, to] = [-s.reachMm + 22 + dropMm, -s.journalLengthMm - onMm - 26];
  return to - from > 60 ? { cut: [from, to] } : {};
}

/** What stands on the flange: between the studs and high enough to clear them. */
const onFlange = ({ shaft: s }: W, c: Clearances): Need =>
  need('flange inside the studs', 0, s.insideStudsMm, housingContact, [
    window('outerMm', 'press.inside-studs', { max: s.insideStudsMm - c.generalMm }),
    window('heightMm', 'press.studs-clear', { min: s.studLengthMm + 3 }),
  ]);

const flangeWay = ({ shaft: s }: W): Requirement['picture']['ways'] => ({
  shaft: [
    { at: [s.journalMm / 4, -s.journalLengthMm / 2], moves: false },
    { at: [s.journalMm / 4, s.flangeFromShoulderMm], moves: false },
  ],
  flange: [
    { at: [s.insideStudsMm / 5, s.flangeFromShoulderMm + s.flangeThickMm - 2], moves: false },
  ],
});

/** Through a bearing that goes on, its upper face at `top`. */
const bearingWay = ({ bearing: b }: W, top: number): Requirement['picture']['ways'] => ({
  inner: [{ at: [(b.boreMm + b.innerFaceOuterMm) / 4, top + b.widthMm / 2], moves: true }],
  outer: [{ at: [(b.outerMm + b.outerFaceInnerMm) / 4, top + b.widthMm * 0.4], moves: true }],
  balls: [{ at: [b.pitchMm / 2, top + b.widthMm / 2], moves: true }],
});

/** Bearing on to the shaft: a sleeve over the shaft on the inner ring only. Retainer plate and seal are on before. */
export function shaftBearingOn(w: W, c: Clearances = usualClearances): Requirement {
  const { shaft: s, bearing: b } = w;
  const { fit, lengthMm } = seatsOf(w).journal;
  const top = -s.journalLengthMm - b.widthMm;
  const stands = s.reachMm - b.widthMm;
  return {
    operation: 'shaft-bearing-on',
    fitting: true,
    travelMm: s.journalLengthMm,
    workHeightMm: s.journalLengthMm + b.widthMm + s.flangeFromShoulderMm + s.flangeThickMm,
    followMm: 0,
    entryMm: Infinity,
    riserMm: 0,
    carries: 'inner ring',
    throughMm: 0,
    pusher: need('inner ring', s.journalMm, b.innerFaceOuterMm, c.leastContactMm, [
      window(
        'outerMm',
        'press.inner-ring-only',
        { max: b.innerFaceOuterMm },
        'cage or the outer ring',
      ),
      window('innerMm', 'press.over-shaft', { min: s.journalMm + c.generalMm }),
      window('hollowMm', 'press.over-end', { min: stands + 3 }, 'bearing'),
    ]),
    support: onFlange(w, c),
    touches: [
      { role: 'pusher', node: 'inner', innerMm: s.journalMm, outerMm: b.innerFaceOuterMm },
      {
        role: 'pusher',
        node: 'outer',
        innerMm: b.outerFaceInnerMm,
        outerMm: b.outerMm,
        proudMm: -innerProudMm(b),
      },
      { role: 'support', node: 'flange', innerMm: 0, outerMm: s.flangeMm },
    ],
    joins: [
      ['outer', 'balls'],
      ['balls', 'inner'],
      ['inner', 'shaft'],
      ['shaft', 'flange'],
    ],
    row: rowOf(b, 1),
    seat: { kind: 'journal', fit, lengthMm },
    hammer: {
      allowed: false,
      text: 'Never a blow on a bearing going on to a shaft: it marks the ring and bends the flange.',
    },
    picture: {
      bodies: [...plateBodies(w), shaftBody(w, false), ...ballBodies(b, top)],
      rolling: [{ r: b.pitchMm / 2, z: top + b.widthMm / 2, radius: b.ballMm / 2, moves: true }],
      pusherAtMm: top,
      supportAtMm: s.flangeFromShoulderMm + s.flangeThickMm,
      leadMm: -s.journalLengthMm,
      ...cutOf(w, b.widthMm),
      ways: {
        ...flangeWay(w),
        ...bearingWay(w, top),
      },
      lowestMm: s.flangeFromShoulderMm + s.flangeThickMm + s.studLengthMm,
      radiusMm: s.flangeMm / 2,
    },
  };
}

/** The ring’s own fit, by its record: it is not measured on the bench. */
const ringSeat = ({ shaft: { journalMm, ring } }: W): Seat => ({
  kind: 'fixed',
  fit: {
    diameterMm: journalMm,
    outerDiameterMm: ring.outerMm,
    innerBoreMm: 0,
    outerMaterial: 'steel',
    innerMaterial: 'steel',
  },
  lengthMm: ring.widthMm,
  tightMm: { low: ring.lowMm, likely: (ring.lowMm + ring.highMm) / 2, high: ring.highMm },
  source: 'interference of the ring, unit’s record',
});

/** The ring as drawn, its upper face at `top`. */
const ringBody = ({ shaft: { journalMm, ring } }: W, top: number): Body =>
  tube(
    'press-ring',
    'Press ring',
    `${ring.outerMm} × ${journalMm} × ${ring.widthMm}`,
    'seat',
    [journalMm / 2, ring.outerMm / 2],
    [top, top + ring.widthMm],
    { moves: true, tag: [ring.outerMm / 2 - 2, top + ring.widthMm * 0.4] },
  );

/** A sleeve over the shaft on the ring; at the end of its way the ring stands on the bearing. */
const onRing = ({ shaft: s, bearing: b }: W, c: Clearances): Need =>
  need('press ring', s.journalMm, s.ring.outerMm, c.leastContactMm, [
    window('innerMm', 'press.over-shaft', { min: s.journalMm + c.generalMm }),
    window(
      'hollowMm',
      'press.over-end',
      { min: s.reachMm - b.widthMm - s.ring.widthMm + 3 },
      'ring',
    ),
  ]);

const ringHammer = {
  allowed: false,
  text: 'The ring holds the wheel on the vehicle: its force is seen, not felt through a hammer.',
};

/** Press ring on to the shaft, a stroke of its own, to the bearing and no further. */
export function pressRingOn(w: W, c: Clearances = usualClearances): Requirement {
  const { shaft: s, bearing: b } = w;
  const { ring } = s;
  const top = -s.journalLengthMm - ring.widthMm;
  return {
    operation: 'press-ring-on',
    fitting: true,
    travelMm: s.journalLengthMm - b.widthMm,
    workHeightMm: s.journalLengthMm + ring.widthMm + s.flangeFromShoulderMm + s.flangeThickMm,
    followMm: 0,
    entryMm: Infinity,
    riserMm: 0,
    carries: 'press ring',
    throughMm: 0,
    pusher: onRing(w, c),
    support: onFlange(w, c),
    touches: [
      { role: 'pusher', node: 'press-ring', innerMm: s.journalMm, outerMm: ring.outerMm },
      { role: 'support', node: 'flange', innerMm: 0, outerMm: s.flangeMm },
    ],
    joins: [
      ['press-ring', 'shaft'],
      ['shaft', 'flange'],
    ],
    seat: ringSeat(w),
    hammer: ringHammer,
    picture: {
      bodies: [
        ...plateBodies(w),
        shaftBody(w, false),
        ...ballBodies(b, -b.widthMm, 'Bearing', false),
        ringBody(w, top),
      ],
      rolling: [{ r: b.pitchMm / 2, z: -b.widthMm / 2, radius: b.ballMm / 2, moves: false }],
      pusherAtMm: top,
      supportAtMm: s.flangeFromShoulderMm + s.flangeThickMm,
      leadMm: -s.journalLengthMm,
      ...cutOf(w, ring.widthMm),
      ways: {
        ...flangeWay(w),
        'press-ring': [
          { at: [(s.journalMm + ring.outerMm) / 4, top + ring.widthMm / 2], moves: true },
        ],
      },
      lowestMm: s.flangeFromShoulderMm + s.flangeThickMm + s.studLengthMm,
      radiusMm: s.flangeMm / 2,
    },
  };
}

/**
 * Bearing and press ring on to the shaft in one stroke, where the fitting sheet asks for it: the sleeve on the ring, the
 * ring on the inner ring; the ring’s own fit closes behind the bearing’s.
 */
export function bearingAndRingOn(w: W, c: Clearances = usualClearances): Requirement {
  const { shaft: s, bearing: b } = w;
  const { ring } = s;
  const alone = pressRingOn(w, c);
  const { fit, lengthMm } = seatsOf(w).journal;
  const bearingTop = -s.journalLengthMm - b.widthMm;
  const top = bearingTop - ring.widthMm;
  return {
    ...alone,
    operation: 'bearing-and-ring-on',
    travelMm: s.journalLengthMm,
    workHeightMm: alone.workHeightMm + b.widthMm,
    carries: 'press ring and inner ring',
    joins: [
      ['outer', 'balls'],
      ['balls', 'inner'],
      ['press-ring', 'inner'],
      ['inner', 'shaft'],
      ['shaft', 'flange'],
    ],
    row: rowOf(b, 1),
    seat: { kind: 'journal', fit, lengthMm },
    then: { ...ringSeat(w), fromMm: b.widthMm },
    picture: {
      ...alone.picture,
      bodies: [
        ...plateBodies(w),
        shaftBody(w, false),
        ...ballBodies(b, bearingTop),
        ringBody(w, top),
      ],
      rolling: [
        { r: b.pitchMm / 2, z: bearingTop + b.widthMm / 2, radius: b.ballMm / 2, moves: true },
      ],
      pusherAtMm: top,
      leadMm: -s.journalLengthMm,
      ...cutOf(w, b.widthMm + ring.widthMm),
      ways: {
        ...flangeWay(w),
        'press-ring': [
          { at: [(s.journalMm + ring.outerMm) / 4, top + ring.widthMm / 2], moves: true },
        ],
        ...bearingWay(w, bearingTop),
      },
    },
  };
}

/** Bearing off: plates under the inner ring where it can be reached, the ram on the shaft's end. The collar is off before. */
export function shaftBearingOff(w: W, c: Clearances = usualClearances): Requirement {
  const { shaft: s, bearing: b } = w;
  const { fit, lengthMm } = seatsOf(w).journal;
  const onInner = b.innerFaceOuterMm - s.shoulderMm >= 2 * c.leastContactMm + c.generalMm;
  const drop = s.flangeFromShoulderMm + s.flangeThickMm + s.studLengthMm + s.journalLengthMm;
  const inner: [number, number] = [s.shoulderMm, b.innerFaceOuterMm];
  const outer: [number, number] = [b.outerFaceInnerMm, b.outerMm];
  return {
    operation: 'shaft-bearing-off',
    fitting: false,
    travelMm: s.journalLengthMm,
    workHeightMm: s.reachMm,
    followMm: 0,
    entryMm: Infinity,
    riserMm: s.flangeMm + c.generalMm,
    carries: 'inner ring',
    throughMm: 0,
    pusher: need('end of the shaft', 0, s.journalMm - 4, c.leastContactMm, []),
    support: need(
      onInner ? 'inner ring, from the flange side' : 'outer ring, from the flange side',
      ...(onInner ? inner : outer),
      c.leastContactMm,
      [
        window('innerMm', 'press.shaft-drops', {
          min: s.shoulderMm + c.generalMm,
          ...(onInner ? { max: b.innerFaceOuterMm - 2 * c.leastContactMm } : {}),
        }),
        window('hollowMm', 'press.drop', { min: drop + 3 }, 'shaft and its flange'),
      ],
      { shapes: { only: ['split-plate'], why: 'the flange is in the way of a whole ring' } },
    ),
    touches: [
      { role: 'pusher', node: 'shaft', innerMm: 0, outerMm: s.journalMm - 4 },
      { role: 'support', node: 'inner', innerMm: inner[0], outerMm: inner[1] },
      {
        role: 'support',
        node: 'outer',
        innerMm: outer[0],
        outerMm: outer[1],
        proudMm: -innerProudMm(b),
      },
    ],
    joins: [
      ['shaft', 'inner'],
      ['inner', 'balls'],
      ['balls', 'outer'],
    ],
    row: rowOf(b, 1),
    seat: { kind: 'journal', fit, lengthMm },
    hammer: {
      allowed: false,
      text: 'Behind a guard on the press: it can burst, and it comes with a bang.',
    },
    picture: {
      bodies: [shaftBody(w, true), ...ballBodies(b, -b.widthMm, 'Old bearing', false)],
      rolling: [{ r: b.pitchMm / 2, z: -b.widthMm / 2, radius: b.ballMm / 2, moves: false }],
      pusherAtMm: -s.reachMm,
      supportAtMm: 0,
      leadMm: 0,
      ...cutOf(w, 0, s.journalLengthMm),
      ways: {
        shaft: [
          { at: [s.journalMm / 5, -s.reachMm + 5], moves: true },
          { at: [s.journalMm / 4, -s.journalLengthMm], moves: true },
        ],
        inner: [{ at: [(b.boreMm + b.innerFaceOuterMm) / 4, -b.widthMm / 2], moves: false }],
        balls: [{ at: [b.pitchMm / 2, -b.widthMm / 2], moves: false }],
        outer: [{ at: [(b.outerMm + b.outerFaceInnerMm) / 4, -b.widthMm / 2], moves: false }],
      },
      lowestMm: s.flangeFromShoulderMm + s.flangeThickMm + s.studLengthMm,
      radiusMm: s.flangeMm / 2,
    },
  };
}

/** Retainer plate and seal wait on the shaft below the bearing's place. */
function plateBodies({ shaft: s, bearing: b, seal }: W): Body[] {
  const plate = tube(
    'retainer',
    'Retainer plate',
    '',
    'seat',
    [s.shoulderMm / 2 + 3, b.outerMm / 2 + 14],
    [s.flangeFromShoulderMm - 7, s.flangeFromShoulderMm - 2],
  );
  return seal
    ? [
        plate,
        tube(
          'seal',
          'Seal',
          '',
          'seat',
          [seal.innerMm / 2, seal.outerMm / 2],
          [1, 1 + seal.widthMm],
        ),
      ]
    : [plate];
}
