import type { Bearing, Housing } from '../../corner-record.ts';
import { type Operation } from '../operations.ts';
import { type Body, type Place } from '../picture.ts';
import {
  type Clearances,
  type PartNode,
  type Requirement,
  usualClearances,
} from '../requirement.ts';
import { seatsOf, type WorkOf } from '../workpiece.ts';
import {
  housingContact,
  innerProudMm,
  need,
  rowOf,
  sizeOfBearing,
  tube,
  window,
} from './common.ts';

type Shell = WorkOf<'A1' | 'N1'>;
type Pair = WorkOf<'B2' | 'T2' | 'A3'>;

/** First contact of a fit that lies behind a wider bore: the depth at which it begins. */
const entryOf = (h: Housing) => h.entry?.depthMm ?? 0;

/** The bore with its wider mouth and the stop under it. */
function bodyOf(h: Housing, key: 'housing', name: string): Body {
  const R = h.boreMm / 2;
  const bore: Place[] = [
    ...(h.entry
      ? ([
          [h.entry.boreMm / 2, 0],
          [h.entry.boreMm / 2, h.entry.depthMm],
        ] as Place[])
      : []),
    [R, entryOf(h)],
    [R, h.seatDepthMm],
    [h.shoulderMm / 2, h.seatDepthMm],
    [h.shoulderMm / 2, h.depthMm],
  ];
  return {
    key,
    name,
    size: `bore ${h.boreMm} × ${h.seatDepthMm}`,
    lining: 'knuckle',
    edge: [
      [h.outerMm / 2, 0],
      [h.outerMm / 2, h.depthMm],
    ],
    bore,
    moves: false,
    houses: true,
    tag: [h.outerMm / 2 - 4, h.depthMm * 0.6],
  };
}

const onFarFace = (h: Housing) =>
  need(`far face round the bore`, h.shoulderMm, h.outerMm, housingContact, [
    window('innerMm', 'press.support-close', { min: h.shoulderMm, max: h.shoulderMm + 30 }, 'bore'),
  ]);

/** A thin shell with rollers: the driver bears on its marked end only, wider than its inside and narrower than its outside. */
export function shellIn(w: Shell, c: Clearances = usualClearances): Requirement {
  const { bearing: b, housing: h, family } = w;
  const { fit, lengthMm } = seatsOf(w).bore;
  const start = entryOf(h);
  const setup = family === 'N1';
  const wall = (b.outerMm + b.outerFaceInnerMm) / 4;
  const needle = tube(
    'needle',
    '',
    '',
    'seat',
    [b.boreMm / 2, b.outerFaceInnerMm / 2 - 0.4],
    [start - b.widthMm + 2, start - 2],
    { moves: true, lining: 'none' },
  );
  return {
    operation: 'shell-in',
    fitting: true,
    up: 'outboard',
    travelMm: h.seatDepthMm - start,
    workHeightMm: h.depthMm + b.widthMm,
    followMm: Math.max(0, h.seatDepthMm - b.widthMm),
    entryMm: h.boreMm,
    riserMm: h.shoulderMm,
    carries: 'shell',
    throughMm: Math.min(h.shoulderMm, b.boreMm),
    pusher: need(
      'marked end of the shell',
      b.outerFaceInnerMm,
      b.outerMm,
      Math.min(c.leastContactMm, (b.outerMm - b.outerFaceInnerMm) / 2 - c.followMm),
      [
        window('outerMm', 'press.lands-on-bore', { max: h.boreMm - c.followMm }, 'shell'),
        window('heightMm', 'press.reach', { min: h.seatDepthMm - b.widthMm + 2 }, 'shell'),
      ],
      { pilot: { min: b.boreMm - 4, max: b.boreMm - 0.2, in: 'the shell' } },
    ),
    ...(setup ? { support: onFarFace(h) } : {}),
    touches: [
      { role: 'pusher', node: 'shell', innerMm: b.outerFaceInnerMm, outerMm: b.outerMm },
      ...(setup
        ? [{ role: 'support', node: 'housing', innerMm: h.shoulderMm, outerMm: h.outerMm } as const]
        : []),
    ],
    joins: [['shell', 'housing'], ...(setup ? [] : [['housing', 'bed'] as const])],
    seat: { kind: 'bore', fit, lengthMm },
    hammer: {
      allowed: true,
      text: setup
        ? 'Even, gentle force from a clamp or a screw is better: a blow dents a thin shell.'
        : 'Driven until the note changes: that is the seat. Small blows, square, on a driver that is guided.',
    },
    picture: {
      bodies: [
        tube(
          'shell',
          family === 'A1' ? 'Axle bearing' : 'Needle bearing',
          sizeOfBearing(b),
          'outer',
          [b.outerFaceInnerMm / 2, b.outerMm / 2],
          [start - b.widthMm, start],
          { moves: true, tag: [b.outerMm / 2 - 1, start - b.widthMm * 0.7] },
        ),
        needle,
        bodyOf(h, 'housing', family === 'A1' ? 'Axle tube' : 'Stub axle'),
      ],
      pusherAtMm: start - b.widthMm,
      supportAtMm: h.depthMm,
      leadMm: start,
      lowestMm: h.depthMm,
      radiusMm: h.outerMm / 2,
      ways: {
        shell: [{ at: [wall, start - b.widthMm * 0.5], moves: true }],
        housing: [{ at: [(h.boreMm + h.outerMm) / 4, h.depthMm * 0.7], moves: false }],
      },
    },
  };
}

