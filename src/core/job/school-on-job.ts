import type { Film } from '../fits/index.ts';
import { freezerC, type School, usualSchool } from '../press/index.ts';
import { familyCodeOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';

/** Film and cold as chosen at Plan; the usual film and no chill while nothing is chosen, and said so on the strip. */
export const schoolOf = (job: JobNow): School => ({
  film: filmOf(job),
  ...(job.choices.plan?.value.chill ? { chilledC: freezerC } : {}),
});
/** The film as chosen; a cartridge goes in with paste and all else with thin oil while nothing is chosen. */
export const filmOf = (job: JobNow): Film =>
  job.choices.plan?.value.film ?? (familyCodeOf(job) === 'P2' ? 'paste' : usualSchool.film);
export const filmNames: Record<Film, string> = { oiled: 'thin oil', dry: 'dry', paste: 'paste' };
