import { beforeStroke, setupOf } from '../core/job/index.ts';
import { type Operation, operations } from '../core/press/index.ts';
import { type RamFault, ramFaults } from '../core/standins/ram.ts';
import { standInRam } from '../devices/ram.ts';
import { inUse } from './in-use.ts';
import { jobView } from './job-record.ts';
import { invalid, notFound, notNow, refused } from './problem.ts';
import { sse, standInSpeed } from './streams.ts';

const claim = inUse('gauge');

/** Readings of the stand-in ram for one stroke of a job, as server-sent events, until released. */
export async function ramStream(
  jobId: string,
  operation: string,
  setting: string,
): Promise<Response> {
  if (!operations.includes(operation as Operation)) throw notFound('stroke', operation);
  const [fault = '', lead] = setting.split('+');
  if (!ramFaults.includes(fault as RamFault) || (lead !== undefined && lead !== 'drop-out'))
    throw invalid([
      {
        field: 'setting',
        reason: `One of ${ramFaults.join(', ')}, with “+drop-out” behind it for a loose lead.`,
      },
    ]);
  const view = await jobView(jobId);
  const setup = setupOf(view, operation as Operation);
  const kind = setup?.press.kind;
  if (kind === 'hammer' || kind === 'screw')
    throw notNow('gauge', `${setup?.press.name} has no gauge.`);
  const early = beforeStroke(operation as Operation, view);
  if (early) throw refused(early);
  if (!setup) throw notNow('operation', 'Dimensions of the parts are missing.');
  const letGo = claim(jobId);
  const gauge = standInRam(
    setup,
    fault as RamFault,
    lead === 'drop-out',
    Date.now() % 1_000_000,
    standInSpeed,
  );
  return sse(gauge.read(), letGo);
}
