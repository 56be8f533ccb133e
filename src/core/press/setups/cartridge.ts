import { shellWallMm } from '../kit.ts';
import { type Body, type Picture } from '../picture.ts';
import { type Clearances, type Need, type Requirement, usualClearances } from '../requirement.ts';
import { seatsOf, type WorkOf } from '../workpiece.ts';
import {
  housingContact,
  innerProudMm,
  need,
  rowOf,
  sizeOfBearing,
  tube,
  turned,
  window,
} from './common.ts';

type W = WorkOf<'P2'>;

/** Half-shells on the shoulder of the outer ring: only they get between it and the wheel flange. */
function shells({ cartridge: k }: W, lipMm: number, c: Clearances): Need {
  return need(
    'shoulder of the outer ring',
    k.neckMm,
    k.shoulderMm,
    c.leastContactMm,
    [
      window('innerMm', 'press.round-neck', { min: k.neckMm + c.generalMm }),
      window('outerMm', 'press.round-flange', { min: k.flangeMm + 2 * shellWallMm + c.generalMm }),
      window('lipMm', 'press.lip', { max: lipMm }),
    ],
    {
      shapes: {
        only: ['half-shells'],
        why: 'a whole piece does not get behind the wheel flange, and the flange is never pulled',
      },
    },
  );
}

function common(
  w: W,
): Pick<
  Requirement,
  'carries' | 'row' | 'seat' | 'joins' | 'throughMm' | 'travelMm' | 'followMm' | 'entryMm'
> & { hammer: Requirement['hammer'] } {
  const { bearing: b, housing: h, cartridge: k } = w;
  const { fit, lengthMm } = seatsOf(w).bore;
  return {
    carries: 'outer ring',
    row: rowOf(b),
    seat: { kind: 'bore', fit, lengthMm },
    joins: [
      ['hub', 'inner'],
      ['inner', 'balls'],
      ['balls', 'outer'],
      ['outer', 'knuckle'],
    ],
    throughMm: k.hubBoreMm,
    travelMm: h.seatDepthMm,
    followMm: 0,
    entryMm: h.boreMm,
    hammer: { allowed: false, text: 'No blow on a cartridge: it tilts, and the clip never snaps.' },
  };
}

/** Out: the shells hang from the shoulder's inner side and draw towards the wheel; a receiver stands on the knuckle round them. */
export function cartridgeOut(w: W, c: Clearances = usualClearances): Requirement {
  const { housing: h, cartridge: k } = w;
  // Wheel side down; the knuckle's wheel face is its lower face.
  const face = h.depthMm;
  return {
    ...common(w),
    operation: 'cartridge-out',
    fitting: false,
    up: 'inboard',
    workHeightMm: h.depthMm,
    riserMm: k.flangeMm + c.generalMm,
    drawn: true,
    pusher: shells(w, k.reliefMm, c),
    support: need('wheel side of the knuckle', h.boreMm, h.outerMm, housingContact, [
      window(
        'hollowMm',
        'press.receive',
        { min: h.seatDepthMm + k.shoulderThickMm + k.gapMm + k.flangeThickMm + 3 },
        'cartridge',
      ),
    ]),
    touches: [
      { role: 'pusher', node: 'outer', innerMm: k.neckMm, outerMm: k.shoulderMm },
      { role: 'support', node: 'knuckle', innerMm: h.boreMm, outerMm: h.outerMm },
    ],
    picture: {
      ...picture(w, 'down'),
      pusherAtMm: face,
      supportAtMm: face,
      leadMm: face - h.seatDepthMm,
      lowestMm: face + k.reliefMm + k.shoulderThickMm + k.gapMm + k.flangeThickMm,
      radiusMm: Math.max(h.outerMm, k.flangeMm) / 2,
    },
    hammer: {
      allowed: false,
      text: 'A slide hammer on the flange goes through the balls; what moves it is a steady draw on the shoulder.',
    },
  };
}

/** In: the shells push on the wheel side of the shoulder; a plate on the inner face, clear of the inner ring. */
export function cartridgeIn(w: W, c: Clearances = usualClearances): Requirement {
  const { bearing: b, housing: h, cartridge: k } = w;
  const ends = Math.max(0, h.seatDepthMm - h.depthMm);
  return {
    ...common(w),
    operation: 'cartridge-in',
    fitting: true,
    up: 'outboard',
    workHeightMm: h.depthMm + h.seatDepthMm,
    riserMm: b.innerFaceOuterMm + c.generalMm,
    pusher: shells(w, k.gapMm, c),
    support: need(
      'inner face of the knuckle',
      h.boreMm,
      h.outerMm,
      housingContact,
      [
        window('innerMm', 'press.clear-inner', {
          min: (ends > 0 ? b.outerMm : b.innerFaceOuterMm) + c.generalMm,
        }),
      ],
      { proudMm: ends },
    ),
    touches: [
      { role: 'pusher', node: 'outer', innerMm: k.neckMm, outerMm: k.shoulderMm },
      {
        role: 'support',
        node: 'inner',
        innerMm: b.boreMm,
        outerMm: b.innerFaceOuterMm,
        proudMm: h.seatDepthMm - h.depthMm + innerProudMm(b),
      },
      { role: 'support', node: 'knuckle', innerMm: h.boreMm, outerMm: h.outerMm },
    ],
    picture: {
      ...picture(w, 'up'),
      pusherAtMm: -k.reliefMm - k.shoulderThickMm - h.seatDepthMm,
      supportAtMm: h.depthMm,
      leadMm: 0,
      lowestMm: h.depthMm,
      radiusMm: Math.max(h.outerMm, k.flangeMm) / 2,
    },
  };
}

