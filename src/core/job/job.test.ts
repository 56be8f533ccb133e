import { describe, expect, it } from 'vitest';
import { exampleWork, piece } from '../../../tests/example.ts';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import type { FactId } from '../families/index.ts';
import { drawChain } from '../fits/index.ts';
import { compare } from '../matching/index.ts';
import type { Choices, EventBody, JobEvent } from '../schemas/events.ts';
import {
  cornerOfJob,
  currentStation,
  encoderState,
  familyOf,
  fitEffects,
  type JobNow,
  type JobContext,
  judgementOf,
  judgeReadings,
  missingFor,
  oldPart,
  project,
  recheck,
  refusal,
  seatChain,
  seatResult,
  sensorSide,
  setupOf,
  spine,
} from './index.ts';

const { knuckle, bearing } = exampleWork;
const seatsJudged = (['bore', 'journal'] as const).map((seat) =>
  event('seat-judged', { seat, decision: 'reuse' }),
);
const ready = [...strippedExample(), ...seatsJudged];
const stroke = (pusherId: string): EventBody<'stroke-recorded'> => ({
  operation: 'bearing-in',
  pressId: 'p',
  stack: { capId: 'disc', pusherId, supportId: 'support' },
  peakKn: 6,
  depthMm: 41.5,
});

describe('encoder side', () => {
  const rule = (now: JobNow) => refusal('stroke-recorded', stroke('ring'), now)?.rule;
  it('is asked for, held while reversed, and let go when right', () => {
    expect(rule(job(ready))).toBe('press.encoder');
    expect(
      rule(job([...ready, event('encoder-checked', { side: 'outboard', method: 'paper-clip' })])),
    ).toBe('press.encoder-reversed');
    expect(
      rule(job([...ready, event('encoder-checked', { side: 'inboard', method: 'viewing-card' })])),
    ).toBeUndefined();
  });
  it('is never guessed: without a record the old part says it, and without either the stroke stays locked', () => {
    const silent = context({ sensorSide: undefined });
    expect(rule(job(ready, silent))).toBe('press.sensor-side');
    const read = job(
      [
        ...ready,
        event('encoder-read', { kind: 'magnetic', pairs: 48, side: 'outboard' }),
        event('encoder-checked', { side: 'outboard', method: 'viewing-card' }),
      ],
      silent,
    );
    expect(sensorSide(read)).toBe('outboard');
    expect(rule(read)).toBeUndefined();
  });
  it('is not asked of a bearing without encoder', () => {
    const plain = job(ready, context({}, { kind: 'none', pairs: 0 }));
    expect(encoderState(plain)).toBe('no-encoder');
    expect(rule(plain)).toBeUndefined();
    expect(missingFor('press-in', plain)).not.toContain('Encoder side not checked');
  });
});

describe('the judgement on the job', () => {
  const said = event('complaint-recorded', {
    corner: 'LF',
    lamps: ['none'],
    history: [],
    sound: 'roar',
  });
  it('offers no test whose tool is not at hand', () => {
    const all = judgementOf(job([said]));
    const tool = all.next.flatMap((n) => n.test.tools)[0]!;
    const without = judgementOf(
      job([said], context(), { diagnose: { version: 1, value: { without: [tool] } } }),
    );
    expect(without.next.some((n) => n.test.tools.includes(tool))).toBe(false);
    expect(without.next.length).toBeLessThan(all.next.length);
  });
  it('knows the age of the bearings and what the unit went through', () => {
    const share = (over: Partial<JobContext['unit']>) => {
      const ctx = context();
      const { suspects } = judgementOf(job([said], { ...ctx, unit: { ...ctx.unit, ...over } }));
      return suspects.find((s) => s.id === 'bearing-LF')!.probability;
    };
    const silent = share({ odometerKm: 260_000 });
    const young = share({ odometerKm: 260_000, fitted: { LF: { atKm: 255_000, again: false } } });
    const old = share({ odometerKm: 260_000, fitted: { LF: { atKm: 20_000, again: false } } });
    expect(old).toBeGreaterThan(young);
    expect(share({ odometerKm: 260_000, exposure: ['deep-water'] })).toBeGreaterThan(silent);
  });
});