/** Interference of a seal's case, mm on diameter, and what its thin case is (judgement: cases are made to this order). */
const sealTight = { low: 0.06, likely: 0.15, high: 0.28 };
const caseMm = 1.2;

/** A seal: flush with a driver wider than its bore, which cannot go too deep, or to a stated depth with one that follows. */
export function sealIn(w: Shell, c: Clearances = usualClearances): Requirement | undefined {
  const { seal: s, housing: h, family } = w;
  if (!s) return undefined;
  const boreMm = s.outerMm;
  const flush = s.depthMm === 0;
  const setup = family === 'N1';
  const home = s.depthMm + s.widthMm;
  const body: Housing = { ...h, entry: { boreMm, depthMm: Math.max(home, entryOf(h)) } };
  return {
    operation: 'seal-in',
    fitting: true,
    up: 'outboard',
    travelMm: home,
    workHeightMm: h.depthMm + s.widthMm,
    followMm: s.depthMm,
    entryMm: flush ? Infinity : boreMm,
    riserMm: h.shoulderMm,
    carries: 'case of the seal',
    throughMm: Math.min(h.shoulderMm, s.innerMm),
    pusher: need(
      'case of the seal',
      s.outerMm - 8,
      s.outerMm,
      c.leastContactMm,
      flush
        ? [window('outerMm', 'press.seal-flush', { min: boreMm + 2 })]
        : [
            window('outerMm', 'press.lands-on-bore', { max: boreMm - c.generalMm }, 'seal'),
            window('heightMm', 'press.reach', { min: s.depthMm + 2 }, 'seal'),
          ],
    ),
    ...(setup ? { support: onFarFace(h) } : {}),
    touches: [
      { role: 'pusher', node: 'seal', innerMm: s.outerMm - 8, outerMm: s.outerMm },
      ...(setup
        ? [{ role: 'support', node: 'housing', innerMm: h.shoulderMm, outerMm: h.outerMm } as const]
        : []),
    ],
    joins: [['seal', 'housing'], ...(setup ? [] : [['housing', 'bed'] as const])],
    seat: {
      kind: 'fixed',
      fit: {
        diameterMm: boreMm,
        outerDiameterMm: h.outerMm,
        innerBoreMm: boreMm - 2 * caseMm,
        outerMaterial: h.material,
        innerMaterial: 'steel',
      },
      lengthMm: s.widthMm,
      tightMm: sealTight,
      source: 'judgement of a thin steel case; the seal’s own figure comes first',
    },
    hammer: {
      allowed: true,
      text: 'Small blows all round on a flat disc; the lip towards the oil, and oiled.',
    },
    picture: {
      bodies: [
        tube(
          'seal',
          'Seal',
          `${s.outerMm} × ${s.innerMm} × ${s.widthMm}`,
          'seat',
          [s.innerMm / 2, s.outerMm / 2],
          [-s.widthMm, 0],
          { moves: true, tag: [s.outerMm / 2 - 2, -s.widthMm / 2] },
        ),
        bodyOf(body, 'housing', family === 'A1' ? 'Axle tube' : 'Stub axle'),
      ],
      pusherAtMm: -s.widthMm,
      supportAtMm: h.depthMm,
      leadMm: 0,
      lowestMm: h.depthMm,
      radiusMm: h.outerMm / 2,
      ways: {
        seal: [{ at: [s.outerMm / 2 - 2, -s.widthMm / 2], moves: true }],
        housing: [{ at: [(boreMm + h.outerMm) / 4, h.depthMm * 0.6], moves: false }],
      },
    },
  };
}

