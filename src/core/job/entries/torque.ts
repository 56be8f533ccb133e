import type { Entries } from './entry.ts';

export const torqueEntries = {
  'fastener-read': (s, body, by) => {
    s.fasteners[body.fastenerId] = { ...body, ...by };
  },
  'fastener-tightened': (s, body, by) => {
    (s.tightened[body.fastenerId] ??= []).push({ ...body, ...by });
  },
  'procedure-entered': (s, { procedure }) => {
    s.procedure = procedure;
  },
  'stage-recorded': (s, body, by, seq) => {
    s.stages.push({ ...body, ...by, seq });
  },
  'play-read': (s, body, by, seq) => {
    s.plays.push({ ...body, ...by, seq });
  },
} satisfies Partial<Entries>;