describe('interlocks', () => {
  const checked = [...ready, event('encoder-checked', { side: 'inboard', method: 'viewing-card' })];
  it('refuse a stack that loads the balls whatever else is right', () =>
    expect(refusal('stroke-recorded', stroke('sleeve'), job(checked))?.rule).toBe(
      'press.through-balls',
    ));
  it('refuse to take a bearing that goes back off by its balls, and let scrap go that way', () => {
    const ctx = {
      ...context(),
      adapters: [piece('mandrel', 38, 0, 70), piece('legs', 200, 140, 100)],
    };
    const hubOut = {
      operation: 'hub-out' as const,
      pressId: 'p',
      stack: { pusherId: 'mandrel', supportId: 'legs' },
      peakKn: 12,
    };
    const choices = (usedAgain: boolean): Choices => ({
      'stack-hub-out': { version: 1, value: { usedAgain } },
    });
    const rule = (usedAgain: boolean) =>
      refusal('stroke-recorded', hubOut, job(ready, ctx, choices(usedAgain)))?.rule;
    expect([rule(false), rule(true)]).toEqual([undefined, 'press.through-balls']);
  });
  it('ask each who pumps for the press caution, once a job', () => {
    const reading = (by: string) =>
      refusal(
        'stroke-reading',
        { operation: 'bearing-in', travelMm: 1, forceKn: 1, typed: '1' },
        job(checked),
        by,
      )?.rule;
    expect([reading('rafe'), reading('tobi')]).toEqual([undefined, 'press.caution']);
  });
  it('ask for the caution of the tool that is taken: a ram says nothing of blows', () => {
    const driven = { ...stroke('ring'), pressId: 'hammer' };
    const read = event('caution-read', { cautionId: 'hammer' });
    const refused = (events: JobEvent[]) => refusal('stroke-recorded', driven, job(events), 'rafe');
    expect(refused(checked)).toMatchObject({
      rule: 'press.caution',
      part: expect.stringMatching(/splinters/u) as string,
    });
    expect(refused([...checked, read])?.rule).not.toBe('press.caution');
  });
  it('refuse a fitting stroke whose depth was not measured', () => {
    const { depthMm: _depth, ...bare } = stroke('ring');
    expect(refusal('stroke-recorded', bare, job(checked))).toMatchObject({ field: 'depthMm' });
  });
  it('keep the press from the knuckle while the snap ring is in, and the hub from the bearing until ring and shield are', () => {
    const reading = (operation: 'bearing-out' | 'hub-in', events: JobEvent[]) =>
      refusal('stroke-reading', { operation, travelMm: 1, forceKn: 1, typed: '1' }, job(events))
        ?.rule;
    const hubOut = strippedExample().filter(
      (e) => e.type !== 'stroke-recorded' || e.body.operation !== 'bearing-out',
    );
    expect(reading('bearing-out', hubOut)).toBe('press.snap-ring');
    expect(
      reading('bearing-out', [...hubOut, event('fact-seen', { factId: 'snap-ring-out' })]),
    ).toBeUndefined();
    const bearingIn = [...checked, event('stroke-recorded', stroke('ring'))];
    const seen = (...ids: FactId[]) =>
      reading('hub-in', [...bearingIn, ...ids.map((factId) => event('fact-seen', { factId }))]);
    expect([
      seen(),
      seen('inner-ring-off'),
      seen('inner-ring-off', 'groove-clear'),
      seen('inner-ring-off', 'groove-clear', 'snap-ring-fitted'),
      seen('inner-ring-off', 'groove-clear', 'snap-ring-fitted', 'shield-on'),
    ]).toEqual(['press.old-ring', 'press.groove', 'press.snap-ring-in', 'press.shield', undefined]);
  });
  it('open a seat judged “replace” only to a name that answers for it', () => {
    const replaced = [...checked, event('seat-judged', { seat: 'bore', decision: 'replace' })];
    expect(refusal('stroke-recorded', stroke('ring'), job(replaced))?.rule).toBe(
      'press.seat-replace',
    );
    expect(
      refusal(
        'stroke-recorded',
        stroke('ring'),
        job([...replaced, event('overridden', { rule: 'seat.bore', reason: 'measured twice' })]),
      ),
    ).toBeUndefined();
  });
  it('see a slip of the micrometer, and an instrument that is not there', () => {
    const read = (mm: number, instrumentId: string) =>
      refusal(
        'seat-read',
        {
          seat: 'bore',
          readingsMm: [
            [mm, 75.96],
            [75.96, 75.96],
            [75.96, 75.96],
          ],
          instrumentId,
        },
        job(strippedExample()),
      )?.rule;
    expect([read(57.96, 'gauge'), read(75.96, 'spoon'), read(75.96, 'gauge')]).toEqual([
      'seat.reading',
      'kit.instrument',
      undefined,
    ]);
  });
  it('take nothing on a signed card but its recheck', () => {
    const signed = job([event('signed', { odometerKm: 1000 })]);
    expect(refusal('caution-read', { cautionId: 'press' }, signed)?.rule).toBe('job.signed');
    expect(refusal('recheck-done', { odometerKm: 1170 }, signed)).toBeUndefined();
  });
});

