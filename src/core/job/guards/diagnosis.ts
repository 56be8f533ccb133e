import { resultFault, suspectsFor, testById } from '../../diagnosis/index.ts';
import type { JobNow } from '../job-now.ts';
import { refuse } from '../refusal.ts';
import { bearingIsOut } from '../stroke-interlocks.ts';
import { fault, type Guards } from './guard.ts';

/** A cause has to be one that this car can have. */
const suspectRefusal = (field: string, id: string | undefined, { ctx }: JobNow) =>
  id === undefined || suspectsFor(ctx.unit.layout).some((s) => s.id === id)
    ? undefined
    : refuse(field, 'diagnose.suspect', { part: id });

export const diagnosisGuards: Guards = {
  'test-recorded': (b, { state, ctx }) => {
    const wrong = resultFault(b);
    if (wrong) return fault(wrong, 'diagnose.result');
    if (testById(b.testId)?.state !== 'off') return undefined;
    if (b.place !== ctx.corner)
      return refuse('place', 'diagnose.bench-corner', { part: ctx.corner });
    return bearingIsOut(state) ? undefined : refuse('testId', 'diagnose.not-off');
  },
  'diagnosis-accepted': (b, job) => suspectRefusal('suspectId', b.suspectId, job),
  'job-closed': (b, job) => suspectRefusal('found', b.found, job),
};
