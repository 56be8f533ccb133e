import { type Hand, readThread } from '../torque/index.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { cornerRecord, type JobNow } from './job-now.ts';

/** Which way this job's centre nut is tightened, by the unit's record or the procedure's thread; left where either says so. */
export function handOf(job: Pick<JobNow, 'ctx'>): { hand: Hand; doubt?: Verdict } {
  const onRecord = cornerRecord(job)?.nut?.hand;
  const size = job.ctx.procedure?.size;
  const read = size === undefined ? undefined : readThread(size);
  const bySize = read?.ok ? (read.thread.hand ?? 'right') : undefined;
  const hand = onRecord === 'left' || bySize === 'left' ? 'left' : 'right';
  // A thread that is written without its hand says nothing against a left one on record.
  return onRecord === 'right' && bySize === 'left'
    ? { hand, doubt: verdict('torque.hand', { with: { size: size ?? '' } }) }
    : { hand };
}