/** The cartridge home in its knuckle, wheel side up or down, or above it before it goes in. */
function picture(w: W, wheel: 'up' | 'down'): Pick<Picture, 'bodies' | 'bearing' | 'ways'> {
  const { bearing: b, housing: h, cartridge: k } = w;
  const begin = wheel === 'up' ? -h.seatDepthMm : 0;
  // Drawn with the wheel up, then turned over as a whole.
  const at = (z: number) => (wheel === 'up' ? z + begin : h.depthMm - z);
  const flip = (body: Body): Body => ({
    ...body,
    ...(wheel === 'up'
      ? {
          edge: body.edge.map(([r, z]) => [r, z + begin] as const),
          bore: body.bore.map(([r, z]) => [r, z + begin] as const),
        }
      : { edge: turned(body.edge, h.depthMm), bore: turned(body.bore, h.depthMm) }),
    ...(body.tag ? { tag: [body.tag[0], at(body.tag[1])] as const } : {}),
  });
  const top = h.seatDepthMm - b.widthMm;
  const back = -k.reliefMm;
  const flangeAt = back - k.shoulderThickMm - k.gapMm;
  const hub: Body = {
    key: 'hub',
    name: 'Cartridge',
    size: sizeOfBearing(b),
    lining: 'hub',
    moves: true,
    edge: [
      [k.flangeMm / 2, flangeAt - k.flangeThickMm],
      [k.flangeMm / 2, flangeAt],
      [b.boreMm / 2 + 4, flangeAt],
      [b.boreMm / 2 + 4, top],
      [b.boreMm / 2, top],
      [b.boreMm / 2, h.seatDepthMm - 1],
    ],
    bore: [
      [k.hubBoreMm / 2, flangeAt - k.flangeThickMm],
      [k.hubBoreMm / 2, h.seatDepthMm - 1],
    ],
    tag: [k.flangeMm / 2 - 5, flangeAt - k.flangeThickMm / 2],
  };
  const collar = tube(
    'collar',
    'Shoulder',
    '',
    'outer',
    [b.outerFaceInnerMm / 2, k.shoulderMm / 2],
    [back - k.shoulderThickMm, back],
    { moves: true },
  );
  // Where the ring itself does not reach into the relief, its neck does.
  const neck =
    back >= top
      ? undefined
      : tube(
          'neck',
          'Outer ring',
          '',
          'outer',
          [b.outerFaceInnerMm / 2, k.neckMm / 2],
          [back, top],
          { moves: true },
        );
  const outer = (b.outerMm + b.outerFaceInnerMm) / 4;
  const knuckle = tube(
    'knuckle',
    'Knuckle',
    `bore ${h.boreMm} × ${h.seatDepthMm}`,
    'knuckle',
    [h.boreMm / 2, h.outerMm / 2],
    [0, h.depthMm],
    { houses: true, tag: [h.outerMm / 2 - 4, h.depthMm / 2] },
  );
  const p = (r: number, z: number, moves = true) => ({ at: [r, at(z)] as const, moves });
  return {
    bodies: [
      flip(hub),
      ...(neck ? [flip(neck)] : []),
      flip(collar),
      wheel === 'up'
        ? knuckle
        : {
            ...knuckle,
            edge: turned(knuckle.edge, h.depthMm),
            bore: turned(knuckle.bore, h.depthMm),
          },
    ],
    bearing: {
      of: b,
      topMm: wheel === 'up' ? top + begin : h.depthMm - top - b.widthMm,
      moves: true,
      encoderUp:
        b.encoder.kind === 'none' || !w.encoderSide
          ? undefined
          : (w.encoderSide === 'outboard') === (wheel === 'up'),
    },
    ways: {
      outer: [p(outer, back - k.shoulderThickMm / 2), p(outer, top + b.widthMm * 0.5)],
      inner: [p((b.boreMm + b.innerFaceOuterMm) / 4, top + b.widthMm * 0.5)],
      balls: [p(b.pitchMm / 2, top + b.widthMm * 0.27)],
      hub: [p(b.boreMm / 2 - 2, top)],
      knuckle: [{ at: [(h.boreMm + h.outerMm) / 4, h.depthMm / 2], moves: false }],
    },
  };
}
