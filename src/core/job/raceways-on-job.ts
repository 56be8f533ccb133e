import { type Known, type WeighedCause, weighCauses, type Mark } from '../old-part/index.ts';
import { worst } from '../verdict.ts';
import { familyCodeOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { seatKinds, seatVerdicts } from './seats-on-job.ts';
import { chosenPart } from './part-on-job.ts';

/** What this job knows of the old part's life, beside its marks. */
export function knownOfOld(job: JobNow): Known {
  const { ctx, state } = job;
  const fitted = ctx.corner === 'unknown' ? undefined : ctx.unit.fitted?.[ctx.corner];
  const clock = ctx.unit.odometerKm;
  return {
    family: familyCodeOf(job),
    balls: state.raceways?.balls ?? rollingOf(job)?.balls,
    ...(fitted && clock !== undefined
      ? { ranKm: Math.max(0, clock - fitted.atKm), fittedAgain: fitted.again }
      : {}),
    seatBad: seatBad(job),
    exposure: ctx.unit.exposure ?? [],
    happened: state.complaint?.history ?? [],
  };
}

/** The old bearing's rolling geometry, by the part that takes its place; undefined while none is chosen. */
export const rollingOf = (job: JobNow) => chosenPart(job)?.bearing;

/** Whether a seat was read out of its limits; undefined while none was read. */
function seatBad(job: JobNow): boolean | undefined {
  const read = seatKinds(job).flatMap((kind) => seatVerdicts(job, kind) ?? []);
  return read.length === 0 ? undefined : worst(read) === 'stop';
}

/** What killed the old bearing, the likeliest first, by the marks as they stand. */
export const causesOnJob = (
  job: JobNow,
  marks: readonly Mark[],
  balls?: number,
): WeighedCause[] => {
  const known = knownOfOld(job);
  return weighCauses(marks, { ...known, balls: balls ?? known.balls });
};

/** Whether the old part was seen to be unfit: a mark that is felt, where it rolls. */
export const racewaysBad = ({ state }: JobNow): boolean | undefined =>
  state.raceways &&
  state.raceways.marks.some(
    (m) => (m.on === 'outer' || m.on === 'inner' || m.on === 'balls') && m.severity > 1,
  );
