import type {
  AxleShaft,
  Bearing,
  Cartridge,
  CornerRecord,
  Housing,
  Hub,
  Knuckle,
  Seal,
  Stud,
} from '../corner-record.ts';
import type { Side } from '../corner.ts';
import { apart } from '../printed.ts';
import type { BearingSeries, Material, PressFit, SeatKind } from '../fits/index.ts';

/** Seal and wheel stud go with any family. */
interface Extras {
  seal?: Seal | undefined;
  stud?: Stud | undefined;
}

/** The parts of a job's strokes, as measured, from the catalogue or from the unit's record; one shape a family. */
export type Work = Extras &
  (
    | {
        family: 'P1';
        bearing: Bearing;
        knuckle: Knuckle;
        hub: Hub;
        /** Side the encoder has to face once fitted; absent while nothing says where the sensor sits. */ encoderSide?:
          Side | undefined;
      }
    | {
        family: 'P2';
        bearing: Bearing;
        cartridge: Cartridge;
        housing: Housing;
        encoderSide?: Side | undefined;
      }
    | { family: 'A1' | 'N1'; bearing: Bearing; housing: Housing }
    | { family: 'A2'; bearing: Bearing; shaft: AxleShaft }
    | {
        family: 'B2' | 'T2' | 'A3';
        bearing: Bearing;
        housing: Housing;
        /** The bore at the other end; the same as the first where the record names only one. */ far: Housing;
        journal?: { diameterMm: number; toleranceClass: string } | undefined;
      }
  );
export type WorkOf<F extends Work['family']> = Extract<Work, { family: F }>;

/** One seat that is measured before a new part goes on it. */
export interface SeatSpec {
  nominalMm: number;
  toleranceClass: string;
  fit: Omit<PressFit, 'interferenceMm'>;
  lengthMm: number;
  /** Where the seat begins, mm from the face it is read from. */
  fromMm: number;
  /** What carries the seat: named when it has to be replaced. */
  part: string;
  material: Material;
  /** Which tolerance table the new ring is made to. */
  series: BearingSeries;
}

type Seats<Always extends SeatKind> = Record<Always, SeatSpec> &
  Partial<Record<SeatKind, SeatSpec>>;

/** The seats of a family that must be measured: a bore, a journal, or both. */
export function seatsOf(w: WorkOf<'P1'>): Seats<SeatKind>;
export function seatsOf(w: WorkOf<'A2'>): Seats<'journal'>;
export function seatsOf(w: Exclude<Work, WorkOf<'A2'>>): Seats<'bore'>;
export function seatsOf(w: Work): Partial<Record<SeatKind, SeatSpec>>;
export function seatsOf(w: Work): Partial<Record<SeatKind, SeatSpec>> {
  const { bearing: b } = w;
  const series = w.family === 'T2' || w.family === 'A3' ? 'taper' : 'radial';
  const inBore = (
    h: Pick<Housing, 'boreClass' | 'outerMm' | 'material' | 'seatDepthMm'>,
    part: string,
  ): SeatSpec => ({
    nominalMm: b.outerMm,
    toleranceClass: h.boreClass,
    // Only what lies in the bore grips; a cartridge's ring may be longer than its seat.
    lengthMm: Math.min(b.widthMm, h.seatDepthMm),
    fromMm: Math.max(0, h.seatDepthMm - b.widthMm),
    part,
    material: h.material,
    series,
    fit: {
      diameterMm: b.outerMm,
      outerDiameterMm: h.outerMm,
      innerBoreMm: b.outerFaceInnerMm,
      outerMaterial: h.material,
      innerMaterial: 'steel',
    },
  });
  const onJournal = (
    toleranceClass: string,
    innerBoreMm: number,
    part: string,
    journalMm = b.innerWidthMm,
  ): SeatSpec => ({
    nominalMm: b.boreMm,
    toleranceClass,
    lengthMm: Math.min(b.innerWidthMm, journalMm),
    fromMm: 0,
    part,
    material: 'steel',
    series,
    fit: {
      diameterMm: b.boreMm,
      outerDiameterMm: b.innerFaceOuterMm,
      innerBoreMm,
      outerMaterial: 'steel',
      innerMaterial: 'steel',
    },
  });
  switch (w.family) {
    case 'P1':
      return {
        bore: inBore({ ...w.knuckle, outerMm: w.knuckle.bossOuterMm }, 'knuckle'),
        journal: onJournal(w.hub.journalClass, w.hub.boreMm, 'hub', w.hub.journalLengthMm),
      };
    case 'P2':
      return { bore: inBore(w.housing, 'knuckle') };
    case 'A1':
      return { bore: inBore(w.housing, 'axle tube') };
    case 'N1':
      return { bore: inBore(w.housing, 'stub axle') };
    case 'A2':
      return { journal: onJournal(w.shaft.journalClass, 0, 'axle shaft') };
    case 'B2':
      return {
        bore: inBore(w.housing, 'hub'),
        ...(w.journal ? { journal: onJournal(w.journal.toleranceClass, 0, 'axle shaft') } : {}),
      };
    // The cones slide on the spindle by design: only the cups' bore has to grip.
    case 'T2':
    case 'A3':
      return { bore: inBore(w.housing, 'hub') };
  }
}

