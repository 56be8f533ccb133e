import { type Static, Type } from '@sinclair/typebox';
import { CornerRecordSchema, NutSchema } from '../corner-record.ts';
import { exposures } from '../diagnosis/history.ts';
import { InstrumentSchema } from '../fits/seat.ts';
import { LifeSchema } from '../logbook/life.ts';
import { PartSchema } from '../matching/catalogue-part.ts';
import { AdapterSchema, PressSchema } from '../press/kit.ts';
import { FastenerSchema } from '../torque/fastener.ts';
import { ProcedureSchema } from '../torque/stage.ts';
import { WrenchSchema } from '../torque/wrench.ts';
import { ServicedSchema } from '../service/serviced.ts';
import { closed, Currency, DateOnly, Id, Km, Maybe, Mm, oneOf, Text } from './common.ts';

/** The open file formats of a workshop: what the demo data is written in, and what a user may import. */

/** When the bearing of a corner was fitted, and by whom: the factory or a workshop. */
const FittedSchema = closed({
  atKm: Km,
  again: Type.Boolean(),
  note: Maybe(Text(80)),
});

/** A number or plate as it is kept: up to eight letters and digits. */
export const fleetNoPattern = '^[0-9A-Z-]{1,8}$';

/** A clock that was misread or exchanged, brought down by a lead; distances go on from here. */
const ClockCorrectedSchema = closed({
  fromKm: Km,
  toKm: Km,
  reason: Text(400),
  byId: Id,
  atMs: Type.Number(),
});

export const UnitSchema = closed({
  id: Id,
  fleetNo: Type.String({ pattern: fleetNoPattern }),
  name: Text(60),
  maker: Maybe(Text(60)),
  layout: oneOf(['front', 'rear', 'all', 'solid-rear'] as const),
  /** Absent until somebody has read the clock. */
  odometerKm: Maybe(Km),
  clockCorrected: Maybe(Type.Array(ClockCorrectedSchema, { maxItems: 50 })),
  tyre: Maybe(Text(20)),
  year: Maybe(Type.Integer({ minimum: 1900, maximum: 2100 })),
  /** Identification number as it was typed; a slip in it is told, not refused. */
  identification: Maybe(Text(24)),
  /** Load of an axle on the ground, N, where somebody knows it. */
  axleLoadN: Maybe(
    Type.Partial(
      closed({
        front: Type.Number({ exclusiveMinimum: 0, maximum: 200_000 }),
        rear: Type.Number({ exclusiveMinimum: 0, maximum: 200_000 }),
      }),
    ),
  ),
  corners: Type.Partial(
    closed({
      LF: CornerRecordSchema,
      RF: CornerRecordSchema,
      LR: CornerRecordSchema,
      RR: CornerRecordSchema,
    }),
  ),
  fitted: Maybe(
    Type.Partial(
      closed({ LF: FittedSchema, RF: FittedSchema, LR: FittedSchema, RR: FittedSchema }),
    ),
  ),
  /** When packed bearings were last seen to, and when the unit last stood in deep water. */
  serviced: Maybe(
    Type.Partial(
      closed({ LF: ServicedSchema, RF: ServicedSchema, LR: ServicedSchema, RR: ServicedSchema }),
    ),
  ),
  wadedOn: Maybe(DateOnly),
  exposure: Maybe(Type.Array(oneOf(exposures), { uniqueItems: true, maxItems: exposures.length })),
  fasteners: Type.Record(Id, FastenerSchema),
});

/** Sizes of a thing that is used up, as far as its kind has them: a snap ring's outside is the bore it sits in. */
export const ConsumableSizeSchema = Type.Partial(
  closed({ innerMm: Mm(), outerMm: Mm(), widthMm: Mm(), ...NutSchema.properties }),
);
export type ConsumableSize = Static<typeof ConsumableSizeSchema>;

/** A thing that the job uses up and that is bought by its own number: nut, ring, seal, bolt, grease. */
export const ConsumableSchema = closed({
  number: Id,
  maker: Text(60),
  item: Id,
  sizeText: Text(60),
  /** What is not said is not taken to fit. */
  size: Maybe(ConsumableSizeSchema),
  stock: Type.Integer({ minimum: 0, maximum: 10_000 }),
  priceMinor: Type.Integer({ minimum: 0 }),
  currency: Currency,
  leadDays: Type.Integer({ minimum: 0, maximum: 365 }),
  /** How many jobs have taken one off the shelf. */
  used: Maybe(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
});
export type Consumable = Static<typeof ConsumableSchema>;

export const TechnicianSchema = closed({
  id: Id,
  name: Text(60),
  lead: Type.Boolean(),
  pin: Type.String({ pattern: '^\\d{4,8}$', description: 'Kept only as a scrypt hash' }),
});

/** A whole workshop, or any part of one. */
export const WorkshopSchema = closed({
  format: Type.Literal('true-spindle/workshop'),
  version: Type.Literal(1),
  name: Maybe(Text(80)),
  technicians: Maybe(Type.Array(TechnicianSchema)),
  units: Maybe(Type.Array(UnitSchema)),
  parts: Maybe(Type.Array(PartSchema)),
  consumables: Maybe(Type.Array(ConsumableSchema)),
  adapters: Maybe(Type.Array(AdapterSchema)),
  presses: Maybe(Type.Array(PressSchema)),
  procedures: Maybe(Type.Array(ProcedureSchema)),
  wrenches: Maybe(Type.Array(WrenchSchema)),
  instruments: Maybe(Type.Array(InstrumentSchema)),
  lives: Maybe(Type.Array(LifeSchema)),
});
export type WorkshopFile = Static<typeof WorkshopSchema>;
export type UnitRecord = Static<typeof UnitSchema>;

/** What the workshop's file kinds are called in a route and in a table. */
export const workshopKinds = [
  'units',
  'parts',
  'consumables',
  'adapters',
  'presses',
  'procedures',
  'wrenches',
  'instruments',
  'lives',
] as const;
export type WorkshopKind = (typeof workshopKinds)[number];

/** A record of one kind, as its schema says. */
export type RecordOf<K extends WorkshopKind> = NonNullable<WorkshopFile[K]>[number];
