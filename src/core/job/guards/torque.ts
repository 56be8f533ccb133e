import { type Item, itemsOf } from '../../families/index.ts';
import {
  beginsAgain,
  isSaid,
  mayGoUnmeasured,
  orderFault,
  type Procedure,
  pullVerdict,
  slotVerdict,
  stageUnit,
  walkProcedure,
} from '../../torque/index.ts';
import { endPlayRefusal, playRefusal } from '../adjust-on-job.ts';
import { familyCodeOf, stepsOf } from '../family-on-job.ts';
import { tightenedRefusal, toolRefusal } from '../fasteners-on-job.ts';
import type { JobNow } from '../job-now.ts';
import { type Refusal, refuse } from '../refusal.ts';
import { schoolRefusal } from '../school-on-job.ts';
import { dragRefusal, stageTools } from '../stage-tools.ts';
import type { Guards } from './guard.ts';

/** A nut that is staked, stretched or said to be used once does not go on again. */
const usedOnce = (p: Procedure): boolean => p.singleUse || p.stretch || p.locking?.kind === 'stake';

/** The nut that has to be taken new before stage 1 is pulled again: one that is used once or was stretched is pulled up once. */
export function spentNut(job: JobNow): Item | undefined {
  const { stages, items, itemsAt, spentAt } = job.state;
  const p = job.ctx.procedure;
  const nut = itemsOf(familyCodeOf(job)).find((i) => i.id === 'axle-nut');
  const first = p?.stages[0]?.id;
  if (!p || !nut || first === undefined || !usedOnce(p)) return undefined;
  const again = beginsAgain(p, walkProcedure(p, stages), first);
  // Pulled in work that has fallen since, or on this nut before.
  const pulledAt = again ? stages.at(-1)?.seq : spentAt[nut.id];
  if (pulledAt === undefined) return undefined;
  const fresh = items[nut.id] === 'in-hand' && (itemsAt[nut.id] ?? 0) > pulledAt;
  return fresh ? undefined : nut;
}

function usedNut(stageId: string, p: Procedure, job: JobNow): Refusal | undefined {
  const spent = p.stages[0]?.id === stageId ? spentNut(job) : undefined;
  return spent && refuse('stageId', 'torque.new-nut', { part: spent.name });
}

export const torqueGuards: Guards = {
  'stage-recorded': (b, job) => {
    const { ctx, state } = job;
    if (!ctx.procedure) return refuse('stageId', 'torque.no-procedure');
    const stage = ctx.procedure.stages.find((s) => s.id === b.stageId);
    if (!stageTools(job, stage, b).some((t) => t.id === b.toolId && !t.retired))
      return refuse('toolId', 'kit.tool', { part: b.toolId });
    const order = orderFault(ctx.procedure, walkProcedure(ctx.procedure, state.stages), b.stageId);
    if (order) return { field: 'stageId', ...order };
    const used = usedNut(b.stageId, ctx.procedure, job);
    if (used) return used;
    if (stage?.kind === 'lock') {
      const said = b.slot && slotVerdict(ctx.procedure, b.slot);
      return said?.status === 'stop' ? { field: 'slot', ...said } : undefined;
    }
    if (stage?.kind === 'end-play') return endPlayRefusal(b, job);
    // A nut that is spoilt is put on record with a figure or without.
    if (b.pull && stage && pullVerdict(stage.kind, b.pull)) return undefined;
    if (b.asSaid && b.actual === undefined && stage && mayGoUnmeasured(stage)) return undefined;
    if (b.actual === undefined) return refuse('actual', 'torque.no-reading');
    if (stage?.kind === 'drag' && b.drag) return dragRefusal(b.drag, b.actual);
    if (b.actual < 0) return refuse('actual', 'torque.sign');
    if (!stage || stageUnit(stage) !== 'torque' || stage.kind === 'drag') return undefined;
    return toolRefusal(stage.value ?? 0, b, job);
  },
  'fastener-read': (b, job) => {
    const known = [...stepsOf(job, 'strip'), ...stepsOf(job, 'rebuild')];
    if (!known.some((s) => s.fastener === b.fastenerId))
      return refuse('fastenerId', 'fastener.none', { part: b.fastenerId });
    return isSaid(b.fastener) ? undefined : refuse('fastener', 'fastener.figure');
  },
  'fastener-tightened': tightenedRefusal,
  'play-read': playRefusal,
  'school-chosen': schoolRefusal,
};