describe('the record', () => {
  it('keeps every reading and judges by the latest: a third reading of the old part begins anew', () => {
    const read = (valueMm: number) =>
      event('old-part-read', {
        dimension: 'outerMm',
        valueMm,
        typed: String(valueMm),
        instrumentId: 'gauge',
      });
    expect(project([read(76), read(67), read(76.01)]).oldReadings.outerMm).toEqual([76.01]);
    expect(project([read(76), read(76.01)]).oldReadings.outerMm).toEqual([76, 76.01]);
  });
  it('a seat read again loses its verdict', () => {
    const readingsMm = [
      [75.96, 75.96],
      [75.96, 75.96],
      [75.96, 75.96],
    ];
    const state = project([
      event('seat-read', { seat: 'bore', readingsMm, instrumentId: 'gauge' }),
      event('seat-judged', { seat: 'bore', decision: 'reuse' }),
      event('seat-read', { seat: 'bore', readingsMm, instrumentId: 'gauge' }),
    ]);
    expect(state.seatDecisions.bore).toBeUndefined();
    expect(
      judgeReadings(job([]), 'bore', { readingsMm, instrumentId: 'gauge' })?.meanMm,
    ).toBeCloseTo(75.96, 9);
    expect(judgeReadings(job([]), 'bore', { readingsMm, instrumentId: 'lost' })).toBeUndefined();
  });
  it('calls nothing the same that an instrument no longer on record has read', () => {
    const now = job([
      event('old-part-read', {
        dimension: 'outerMm',
        valueMm: 76,
        typed: '76',
        instrumentId: 'lost',
      }),
    ]);
    expect(compare(oldPart(now), now.ctx.parts[0]!).marks.outerMm).toBe('doubt');
  });
  it('moves the job to the corner that the diagnosis names', () => {
    expect(
      cornerOfJob(
        'unknown',
        project([event('diagnosis-accepted', { suspectId: 'bearing-RR', probability: 0.9 })]),
      ),
    ).toBe('RR');
    expect(
      cornerOfJob(
        'LF',
        project([event('diagnosis-accepted', { suspectId: 'tyre-front', probability: 0.9 })]),
      ),
    ).toBe('LF');
  });
  it('goes back to a station that is reopened', () => {
    const done = ['complaint', 'diagnose', 'match'] as const;
    const events = done.map((station) => event('station-done', { station }));
    expect(currentStation(project(events).done)).toBe('plan');
    expect(
      currentStation(
        project([
          ...events,
          event('station-reopened', { station: 'diagnose', reason: 'noise came back' }),
        ]).done,
      ),
    ).toBe('diagnose');
  });
  it('shows Match as provisional until the old part has confirmed it', () => {
    const events = (['complaint', 'diagnose', 'match'] as const).map((station) =>
      event('station-done', { station }),
    );
    expect(spine(job(events))[2]).toMatchObject({ mark: 'provisional', result: 'provisional' });
  });
  it('counts the recheck from the distance it was signed at', () => {
    const now = job([event('signed', { odometerKm: 900 })]);
    expect(recheck(now)).toEqual({ drivenKm: 100, dueKm: 160 });
    expect(
      recheck(
        job([event('signed', { odometerKm: 900 }), event('recheck-done', { odometerKm: 1070 })]),
      ),
    ).toBeUndefined();
  });
});

