import { opposite } from '../../corner.ts';
import { type Clearances, type Requirement, type Touch, usualClearances } from '../requirement.ts';
import { type WorkOf } from '../workpiece.ts';
import { housingContact, innerProudMm, need, rowOf, window } from './common.ts';
import {
  bearingAt,
  bossEdge,
  bossRadius,
  hubBody,
  innerFace,
  knuckleBody,
  pick,
  ringOutside,
  rings,
  snapRing,
  studBody,
  waysOf,
  wheelEdge,
} from './p1-bodies.ts';

type W = WorkOf<'P1'>;

const noHammer = (text: string) => ({ allowed: false, text });

/** Height at which the seated bearing's upper face stands below the knuckle's upper face. */
const seatedMm = ({ bearing: b, knuckle: k }: W, up: 'inboard' | 'outboard') =>
  k.snapRingSide === up ? k.seatDepthMm - b.widthMm : k.bossDepthMm - k.seatDepthMm;

export function hubOut(w: W, c: Clearances = usualClearances): Requirement {
  const { bearing: b, knuckle: k, hub: h } = w;
  const drop = h.journalLengthMm + h.overhangMm;
  const up = 'inboard';
  const seated = seatedMm(w, up);
  const shoulder = seated + b.widthMm + innerProudMm(b);
  const stands: [number, number] = [
    k.snapRingSide === 'outboard' ? k.boreMm : k.shoulderMm,
    k.wheelSideReachMm,
  ];
  const hubR = (h.journalMm + h.boreMm) / 4;
  return {
    operation: 'hub-out',
    fitting: false,
    up,
    // The end of the journal has to come through the whole ring, and what stands beyond the ring with it.
    travelMm: Math.max(b.innerWidthMm, h.journalLengthMm),
    workHeightMm: k.bossDepthMm,
    followMm: h.journalLengthMm,
    entryMm: b.boreMm,
    riserMm: h.flangeMm + c.generalMm,
    carries: 'inner ring',
    throughMm: h.boreMm,
    pusher: need('end of the hub journal', h.boreMm, h.journalMm, c.leastContactMm, [
      window('outerMm', 'press.pass-inner', { max: b.boreMm - c.generalMm }),
      window('heightMm', 'press.reach-free', { min: h.journalLengthMm }, 'hub'),
    ]),
    support: need('wheel side of the knuckle', ...stands, housingContact, [
      window('innerMm', 'press.clear-flange', { min: h.flangeMm + c.generalMm }),
      window('hollowMm', 'press.drop', { min: drop }, 'hub'),
    ]),
    touches: [
      { role: 'pusher', node: 'hub', innerMm: h.boreMm, outerMm: h.journalMm },
      { role: 'support', node: 'knuckle', innerMm: stands[0], outerMm: stands[1] },
    ],
    joins: [...rings, ['hub', 'inner']],
    row: rowOf(b),
    seat: { kind: 'journal', ...pick(w, 'journal') },
    hammer: {
      allowed: true,
      text: 'Blows on the hub mark it and go through the balls: only when the bearing is scrap and the hub is measured again.',
    },
    picture: {
      ...bearingAt(w, up, seated, { name: 'Old bearing' }),
      bodies: [
        hubBody(w, shoulder, false),
        studBody(w, shoulder, false),
        knuckleBody(w, up, wheelEdge(k)),
      ],
      pusherAtMm: shoulder - h.journalLengthMm,
      supportAtMm: k.bossDepthMm,
      leadMm: shoulder - h.journalLengthMm,
      ways: {
        ...waysOf(w, seated, false),
        hub: [
          { at: [hubR, shoulder - h.journalLengthMm + 4], moves: true },
          { at: [hubR, seated + b.widthMm / 2], moves: true },
        ],
      },
      lowestMm: k.bossDepthMm + h.overhangMm,
      radiusMm: Math.max(k.wheelSideReachMm, h.flangeMm) / 2,
    },
  };
}

