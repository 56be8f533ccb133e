import { describe, expect, it } from 'vitest';
import { exampleWork } from '../../../tests/example.ts';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { facts, strokesIn, walks } from '../families/index.ts';
import type { Operation } from '../press/index.ts';
import { judgeCheck } from '../prove/index.ts';
import { limitOf, type Said, sentence } from '../rules/index.ts';
import type { EventBody, EventType, JobEvent } from '../schemas/events.ts';
import type { Procedure } from '../torque/index.ts';
import { checksFor, type JobContext, owedAt, refusal, type Station, stations } from './index.ts';

const stroke = (operation: Operation, more: Partial<EventBody<'stroke-recorded'>> = {}) =>
  event('stroke-recorded', {
    operation,
    pressId: 'p',
    stack: { pusherId: 'ring' },
    peakKn: 6,
    depthMm: 41.5,
    ...more,
  });

/** A finding as it is read, with its limit. */
const said = (s: Said): string => [sentence(s), limitOf(s) ?? []].flat().join(' | ');

/** Every thing to be seen that locks a stroke of a walked family, with that stroke. */
const locks = walked.flatMap((w) => {
  const { out = [], in: fitted = [] } = walks[w.family] ?? {};
  const tasks = [...out, ...fitted];
  const asked = tasks.flatMap((t) => (t.kind === 'facts' ? t.facts : []));
  return asked.flatMap((id) => {
    const { before = [], rule } = facts[id].locks ?? {};
    return before
      .filter((o) => strokesIn(tasks).includes(o))
      .map((operation) => ({ ...w, id, operation, rule }));
  });
});

describe('things to be seen', () => {
  // What must be seen first: common practice, no published source.
  it.each(locks)('$family, $route: $operation waits for $id', ({ id, operation, rule, ...w }) => {
    const entries = workThrough(w).entries.filter((e) => 'choice' in e || e.body !== undefined);
    const upTo = entries.findIndex(
      (e) => 'type' in e && e.type === 'stroke-recorded' && e.body.operation === operation,
    );
    const job = new Worked(shopContext(w.unit, w.corner));
    const seen = (e: Entry) => 'type' in e && e.type === 'fact-seen' && e.body.factId === id;
    for (const e of entries.slice(0, upTo)) if (!seen(e)) job.put(e);
    expect(job.put(entries[upTo]!)?.rule).toBe(rule);
  });
});

const nut: Procedure = {
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
const withNut = (over: Partial<Procedure> = {}): JobContext => ({
  ...context(),
  procedure: { ...nut, ...over },
  wrenches: [{ id: 'w', name: 'W', type: 'click', minNm: 20, maxNm: 200 }],
});
const ready: JobEvent[] = [
  ...strippedExample(),
  event('seat-judged', { seat: 'bore', decision: 'reuse' }),
  event('seat-judged', { seat: 'journal', decision: 'reuse' }),
  event('encoder-checked', { side: 'inboard', method: 'viewing-card' }),
];
const bearingIn = (more: Partial<EventBody<'stroke-recorded'>> = {}) => ({
  operation: 'bearing-in' as const,
  pressId: 'p',
  stack: { capId: 'disc', pusherId: 'ring', supportId: 'support' },
  peakKn: 6,
  depthMm: 41.5,
  ...more,
});
const seat = {
  seat: 'bore' as const,
  readingsMm: [
    [75.96, 75.96],
    [75.96, 75.96],
  ],
  instrumentId: 'gauge',
};
const stage = (more: Partial<EventBody<'stage-recorded'>> = {}) => ({
  stageId: 'a',
  toolId: 'w',
  actual: 120,
  typed: '120',
  ...more,
});

const pressing = [
  'stroke-reading',
  { operation: 'bearing-in', travelMm: 1, forceKn: 1, typed: '1' },
] as const;
const reuse = { seat: 'bore', decision: 'reuse' } as const;
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

describe('what a station owes', () => {
  const owed = (station: Station, events: JobEvent[], ctx = context(), choices = {}) =>
    owedAt(station, job(events, ctx, choices));
  const plan = (route: string) => ({
    plan: { version: 1, value: { route, chill: false, soak: false } },
  });
  const { knuckle } = exampleWork;
  const misfit = context({ knuckle: { ...knuckle, boreMm: knuckle.boreMm + 1 } });
  const off = (mm: number) =>
    event('seat-judged', { seat: 'bore', decision: mm > 0 ? 'reuse' : 'replace' });
  it.each([
    [
      'a call that is a bearing',
      'diagnose.not-bearing',
      owed('diagnose', [
        event('diagnosis-accepted', { suspectId: 'tyre-front', probability: 0.9 }),
      ]),
    ],
    ['a corner', 'match.no-corner', owed('match', [], { ...context(), corner: 'unknown' })],
    ['a part', 'match.no-part', owed('match', [], context({ partNumber: undefined }))],
    ['a family that is walked', 'plan.not-walked', owed('plan', [], context({ family: 'P3' }))],
    ['a part that belongs here', 'match.misfit', owed('match', [], misfit)],
    [
      'what was seen instead',
      'press.contrary',
      owed('press-in', [event('fact-seen', { factId: 'no-gap', absent: true })]),
    ],
    ['a route', 'plan.no-route', owed('plan', [])],
    [
      'a route that is walked',
      'plan.route-elsewhere',
      owed('plan', [], context(), plan('sent-out')),
    ],
    ['dimensions', 'press.no-geometry', owed('press-out', [], context({ knuckle: undefined }))],
    ['a seat verdict', 'seat.no-verdict', owed('press-in', [])],
    ['a new part for a seat that was given up', 'seat.to-replace', owed('press-in', [off(0)])],
    ['the encoder side', 'press.encoder-unchecked', owed('press-in', [])],
    [
      'a stroke that is right',
      'press.not-right',
      owed('press-in', [stroke('bearing-in', { depthMm: 38 })]),
    ],
    ['a procedure', 'torque.procedure-missing', owed('torque', [])],
    [
      'a procedure that somebody checked',
      'torque.unchecked',
      owed('torque', [], withNut({ checkedBy: undefined })),
    ],
    ['its stages', 'torque.stage-to-go', owed('torque', [], withNut())],
    ['every check', 'prove.unchecked', owed('prove', [])],
    [
      'every check right',
      'prove.not-right',
      owed('prove', [event('check-recorded', { checkId: 'smooth', ok: false })]),
    ],
  ] as [string, string, Said[]][])('%s', (_what, rule, all) => {
    const one = all.find((o) => o.rule === rule);
    expect(one && said(one)).toMatchSnapshot();
  });
  it('nothing more of a procedure that somebody answers for', () => {
    const answered = [
      event('overridden', { rule: 'torque.unchecked', reason: 'held against the sheet' }),
      event('stage-recorded', stage()),
    ];
    expect(
      owed('torque', answered, withNut({ checkedBy: undefined })).filter((o) =>
        o.rule.startsWith('torque.'),
      ),
    ).toEqual([]);
  });
});

it('a measured check without a figure is Stop, not Good', () => {
  const check = checksFor(job([])).find((c) => c.id === 'runout')!;
  expect(judgeCheck(check, { ok: true })).toMatchObject({ status: 'stop', rule: 'prove.no-value' });
});

it('the example parts have the sizes these figures speak of', () =>
  expect(exampleWork.knuckle.seatDepthMm).toBe(41.5));
