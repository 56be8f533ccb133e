import { randomUUID } from 'node:crypto';
import type { JobAnswer, JobState, JobView } from '../core/job/index.ts';
import type { JobHead } from '../db/jobs.ts';
import type { AskedHeaders } from './asked.ts';
import { sha256 } from './chain.ts';

/** Header in which a tablet names what it has. */
const contextHeader = 'x-context';

/** Versions are counted anew in another database: what an earlier run of the server gave out means nothing to this one. */
const run = randomUUID();

/** Names all that a job is judged against, short: two readings of the same name say the same. */
export const contextName = (
  { job, shopVersion }: JobHead,
  { ctx: { corner, parts } }: Pick<JobView, 'ctx'>,
  { handPart, procedure, signed }: JobState,
): string =>
  sha256(
    JSON.stringify([
      run,
      shopVersion,
      job.id,
      corner,
      parts.map((p) => p.number),
      handPart,
      procedure,
      signed?.atMs,
    ]),
  ).slice(0, 32);

/** A job as it is answered: what it is judged against is left out where the tablet has it already. */
export function answered({ ctx, people, ...view }: JobView, headers: AskedHeaders): JobAnswer {
  const has = headers.get(contextHeader) === view.context;
  return has ? view : { ...view, ctx, people };
}
