import { schoolOption, schoolsOf } from '../families/index.ts';
import type { Film } from '../fits/index.ts';
import type { EventBody } from '../schemas/events.ts';
import {
  freezerC,
  helpsStroke,
  operationNames,
  type School,
  usualSchool,
  warmBearingC,
} from '../press/index.ts';
import { begunBy, familyCodeOf, strokesOf, usualWay } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { type Refusal, refuse } from './refusal.ts';

/** Film, cold and heat as chosen at Plan; the usual film and neither while nothing is chosen, and said so on the strip. */
export const schoolOf = (job: JobNow): School => ({
  film: filmOf(job),
  ...(job.choices.plan?.value.chill ? { chilledC: freezerC } : {}),
  ...(job.choices.plan?.value.warm ? { warmedC: warmBearingC } : {}),
});

/** Whether cold or heat at the new bearing helps one of this job's strokes; undefined where neither does. */
export const temperHelps = (job: JobNow): 'cold' | 'warm' | undefined =>
  strokesOf(job)
    .map(helpsStroke)
    .find((x) => x !== undefined);
/** The film as chosen; a cartridge goes in with paste and all else with thin oil while nothing is chosen. */
export const filmOf = (job: JobNow): Film =>
  job.choices.plan?.value.film ?? (familyCodeOf(job) === 'P2' ? 'paste' : usualSchool.film);
export const filmNames: Record<Film, string> = { oiled: 'thin oil', dry: 'dry', paste: 'paste' };

/** What the record does not take of a choice. */
export function schoolRefusal(
  { school, option, reason }: EventBody<'school-chosen'>,
  job: JobNow,
): Refusal | undefined {
  if (!schoolsOf(familyCodeOf(job)).includes(school) || !schoolOption(school, option))
    return refuse('option', 'school.none', { part: option });
  const begun = begunBy(job, school);
  if (begun && begun.option !== option)
    return refuse('option', 'school.begun', { part: operationNames[begun.operation] });
  const usual = usualWay(job, school);
  if (option === usual || (reason ?? '').trim() !== '') return undefined;
  return refuse('reason', 'school.reason', { part: schoolOption(school, usual)?.name ?? usual });
}
