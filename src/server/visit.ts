import { familyCodeOf, type OnVisit, planOf } from '../core/job/index.ts';
import { floorSummaries } from './floor.ts';
import { jobRecord, jobView } from './job-record.ts';

/** Other corners of a job's car that are open too: they can be planned as one visit. */
export async function visitOf(jobId: string): Promise<OnVisit[]> {
  const { ctx } = await jobView(jobId);
  const here = (await floorSummaries()).filter((r) => r.unitId === ctx.unit.id && r.id !== jobId);
  const records = await Promise.all(
    // One that cannot be read harms only itself: it is left out of the visit.
    here.map(({ id }) => jobRecord(id).catch(() => undefined)),
  );
  return records.flatMap((r): OnVisit[] => {
    if (!r || r.state.signed || r.state.closed || r.ctx.corner === 'unknown') return [];
    return [
      {
        jobId: r.job.id,
        number: r.job.number,
        corner: r.ctx.corner,
        family: familyCodeOf(r),
        plan: planOf(r),
        begun: r.state.done.includes('plan'),
      },
    ];
  });
}
