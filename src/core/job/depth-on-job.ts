import { type Depth } from './depths.ts';
import type { JobNow } from './job-now.ts';

/** How deep the job is worked, as chosen; full while nothing is. */
export const depthOf = (job: JobNow): Depth => job.choices.depth?.value.depth ?? 'full';
