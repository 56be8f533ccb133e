import type { EventBody } from '../../schemas/events.ts';
import { apart } from '../../printed.ts';
import { runoutOf } from '../runout-on-job.ts';
import { canBe, circleFault } from '../../prove/index.ts';
import { ruleOfOverride } from '../../rules/index.ts';
import type { JobNow } from '../job-now.ts';
import { checksFor } from '../owed.ts';
import { type Refusal, refuse } from '../refusal.ts';
import { signedAtKm } from '../summary.ts';
import { type Guards, instrumentRefusal } from './guard.ts';

/** Nobody drives further to a recheck, km: a clock that says more was misread. Our judgement. */
const longestToRecheckKm = 100_000;

/** A clock goes on; one that was misread before is brought down by a lead, not by the next reading. */
export function clockBack(odometerKm: number, { ctx }: JobNow): Refusal | undefined {
  const record = ctx.unit.odometerKm ?? 0;
  return odometerKm < record
    ? refuse('odometerKm', 'prove.clock-back', { value: odometerKm, with: { record } })
    : undefined;
}

/** Two readings of one runout may be so far apart, mm: a division of the indicator either way. Our judgement. */
const runoutAlikeMm = 0.02;

/** A runout that was read round the face is not answered by another figure: one of the two is wrong. */
function againstReadings(
  { checkId, value }: EventBody<'check-recorded'>,
  job: JobNow,
): Refusal | undefined {
  if (checkId !== 'runout' || value === undefined) return undefined;
  const { hub, disc } = runoutOf(job);
  const read = [hub, disc].flatMap((f) => (f ? [f.fit.totalMm] : []));
  if (read.length === 0 || read.some((mm) => apart(mm, value) <= runoutAlikeMm)) return undefined;
  const most = Math.max(...read);
  return refuse('value', 'prove.disagrees', { value, unit: 'mm', with: { read: most.toFixed(3) } });
}

export const proveGuards: Guards = {
  'runout-read': (b, job) => {
    const wrong = circleFault(b.readings.map(([deg, mm]) => ({ deg, mm })));
    if (wrong) return { field: 'readings', ...wrong };
    if (b.face === 'disc' && !job.state.runout.hub) return refuse('face', 'runout.hub-first');
    return instrumentRefusal(job, b.instrumentId);
  },
  'trace-kept': (b) =>
    b.spectrum || b.signal ? undefined : refuse('spectrum', 'prove.nothing-kept'),
  'check-recorded': (b, job) => {
    const check = checksFor(job).find((c) => c.id === b.checkId);
    if (!check) return refuse('checkId', 'prove.check', { part: b.checkId });
    if (b.value !== undefined)
      return canBe(check, b.value)
        ? againstReadings(b, job)
        : refuse('value', 'prove.sign', { part: check.text });
    if (!check.numeric) return undefined;
    return refuse('value', 'prove.reading', {
      part: check.text,
      with: { unit: check.numeric.unit },
    });
  },
  'recheck-done': (b, job) => {
    const from = signedAtKm(job);
    if (from === undefined) return undefined;
    const back = clockBack(b.odometerKm, job);
    if (back) return back;
    const driven = b.odometerKm - from;
    return driven >= 0 && driven <= longestToRecheckKm
      ? undefined
      : refuse('odometerKm', 'prove.recheck-clock', {
          value: b.odometerKm,
          with: { from, most: from + longestToRecheckKm },
        });
  },
  overridden: (b) =>
    ruleOfOverride(b.rule) ? undefined : refuse('rule', 'job.no-rule', { part: b.rule }),
};
