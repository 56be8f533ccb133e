import { describe, expect, it } from 'vitest';
import { bearingIn, stage, stroke, withNut } from '../../../tests/entries.ts';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import { familiesBy } from '../families/index.ts';
import type { CataloguePart } from '../matching/index.ts';
import type { ChoiceBody, EventBody, EventType, JobEvent } from '../schemas/events.ts';
import { choiceRefusal, type JobNow, refusal } from './index.ts';

/** The rule that speaks against an entry, or nothing. */
const ruleOf = <T extends EventType>(type: T, body: EventBody<T>, now: JobNow) =>
  refusal(type, body, now)?.rule;

describe('a family named by answers', () => {
  const answers = { centre: 'shaft-flange' };
  const [best, next] = familiesBy(answers);
  const named = (over: Partial<EventBody<'family-named'>>) =>
    ruleOf(
      'family-named',
      { code: best!.code, probability: best!.probability, answers, ...over },
      job([]),
    );
  it('has the probability that they give, to a hundredth', () => {
    expect(named({})).toBeUndefined();
    expect(named({ probability: best!.probability - 0.009 })).toBeUndefined();
    expect(named({ probability: best!.probability - 0.011 })).toBe('match.family');
    // Another one's probability is none of this one's.
    expect(named({ code: next!.code })).toBe('match.family');
  });
  it('without a question is a person’s word; an answer that there is not is refused', () => {
    expect(named({ answers: {}, probability: 1 })).toBeUndefined();
    expect(named({ answers: { centre: 'square' } })).toBe('match.family');
    const said = refusal(
      'family-named',
      { code: 'P1', probability: 1, answers: { x: 'y' } },
      job([]),
    );
    expect(said).toMatchObject({ field: 'answers', with: { fault: 'No question is called “x”.' } });
  });
});

describe('a part entered by hand', () => {
  const known = context().parts[0]!;
  const entered = (over: Partial<CataloguePart>, ctx = context()) =>
    refusal('part-entered', { part: { ...known, number: 'B7', ...over } } as never, job([], ctx));
  it('has a number of its own, and a bearing that can be', () => {
    expect(entered({})).toBeUndefined();
    expect(entered({ number: 'A1' })).toMatchObject({ rule: 'match.part-twice', part: 'A1' });
    const inside = { ...known.bearing, boreMm: known.bearing.outerMm + 1 };
    expect(entered({ bearing: inside })?.field).toMatch(/^part\.bearing\./u);
  });
  it('may be entered again where the one of this number was by hand itself', () => {
    const before = { ...known, number: 'B7', byHand: true };
    const catalogue = { ...known, number: 'B7' };
    const beside = (part: CataloguePart) => ({ ...context(), parts: [known, part] });
    expect(entered({}, beside(before))).toBeUndefined();
    expect(entered({}, beside(catalogue))?.rule).toBe('match.part-twice');
  });
});

describe('the part of a job', () => {
  const match = (partNumber: string): ChoiceBody<'match'> => ({ partNumber }) as never;
  const chosen = { match: { version: 1, value: match('A1') } };
  const change = (events: JobEvent[], to: string) =>
    choiceRefusal('match', match(to), job(events, context(), chosen))?.rule;
  it('is changed until it is pressed, and then no more', () => {
    expect(change(strippedExample(), 'B7')).toBeUndefined();
    const fitted = [...strippedExample(), event('stroke-recorded', bearingIn())];
    expect(change(fitted, 'B7')).toBe('match.fitted');
    expect(change(fitted, 'A1')).toBeUndefined();
  });
  it('stays with a job that was closed or signed, and says why it was', () => {
    const closed = job([event('job-closed', { reason: 'sold' })], context(), chosen);
    expect(choiceRefusal('match', match('A1'), closed)).toMatchObject({
      rule: 'job.closed',
      with: { why: 'sold' },
    });
    expect(change([event('signed', { odometerKm: 1100 })], 'A1')).toBe('job.signed');
  });
});

describe('a nut that is used once', () => {
  const again = (events: JobEvent[], over = {}) =>
    ruleOf('stage-recorded', stage(), job(events, withNut(over)));
  const pulled = () => event('stage-recorded', stage());
  const inHand = () => event('item-marked', { itemId: 'axle-nut', state: 'in-hand' });
  it('is pulled up again only where another was taken in hand since', () => {
    // Taken before it was pulled it is the one that was pulled.
    const before = [inHand(), pulled()];
    expect(again(before)).toBe('torque.new-nut');
    expect(again([...before, inHand()])).not.toBe('torque.new-nut');
    const put = event('item-marked', { itemId: 'axle-nut', state: 'waiting' } as never);
    expect(again([...before, put])).toBe('torque.new-nut');
  });
  it('of another kind may be pulled again; one that stretches may not', () => {
    const before = [inHand(), pulled()];
    expect(again(before, { singleUse: false })).not.toBe('torque.new-nut');
    expect(again(before, { singleUse: false, stretch: true })).toBe('torque.new-nut');
  });
});

describe('a recheck', () => {
  const at = (odometerKm: number) =>
    ruleOf('recheck-done', { odometerKm }, job([event('signed', { odometerKm: 1100 })]));
  it('is at the clock that was signed at or beyond, as far as anybody drives', () => {
    expect(at(1100)).toBeUndefined();
    expect(at(101_100)).toBeUndefined();
    expect([at(1099), at(101_101)]).toEqual(['prove.recheck-clock', 'prove.recheck-clock']);
  });
});

describe('a stand-in', () => {
  const shop = (over: object) => ({
    ...context(),
    shop: { demo: false, standIns: false, ...over },
  });
  const made = { ...stroke('bearing-in').body, samples: [[0, 0, 0]], standIn: true };
  const said = (over: object) =>
    ruleOf('stroke-traced', made as never, job(strippedExample(), shop(over)));
  it('counts in a real shop only where a lead switched them on', () => {
    expect(said({})).toBe('kit.stand-ins-off');
    expect(said({ standIns: true })).not.toBe('kit.stand-ins-off');
    expect(said({ demo: true })).not.toBe('kit.stand-ins-off');
  });
});

describe('what is measured with a thing seen', () => {
  const seen = (body: EventBody<'fact-seen'>) => ruleOf('fact-seen', body, job([]));
  it('stands with it, and not where the opposite was seen or nothing is measured', () => {
    const factId = 'hub-oil-measured';
    expect(seen({ factId })).toBe('fact.amount');
    expect(seen({ factId, amountMl: 40 })).not.toBe('fact.amount');
    expect(seen({ factId, absent: true, amountMl: 40 })).toBe('fact.amount');
    expect(seen({ factId, absent: true })).not.toBe('fact.amount');
    expect(seen({ factId: 'shell-drawn', amountMl: 40 })).toBe('fact.amount');
  });
});
