import { opposite, type Bearing, type Hub, type Knuckle, type Side } from '../parts.ts';

export const operations = ['hub-out', 'bearing-out', 'bearing-in', 'hub-in'] as const;
export type Operation = (typeof operations)[number];

export const operationNames: Record<Operation, string> = {
  'hub-out': 'Press hub out of bearing',
  'bearing-out': 'Press bearing out of knuckle',
  'bearing-in': 'Press bearing into knuckle',
  'hub-in': 'Press hub into bearing',
};

/** The parts of one stroke, as measured or from the catalogue. */
export interface Work {
  bearing: Bearing;
  knuckle: Knuckle;
  hub: Hub;
  /** Side the encoder has to face once fitted; absent while nothing says where the sensor sits. */
  encoderSide?: Side | undefined;
}

export type Measure = 'outerMm' | 'innerMm' | 'heightMm' | 'hollowMm';

/** A window that one dimension of a piece must lie in. */
export interface Window {
  measure: Measure;
  min?: number;
  max?: number;
  rule: string;
  /** What the technician is told when the piece falls out of it, after the piece and its figure. */
  tooSmall?: string;
  tooLarge?: string;
  level: 'stop' | 'check';
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
}

export interface Requirement {
  operation: Operation;
  pusher: Need;
  support: Need;
  /** Side of the vehicle that looks up at the ram. */
  up: Side;
  /** Travel from first contact of the fit to home, or until the fit lets go, mm. */
  travelMm: number;
  /** Height of the work between pusher face and support face at the start, mm. */
  workHeightMm: number;
  /** How deep the pusher follows below the knuckle's upper face, mm. */
  followMm: number;
}

/** Clearances on diameter: general, and for a piece that follows into the bore (engineering judgement, editable). */
export interface Clearances {
  generalMm: number;
  followMm: number;
  leastContactMm: number;
}
export const usualClearances: Clearances = { generalMm: 0.5, followMm: 0.2, leastContactMm: 1.5 };

const housingContact = 3;

/** What the pieces of one stroke have to satisfy, from the parts alone. */
export function requirement(operation: Operation, w: Work, c: Clearances = usualClearances): Requirement {
  switch (operation) {
    case 'hub-out': return hubOut(w, c);
    case 'bearing-out': return bearingOut(w, c);
    case 'bearing-in': return bearingIn(w, c);
    case 'hub-in': return hubIn(w, c);
  }
}

function hubOut({ bearing, knuckle, hub }: Work, c: Clearances): Requirement {
  const drop = hub.journalLengthMm + hub.overhangMm;
  return {
    operation: 'hub-out',
    up: 'inboard',
    travelMm: bearing.innerWidthMm,
    workHeightMm: knuckle.bossDepthMm,
    followMm: hub.journalLengthMm,
    pusher: {
      proudMm: 0,
      face: { name: 'end of the hub journal', innerMm: hub.boreMm, outerMm: hub.journalMm, leastMm: c.leastContactMm },
      windows: [
        { measure: 'outerMm', max: bearing.boreMm - c.generalMm, rule: 'press.pass-inner', level: 'stop', tooLarge: 'will not pass the inner ring' },
        { measure: 'heightMm', min: hub.journalLengthMm, rule: 'press.reach', level: 'stop', tooSmall: 'will not reach until the hub is free' },
      ],
    },
    support: {
      proudMm: 0,
      face: { name: 'wheel side of the knuckle', innerMm: knuckle.snapRingSide === 'outboard' ? knuckle.boreMm : knuckle.shoulderMm, outerMm: knuckle.wheelSideReachMm, leastMm: housingContact },
      windows: [
        { measure: 'innerMm', min: hub.flangeMm + c.generalMm, rule: 'press.clear-flange', level: 'stop', tooSmall: 'holds the hub flange, so the hub cannot drop' },
        { measure: 'hollowMm', min: drop, rule: 'press.drop', level: 'stop', tooSmall: 'is too shallow for the hub to drop free' },
      ],
    },
  };
}

function bearingOut({ bearing, knuckle }: Work, c: Clearances): Requirement {
  const room = knuckle.shoulderMm - bearing.outerFaceInnerMm;
  const onOuter = room >= 2 * c.leastContactMm + c.generalMm;
  return {
    operation: 'bearing-out',
    up: opposite(knuckle.snapRingSide),
    travelMm: knuckle.seatDepthMm,
    workHeightMm: knuckle.bossDepthMm,
    followMm: knuckle.bossDepthMm,
    pusher: {
      proudMm: 0,
      face: onOuter
        ? { name: 'outer ring', innerMm: bearing.outerFaceInnerMm, outerMm: knuckle.shoulderMm, leastMm: c.leastContactMm }
        : { name: 'old inner ring', innerMm: bearing.boreMm, outerMm: bearing.innerFaceOuterMm, leastMm: c.leastContactMm },
      windows: [
        { measure: 'outerMm', max: knuckle.shoulderMm - c.generalMm, rule: 'press.pass-shoulder', level: 'stop', tooLarge: 'lands on the shoulder of the knuckle' },
        { measure: 'heightMm', min: knuckle.bossDepthMm, rule: 'press.reach', level: 'stop', tooSmall: 'will not reach until the bearing is free' },
      ],
    },
    support: {
      proudMm: 0,
      face: { name: 'snap-ring face of the knuckle', innerMm: knuckle.boreMm, outerMm: knuckle.bossOuterMm, leastMm: housingContact },
      windows: [
        { measure: 'innerMm', min: bearing.outerMm + c.generalMm, rule: 'press.clear-bearing', level: 'stop', tooSmall: 'is too narrow to receive the bearing' },
        { measure: 'hollowMm', min: Math.max(bearing.widthMm, bearing.innerWidthMm) + 3, rule: 'press.receive', level: 'stop', tooSmall: 'is too shallow to receive the bearing' },
      ],
    },
  };
}

