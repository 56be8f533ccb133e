import { describe, expect, it } from 'vitest';
import { nut, seat, stroke } from '../../../tests/entries.ts';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import { exampleWork } from '../../../tests/example.ts';
import type { EventBody, EventType, JobEvent } from '../schemas/events.ts';
import { type JobContext, reasonOf, refusal } from './index.ts';

/** Why an entry may not stand; nothing where it may. */
const why = <T extends EventType>(
  type: T,
  body: EventBody<T>,
  events: JobEvent[] = [],
  ctx: JobContext = context(),
): string | undefined => {
  const no = refusal(type, body, job(events, ctx), 'rafe');
  return no && `${no.rule}: ${reasonOf(no)}`;
};
const call = (suspectId: string) => ({ suspectId, probability: 0.9 });
const family = (code: 'P1' | 'P2') => ({ code, probability: 0.9, answers: {} });
const cautions = event('caution-read', { cautionId: 'press' });
// Common practice, no published source: what holds an entry back, and no more than that.
describe('an entry is held back by what it needs, and by nothing else', () => {
  it('a call moves to another corner until work has begun there', () => {
    expect(why('diagnosis-accepted', call('bearing-RF'))).toBeUndefined();
    const begun: [string, JobEvent][] = [
      ['a stroke', stroke('hub-out')],
      ['a thing seen', event('fact-seen', { factId: 'snap-ring-out' })],
      ['a seat', event('seat-read', seat)],
      ['a seat felt', event('seat-felt', { seat: 'bore', grip: 'grips', seen: [] })],
    ];
    for (const [what, e] of begun) {
      expect(why('diagnosis-accepted', call('bearing-RF'), [e]), what).toMatch(
        /^job\.corner-kept: .*\bLF\b/u,
      );
      expect(why('diagnosis-accepted', call('bearing-LF'), [e]), what).toBeUndefined();
    }
  });
  it('a family is named anew until metal has moved, and the same one at any time', () => {
    expect(why('family-named', family('P2'))).toBeUndefined();
    expect(why('family-named', family('P1'), [stroke('hub-out')])).toBeUndefined();
    expect(why('family-named', family('P2'), [stroke('hub-out')])).toMatch(/^job\.family-kept/u);
  });
  it('a seat is measured once what covered it is out, and until something covers it again', () => {
    const [hubOut, bearingOut] = [stroke('hub-out'), stroke('bearing-out')];
    expect(why('seat-read', seat)).toBe('press.order: Press hub out of bearing comes first.');
    expect(why('seat-read', seat, [hubOut])).toBe(
      'press.order: Press bearing out of knuckle comes first.',
    );
    expect(why('seat-read', seat, strippedExample())).toBeUndefined();
    const fitted = stroke('bearing-in', { depthMm: exampleWork.knuckle.seatDepthMm });
    expect(why('seat-read', seat, [hubOut, bearingOut, fitted])).toBe(
      'seat.covered: The new bearing covers the knuckle bore. Press it out again to measure.',
    );
  });
  it('a figure is read until a stroke was laid out by it; others stay free', () => {
    const body = (path: string) => ({ path, value: 40 });
    const made = [stroke('hub-out')];
    // The arms carry the knuckle while the hub is pressed out; the shoulder is met by the bearing only.
    expect(why('figure-read', { ...body('knuckle.wheelSideReachMm'), value: 200 })).toBeUndefined();
    expect(why('figure-read', { ...body('knuckle.wheelSideReachMm'), value: 200 }, made)).toBe(
      'figure.used: Press hub out of bearing was laid out by this figure: it stays as it was read.',
    );
    expect(why('figure-read', { ...body('knuckle.shoulderMm'), value: 68 }, made)).toBeUndefined();
  });
  it('a procedure is typed where none is on record, and until the nut was pulled', () => {
    const { checkedBy: _by, ...procedure } = nut;
    expect(why('procedure-entered', { procedure })).toBeUndefined();
    const entered = event('procedure-entered', { procedure });
    expect(
      why('procedure-entered', { procedure }, [entered], { ...context(), procedure: nut }),
    ).toBeUndefined();
    expect(why('procedure-entered', { procedure }, [], { ...context(), procedure: nut })).toMatch(
      /^torque\.procedure-kept/u,
    );
    const pulled = event('stage-recorded', {
      stageId: 'a',
      toolId: 'w',
      actual: 120,
      typed: '120',
    });
    expect(why('procedure-entered', { procedure }, [entered, pulled])).toMatch(
      /^torque\.procedure-kept/u,
    );
  });
  it('a seat is answered for by name once something was read or felt of it', () => {
    const body = { rule: 'seat.bore', reason: 'seen by two' };
    expect(why('overridden', body)).toMatch(/^seat\.not-read/u);
    expect(why('overridden', body, [event('seat-read', seat)])).toBeUndefined();
    const felt = event('seat-felt', { seat: 'bore', grip: 'grips', seen: [] });
    expect(why('overridden', body, [felt])).toBeUndefined();
    const journal = { ...body, rule: 'seat.journal' };
    expect(why('overridden', journal, [event('seat-read', seat)])).toMatch(/^seat\.not-read/u);
    expect(why('overridden', { ...body, rule: 'torque.unchecked' })).toBeUndefined();
  });
  it('a rebuild step waits for what is pressed home; a strip step for nothing', () => {
    expect(why('step-done', { phase: 'strip', stepId: 'wheel' })).toBeUndefined();
    expect(why('step-done', { phase: 'rebuild', stepId: 'strut' })).toMatch(
      /^seat\.no-verdict: No verdict on the knuckle bore/u,
    );
  });
  it('nothing is pressed under what stands on it, and it comes apart in the order it went together', () => {
    const ready = [cautions, ...strippedExample()];
    const bearing = stroke('bearing-in', { depthMm: exampleWork.knuckle.seatDepthMm });
    const hub = event('stroke-recorded', {
      operation: 'hub-in',
      pressId: 'p',
      stack: { pusherId: 'ring' },
      peakKn: 6,
      depthMm: exampleWork.hub.journalLengthMm,
    });
    const again = {
      operation: 'bearing-in' as const,
      pressId: 'p',
      stack: { pusherId: 'ring' },
      peakKn: 6,
      depthMm: 41.5,
    };
    expect(why('stroke-recorded', again, [...ready, bearing, hub])).toBe(
      'press.covered: Done already: “Press hub into bearing”. Take that apart before this stroke is made again.',
    );
    const out = { ...again, operation: 'bearing-out' as const };
    expect(why('stroke-recorded', out, [...ready, bearing, hub])).toBe(
      'press.order: Press hub out of bearing comes first.',
    );
  });
});
