import { type Depth, inOneGo } from './depths.ts';
import type { JobNow } from './job-now.ts';

/** How deep the job is worked, as chosen; full while nothing is. */
export const depthOf = (job: JobNow): Depth => job.choices.depth?.value.depth ?? 'full';

/** Whether what carries no danger of its own, and what stands on one page, is said done in one go. */
export const worksInOneGo = (job: JobNow): boolean => inOneGo[depthOf(job)];
