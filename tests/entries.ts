import { limitOf, type Said, sentence } from '../src/core/rules/index.ts';
import type { JobContext } from '../src/core/job/index.ts';
import type { Operation } from '../src/core/press/index.ts';
import type { EventBody, JobEvent } from '../src/core/schemas/events.ts';
import type { Procedure } from '../src/core/torque/index.ts';
import { context, event, strippedExample } from './job-example.ts';

/** Entries of the example job as tests of its rules want them. */

export const stroke = (operation: Operation, more: Partial<EventBody<'stroke-recorded'>> = {}) =>
  event('stroke-recorded', {
    operation,
    pressId: 'p',
    stack: { pusherId: 'ring' },
    peakKn: 6,
    depthMm: 41.5,
    ...more,
  });

/** A finding as it is read, with its limit. */
export const said = (s: Said): string => [sentence(s), limitOf(s) ?? []].flat().join(' | ');

export const nut: Procedure = {
  id: 'n',
  name: 'nut',
  fastener: 'nut',
  stretch: false,
  singleUse: true,
  thread: 'dry',
  hexMm: 32,
  source: 'made up',
  checkedBy: 'Ines',
  stages: [
    { id: 'a', kind: 'torque', value: 120, tolerance: 6, text: 'Seat', why: '', wheel: 'air' },
  ],
};
export const withNut = (over: Partial<Procedure> = {}): JobContext => ({
  ...context(),
  procedure: { ...nut, ...over },
  wrenches: [{ id: 'w', name: 'W', type: 'click', minNm: 20, maxNm: 200 }],
});
export const ready: JobEvent[] = [
  ...strippedExample(),
  event('seat-judged', { seat: 'bore', decision: 'reuse' }),
  event('seat-judged', { seat: 'journal', decision: 'reuse' }),
  event('encoder-checked', { side: 'inboard', method: 'viewing-card' }),
];
export const bearingIn = (more: Partial<EventBody<'stroke-recorded'>> = {}) => ({
  operation: 'bearing-in' as const,
  pressId: 'p',
  stack: { capId: 'disc', pusherId: 'ring', supportId: 'support' },
  peakKn: 6,
  depthMm: 41.5,
  ...more,
});
export const seat = {
  seat: 'bore' as const,
  readingsMm: [
    [75.96, 75.96],
    [75.96, 75.96],
  ],
  instrumentId: 'gauge',
};
export const stage = (more: Partial<EventBody<'stage-recorded'>> = {}) => ({
  stageId: 'a',
  toolId: 'w',
  actual: 120,
  typed: '120',
  ...more,
});
