import { keysOf } from '../keys-of.ts';
import { RacewaysSchema } from '../old-part/mark.ts';
import { type Static, type TSchema, Type } from '@sinclair/typebox';
import { RollingId, SealsSchema, SpacerId } from '../corner-record.ts';
import { SideId } from '../corner.ts';
import { ComplaintSchema } from '../diagnosis/complaint.ts';
import { TestResultSchema } from '../diagnosis/tests.ts';
import { factIds } from '../families/facts.data.ts';
import { familyCodes } from '../families/families.data.ts';
import { schoolIds } from '../families/schools.data.ts';
import { grips, seatMarks } from '../fits/felt-seat.ts';
import { films } from '../fits/pressure.ts';
import { depths } from '../job/depths.ts';
import { stations } from '../job/stations.ts';
import { dimensions, PartSchema } from '../matching/catalogue-part.ts';
import { strokeCalls } from '../press/live-call.ts';
import { operations } from '../press/operations.ts';
import { KeptSignalSchema, KeptSpectrumSchema } from '../prove/kept-trace.ts';
import { closed, Currency, eachOf, Id, Maybe, Mm, oneOf, Text, Three } from './common.ts';
import { ReadFastenerSchema } from '../torque/fastener.ts';
import { pullCalls } from '../torque/pull.ts';
import { SlotStandsSchema } from '../torque/stage.ts';
import { ThroughSchema } from '../torque/tools.ts';
import { TypedProcedureSchema } from '../torque/stage.ts';

/** What can happen to a job. Every body is closed; the union is the append-only record. */

const OperationId = oneOf(operations);
const StationId = oneOf(stations);
const Reading = Type.Number({ minimum: -1000, maximum: 5000 });
/** What the wrench showed, N·m, where that is another figure than the torque at the nut: through an offset or a multiplier, or by its deviation. */
const Shown = Type.Number({ minimum: 0, maximum: 5000 });

/** Zero of the instrument and temperature of the part, where they were read. */
const Taken = {
  zeroMm: Maybe(Type.Number({ minimum: -50, maximum: 50 })),
  partC: Maybe(Type.Number({ minimum: -60, maximum: 200 })),
};

/** Force and travel that were expected of a stroke when it was made; written by the server. */
const ExpectedStroke = closed({ travelMm: Type.Number(), forceKn: Three });

/** The family whose walk an entry was made by; written by the server. */
const FamilyWalked = Maybe(oneOf(familyCodes));

/** The part that an entry was about; written by the server. */
const PartInHand = Maybe(Id);

export const StackSchema = closed({
  capId: Maybe(Id),
  pusherId: Id,
  supportId: Maybe(Id),
  riserId: Maybe(Id),
});
export type StackIds = Static<typeof StackSchema>;
/** A stack laid by hand, or a tool chosen for the solver's own. */
const StackChoice = closed({
  ...StackSchema.properties,
  pusherId: Maybe(Id),
  pressId: Maybe(Id),
  usedAgain: Maybe(Type.Boolean()),
});