export function bearingOut(w: W, c: Clearances = usualClearances): Requirement {
  const { bearing: b, knuckle: k } = w;
  const up = opposite(k.snapRingSide);
  const seated = seatedMm(w, up);
  const onOuter = k.shoulderMm - b.outerFaceInnerMm >= 2 * c.leastContactMm + c.generalMm;
  return {
    operation: 'bearing-out',
    fitting: false,
    up,
    travelMm: k.seatDepthMm,
    workHeightMm: k.bossDepthMm,
    followMm: k.bossDepthMm,
    entryMm: k.shoulderMm,
    riserMm: b.outerMm + c.generalMm,
    carries: 'outer ring',
    throughMm: b.boreMm,
    pusher: need(
      onOuter ? 'outer ring' : 'old inner ring',
      onOuter ? b.outerFaceInnerMm : b.boreMm,
      onOuter ? k.shoulderMm : b.innerFaceOuterMm,
      c.leastContactMm,
      [
        window('outerMm', 'press.pass-shoulder', { max: k.shoulderMm - c.generalMm }),
        window('heightMm', 'press.reach-free', { min: k.bossDepthMm }, 'bearing'),
      ],
    ),
    support: need('snap-ring face of the knuckle', k.boreMm, k.bossOuterMm, housingContact, [
      window('innerMm', 'press.clear-bearing', { min: b.outerMm + c.generalMm }),
      window(
        'hollowMm',
        'press.receive',
        { min: Math.max(b.widthMm, b.innerWidthMm) + 3 },
        'bearing',
      ),
    ]),
    touches: [
      { role: 'pusher', node: 'outer', innerMm: b.outerFaceInnerMm, outerMm: k.shoulderMm },
      innerFace(b, 'pusher', innerProudMm(b)),
      { role: 'support', node: 'knuckle', innerMm: k.boreMm, outerMm: k.bossOuterMm },
    ],
    joins: rings,
    row: rowOf(b),
    seat: { kind: 'bore', ...pick(w, 'bore') },
    hammer: {
      allowed: true,
      text: 'Blows start it crooked and raise the edge of the bore. All round, small, on the old ring; then measure the bore again.',
    },
    picture: {
      ...bearingAt(w, up, seated, { moves: true, missingInner: 'lower' }),
      bodies: [ringOutside(w, seated, 'Old bearing'), knuckleBody(w, up, bossEdge(k))],
      pusherAtMm: seated,
      supportAtMm: k.bossDepthMm,
      leadMm: seated + b.widthMm,
      ways: waysOf(w, seated, true),
      lowestMm: k.bossDepthMm,
      radiusMm: bossRadius(k),
    },
  };
}

export function bearingIn(w: W, c: Clearances = usualClearances): Requirement {
  const { bearing: b, knuckle: k, encoderSide } = w;
  const proud = Math.max(0, innerProudMm(b));
  const follow = Math.max(0, k.seatDepthMm - b.widthMm);
  const up = k.snapRingSide;
  const encoderUp = b.encoder.kind !== 'none' && encoderSide === up;
  return {
    operation: 'bearing-in',
    fitting: true,
    up,
    travelMm: k.seatDepthMm,
    workHeightMm: k.bossDepthMm + b.widthMm,
    followMm: follow,
    entryMm: k.boreMm,
    riserMm: k.shoulderMm,
    carries: 'outer ring',
    throughMm: b.boreMm,
    pusher: need(
      'outer ring',
      b.outerFaceInnerMm,
      b.outerMm,
      c.leastContactMm,
      [
        window('outerMm', 'press.follow-bore', { max: k.boreMm - c.followMm }, 'bearing'),
        window(
          'innerMm',
          'press.outer-ring-only',
          { min: b.outerFaceInnerMm },
          encoderUp ? 'encoder and the inner ring' : 'seal and the inner ring',
        ),
        window('heightMm', 'press.reach', { min: follow + 2 }, 'ring'),
      ],
      { proudMm: proud + 0.5 },
    ),
    support: need(
      'far face of the knuckle round the shoulder',
      k.shoulderMm,
      k.farFaceOuterMm,
      housingContact,
      [
        window(
          'innerMm',
          'press.support-close',
          { min: k.shoulderMm, max: k.shoulderMm + 30 },
          'shoulder',
        ),
      ],
      { proudMm: proud },
    ),
    touches: [
      { role: 'pusher', node: 'outer', innerMm: b.outerFaceInnerMm, outerMm: b.outerMm },
      innerFace(b, 'pusher', innerProudMm(b)),
      innerFace(b, 'support', k.seatDepthMm + innerProudMm(b) - k.bossDepthMm),
      { role: 'support', node: 'knuckle', innerMm: k.shoulderMm, outerMm: k.farFaceOuterMm },
    ],
    joins: rings,
    row: rowOf(b),
    seat: { kind: 'bore', ...pick(w, 'bore') },
    hammer: noHammer('Blows start it crooked and mark the ring: a press or a screw.'),
    picture: {
      ...bearingAt(w, up, -b.widthMm, { moves: true }),
      bodies: [ringOutside(w, -b.widthMm, 'Bearing'), knuckleBody(w, up, bossEdge(k))],
      pusherAtMm: -b.widthMm,
      supportAtMm: k.bossDepthMm,
      leadMm: 0,
      ways: waysOf(w, -b.widthMm, true),
      lowestMm: k.bossDepthMm,
      radiusMm: bossRadius(k),
    },
  };
}

