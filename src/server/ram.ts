import { beforeStroke, setupOf, reasonOf } from '../core/job/index.ts';
import { type Operation, operations } from '../core/press/index.ts';
import type { RuleId } from '../core/rules/index.ts';
import { type RamFault, ramFaults } from '../core/standins/ram.ts';
import { standInRam } from '../devices/ram.ts';
import { jobView } from './job-record.ts';
import { invalid, notFound, Problem } from './problem.ts';
import { sse, standInSpeed } from './streams.ts';

/** Jobs whose gauge is being read: one tablet at a time. */
const inUse = new Set<string>();

const notNow = (field: string, reason: string, rule?: RuleId) =>
  new Problem(422, 'Not now', reason, [{ field, reason }], rule ? { rule } : {});

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
  if (early) throw notNow(early.field, reasonOf(early), early.rule);
  if (!setup) throw notNow('operation', 'Dimensions of the parts are missing.');
  if (inUse.has(jobId))
    throw new Problem(409, 'Gauge in use', 'Another tablet is reading this gauge. One at a time.', [
      { field: 'gauge', reason: 'In use.' },
    ]);
  inUse.add(jobId);
  const gauge = standInRam(
    setup,
    fault as RamFault,
    lead === 'drop-out',
    Date.now() % 1_000_000,
    standInSpeed,
  );
  return sse(gauge.read(), () => inUse.delete(jobId));
}
