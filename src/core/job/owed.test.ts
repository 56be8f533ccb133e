import { describe, expect, it } from 'vitest';
import { said, stage, stroke, withNut } from '../../../tests/entries.ts';
import { exampleWork } from '../../../tests/example.ts';
import { context, event, job } from '../../../tests/job-example.ts';
import { judgeCheck } from '../prove/index.ts';
import type { Said } from '../rules/index.ts';
import type { JobEvent } from '../schemas/events.ts';
import { checksFor, owedAt, type Station } from './index.ts';

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
