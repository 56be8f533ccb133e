import { describe, expect, it } from 'vitest';
import { bearingIn, nut, ready, said, seat, stage, withNut } from '../../../tests/entries.ts';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import { shopContext } from '../../../tests/shop.ts';
import { walked, Worked, workThrough } from '../../../tests/technician.ts';
import type { EventBody, EventType, JobEvent } from '../schemas/events.ts';
import { type JobContext, refusal, type Station, stations } from './index.ts';

const pressing = [
  'stroke-reading',
  { operation: 'bearing-in', travelMm: 1, forceKn: 1, typed: '1' },
] as const;
const reuse = { seat: 'bore', decision: 'reuse' } as const;
const dragged = {
  ...withNut(),
  procedure: { ...nut, stages: [{ ...nut.stages[0]!, id: 'd', kind: 'drag' as const, value: 1 }] },
};
const smooth = { checkId: 'smooth', ok: true };

interface Refused<T extends EventType = EventType> {
  what: string;
  type: T;
  body: EventBody<T>;
  rule: string;
  field: string;
  events?: JobEvent[];
  ctx?: JobContext;
}
const refused = <T extends EventType>(
  what: string,
  type: T,
  body: EventBody<T>,
  rule: string,
  field: string,
  more: Pick<Refused, 'events' | 'ctx'> = {},
): Refused => ({ what, type, body, rule, field, ...more });
const { peakKn: _force, ...unread } = bearingIn();
const { actual: _actual, ...unreadStage } = stage();

/** Eight readings round a hub that runs out by 0.4 mm. */
const tilted: EventBody<'runout-read'> = {
  face: 'hub',
  instrumentId: 'clock',
  radiusMm: 60,
  readings: Array.from({ length: 8 }, (_, i) => [i * 45, 0.2 * Math.cos((i * Math.PI) / 4)]),
};

/** Every station closed but one. */
const allBut = (open: Station) =>
  stations.filter((s) => s !== open).map((station) => event('station-done', { station }));