describe('family, measuring and seats on the job', () => {
  const reading = (
    dimension: EventBody<'old-part-read'>['dimension'],
    valueMm: number,
    more: Partial<EventBody<'old-part-read'>> = {},
  ) => event('old-part-read', { dimension, valueMm, typed: '', instrumentId: 'gauge', ...more });
  const bore = (mm: number, more: Partial<EventBody<'seat-read'>> = {}) =>
    event('seat-read', {
      seat: 'bore',
      readingsMm: [
        [mm, mm],
        [mm, mm],
        [mm, mm],
      ],
      instrumentId: 'gauge',
      ...more,
    });

  it('takes the family that was seen before the one on record, and asks where neither says', () => {
    const none = context({}, bearing.encoder);
    none.unit.corners = {};
    expect(missingFor('match', job([], none))[0]).toMatch(/Which family/u);
    const seen = job([event('family-named', { code: 'A2', probability: 0.97, answers: {} })]);
    expect([familyOf(seen)?.code, familyOf(job([]))?.code]).toEqual(['A2', 'P1']);
    expect(
      refusal('item-marked', { itemId: 'press-ring', state: 'in-hand' }, seen),
    ).toBeUndefined();
    expect(refusal('item-marked', { itemId: 'press-ring', state: 'in-hand' }, job([]))?.rule).toBe(
      'match.item',
    );
    expect(
      refusal(
        'family-named',
        { code: 'A2', probability: 0.2, answers: { holds: 'plate' } },
        job([]),
      )?.field,
    ).toBe('probability');
  });
  it('keeps a reading by its place, replaces it there, and corrects zero and temperature', () => {
    const at = (angleDeg: number, mm: number, more = {}) =>
      reading('outerMm', mm, { plane: 0, angleDeg, ...more });
    const { state } = job([at(0, 76.02), at(90, 76.03), at(0, 76.05, { zeroMm: 0.02, partC: 40 })]);
    expect(state.oldReadings.outerMm!.map((x) => Number(x.toFixed(4)))).toEqual([
      76.03,
      Number((76.03 / (1 + 12e-6 * 20)).toFixed(4)),
    ]);
    expect(
      refusal(
        'old-part-read',
        { dimension: 'studCount', valueMm: 4.5, typed: '4.5', instrumentId: 'gauge' },
        job([]),
      )?.rule,
    ).toBe('match.count');
  });
  it('holds Press out while old part and bore cannot belong together', () => {
    const apart = job([reading('outerMm', 72), reading('outerMm', 72.01), bore(75.96)]);
    expect(missingFor('press-out', apart).join()).toMatch(/more apart than wear explains/u);
    expect(
      missingFor(
        'press-out',
        job([reading('outerMm', 76), reading('outerMm', 76.01), bore(75.96)]),
      ).join(),
    ).not.toMatch(/more apart/u);
  });
  it('puts marks on a seat and a warm aluminium bore beside its figures', () => {
    const marked = job([
      bore(75.96),
      event('damage-read', {
        seat: 'bore',
        nickShare: 0.02,
        nickDepthMm: 0.1,
        sealTrack: true,
        grooved: false,
      }),
    ]);
    expect(seatResult(marked, 'bore')!.verdicts[0]).toMatchObject({
      status: 'stop',
      rule: 'seat.seal-track',
    });
    const alu = job([bore(75.96)], context({ knuckle: { ...knuckle, material: 'aluminium' } }));
    expect(seatResult(alu, 'bore')!.verdicts.map((v) => v.rule)).toContain('seat.warm');
    expect(seatResult(job([bore(75.96)]), 'bore')!.verdicts.map((v) => v.rule)).toEqual([
      'seat.good',
    ]);
  });
  it('does not let a seat that was not read, or that is Stop, be called good without a name', () => {
    const reuse = (events: JobEvent[]) =>
      refusal(
        'seat-judged',
        { seat: 'bore', decision: 'reuse' },
        job([...strippedExample(), ...events]),
      )?.rule;
    expect([reuse([]), reuse([bore(75.96)]), reuse([bore(76.02)])]).toEqual([
      'seat.not-read',
      undefined,
      'seat.stop',
    ]);
    expect(
      reuse([bore(76.02), event('overridden', { rule: 'seat.bore', reason: 'sleeved' })]),
    ).toBeUndefined();
  });
  it.each([
    ['oiled', false],
    ['dry', false],
    ['paste', true],
  ] as const)('expects the force that the spread of the same fit has, %s', (film, chill) => {
    const plan = { version: 1, value: { route: 'bench', chill, soak: false, film } } as const;
    const now = { ...job([bore(75.962)]), choices: { plan } };
    const drawn = drawChain(seatChain(now, 'bore')!, 40_000, 5).forceKn;
    const expected = setupOf(now, 'bearing-in')!.forceKn;
    expect(Math.abs(expected.likely / drawn.likely - 1)).toBeLessThan(0.1);
    expect(expected.low).toBeLessThanOrEqual(drawn.low);
    expect(expected.high).toBeGreaterThan(drawn.high);
  });
  it('leaves out of the chain of a fit what is not on record', () => {
    const now = job([bore(75.96)]);
    const chain = seatChain(now, 'bore')!;
    expect(chain.creepMm).toBe(0);
    expect(chain.outside.mean).toBeCloseTo(75.96, 9);
    expect(seatChain(now, 'journal')).toBeUndefined();
    expect(fitEffects(now, 'bore')!.clearanceLossMm).toBeGreaterThan(0);
  });
});

