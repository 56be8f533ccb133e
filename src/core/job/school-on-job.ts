import type { Film } from '../fits/index.ts';
import { freezerC, type School, usualSchool } from '../press/index.ts';
import type { JobNow } from './job-now.ts';

/** Film and cold as chosen at Plan; thin oil and no chill while nothing is chosen, and said so on the strip. */
export const schoolOf = ({ choices }: Pick<JobNow, 'choices'>): School => ({
  film: choices.plan?.value.film ?? usualSchool.film,
  ...(choices.plan?.value.chill ? { chilledC: freezerC } : {}),
});
export const filmNames: Record<Film, string> = { oiled: 'thin oil', dry: 'dry', paste: 'paste' };
