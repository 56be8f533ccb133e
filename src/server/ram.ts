import { isOneOf } from '../core/keys-of.ts';
import { beforeStroke, setupOf } from '../core/job/index.ts';
import { operations } from '../core/press/index.ts';
import { ramFaults } from '../core/standins/ram.ts';
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
  if (!isOneOf(operations, operation)) throw notFound('stroke', operation);
  const [fault = '', lead] = setting.split('+');
  if (!isOneOf(ramFaults, fault) || (lead !== undefined && lead !== 'drop-out'))
    throw invalid([
      {
        field: 'setting',
        reason: `One of ${ramFaults.join(', ')}, with “+drop-out” behind it for a loose lead.`,
      },
    ]);
  const view = await jobView(jobId);
  const setup = setupOf(view, operation);
  const kind = setup?.press.kind;
  if (kind === 'hammer' || kind === 'screw')
    throw notNow('gauge', `${setup?.press.name} has no gauge.`);
  const early = beforeStroke(operation, view);
  if (early) throw refused(early);
  if (!setup) throw notNow('operation', 'Dimensions of the parts are missing.');
  const letGo = claim(jobId);
  const gauge = standInRam(setup, fault, lead === 'drop-out', Date.now() % 1_000_000, standInSpeed);
  return sse(gauge.read(), letGo);
}