/** One ring of a pair into its end of the hub: a ball bearing on its outer ring, or a cup on its wide face. */
export function ringIn(
  w: Pair,
  operation: Extract<
    Operation,
    'first-ring-in' | 'second-ring-in' | 'outer-cup-in' | 'inner-cup-in'
  >,
  c: Clearances = usualClearances,
): Requirement {
  const second = operation === 'second-ring-in' || operation === 'inner-cup-in';
  const { bearing: b } = w;
  const h = second ? w.far : w.housing;
  const cup = operation.endsWith('cup-in');
  const { fit, lengthMm } = seatsOf({ ...w, housing: h }).bore;
  const start = entryOf(h);
  const node: PartNode = 'outer';
  const wall = (b.outerMm + b.outerFaceInnerMm) / 4;
  const follow = Math.max(0, h.seatDepthMm - b.widthMm);
  const opening = cup ? b.outerFaceInnerMm : b.boreMm;
  const top = start - b.widthMm;
  return {
    operation,
    fitting: true,
    up: second ? 'inboard' : 'outboard',
    travelMm: h.seatDepthMm - start,
    workHeightMm: h.depthMm + b.widthMm,
    followMm: follow,
    entryMm: h.boreMm,
    riserMm: h.shoulderMm,
    carries: cup ? 'wide face of the cup' : 'outer ring',
    throughMm: Math.min(h.shoulderMm, opening),
    pusher: need(
      cup ? 'wide face of the cup' : 'outer ring',
      b.outerFaceInnerMm,
      b.outerMm,
      c.leastContactMm,
      [
        window('outerMm', 'press.follow-bore', { max: h.boreMm - c.followMm }, 'ring'),
        window(
          'innerMm',
          'press.outer-ring-only',
          { min: b.outerFaceInnerMm },
          cup ? 'taper of the cup' : 'inner ring: the balls carry the force',
        ),
        window('heightMm', 'press.reach', { min: follow + 2 }, 'ring'),
      ],
    ),
    support: onFarFace(h),
    touches: [
      { role: 'pusher', node, innerMm: b.outerFaceInnerMm, outerMm: b.outerMm },
      ...(cup
        ? []
        : [
            {
              role: 'pusher',
              node: 'inner',
              innerMm: b.boreMm,
              outerMm: b.innerFaceOuterMm,
              proudMm: innerProudMm(b),
            } as const,
          ]),
      { role: 'support', node: 'housing', innerMm: h.shoulderMm, outerMm: h.outerMm },
    ],
    joins: [
      ['outer', 'housing'],
      ...(cup
        ? []
        : ([
            ['inner', 'balls'],
            ['balls', 'outer'],
          ] as const)),
    ],
    ...(cup ? {} : { row: rowOf(b, 1) }),
    seat: { kind: 'bore', fit, lengthMm },
    hammer: {
      allowed: true,
      text: cup
        ? 'Side to side, on the old cup or a soft drift, never on the taper; no feeler gap at the shoulder.'
        : 'Only on the old ring as driver, a little all round: blows start it crooked and mark the ring.',
    },
    picture: {
      bodies: [...(cup ? [cupBody(b, top)] : ballBodies(b, top)), bodyOf(h, 'housing', 'Hub')],
      ...(cup
        ? {}
        : {
            rolling: [
              { r: b.pitchMm / 2, z: top + b.widthMm / 2, radius: b.ballMm / 2, moves: true },
            ],
          }),
      pusherAtMm: top,
      supportAtMm: h.depthMm,
      leadMm: start,
      lowestMm: h.depthMm,
      radiusMm: h.outerMm / 2,
      ways: {
        outer: [{ at: [wall, top + b.widthMm * 0.5], moves: true }],
        inner: [{ at: [(b.boreMm + b.innerFaceOuterMm) / 4, top + b.widthMm * 0.3], moves: true }],
        balls: [{ at: [b.pitchMm / 2, top + b.widthMm * 0.5], moves: true }],
        housing: [{ at: [(h.boreMm + h.outerMm) / 4, h.depthMm * 0.6], moves: false }],
      },
    },
  };
}

/** Cup of a taper roller bearing, wide face up. */
const cupBody = (b: Bearing, top: number): Body => ({
  key: 'cup',
  name: 'Cup',
  size: sizeOfBearing(b),
  lining: 'outer',
  moves: true,
  edge: [
    [b.outerMm / 2, top],
    [b.outerMm / 2, top + b.widthMm],
  ],
  bore: [
    [b.outerFaceInnerMm / 2, top],
    [b.outerFaceInnerMm / 2 - 3, top + b.widthMm],
  ],
  tag: [b.outerMm / 2 - 2, top + b.widthMm * 0.4],
});

/** A single-row ball bearing as two rings. */
export function ballBodies(b: Bearing, top: number, name = 'Bearing', moves = true): Body[] {
  const at: [number, number] = [top, top + b.widthMm];
  return [
    tube('inner-ring', '', '', 'inner', [b.boreMm / 2, b.innerFaceOuterMm / 2], at, { moves }),
    tube('bearing', name, sizeOfBearing(b), 'outer', [b.outerFaceInnerMm / 2, b.outerMm / 2], at, {
      moves,
      tag: [b.outerMm / 2 - 2, top + b.widthMm * 0.3],
    }),
  ];
}