export const eventBodies = {
  'complaint-recorded': ComplaintSchema,
  'test-recorded': TestResultSchema,
  'diagnosis-accepted': closed({
    suspectId: Id,
    probability: Type.Number({ minimum: 0, maximum: 1 }),
    reason: Maybe(Text()),
  }),
  'item-marked': closed({
    itemId: Id,
    state: oneOf(['in-hand', 'in-store', 'on-order', 'not-ordered'] as const),
    partNumber: PartInHand,
  }),
  'caution-read': closed({ cautionId: Id }),
  'step-done': closed({
    phase: oneOf(['strip', 'rebuild'] as const),
    stepId: Id,
    found: Maybe(Text(400)),
  }),
  'timer-started': closed({
    timerId: Id,
    label: Text(60),
    minutes: Type.Number({ exclusiveMinimum: 0, maximum: 10_080 }),
  }),
  'timer-ended': closed({ timerId: Id }),
  /** `absent`: it was looked for, and the opposite was seen. */ 'fact-seen': closed({
    factId: oneOf(factIds),
    absent: Maybe(Type.Boolean()),
    /** Of what is measured with it, mL, and as it was typed. */
    amountMl: Maybe(Type.Number({ minimum: 1, maximum: 5000 })),
    typed: Maybe(Text(40)),
    family: FamilyWalked,
  }),
  'family-named': closed({
    code: oneOf(familyCodes),
    probability: Type.Number({ minimum: 0, maximum: 1 }),
    answers: Type.Record(Id, Id),
  }),
  'old-part-read': closed({
    dimension: oneOf(dimensions),
    valueMm: Mm(),
    typed: Text(40),
    instrumentId: Id,
    plane: Maybe(Type.Integer({ minimum: 0, maximum: 5 })),
    angleDeg: Maybe(Type.Number({ minimum: 0, exclusiveMaximum: 360 })),
    /** Read by the simulated indicator. */
    standIn: Maybe(Type.Boolean()),
    ...Taken,
  }),
  /** What the old part looks like, and what is taken for the cause; the last reading stands. */
  'raceways-read': RacewaysSchema,
  'points-read': closed({
    rolling: Maybe(RollingId),
    spacer: Maybe(SpacerId),
    seals: Maybe(SealsSchema),
  }),
  'part-entered': closed({ part: PartSchema }),
  'damage-read': closed({
    seat: oneOf(['bore', 'journal'] as const),
    nickShare: Type.Number({ minimum: 0, maximum: 1 }),
    nickDepthMm: Type.Number({ minimum: 0, maximum: 10 }),
    sealTrack: Type.Boolean(),
    grooved: Type.Boolean(),
  }),
  'encoder-read': closed({
    kind: oneOf(['magnetic', 'toothed', 'none'] as const),
    pairs: Type.Integer({ minimum: 0, maximum: 200 }),
    side: SideId,
  }),
  'seat-read': closed({
    seat: oneOf(['bore', 'journal'] as const),
    readingsMm: Type.Array(Type.Array(Mm(), { minItems: 2, maxItems: 3 }), {
      minItems: 2,
      maxItems: 3,
    }),
    instrumentId: Id,
    ...Taken,
  }),
  /** A figure of the corner that the unit's record did not know, read on this job. */
  'figure-read': closed({
    path: Type.String({ pattern: '^[a-z]+(\\.[a-zA-Z]+){1,2}$', maxLength: 40 }),
    value: Type.Union([Type.Number({ minimum: 0, maximum: 2000 }), Text(20)]),
    typed: Maybe(Text(40)),
    /** Taken over from another corner, not read here: "07 LF". */
    takenFrom: Maybe(Text(20)),
  }),
  /** A seat told by feel and eye, where it is not measured. */
  'seat-felt': closed({
    seat: oneOf(['bore', 'journal'] as const),
    grip: oneOf(grips),
    seen: Type.Array(oneOf(seatMarks), { uniqueItems: true, maxItems: seatMarks.length }),
    caliperMm: Maybe(Type.Array(Mm(), { minItems: 1, maxItems: 2 })),
    instrumentId: Maybe(Id),
    /** Nothing here measures it: who says so stands in place of a figure. */
    noInstrument: Maybe(Type.Boolean()),
  }),
  'seat-judged': closed({
    seat: oneOf(['bore', 'journal'] as const),
    decision: oneOf(['reuse', 'replace'] as const),
  }),
  'part-confirmed': closed({ partNumber: Id }),
  'encoder-checked': closed({
    side: SideId,
    method: oneOf(['viewing-card', 'paper-clip'] as const),
    partNumber: PartInHand,
  }),
  'stroke-reading': closed({
    operation: OperationId,
    /** Absent where only the peak was read of what came off. */
    travelMm: Maybe(Type.Number({ minimum: 0, maximum: 500 })),
    forceKn: Type.Number({ minimum: 0, maximum: 2000 }),
    typed: Text(80),
  }),
  /** A stroke read by a gauge: [ms, travel mm, force kN] at 50 a second or better, and what the follower called it. */
  'stroke-traced': closed({
    operation: OperationId,
    gauge: Text(60),
    call: oneOf(strokeCalls),
    samples: Type.Array(Type.Array(Type.Number(), { minItems: 3, maxItems: 3 }), {
      minItems: 2,
      maxItems: 20_000,
    }),
  }),
  'stroke-recorded': closed({
    operation: OperationId,
    pressId: Id,
    stack: StackSchema,
    /** Absent where it was driven with a hammer. */ peakKn: Maybe(
      Type.Number({ minimum: 0, maximum: 2000 }),
    ),
    depthMm: Maybe(Type.Number({ minimum: 0, maximum: 500 })),
    expected: Maybe(ExpectedStroke),
    family: FamilyWalked,
  }),
  /** The procedure of a unit that had none, typed from the maker's data. */
  'procedure-entered': closed({ procedure: TypedProcedureSchema }),
  /** A fastener of the walk, read from the maker's data or taken over from a unit built alike. */
  'fastener-read': closed({
    fastenerId: Id,
    fastener: ReadFastenerSchema,
    takenFrom: Maybe(Text(20)),
  }),
  /** One bolt or nut besides the centre nut, in one round: read, or said by the tool to be reached. */
  'fastener-tightened': closed({
    fastenerId: Id,
    /** How many stand in the circle. */
    of: Type.Integer({ minimum: 1, maximum: 10 }),
    round: Type.Integer({ minimum: 1, maximum: 6 }),
    bolt: Type.Integer({ minimum: 1, maximum: 10 }),
    /** N·m at the nut or degrees, as the round asks; absent where the tool only said that it is reached. */
    actual: Maybe(Reading),
    shown: Maybe(Shown),
    typed: Maybe(Text(40)),
    toolId: Id,
    through: Maybe(ThroughSchema),
    part: Maybe(oneOf(['new', 'reused'] as const)),
    /** To what, in words, where no figure is on record. */
    to: Maybe(Text(60)),
  }),
  'stage-recorded': closed({
    stageId: Id,
    /** Turned as the procedure says, without a gauge: no figure is kept. */
    asSaid: Maybe(Type.Boolean()),
    /** In the unit of the stage; a torque is that at the nut. */
    actual: Maybe(Reading),
    shown: Maybe(Shown),
    typed: Maybe(Text(40)),
    toolId: Id,
    through: Maybe(ThroughSchema),
    /** Torque over the angle from snug, as a wrench read them: [degrees, N·m], thinned. */
    curve: Maybe(
      Type.Array(
        Type.Tuple([
          Type.Number({ minimum: -720, maximum: 3600 }),
          Type.Number({ minimum: 0, maximum: 5000 }),
        ]),
        { maxItems: 80 },
      ),
    ),
    /** How a drag was read: what a spring scale showed, newtons, its first movement first, and the arm it pulled at. */
    drag: Maybe(
      closed({
        forcesN: Type.Array(Type.Number({ minimum: 0, maximum: 1000 }), {
          minItems: 1,
          maxItems: 12,
        }),
        radiusMm: Mm(),
        /** Drag of the seal alone, N·m, where it was read before. */
        sealNm: Maybe(Type.Number({ minimum: 0, maximum: 50 })),
      }),
    ),
    /** What the wrench saw of the nut while it was pulled. */
    pull: Maybe(oneOf(pullCalls)),
    /** How a castle nut stood when it came to be locked. */
    slot: Maybe(SlotStandsSchema),
    /** Read by the simulated wrench. */
    standIn: Maybe(Type.Boolean()),
  }),
  /** End play of an adjusted pair by the dial, pushed and pulled while turning: [push, pull], mm. */
  'play-read': closed({
    readings: Type.Array(
      Type.Tuple([
        Type.Number({ minimum: -20, maximum: 100 }),
        Type.Number({ minimum: -20, maximum: 100 }),
      ]),
      { minItems: 1, maxItems: 10 },
    ),
    /** How far the nut stands past the last place that takes the lock, degrees. */
    pastDeg: Type.Number({ minimum: 0, maximum: 180 }),
    /** How far it was turned since the reading before, tightening positive. */
    turnedDeg: Maybe(Type.Number({ minimum: -360, maximum: 360 })),
    /** Places of the lock round the nut, counted where the record does not know them. */
    marks: Maybe(Type.Integer({ minimum: 2, maximum: 72 })),
    instrumentId: Id,
    standIn: Maybe(Type.Boolean()),
  }),
  /** An indicator on a face while the hub is turned clockwise: [degrees, mm]. */
  'runout-read': closed({
    face: oneOf(['hub', 'disc'] as const),
    radiusMm: Mm(),
    readings: Type.Array(
      Type.Tuple([
        Type.Number({ minimum: 0, exclusiveMaximum: 360 }),
        Type.Number({ minimum: -20, maximum: 100 }),
      ]),
      { minItems: 1, maxItems: 72 },
    ),
    /** Holes that the disc was turned clockwise from where it stood at its first reading. */
    turned: Maybe(Type.Integer({ minimum: 0, maximum: 20 })),
    instrumentId: Id,
    standIn: Maybe(Type.Boolean()),
  }),
  'check-recorded': closed({
    checkId: Id,
    ok: Maybe(Type.Boolean()),
    value: Maybe(Reading),
    typed: Maybe(Text(40)),
  }),
  /** What was heard, or read of this wheel's signal, at Diagnose or once all is done. */
  'trace-kept': closed({
    when: oneOf(['before', 'after'] as const),
    spectrum: Maybe(KeptSpectrumSchema),
    signal: Maybe(KeptSignalSchema),
    standIn: Maybe(Type.Boolean()),
  }),
  /** One of several good ways, chosen for this job; another than the default with its reason. */
  'school-chosen': closed({ school: oneOf(schoolIds), option: Id, reason: Maybe(Text(400)) }),
  /** The customer's yes to a quote: who said it, and up to how much, in minor units. */
  'quote-agreed': closed({
    who: Text(60),
    upToMinor: Type.Integer({ minimum: 1, maximum: 1_000_000_000 }),
    currency: Currency,
  }),
  /** Something to know, left with the job; `reckoned`: by the quick page. */
  /** A picture of the work, kept by its hash. */
  'photo-left': closed({
    hash: Type.String({ pattern: '^[0-9a-f]{64}$' }),
    widthPx: Type.Integer({ minimum: 1, maximum: 20_000 }),
    heightPx: Type.Integer({ minimum: 1, maximum: 20_000 }),
    /** Where in the job it was taken: a station, or the old part. */
    of: Text(40),
    text: Maybe(Text(200)),
  }),
  'note-left': closed({
    text: Text(400),
    reckoned: Maybe(Type.Literal(true)),
    /** For the next shift: it stands on the Floor until it is read. */
    forShift: Maybe(Type.Literal(true)),
  }),
  /** The notes for the next shift, read. */
  'note-read': closed({}),
  /** Hands on the job, and off it. */
  'work-started': closed({}),
  'work-paused': closed({}),
  overridden: closed({ rule: Text(80), reason: Text(400) }),
  'station-done': closed({ station: StationId }),
  'station-reopened': closed({ station: StationId, reason: Text(400) }),
  signed: closed({
    odometerKm: Type.Integer({ minimum: 0, maximum: 5_000_000 }),
    snapshot: Maybe(
      Type.String({
        pattern: '^[0-9a-f]{64}$',
        description: 'SHA-256 of what the job was judged against; written by the server',
      }),
    ),
    card: Maybe(
      Type.String({
        pattern: '^[0-9a-f]{64}$',
        description: 'SHA-256 of the card as it was signed; written by the server',
      }),
    ),
    /** Who started the job; written by the server. */
    startedBy: Maybe(Id),
    /** Whose hands were on it, each with a salted hash of the name as it was; written by the server. */
    names: Maybe(
      Type.Array(closed({ id: Id, hash: Type.String({ pattern: '^[0-9a-f]{64}$' }) }), {
        maxItems: 500,
      }),
    ),
  }),
  /** A line of the signed card that was wrong, by its name and what it said. */
  'line-corrected': closed({ line: Text(200), was: Text(800), is: Text(200), reason: Text(400) }),
  'recheck-done': closed({ odometerKm: Type.Integer({ minimum: 0, maximum: 5_000_000 }) }),
  /** `found`: the cause as it was seen, by its suspect, where somebody knows it. */
  'job-closed': closed({ reason: Text(400), found: Maybe(Id) }),
  'job-reopened': closed({ reason: Text(400) }),
} satisfies Record<string, TSchema>;