export function hubIn(w: W, c: Clearances = usualClearances): Requirement {
  const { bearing: b, knuckle: k, hub: h, encoderSide } = w;
  const up = 'outboard';
  const through = Math.max(0, h.journalLengthMm - b.innerWidthMm);
  const recess =
    k.snapRingSide === 'inboard' ? k.seatDepthMm - b.widthMm : k.bossDepthMm - k.seatDepthMm;
  const encoderDown = b.encoder.kind !== 'none' && encoderSide === 'inboard';
  const seated = seatedMm(w, up);
  // Above the ring by its whole journal: that is its way to go, however much of it comes out below.
  const shoulder = seated - innerProudMm(b) - h.journalLengthMm;
  const hubR = (h.journalMm + h.boreMm) / 4;
  const innerR = (b.boreMm + b.innerFaceOuterMm) / 4;
  const snapFaceDown = k.snapRingSide === opposite(up);
  const under: Touch[] = [
    innerFace(b, 'support', 0),
    {
      role: 'support',
      node: 'outer',
      innerMm: b.outerFaceInnerMm,
      outerMm: b.outerMm,
      proudMm: -innerProudMm(b),
    },
    // Where the bearing lies deep, a wide support or a plate under a low one meets the knuckle first.
    {
      role: 'support',
      node: 'knuckle',
      innerMm: snapFaceDown ? k.boreMm : k.shoulderMm,
      outerMm: snapFaceDown ? k.bossOuterMm : k.farFaceOuterMm,
      proudMm: recess - innerProudMm(b),
    },
  ];
  return {
    operation: 'hub-in',
    lastByHandMm: 10,
    fitting: true,
    up,
    travelMm: h.journalLengthMm,
    workHeightMm: b.innerWidthMm + h.journalLengthMm + h.overhangMm,
    followMm: 0,
    entryMm: k.boreMm,
    riserMm: h.journalMm + c.generalMm,
    carries: 'inner ring',
    throughMm: h.boreMm,
    pusher: need('hub flange inside the studs', h.boreMm, h.insideStudsMm, housingContact, [
      window('outerMm', 'press.inside-studs', { max: h.insideStudsMm - c.generalMm }),
    ]),
    support: need(
      'inner ring at the far end',
      b.boreMm,
      b.innerFaceOuterMm,
      c.leastContactMm,
      [
        window(
          'outerMm',
          'press.inner-ring-only',
          { max: b.innerFaceOuterMm },
          encoderDown ? 'encoder and the outer ring' : 'outer ring or the knuckle',
        ),
        window('innerMm', 'press.journal-through', { min: h.journalMm + c.generalMm }),
        window('hollowMm', 'press.journal-room', { min: through + 3 }),
        window('heightMm', 'press.stand-clear', { min: Math.max(0, recess) + 5 }),
      ],
      { proudMm: through },
    ),
    touches: [{ role: 'pusher', node: 'hub', innerMm: h.boreMm, outerMm: h.flangeMm }, ...under],
    joins: [...rings, ['hub', 'inner']],
    row: rowOf(b),
    seat: { kind: 'journal', ...pick(w, 'journal') },
    hammer: noHammer('Never a blow on a hub going into a new bearing: the balls take it.'),
    picture: {
      ...bearingAt(w, up, seated, { name: 'Bearing' }),
      bodies: [
        hubBody(w, shoulder, true),
        studBody(w, shoulder, true),
        knuckleBody(w, up, bossEdge(k)),
        snapRing(w, up),
      ],
      pusherAtMm: shoulder - h.overhangMm,
      supportAtMm: seated + b.widthMm + innerProudMm(b),
      leadMm: shoulder,
      ways: {
        ...waysOf(w, seated, false),
        hub: [
          { at: [hubR, shoulder - h.overhangMm / 2], moves: true },
          { at: [hubR, shoulder + b.widthMm * 0.4], moves: true },
        ],
        inner: [
          { at: [innerR, seated + b.widthMm * 0.72], moves: false },
          { at: [innerR, seated + b.widthMm - 1], moves: false },
        ],
      },
      lowestMm: k.bossDepthMm,
      radiusMm: Math.max(bossRadius(k), h.flangeMm / 2),
    },
  };
}