describe('what may not be recorded', () => {
  it.each([
    refused(
      'a test with a result it cannot have',
      'test-recorded',
      { testId: 'spring', place: 'LF', result: 'blue' },
      'diagnose.result',
      'result',
    ),
    refused(
      'a call that no such vehicle has',
      'diagnosis-accepted',
      { suspectId: 'nonsense', probability: 0.9 },
      'diagnose.suspect',
      'suspectId',
    ),
    refused(
      'an answer for a rule that there is not',
      'overridden',
      { rule: 'nonsense', reason: 'because' },
      'job.no-rule',
      'rule',
    ),
    ...[1099, 101_101].map((odometerKm) =>
      refused(
        `a recheck at ${odometerKm} km of what was signed at 1100`,
        'recheck-done',
        { odometerKm },
        'prove.recheck-clock',
        'odometerKm',
        { events: [event('signed', { odometerKm: 1100 })] },
      ),
    ),
    refused(
      'a recheck at less than the clock on record',
      'recheck-done',
      { odometerKm: 1500 },
      'prove.clock-back',
      'odometerKm',
      {
        events: [event('signed', { odometerKm: 1100 })],
        ctx: { ...context(), unit: { ...context().unit, odometerKm: 1600 } },
      },
    ),
    refused('an open job opened again', 'job-reopened', { reason: 'x' }, 'job.not-closed', 'type'),
    ...['57.6', '57,9 thou', 'about 57'].map((typed) =>
      refused(
        `a reading of 57.9 beside “${typed}”`,
        'old-part-read',
        { dimension: 'widthMm', valueMm: 57.9, typed, instrumentId: 'gauge' },
        'job.typed',
        'valueMm',
      ),
    ),
    refused(
      'the bearing on the bench as one of another corner',
      'test-recorded',
      { testId: 'bench', place: 'RF', result: 'sandy' },
      'diagnose.bench-corner',
      'place',
    ),
    refused(
      'a step that the family does not have',
      'step-done',
      { phase: 'strip', stepId: 'roof' },
      'plan.step',
      'stepId',
    ),
    refused(
      'an old part of half a metre',
      'old-part-read',
      { dimension: 'outerMm', valueMm: 576, typed: '576', instrumentId: 'gauge' },
      'match.reading',
      'valueMm',
    ),
    refused('a seat where no parts are on record', 'seat-read', seat, 'press.geometry', 'seat', {
      ctx: context({ knuckle: undefined, hub: undefined }),
    }),
    refused(
      'a stroke of another family',
      'stroke-reading',
      { operation: 'cartridge-in', travelMm: 1, forceKn: 1, typed: '1' },
      'press.not-here',
      'operation',
      { events: ready },
    ),
    refused(
      'a stroke on to a seat without a verdict',
      'stroke-recorded',
      bearingIn(),
      'press.seat-verdict',
      'operation',
      { events: strippedExample() },
    ),
    refused(
      'a stack with a piece that is not in the kit',
      'stroke-recorded',
      bearingIn({ stack: { pusherId: 'lost' } }),
      'kit.piece',
      'stack',
      { events: ready },
    ),
    refused(
      'a press that the shop does not have',
      'stroke-recorded',
      bearingIn({ pressId: 'lost' }),
      'kit.press',
      'pressId',
      { events: ready },
    ),
    refused(
      'a stack that carries nothing',
      'stroke-recorded',
      bearingIn({ stack: { capId: 'disc', pusherId: 'ring' } }),
      'press.no-path',
      'stack',
      { events: ready },
    ),
    refused(
      'a stroke without the force that was read',
      'stroke-recorded',
      unread,
      'stroke.no-force',
      'peakKn',
      { events: ready },
    ),
    refused(
      'a torque without a procedure',
      'stage-recorded',
      stage(),
      'torque.no-procedure',
      'stageId',
    ),
    refused(
      'a stage that the procedure does not have',
      'stage-recorded',
      stage({ stageId: 'z' }),
      'torque.no-stage',
      'stageId',
      { ctx: withNut() },
    ),
    refused(
      'a torque without a reading',
      'stage-recorded',
      unreadStage,
      'torque.no-reading',
      'actual',
      { ctx: withNut() },
    ),
    refused(
      'a torque as said, which only turns and angles can be',
      'stage-recorded',
      { stageId: 'a', toolId: 'w', asSaid: true },
      'torque.no-reading',
      'actual',
      { ctx: withNut() },
    ),
    ...(
      [
        [
          'of which only the start was read',
          { forcesN: [18], radiusMm: 57 },
          0.5,
          'torque.drag-once',
          'drag',
        ],
        [
          'under that of its seal',
          { forcesN: [18, 8], radiusMm: 57, sealNm: 1 },
          0,
          'torque.drag-seal',
          'drag',
        ],
        [
          'other than its readings',
          { forcesN: [18, 8], radiusMm: 57 },
          0.5,
          'torque.drag-typed',
          'actual',
        ],
        ['without its readings, by no tool of the shop', undefined, 0.5, 'kit.tool', 'toolId'],
      ] as const
    ).map(([what, drag, actual, rule, field]) =>
      refused(
        `a drag ${what}`,
        'stage-recorded',
        {
          stageId: 'd',
          toolId: 'spring-scale',
          actual,
          ...(drag && { drag: { ...drag, forcesN: [...drag.forcesN] } }),
        },
        rule,
        field,
        { ctx: dragged },
      ),
    ),
    refused(
      'a fitting stroke of which only the peak was read',
      'stroke-reading',
      { operation: 'bearing-in', forceKn: 8, typed: '8' },
      'stroke.no-travel',
      'travelMm',
      { events: ready },
    ),
    ...(
      [
        ['a figure that the family does not have', 'knuckle.colour', 1, 'figure.none', 'path'],
        ['a metal that is none', 'knuckle.material', 'wood', 'figure.word', 'value'],
        ['a word for a length', 'knuckle.bossDepthMm', 'deep', 'figure.length', 'value'],
        ['a shoulder wider than its bore', 'knuckle.shoulderMm', 80, 'figure.contradicts', 'value'],
        ['a figure that a stroke was laid out by', 'knuckle.shoulderMm', 67, 'figure.used', 'path'],
      ] as const
    ).map(([what, path, value, rule, field]) =>
      refused(what, 'figure-read', { path, value }, rule, field, { events: ready }),
    ),
    refused(
      'a stroke on a face of which nobody knows how wide it is',
      'stroke-recorded',
      bearingIn(),
      'press.measure-first',
      'stack',
      { ctx: context({ outlined: ['knuckle.farFaceOuterMm'] }), events: ready },
    ),
    refused(
      'a caution that nobody wrote',
      'caution-read',
      { cautionId: 'constructor' },
      'job.caution',
      'cautionId',
      { ctx: withNut() },
    ),
    refused(
      'a fastener that this walk does not have',
      'fastener-read',
      { fastenerId: 'roof-rack', fastener: { torqueNm: 9, source: 'p. 1' } },
      'fastener.none',
      'fastenerId',
      { ctx: withNut() },
    ),
    refused(
      'a fastener of which nothing is said',
      'fastener-read',
      { fastenerId: 'wheel-nuts', fastener: { source: 'p. 1' } },
      'fastener.figure',
      'fastener',
      { ctx: withNut() },
    ),
    refused(
      'a procedure beside the one on record',
      'procedure-entered',
      { procedure: nut },
      'torque.procedure-kept',
      'procedure',
      { ctx: withNut() },
    ),
    refused(
      'a torque with a tool that is not there',
      'stage-recorded',
      stage({ toolId: 'lost' }),
      'kit.tool',
      'toolId',
      { ctx: withNut() },
    ),
    refused(
      'a torque with a sign',
      'stage-recorded',
      stage({ actual: -5, typed: '-5' }),
      'torque.sign',
      'actual',
      { ctx: withNut() },
    ),
    refused(
      'a nut of single use pulled up a second time',
      'stage-recorded',
      stage(),
      'torque.new-nut',
      'stageId',
      { ctx: withNut(), events: [event('stage-recorded', stage())] },
    ),
    refused(
      'the bearing pressed once more under its hub',
      'stroke-reading',
      { operation: 'bearing-in', travelMm: 1, forceKn: 1, typed: '1' },
      'press.covered',
      'operation',
      {
        events: [
          ...ready,
          event('stroke-recorded', bearingIn()),
          event('stroke-recorded', { ...bearingIn(), operation: 'hub-in', depthMm: 37 }),
        ],
      },
    ),
    refused(
      'a peak that the press cannot give',
      'stroke-recorded',
      bearingIn({ peakKn: 400 }),
      'stroke.over-capacity',
      'peakKn',
      { events: ready },
    ),
    refused(
      'the new bearing out again while its snap ring is in, though the old ring was seen out',
      'stroke-reading',
      { operation: 'bearing-out', travelMm: 1, forceKn: 1, typed: '1' },
      'press.snap-ring',
      'operation',
      {
        events: [
          ...ready,
          event('fact-seen', { factId: 'snap-ring-out' }),
          event('stroke-recorded', bearingIn()),
          event('fact-seen', { factId: 'snap-ring-fitted' }),
        ],
      },
    ),
    refused(
      'the call at another corner once metal has moved',
      'diagnosis-accepted',
      { suspectId: 'bearing-RF', probability: 0.9 },
      'job.corner-kept',
      'suspectId',
      { events: ready },
    ),
    refused(
      'another side of the new bearing once it is in',
      'encoder-checked',
      { side: 'outboard', method: 'viewing-card' },
      'match.fitted',
      'type',
      { events: [...ready, event('stroke-recorded', bearingIn())] },
    ),
    refused('a seat under the new bearing', 'seat-read', seat, 'seat.covered', 'seat', {
      events: [...ready, event('stroke-recorded', bearingIn())],
    }),
    refused('a seat under the old shell', 'seat-judged', reuse, 'seat.old-in', 'seat', {
      ctx: context({ family: 'A1' }),
    }),
    refused(
      'a fit of a part not held against the old',
      ...pressing,
      'press.unproven',
      'operation',
      {
        events: ready.filter((e) => e.type !== 'part-confirmed'),
      },
    ),
    refused('a fit of a part that is not here', ...pressing, 'press.part-missing', 'operation', {
      events: ready.filter((e) => e.type !== 'item-marked'),
    }),
    refused('a check before the nut', 'check-recorded', smooth, 'prove.nut-first', 'checkId'),
    refused(
      'a sound after the work before the nut',
      'trace-kept',
      { when: 'after', spectrum: { maxOrder: 18, db: [0, 1] } },
      'prove.nut-first',
      'when',
    ),
    refused(
      'a recording of nothing',
      'trace-kept',
      { when: 'before' },
      'prove.nothing-kept',
      'spectrum',
    ),
    refused(
      'a correction of a card that is not signed',
      'line-corrected',
      { line: 'Complaint', was: 'a', is: 'b', reason: 'c' },
      'job.not-signed',
      'type',
    ),
    refused(
      'another family once metal has moved',
      'family-named',
      { code: 'A2', probability: 0.9, answers: {} },
      'job.family-kept',
      'code',
      { events: ready },
    ),
    refused(
      'a new shell before the old one is out',
      'stroke-reading',
      { operation: 'shell-in', travelMm: 1, forceKn: 1, typed: '1' },
      'press.old-in',
      'operation',
      {
        events: [event('caution-read', { cautionId: 'press' })],
        ctx: context({ family: 'A1' }),
      },
    ),
    refused(
      'the hub into a bearing that is short',
      'stroke-reading',
      { operation: 'hub-in', travelMm: 1, forceKn: 1, typed: '1' },
      'press.stroke-not-right',
      'operation',
      { events: [...ready, event('stroke-recorded', bearingIn({ depthMm: 30 }))] },
    ),
    refused(
      'a check that the family does not have',
      'check-recorded',
      { checkId: 'roof', ok: true },
      'prove.check',
      'checkId',
    ),
    refused(
      'a measured check without a figure',
      'check-recorded',
      { checkId: 'runout', ok: true },
      'prove.reading',
      'value',
    ),
    refused(
      'a runout below nothing',
      'check-recorded',
      { checkId: 'runout', value: -0.02, typed: '-0.02' },
      'prove.sign',
      'value',
    ),
    refused(
      'a runout that is not what was read round the hub',
      'check-recorded',
      { checkId: 'runout', value: 0.02, typed: '0.02' },
      'prove.disagrees',
      'value',
      { events: [event('runout-read', tilted)] },
    ),
    refused(
      'anything on a closed job',
      'caution-read',
      { cautionId: 'press' },
      'job.closed',
      'type',
      { events: [event('job-closed', { reason: 'sold' })] },
    ),
    refused(
      'a station before the one that comes first',
      'station-done',
      { station: 'match' },
      'job.order',
      'station',
    ),
    refused(
      'a signature over stations that were closed with nothing done',
      'signed',
      { odometerKm: 1 },
      'complaint.none',
      'signed',
      { events: allBut('prove') },
    ),
    refused('a signature before the nut', 'signed', { odometerKm: 1 }, 'job.order', 'station', {
      events: allBut('torque'),
    }),
  ])('$what', ({ type, body, rule, field, events = [], ctx }) => {
    const no = refusal(type, body, job(events, ctx ?? context()), 'rafe');
    expect(no).toMatchObject({ rule, field });
    // What a technician reads: a figure that is not handed on shows here.
    expect(no && said(no)).toMatchSnapshot();
  });
});

it('pulls no nut while the rebuild has steps to go', () => {
  const { worked, entries } = workThrough(walked[0]!);
  const job = new Worked(shopContext('unit-07', 'LF'));
  for (const e of entries)
    if (!('type' in e && e.type === 'step-done' && e.body.stepId === 'lower')) job.put(e);
  const stage = entries.find((e) => 'type' in e && e.type === 'stage-recorded')!;
  expect(worked.now.state.signed).toBeDefined();
  expect(job.put(stage)?.rule).toBe('torque.not-rebuilt');
});