export type EventType = keyof typeof eventBodies;
export const eventTypes = keysOf(eventBodies);
export type EventBody<T extends EventType> = Static<(typeof eventBodies)[T]>;

/** One line of the record, as it is kept. */
export type JobEvent = {
  [T in EventType]: {
    seq: number;
    id: string;
    jobId: string;
    type: T;
    body: EventBody<T>;
    byId: string;
    atMs: number;
  };
}[EventType];

/** Events that need the PIN of the one who answers for them. */
export const needsPin: readonly EventType[] = [
  'overridden',
  'signed',
  'line-corrected',
  'job-reopened',
];
/** Events that only a lead may add. */
export const needsLead: readonly EventType[] = ['job-reopened'];

const stackKeys = operations.map((o) => `stack-${o}` as const);

/** Mutable choices of a job; each carries a version. */
export const choiceBodies = {
  /** Tools that are not at hand. */
  diagnose: closed({ without: Type.Array(Text(40), { uniqueItems: true, maxItems: 10 }) }),
  match: closed({ partNumber: Id }),
  depth: closed({ depth: oneOf(depths) }),
  plan: closed({
    route: oneOf(['bench', 'on-car', 'sent-out', 'whole-knuckle'] as const),
    chill: Type.Boolean(),
    /** The new bearing is warmed before it goes on to a shaft. */
    warm: Maybe(Type.Boolean()),
    soak: Type.Boolean(),
    film: Maybe(oneOf(films)),
    /** How many work at it; one while nothing is said. */
    people: Maybe(Type.Integer({ minimum: 1, maximum: 2 })),
  }),
  ...eachOf(stackKeys, StackChoice),
} satisfies Record<string, TSchema>;
export type ChoiceKey = keyof typeof choiceBodies;
export const choiceKeys = keysOf(choiceBodies);
export type ChoiceBody<K extends ChoiceKey> = Static<(typeof choiceBodies)[K]>;
export type Choices = { [K in ChoiceKey]?: { version: number; value: ChoiceBody<K> } };
