import type { Rolling } from '../corner-record.ts';
import type { Side } from '../corner.ts';
import {
  blockedBy,
  candidates,
  type CataloguePart,
  compare,
  type Comparison,
  conflicts,
  type DimensionId,
  dimensionsOf,
  kindNames,
  meanOf,
  type OldPart,
  readingsNeeded,
  recordBlockers,
  rollingWords,
  oneRow,
} from '../matching/index.ts';
import { type Misfit, misfits } from '../press/index.ts';
import { apart } from '../printed.ts';
import { type Found, sentence } from '../rules/index.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { depthOf } from './depth-on-job.ts';
import { readingsAtDepth } from './depths.ts';
import { familyCodeOf, familyOf, kindOf } from './family-on-job.ts';
import { cornerRecord, instrumentById, type JobNow, once } from './job-now.ts';
import { type Refusal, refuse } from './refusal.ts';

export const partByNumber = (
  { ctx }: JobNow,
  number: string | undefined,
): CataloguePart | undefined => ctx.parts.find((p) => p.number === number);
/** The part that the unit's record names. */
export const partOnRecord = (job: JobNow): CataloguePart | undefined =>
  partByNumber(job, cornerRecord(job)?.partNumber);
/** The part the job is working with: chosen by hand, else what the unit's record names. */
export const chosenPart = (job: JobNow): CataloguePart | undefined =>
  partByNumber(job, job.choices.match?.value.partNumber ?? cornerRecord(job)?.partNumber);

/** Where the sensor sits: the unit's record, else the side that the old part's encoder faced; undefined when neither says. */
export const sensorSide = (job: JobNow): Side | undefined =>
  cornerRecord(job)?.sensorSide ?? job.state.oldEncoder?.side;

/** The old part's encoder is still to be read; parts of one row have none. */
export const encoderToRead = (job: JobNow): boolean =>
  !job.state.oldEncoder && !oneRow(kindOf(job));

export type EncoderState = 'no-encoder' | 'side-unknown' | 'unchecked' | 'reversed' | 'right';

/** How the new bearing's encoder stands to the sensor, as far as it has been checked. */
export function encoderState(job: JobNow): EncoderState {
  if (chosenPart(job)?.bearing.encoder.kind === 'none') return 'no-encoder';
  const sensor = sensorSide(job);
  const checked = job.state.encoderChecked;
  if (!sensor) return 'side-unknown';
  const other = checked?.partNumber !== undefined && checked.partNumber !== chosenPart(job)?.number;
  if (!checked || other) return 'unchecked';
  return checked.side === sensor ? 'right' : 'reversed';
}

/** Why a part cannot be chosen here: it is of another kind than the corner's family takes. */
export function kindRefusal(part: CataloguePart, job: JobNow): Refusal | undefined {
  if (!familyCodeOf(job) || part.kind === kindOf(job)) return undefined;
  return refuse('partNumber', 'match.other-kind', {
    part: part.number,
    with: { is: kindNames[part.kind], wants: kindNames[kindOf(job)] },
  });
}

/** The old part as far as the job has read it. */
export const oldPart = once((job): OldPart => {
  const { state } = job;
  const named = partOnRecord(job);
  return {
    kind: kindOf(job),
    readings: state.oldReadings,
    // Readings of an instrument that is no longer on record are in doubt altogether.
    doubtMm: instrumentById(job, state.oldInstrumentId)?.doubtMm ?? Infinity,
    ...(state.oldEncoder ? { encoder: state.oldEncoder } : {}),
    ...(wrongType(job, state.oldPoints.rolling).length > 0
      ? { ...state.oldPoints, rolling: undefined }
      : state.oldPoints),
    ...(named ? { ratingKn: named.bearing.staticRatingKn } : {}),
  };
});

/** What the family's place cannot take of what rolls in a part; nothing where the part's catalogue does not say. */
function wrongType(job: JobNow, rolling: Rolling | undefined): Verdict[] {
  const rolls = familyOf(job)?.rolls;
  if (!rolls || !rolling || rolls.only.includes(rolling)) return [];
  const only = rolls.only.map((r) => rollingWords[r]).join(' or ');
  return [
    verdict('match.rolls', { with: { rolling: rollingWords[rolling], only, why: rolls.why } }),
  ];
}