/** A part that does not belong to the unit: what differs, on record and of the part, mm. */
export interface Misfit {
  what: 'bore' | 'outside';
  recordMm: number;
  partMm: number;
}
/** Doubt of a size on record until it says better, mm. Our judgement. */
const recordDoubtMm = 0.1;

/** Sizes in which a part differs from what the unit's record says of its seats; empty where it belongs there. */
export function misfits(
  family: string | undefined,
  c: CornerRecord | undefined,
  bearing: Pick<Bearing, 'boreMm' | 'outerMm'>,
): Misfit[] {
  const bores: Partial<Record<string, number | undefined>> = {
    P1: c?.hub?.journalMm,
    A2: c?.shaft?.journalMm,
    B2: c?.journal?.diameterMm,
  };
  const outsides: Partial<Record<string, number | undefined>> = {
    P1: c?.knuckle?.boreMm,
    P2: c?.housing?.boreMm,
    A1: c?.housing?.boreMm,
    N1: c?.housing?.boreMm,
    B2: c?.housing?.boreMm,
  };
  const found: [Misfit['what'], number | undefined, number][] = [
    ['bore', bores[family ?? ''], bearing.boreMm],
    ['outside', outsides[family ?? ''], bearing.outerMm],
  ];
  return found.flatMap(([what, recordMm, partMm]) =>
    recordMm !== undefined && apart(recordMm, partMm) > recordDoubtMm
      ? [{ what, recordMm, partMm }]
      : [],
  );
}

/** Whether a corner on record may be built like one of this family and part: its parts are measured, and its seats take the part. */
export const builtAlike = (
  record: CornerRecord,
  family: string,
  part: Pick<Bearing, 'boreMm' | 'outerMm'>,
): boolean =>
  record.family === family &&
  (record.knuckle ?? record.housing ?? record.shaft) !== undefined &&
  misfits(family, record, part).length === 0;

/** Geometry of a corner's strokes from its record and the part; undefined where a body of this family is not on record, never guessed, and where the part does not belong to it. */
export function workFrom(
  family: string | undefined,
  c: CornerRecord | undefined,
  bearing: Bearing | undefined,
  encoderSide?: Side,
): Work | undefined {
  if (!c || !bearing || misfits(family, c, bearing).length > 0) return undefined;
  const extras = { bearing, seal: c.seal, stud: c.stud };
  switch (family) {
    case 'P1':
      return (
        c.knuckle && c.hub && { family, ...extras, knuckle: c.knuckle, hub: c.hub, encoderSide }
      );
    case 'P2':
      return (
        c.cartridge &&
        c.housing && { family, ...extras, cartridge: c.cartridge, housing: c.housing, encoderSide }
      );
    case 'A1':
    case 'N1':
      return c.housing && { family, ...extras, housing: c.housing };
    case 'A2':
      return c.shaft && { family, ...extras, shaft: c.shaft };
    case 'B2':
    case 'T2':
    case 'A3':
      return (
        c.housing && {
          family,
          ...extras,
          housing: c.housing,
          far: c.far ?? c.housing,
          journal: c.journal,
        }
      );
    default:
      return undefined;
  }
}
