import { resultInWords, testById } from '../diagnosis/index.ts';
import type { PastCase } from '../practice/index.ts';
import { familyCodeOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { foundBad } from './life-on-job.ts';
import { rollingOf } from './raceways-on-job.ts';

/** So few tests make no exercise. */
const fewTests = 2;

/** What it was, where somebody saw it: the bearing on the bench, or the cause that a closed job names. */
function confirmedCause(job: JobNow): string | undefined {
  const { ctx, state } = job;
  if (state.closedFound) return state.closedFound;
  return foundBad(job) && ctx.corner !== 'unknown' ? `bearing-${ctx.corner}` : undefined;
}

/** What a job that ended can teach: its old part as it was read, its tests with what it was. `id`: names neither job nor unit. */
export function pastCases(job: JobNow, id: string): PastCase[] {
  const { ctx, state } = job;
  const family = familyCodeOf(job);
  const balls = state.raceways?.balls ?? rollingOf(job)?.balls;
  const { marks = [], cause } = state.raceways ?? {};
  const suspectId = confirmedCause(job);
  const told = state.results.flatMap((r) => {
    const test = testById(r.testId);
    // The bench reading is the answer itself.
    return test && !r.skipped && test.state !== 'off'
      ? [{ place: r.place, text: resultInWords(test, r) }]
      : [];
  });
  return [
    ...(family && balls && cause && marks.length > 0
      ? [{ of: 'raceway' as const, id: `${id}-part`, family, balls, marks: [...marks], cause }]
      : []),
    ...(suspectId && told.length >= fewTests
      ? [{ of: 'corner' as const, id: `${id}-tests`, layout: ctx.unit.layout, told, suspectId }]
      : []),
  ];
}