/** What is known of this corner besides the old part: sizes of its record, seats as read, the part that the record names. */
function knownOf(job: JobNow, part: CataloguePart): Verdict[] {
  const named = partOnRecord(job);
  return [
    ...misfitsOf(job, part).map((m) => verdict('match.unit', misfitFound(m))),
    ...seatMisfits(job, part),
    ...wrongType(job, part.rolling),
    ...(named ? recordBlockers(oldPart(job), part, named) : []),
  ];
}

/** A new ring and a seat further apart than any wear of a seat, mm (judgement). */
const seatWearMm = 0.3;

/** A seat that was read and cannot take this part, both figures said. */
function seatMisfits({ state }: JobNow, { bearing }: CataloguePart): Verdict[] {
  return [['bore', bearing.outerMm] as const, ['journal', bearing.boreMm] as const].flatMap(
    ([seat, partMm]) => {
      const readMm = meanOf(state.seats[seat]?.readingsMm.flat());
      return readMm !== undefined && apart(readMm, partMm) > seatWearMm
        ? [
            verdict('match.seat', {
              part: seat,
              value: partMm,
              unit: 'mm',
              with: { read: readMm.toFixed(2) },
            }),
          ]
        : [];
    },
  );
}

/** A part held against the old one, as far as it was read, and against all that is known of the corner. */
export function heldAgainst(job: JobNow, part: CataloguePart): Comparison {
  const held = blockedBy(compare(oldPart(job), part), knownOf(job, part));
  const [was] = wrongType(job, job.state.oldPoints.rolling);
  // An earlier hand may have put the wrong type there: the new one is not held against that.
  return was ? { ...held, notes: [...held.notes, `The old part: ${sentence(was)}`] } : held;
}

/** Parts that may be right, best first; while nothing was read, only the part on record and the one that was chosen. */
export const candidatesFor = once((job): Comparison[] => {
  const read = Object.keys(job.state.oldReadings).length > 0 || job.state.oldEncoder !== undefined;
  const known = [partOnRecord(job), chosenPart(job)];
  const parts = job.ctx.parts.filter((p) => p.kind === kindOf(job) && (read || known.includes(p)));
  return candidates(oldPart(job), parts, 6, (p) => knownOf(job, p));
});
export const chosenComparison = once((job): Comparison | undefined => {
  const part = chosenPart(job);
  return part && heldAgainst(job, part);
});

/** The part on the job has been held against the old one since it was chosen. */
export function confirmed(job: JobNow): boolean {
  const part = chosenPart(job);
  return (
    part !== undefined &&
    job.state.partConfirmed === part.number &&
    chosenComparison(job)?.status !== 'stop'
  );
}

/** Readings of old part and seats that cannot all be true. */
export const conflictsOf = once((job): { field: string; reason: string }[] => {
  const { state } = job;
  const middle = (rows: readonly (readonly number[])[] | undefined) => meanOf(rows?.flat());
  const sizes = Object.fromEntries(
    Object.entries(state.oldReadings).map(([d, list]) => [d, meanOf(list)]),
  );
  const seats = {
    boreMm: middle(state.seats.bore?.readingsMm),
    journalMm: middle(state.seats.journal?.readingsMm),
  };
  return conflicts(sizes, seats, partOnRecord(job)?.bearing.widthMm);
});

/** Sizes in which the part on the job differs from the unit's record. */
export function misfitsOf(job: JobNow, part = chosenPart(job)): Misfit[] {
  return part ? misfits(familyCodeOf(job), cornerRecord(job), part.bearing) : [];
}
export const misfitFound = ({ what, recordMm, partMm }: Misfit): Found => ({
  part: what,
  value: partMm,
  unit: 'mm',
  with: { record: recordMm },
});

/** Readings of one size of the old part that the depth of the job asks for. */
export const readingsFor = (job: JobNow, d: DimensionId): number =>
  Math.min(readingsNeeded(d), readingsAtDepth[depthOf(job)]);

/** Readings of the old part that are still owed, by dimension. */
export const readingsToGo = (job: JobNow): { d: DimensionId; n: number }[] =>
  dimensionsOf(kindOf(job))
    .map((d) => ({
      d,
      n: Math.max(0, readingsFor(job, d) - (job.state.oldReadings[d]?.length ?? 0)),
    }))
    .filter(({ n }) => n > 0);
