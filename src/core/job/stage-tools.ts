import type { EventBody } from '../schemas/events.ts';
import { type DragRead, dragFault, dragNm, springScale, type Stage } from '../torque/index.ts';
import { instrumentsInUse, type JobNow } from './job-now.ts';
import { type Refusal, refuse } from './refusal.ts';

/** What a stage may be read with: a spring scale is no tool of the shop's records, its arm and readings are kept. */
export const stageTools = (
  job: JobNow,
  stage: Stage | undefined,
  { drag }: EventBody<'stage-recorded'>,
): readonly { id: string; retired?: string | undefined }[] => {
  if (stage?.kind === 'end-play') return instrumentsInUse(job);
  return stage?.kind === 'drag' && drag ? [{ id: springScale }] : job.ctx.wrenches;
};

/** A drag by the scale is what its readings say, and nothing else. */
export function dragRefusal(drag: DragRead, actual: number): Refusal | undefined {
  const fault = dragFault(drag);
  if (fault) return { field: 'drag', ...fault };
  const read = dragNm(drag);
  return Math.abs(read - actual) < 0.001
    ? undefined
    : refuse('actual', 'torque.drag-typed', { value: actual, with: { read } });
}
