import type { EventBody } from '../../schemas/events.ts';
import type { KeptTraces } from '../state.ts';
import type { By, Entries } from './entry.ts';

function tracesIn({ spectrum, signal, standIn, byId, atMs }: EventBody<'trace-kept'> & By) {
  const by = { byId, atMs, ...(standIn ? { standIn } : {}) };
  return {
    ...(spectrum ? { spectrum: { ...spectrum, ...by } } : {}),
    ...(signal ? { signal: { ...signal, ...by } } : {}),
  } satisfies KeptTraces;
}

export const proveEntries = {
  'runout-read': (s, body, by) => {
    s.runout[body.face] = { ...body, ...by };
  },
  'trace-kept': (s, body, by) => {
    s.keptTraces = {
      ...s.keptTraces,
      [body.when]: { ...s.keptTraces[body.when], ...tracesIn({ ...body, ...by }) },
    };
  },
  'check-recorded': (s, body, by) => {
    s.checks[body.checkId] = { ...body, ...by };
  },
  overridden: (s, body, by) => {
    s.overrides.push({ ...body, ...by });
  },
  'line-corrected': (s, body, by) => {
    s.corrections.push({ ...body, ...by });
  },
} satisfies Partial<Entries>;
