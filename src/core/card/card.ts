import { type Static, Type } from '@sinclair/typebox';
import { JobCornerId, SideId } from '../corner.ts';
import { depths } from '../job/depths.ts';
import { operations } from '../press/operations.ts';
import { closed, oneOf, Three } from '../schemas/common.ts';
import { eventBodies } from '../schemas/events.ts';
import type { PullCall } from '../torque/pull.ts';
import type { Status } from '../verdict.ts';

/** The job card as an open document: for paper, JSON and CSV, and kept as it was signed. */

const StatusId = oneOf(['good', 'check', 'stop'] as const);
const Said = { who: Type.String(), atMs: Type.Number() };
const Nullable = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()]);

/** One line of the card: what was looked at, what was found, within which limit, by whom. */
export const CardLineSchema = closed({
  what: Type.String(),
  value: Type.String(),
  limit: Type.Optional(Type.String()),
  status: Type.Optional(StatusId),
  who: Type.Optional(Type.String()),
  atMs: Type.Optional(Type.Number()),
});
export type CardLine = Static<typeof CardLineSchema>;
const Lines = Type.Array(CardLineSchema);

const StrokeSchema = closed({
  operation: oneOf(operations),
  name: Type.String(),
  /** Puts a part on; otherwise it took one off. */
  fitting: Type.Boolean(),
  peakKn: Nullable(Type.Number()),
  tool: Type.String(),
  expectedKn: Three,
  depthMm: Nullable(Type.Number()),
  plannedMm: Type.Number(),
  stack: Type.Array(Type.String()),
  path: Type.Array(Type.String()),
  readings: Type.Array(closed({ travelMm: Type.Number(), forceKn: Type.Number() })),
  status: StatusId,
  text: Type.String(),
  ...Said,
});
export type CardStroke = Static<typeof StrokeSchema>;

const TorqueReadingSchema = closed({
  stageId: Type.String(),
  stage: Type.String(),
  planned: Nullable(Type.Number()),
  unit: Type.String(),
  /** `high` is null where more is right too. `ours`: the procedure prints no tolerance, so it is our judgement. */
  window: Nullable(
    closed({
      low: Type.Number(),
      high: Nullable(Type.Number()),
      ours: Type.Optional(Type.Literal(true)),
    }),
  ),
  actual: Nullable(Type.Number()),
  /** Done as said, not measured. */
  asSaid: Type.Optional(Type.Boolean()),
  typed: Nullable(Type.String()),
  tool: Type.String(),
  status: StatusId,
  ...Said,
});

/** What stands where a stage has no figure. */
export function unmeasured(reading: {
  asSaid?: boolean;
  status?: Status;
  pull?: PullCall;
}): string {
  if (reading.asSaid) return 'as said, not measured';
  return reading.status === 'stop' || reading.pull ? 'no figure' : 'seen';
}

const TorqueSchema = closed({
  procedure: Type.String(),
  source: Type.String(),
  checkedBy: Nullable(Type.String()),
  readings: Type.Array(TorqueReadingSchema),
});

const UnitOnCard = closed({
  fleetNo: Type.String(),
  name: Type.String(),
  maker: Type.String(),
  layout: Type.String(),
  /** Null on an open job of a unit whose clock nobody has read. */
  odometerKm: Nullable(Type.Number()),
});
const DiagnosisOnCard = closed({
  suspect: Type.String(),
  probability: Type.Number(),
  reason: Nullable(Type.String()),
  ...Said,
});
const PartOnCard = closed({
  number: Type.String(),
  maker: Type.String(),
  size: Type.String(),
  encoderPairs: Type.Number(),
});

/** The version that cards are made in today; older ones are read through `upcast.ts`. */
export const cardVersion = 3;

