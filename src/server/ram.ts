import { beforeStroke, setupOf, reasonOf } from '../core/job/index.ts';
import { type Operation, operations } from '../core/press/index.ts';
import { type RamFault, ramFaults } from '../core/standins/ram.ts';
import { standInRam } from '../devices/ram.ts';
import { jobView } from './job-record.ts';
import { invalid, notFound, Problem } from './problem.ts';
import { sse } from './streams.ts';

/** How much faster than a hand the stand-in pumps; for trying things out. */
const speed = Math.max(1, Number(process.env['STANDIN_SPEED'] ?? 1) || 1);

/** Jobs whose gauge is being read: one tablet at a time. */
const inUse = new Set<string>();

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
  const early = beforeStroke(operation as Operation, view);
  if (early)
    throw new Problem(
      422,
      'Not now',
      reasonOf(early),
      [{ field: early.field, reason: reasonOf(early) }],
      { rule: early.rule },
    );
  const setup = setupOf(view, operation as Operation);
  if (!setup)
    throw new Problem(422, 'Not now', 'Dimensions of the parts are missing.', [
      { field: 'operation', reason: 'No dimensions.' },
    ]);
  if (setup.press.kind === 'hammer' || setup.press.kind === 'screw')
    throw new Problem(422, 'Not now', `${setup.press.name} has no gauge.`, [
      { field: 'gauge', reason: 'No gauge.' },
    ]);
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
    speed,
  );
  return sse(gauge.read(), () => inUse.delete(jobId));
}