function bearingIn({ bearing, knuckle, encoderSide }: Work, c: Clearances): Requirement {
  const proud = (bearing.innerWidthMm - bearing.widthMm) / 2;
  const follow = Math.max(0, knuckle.seatDepthMm - bearing.widthMm);
  const encoderUp = bearing.encoder.kind !== 'none' && encoderSide === knuckle.snapRingSide;
  return {
    operation: 'bearing-in',
    up: knuckle.snapRingSide,
    travelMm: knuckle.seatDepthMm,
    workHeightMm: knuckle.bossDepthMm + bearing.widthMm,
    followMm: follow,
    pusher: {
      proudMm: Math.max(0, proud) + 0.5,
      face: { name: 'outer ring', innerMm: bearing.outerFaceInnerMm, outerMm: bearing.outerMm, leastMm: c.leastContactMm },
      windows: [
        { measure: 'outerMm', max: knuckle.boreMm - c.followMm, rule: 'press.follow-bore', level: 'stop', tooLarge: 'will not follow the bearing into the bore' },
        { measure: 'innerMm', min: bearing.outerFaceInnerMm, rule: 'press.outer-ring-only', level: 'stop', tooSmall: encoderUp ? 'reaches the encoder and the inner ring' : 'reaches the seal and the inner ring' },
        { measure: 'heightMm', min: follow + 2, rule: 'press.reach', level: 'stop', tooSmall: 'is too low to bring the ring home past the groove' },
      ],
    },
    support: {
      proudMm: Math.max(0, proud),
      face: { name: 'far face of the knuckle round the shoulder', innerMm: knuckle.shoulderMm, outerMm: knuckle.farFaceOuterMm, leastMm: housingContact },
      windows: [
        { measure: 'innerMm', min: knuckle.shoulderMm, max: knuckle.shoulderMm + 30, rule: 'press.support-close', level: 'check', tooSmall: 'closes the opening of the shoulder', tooLarge: 'stands wide of the shoulder, so the casting bends' },
      ],
    },
  };
}

function hubIn({ bearing, knuckle, hub, encoderSide }: Work, c: Clearances): Requirement {
  const through = Math.max(0, hub.journalLengthMm - bearing.innerWidthMm);
  const recess = knuckle.snapRingSide === 'inboard' ? knuckle.seatDepthMm - bearing.widthMm : knuckle.bossDepthMm - knuckle.seatDepthMm;
  const encoderDown = bearing.encoder.kind !== 'none' && encoderSide === 'inboard';
  return {
    operation: 'hub-in',
    up: 'outboard',
    travelMm: bearing.innerWidthMm,
    workHeightMm: bearing.innerWidthMm + hub.journalLengthMm + hub.flangeThickMm,
    followMm: 0,
    pusher: {
      proudMm: 0,
      face: { name: 'hub flange inside the studs', innerMm: hub.boreMm, outerMm: hub.insideStudsMm, leastMm: housingContact },
      windows: [{ measure: 'outerMm', max: hub.insideStudsMm - c.generalMm, rule: 'press.inside-studs', level: 'stop', tooLarge: 'lands on the wheel studs' }],
    },
    support: {
      proudMm: through,
      face: { name: 'inner ring at the far end', innerMm: bearing.boreMm, outerMm: bearing.innerFaceOuterMm, leastMm: c.leastContactMm },
      windows: [
        { measure: 'outerMm', max: bearing.innerFaceOuterMm, rule: 'press.inner-ring-only', level: 'stop', tooLarge: encoderDown ? 'reaches the encoder and the outer ring, and the balls carry the force' : 'reaches the outer ring or the knuckle, and the balls carry the force' },
        { measure: 'innerMm', min: hub.journalMm + c.generalMm, rule: 'press.journal-through', level: 'stop', tooSmall: 'stops the journal coming through' },
        { measure: 'hollowMm', min: through + 3, rule: 'press.journal-room', level: 'stop', tooSmall: 'is too shallow for the journal that comes through' },
        { measure: 'heightMm', min: Math.max(0, recess) + 5, rule: 'press.stand-clear', level: 'stop', tooSmall: 'is too low: the knuckle would touch the bed' },
      ],
    },
  };
}