const documentFields = {
  format: Type.Literal('true-spindle/job-card'),
  version: Type.Literal(cardVersion),
  number: Type.String(),
  startedMs: Type.Number(),
  unit: UnitOnCard,
  corner: closed({ id: JobCornerId, name: Type.String() }),
  family: Type.String(),
  complaint: Nullable(
    closed({ short: Type.String(), ...eventBodies['complaint-recorded'].properties }),
  ),
  diagnosis: Nullable(DiagnosisOnCard),
  findings: Lines,
  found: Type.Array(Type.String()),
  /** What was reopened, given up, found wrong or done over on the way. */
  turnedBack: Lines,
  part: Nullable(PartOnCard),
  items: Lines,
  oldPart: Lines,
  /** How the old part looked, and what was taken for the cause. */
  raceways: Type.Optional(Lines),
  /** Pictures by their hash, and of what. */
  photos: Type.Optional(
    Type.Array(
      closed({
        hash: Type.String(),
        of: Type.String(),
        text: Type.Optional(Type.String()),
        ...Said,
      }),
    ),
  ),
  seats: Lines,
  schools: Nullable(closed({ route: Type.String(), film: Type.String(), chilled: Type.Boolean() })),
  /** Ways gone where good technicians differ; another than the shop's usual one with its reason. */
  ways: Type.Optional(Lines),
  /** Minutes that hands were on the job, where its clock was used. */
  handsOnMin: Type.Optional(Type.Integer()),
  /** How deep it was worked, where not everything was measured. */
  depth: Type.Optional(oneOf(depths)),
  /** The customer's yes: who, up to how much. */
  agreed: Type.Optional(closed({ by: Type.String(), upTo: Type.String(), ...Said })),
  /** Figures of the corner that were read on this job, or taken over. */
  figures: Type.Optional(Lines),
  strokes: Type.Array(StrokeSchema),
  /** What was tightened besides the centre nut, by whom and to what: never as in window, no reading was taken. */
  fasteners: Type.Optional(Lines),
  seen: Lines,
  encoder: Nullable(closed({ side: SideId, method: Type.String(), ...Said })),
  torque: Nullable(TorqueSchema),
  checks: Lines,
  overrides: Type.Array(closed({ rule: Type.String(), reason: Type.String(), ...Said })),
  signed: Nullable(closed(Said)),
  recheckKm: Nullable(Type.Number()),
  caution: Type.String(),
  /** Made in a shop of made-up data, or with simulated instruments in a real one: it proves nothing. */
  only: Type.Optional(oneOf(['demo', 'practice'] as const)),
  /** When it was made from the record, where it was signed before cards were kept: its verdicts are of that day's rules. */
  madeAnewMs: Type.Optional(Type.Number()),
};

/** What is frozen at signing. People stand in it by their id, so that a name can change later. */
export const CardDocumentSchema = closed(documentFields);
export type CardDocument = Static<typeof CardDocumentSchema>;

export const SealSchema = closed({
  verified: Type.Boolean(),
  entries: Type.Integer(),
  hash: Type.String(),
  /** Sequence of the first line that does not fit. */
  brokenAt: Type.Optional(Type.Integer()),
});
export type Seal = Static<typeof SealSchema>;

/** A line that was wrong, put right under the signature: both stand. */
const CorrectionSchema = closed({
  line: Type.String(),
  was: Type.String(),
  is: Type.String(),
  reason: Type.String(),
  ...Said,
});

/** The card as it leaves the house: names for ids, what was corrected since, and the state of its seal. */
export const JobCardSchema = closed({
  ...documentFields,
  corrections: Type.Optional(Type.Array(CorrectionSchema)),
  seal: SealSchema,
});
export type JobCard = Static<typeof JobCardSchema>;

/** What is written by ids, with names in their place. An id that is nobody's stays as it is. */
export function withNames<T>(written: T, people: readonly { id: string; name: string }[]): T {
  const names = new Map(people.map((p) => [p.id, p.name]));
  const named = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(named);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, v]) => [
        key,
        key === 'who' && typeof v === 'string' ? (names.get(v) ?? v) : named(v),
      ]),
    );
  };
  return named(written) as T;
}
