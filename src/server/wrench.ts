import { refusal, reasonOf } from '../core/job/index.ts';
import type { WrenchFault } from '../core/standins/wrench.ts';
import { snugOf, type Stage, stageWindow } from '../core/torque/index.ts';
import { standInWrench } from '../devices/wrench.ts';
import { jobView } from './job-record.ts';
import { invalid, notFound, Problem } from './problem.ts';
import { sse, standInSpeed } from './streams.ts';

/** Jobs whose wrench is being read: one tablet at a time. */
const inUse = new Set<string>();

/** What the stand-in hides: how the hand stops, in how many pulls, and what is wrong with the nut. */
export const pullSettings = [
  'good',
  'ratchet',
  'short',
  'too-far',
  'slips',
  'cross-threaded',
  'yields',
  'silent',
] as const;
type PullSetting = (typeof pullSettings)[number];

const faultOf = (setting: PullSetting): WrenchFault =>
  setting === 'slips' || setting === 'cross-threaded' || setting === 'yields' ? setting : 'good';

/** Where the hand stops, in the stage's own unit. */
function stopAt(stage: Stage, setting: PullSetting): number {
  const value = stage.value ?? 0;
  const { low, high } = stageWindow(stage) ?? { low: value, high: value };
  if (setting === 'short') return low - (high - low);
  return setting === 'too-far' ? high + (high - low) : value;
}

/** Readings of the stand-in wrench for one stage of the centre nut, as server-sent events, until it is put down. */
export async function wrenchStream(
  jobId: string,
  stageId: string,
  setting: string,
): Promise<Response> {
  const known = pullSettings.find((s) => s === setting);
  if (!known) throw invalid([{ field: 'setting', reason: `One of ${pullSettings.join(', ')}.` }]);
  const view = await jobView(jobId);
  const stage = view.ctx.procedure?.stages.find((s) => s.id === stageId);
  if (!stage || !view.ctx.procedure) throw notFound('stage', stageId);
  const snugNm = snugOf(view.ctx.procedure, stage);
  if ((stage.kind !== 'torque' && stage.kind !== 'angle') || snugNm === undefined)
    throw invalid([{ field: 'stage', reason: 'A wrench reads a torque, or an angle after one.' }]);
  const tool = view.ctx.wrenches.find((w) => w.type === 'digital' && !w.retired);
  if (!tool) throw invalid([{ field: 'toolId', reason: 'This shop has no digital wrench.' }]);
  const body = { stageId, toolId: tool.id, actual: stage.value ?? 0 };
  const no = refusal('stage-recorded', body, view);
  if (no)
    throw new Problem(422, 'Not now', reasonOf(no), [{ field: no.field, reason: reasonOf(no) }]);
  if (inUse.has(jobId))
    throw new Problem(
      409,
      'Wrench in use',
      'Another tablet is reading this wrench. One at a time.',
      [{ field: 'wrench', reason: 'In use.' }],
    );
  inUse.add(jobId);
  const stop = stopAt(stage, known);
  const angle = stage.kind === 'angle';
  const wrench = standInWrench(
    {
      snugNm,
      targetDeg: angle ? stop : 720,
      ...(angle ? {} : { targetNm: stop }),
      ratchet: known === 'ratchet',
      fault: faultOf(known),
      seed: Date.now() % 1_000_000,
      missDeg: 0,
    },
    known === 'silent',
    standInSpeed,
  );
  return sse(wrench.read(), () => inUse.delete(jobId));
}
