import type { EventBody, EventType } from '../schemas/events.ts';
import { type JobNow, once } from './job-now.ts';

/** How the gauge of a trace is named when it was simulated. */
const simulated = /^stand-in/u;

/** Whether an entry brings what a simulated instrument gave. */
export function byStandIn<T extends EventType>(type: T, body: EventBody<T>): boolean {
  const { standIn, gauge } = body as { standIn?: boolean; gauge?: string };
  return standIn === true || (type === 'stroke-traced' && simulated.test(gauge ?? ''));
}

/**
 * A job outside a demo shop in which a simulated instrument was used: its card proves nothing, and nothing is learned
 * from it. Jobs of before shops were told apart are of demo shops.
 */
export const isPractice = once(({ ctx, state }: JobNow): boolean => {
  if (ctx.shop?.demo ?? true) return false;
  const readings = Object.values(state.oldTaken).flat();
  return (
    state.results.some((r) => r.standIn) ||
    readings.some((r) => r.standIn) ||
    state.stages.some((r) => r.standIn) ||
    state.plays.some((r) => r.standIn) ||
    Object.values(state.runout).some((r) => r.standIn) ||
    Object.values(state.keptTraces).some((k) => Object.values(k).some((t) => t.standIn)) ||
    Object.values(state.traces).some((t) => simulated.test(t.gauge))
  );
});