describe('a traced stroke', () => {
  const checked = [...ready, event('encoder-checked', { side: 'inboard', method: 'viewing-card' })];
  const trace = (
    call: EventBody<'stroke-traced'>['call'],
    samples = [
      [0, 0, 0.1],
      [20, 1, 0.4],
      [40, 2, 0.8],
    ],
  ) => ({ operation: 'bearing-in' as const, gauge: 'gauge', call, samples });
  it('gives the strip its readings, and a cocked one keeps the seat from being recorded until it is pressed again', () => {
    const cocked = [...checked, event('stroke-traced', trace('cocked'))];
    expect(job(cocked).state.readings['bearing-in']).toHaveLength(3);
    expect(refusal('stroke-recorded', stroke('ring'), job(cocked))?.rule).toBe('press.cocked');
    expect(
      refusal(
        'stroke-recorded',
        stroke('ring'),
        job([...cocked, event('stroke-traced', trace('seated'))]),
      ),
    ).toBeUndefined();
  });
  it.each(['galling', 'stuck'] as const)('that ended %s is not recorded either', (call) =>
    expect(
      refusal(
        'stroke-recorded',
        stroke('ring'),
        job([...checked, event('stroke-traced', trace(call))]),
      )?.rule,
    ).toBe(`press.${call}`),
  );
  it('is refused when its time runs backwards, or before what a stroke needs', () => {
    expect(
      refusal(
        'stroke-traced',
        trace('square', [
          [0, 0, 0],
          [40, 1, 1],
          [20, 2, 1],
        ]),
        job(checked),
      ),
    ).toMatchObject({ field: 'samples.2.ms', rule: 'stroke.trace' });
    expect(refusal('stroke-traced', trace('square'), job(ready))?.rule).toBe('press.encoder');
  });
});
