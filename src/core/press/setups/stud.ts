import type { Stud } from '../../corner-record.ts';
import { type Body } from '../picture.ts';
import { type Clearances, type Requirement, type Seat, usualClearances } from '../requirement.ts';
import { need, tube, window } from './common.ts';

const seatOf = (s: Stud): Seat => ({
  kind: 'fixed',
  lengthMm: s.flangeThickMm,
  tightMm: { low: s.lowMm, likely: (s.lowMm + s.highMm) / 2, high: s.highMm },
  source: 'knurl in its hole, unit’s record',
  fit: {
    diameterMm: s.knurlMm,
    outerDiameterMm: 2 * s.knurlMm,
    innerBoreMm: 0,
    outerMaterial: 'steel',
    innerMaterial: 'steel',
  },
});

/** The stud with its head up or down, its knurl at the flange or above it. */
function bodies(s: Stud, headUp: boolean, at: number): Body[] {
  const [head, knurl, thread] = [s.headMm / 2, s.knurlMm / 2, s.threadMm / 2];
  const edge = [
    [head, -s.headHeightMm],
    [head, 0],
    [knurl, 0],
    [knurl, s.flangeThickMm],
    [thread, s.flangeThickMm],
    [thread, s.lengthMm],
  ] as const;
  const placed = edge.map(([r, z]) => [r, (headUp ? z : -z) + at] as const);
  const flange = tube(
    'flange',
    'Wheel flange',
    `${s.flangeThickMm} thick`,
    'hub',
    [knurl - 0.2, s.roomMm / 2 + 14],
    [0, s.flangeThickMm],
    { houses: true, tag: [s.roomMm / 2 + 8, s.flangeThickMm / 2] },
  );
  return [
    {
      key: 'stud',
      name: 'Wheel stud',
      size: `Ø ${s.knurlMm} × ${s.lengthMm}`,
      lining: 'outer',
      edge: headUp ? placed : [...placed].reverse(),
      bore: [],
      moves: true,
      tag: [knurl - 2, at + (headUp ? s.flangeThickMm / 2 : -s.flangeThickMm / 2)],
    },
    flange,
  ];
}
const ways = (s: Stud, z: number): Requirement['picture']['ways'] => ({
  stud: [{ at: [s.threadMm / 5, z], moves: true }],
  flange: [{ at: [s.knurlMm / 2 + 5, s.flangeThickMm / 2], moves: false }],
});

/** Out: the ram on the threaded end, a deep socket under the flange round the head. */
export function studOut(s: Stud, c: Clearances = usualClearances): Requirement {
  const at = s.flangeThickMm;
  return {
    operation: 'stud-out',
    fitting: false,
    travelMm: s.flangeThickMm,
    workHeightMm: s.lengthMm,
    followMm: 0,
    entryMm: Infinity,
    riserMm: s.headMm + c.generalMm,
    carries: 'flange beside the stud',
    throughMm: 0,
    pusher: need('threaded end of the stud', 0, s.threadMm, c.leastContactMm, []),
    support: need('flange beside the stud', s.knurlMm, s.roomMm, c.leastContactMm, [
      window('innerMm', 'press.head-through', { min: s.headMm + c.generalMm }),
      window(
        'hollowMm',
        'press.stud-drop',
        { min: s.headHeightMm + s.flangeThickMm + 3 },
        'stud to come free',
      ),
      window('outerMm', 'press.stud-room', { max: s.roomMm }),
    ]),
    touches: [
      { role: 'pusher', node: 'stud', innerMm: 0, outerMm: s.threadMm },
      { role: 'support', node: 'flange', innerMm: s.knurlMm, outerMm: s.roomMm },
    ],
    joins: [['stud', 'flange']],
    seat: seatOf(s),
    hammer: {
      allowed: true,
      text: 'A blow on a stud goes through the bearing unless the flange is held beside it.',
    },
    picture: {
      bodies: bodies(s, false, at),
      pusherAtMm: at - s.lengthMm,
      supportAtMm: s.flangeThickMm,
      leadMm: at,
      ways: ways(s, 0),
      lowestMm: s.flangeThickMm + s.headHeightMm,
      radiusMm: s.roomMm / 2 + 14,
    },
  };
}

/** In: pushed or drawn square by its head, the flange held on its wheel side beside it. */
export function studIn(s: Stud, c: Clearances = usualClearances): Requirement {
  const at = -s.flangeThickMm;
  return {
    operation: 'stud-in',
    fitting: true,
    travelMm: s.flangeThickMm,
    workHeightMm: 2 * s.flangeThickMm + s.headHeightMm,
    followMm: 0,
    entryMm: Infinity,
    riserMm: s.threadMm + c.generalMm,
    carries: 'flange beside the stud',
    throughMm: 0,
    pusher: need('head of the stud', 0, s.headMm, c.leastContactMm, [
      window('outerMm', 'press.stud-room', { max: s.roomMm }),
    ]),
    support: need('wheel side of the flange', s.knurlMm, s.roomMm, c.leastContactMm, [
      window('innerMm', 'press.thread-through', { min: s.knurlMm + c.generalMm }),
      window(
        'hollowMm',
        'press.stud-drop',
        { min: s.lengthMm - s.flangeThickMm + 3 },
        'thread that comes through',
      ),
    ]),
    touches: [
      { role: 'pusher', node: 'stud', innerMm: 0, outerMm: s.headMm },
      { role: 'support', node: 'flange', innerMm: s.knurlMm, outerMm: s.roomMm },
    ],
    joins: [['stud', 'flange']],
    seat: seatOf(s),
    hammer: {
      allowed: false,
      text: 'Drawn square with a nut and washers, or pressed: a hammered stud leans.',
    },
    picture: {
      bodies: bodies(s, true, at),
      pusherAtMm: at - s.headHeightMm,
      supportAtMm: s.flangeThickMm,
      leadMm: 0,
      ways: ways(s, at - 1),
      lowestMm: s.lengthMm - s.flangeThickMm,
      radiusMm: s.roomMm / 2 + 14,
    },
  };
}
