import { describe, expect, it } from 'vitest';
import {
  againstQuote,
  callsOf,
  cameToMinor,
  clockJumps,
  comebacks,
  hungryCorners,
  inKm,
  lifeFaults,
  type LifeRecord,
  logbookView,
  named,
  pacesOf,
  type Span,
  spanOf,
  splits,
  tell,
  toldInWords,
  tookAgainst,
} from './index.ts';

const life = (more: Partial<LifeRecord> = {}): LifeRecord => ({
  id: 'a',
  unit: '07',
  corner: 'LF',
  family: 'P1',
  fittedAt: 50_000,
  end: 'failed',
  endedAt: 90_000,
  ...more,
});
const spans = (...lives: LifeRecord[]): Span[] => lives.flatMap((l) => spanOf(l, undefined) ?? []);

describe('a life', () => {
  it.each<[Partial<LifeRecord>, string]>([
    [{ endedAt: 40_000 }, 'endedAt'],
    [{ end: 'sold', endedAt: undefined }, 'endedAt'],
    [{ fittedOn: '2026-02-02', endedOn: '2026-02-01' }, 'endedOn'],
    [{ watchedFrom: 40_000 }, 'watchedFrom'],
    [{ watchedFrom: 90_000 }, 'watchedFrom'],
    [{ endedBy: 90_000 }, 'endedBy'],
    [{ end: 'sold', endedBy: 95_000 }, 'endedBy'],
  ])('%o is refused by its field', (wrong, field) => {
    expect(lifeFaults(life(wrong)).map((f) => f.field)).toContain(field);
    expect(lifeFaults(life())).toEqual([]);
  });
  it('runs until the clock of its unit, in kilometres whatever was typed', () => {
    const runs = life({ end: 'running', endedAt: undefined });
    expect(spanOf(runs, 80_000)?.exact).toEqual({ time: 30_000, failed: false });
    expect([spanOf(runs, undefined), spanOf(runs, 10)]).toEqual([undefined, undefined]);
    const miles = life({ distance: 'mi', fittedAt: 1000, endedAt: 2000, watchedFrom: 1500 });
    expect(spanOf(inKm(miles), undefined)?.exact).toEqual({
      time: expect.closeTo(1609.344, 6),
      entry: expect.closeTo(804.672, 6),
      failed: true,
    });
    // Of one that failed unseen only the shape learns.
    const unseen = spanOf(life({ endedBy: 97_000 }), undefined);
    expect([unseen?.exact, unseen?.interval]).toEqual([undefined, { from: 40_000, to: 47_000 }]);
  });
  it('tells a clock that goes back', () => {
    const later = life({ id: 'b', fittedAt: 20_000, fittedOn: '2026-05-01' });
    expect(clockJumps([life({ fittedOn: '2025-05-01' }), later])).toEqual(['07']);
    expect(clockJumps([life({ fittedOn: '2025-05-01' }), { ...later, unit: '12' }])).toEqual([]);
  });
});

describe('what may be said', () => {
  const group = (name: string, n: number, km: number) =>
    named(
      name,
      spans(
        ...Array.from({ length: n }, (_, i) =>
          life({ id: `${name}${i}`, endedAt: 50_000 + km + i }),
        ),
      ),
    );
  it('is too few, no difference, or a likely one, never a bare figure', () => {
    expect(tell([group('a', 9, 10)])).toEqual({ say: 'one' });
    expect(tell([group('a', 2, 10), group('b', 2, 900)]).say).toBe('too-few');
    expect(tell([group('a', 40, 1000), group('b', 40, 1000)])).toMatchObject({
      say: 'alike',
      p: 1,
    });
    expect(tell([group('a', 20, 1000), group('b', 20, 9000)]).say).toBe('differ');
  });
  it('counts in how many questions were looked at', () => {
    const two = [group('a', 6, 1000), group('b', 6, 1003)];
    const once = tell(two);
    const often = tell(two, 20);
    if (!('p' in once) || !('p' in often)) throw new Error('compared');
    expect(often.p).toBeCloseTo(Math.min(1, 20 * (once.p ?? 0)), 9);
  });
  it('is said in words, with how many lives are missing', () => {
    expect(toldInWords({ say: 'too-few', more: 9, p: 0.4 }).text).toMatch(/^About 9 more lives/u);
    expect(toldInWords({ say: 'too-few', more: Infinity, p: undefined }).text).toMatch(/one kind/u);
    expect(toldInWords({ say: 'differ', p: 0.02, looked: 3 }).text).toMatch(
      /2 of 100.*3 questions/u,
    );
    expect(toldInWords({ say: 'differ', p: 0.001, looked: 1 }).text).toMatch(/one of 200/u);
    expect(toldInWords({ say: 'alike', p: 0.5, looked: 1 }).sure).toBe(true);
    expect(toldInWords({ say: 'one' }).sure).toBe(false);
  });
});

describe('the book', () => {
  it('never splits by the person', () => {
    expect(splits.map((s) => s.id).join(' ')).not.toMatch(/person|by-?id|technician/u);
  });
  it('tells how often a call was right, with its score', () => {
    // Brier 1950, worked by hand: (0.1² + 0.2² + 0.8²)/3.
    const call = (said: number, right: boolean) => life({ call: { said, right } });
    const calls = callsOf([call(0.9, true), call(0.8, true), call(0.8, false), life()]);
    expect(calls?.brier).toBeCloseTo(0.23, 9);
    expect([calls?.count, calls?.right, calls?.bins.map((b) => b.of)]).toEqual([3, 2, [2, 1]]);
    expect(callsOf([life()])).toBeUndefined();
  });
  it('finds corners that eat bearings, and those that came back soon', () => {
    const own = spans(
      life({ id: 'a', endedAt: 54_000, cause: 'bent tube' }),
      life({ id: 'b', fittedAt: 54_000, endedAt: 60_000, cause: 'bent tube' }),
      life({ id: 'c', corner: 'RF' }),
    );
    expect(hungryCorners(own)).toMatchObject([
      { unit: '07', corner: 'LF', failed: 2, withinKm: 10_000, causes: ['bent tube'] },
    ]);
    expect(comebacks(own)).toMatchObject({ count: 1, of: 3 });
    // A shop's own distance, and a lead's word that it was another thing.
    expect(comebacks(own, 7000)).toMatchObject({ count: 2, marked: 0 });
    const said = (is: boolean) => ({ is, reason: 'looked at', byId: 'ines' });
    const ruled = spans(
      life({ id: 'a', endedAt: 54_000, comeback: said(false) }),
      life({ id: 'b', fittedAt: 54_000, endedAt: 55_000, comeback: said(true) }),
    );
    expect(comebacks(ruled)).toMatchObject({ count: 1, marked: 1, of: 2 });
    // One that still runs short of the distance tells nothing yet.
    expect(comebacks(spans(life({ end: 'sold', endedAt: 51_000 }))).of).toBe(0);
  });
  it('holds the work against its plan', () => {
    const took = (planned: number, worked: number) => life({ minutes: { planned, worked } });
    expect(tookAgainst([took(100, 150), took(100, 110), took(100, 120), life()])).toMatchObject([
      { family: 'P1', ratio: 1.2 },
    ]);
    // Plan goes by it once five jobs are known.
    const four = [100, 110, 120, 130].map((m) => took(100, m));
    expect(pacesOf(four)).toEqual({});
    expect(pacesOf([...four, took(100, 150)])).toEqual({ P1: { ratio: 1.2, jobs: 5 } });
  });
  it('holds what a job came to against what was agreed', () => {
    // By hand: an hour and a half at 60.00 and a part of 50.00, 20 % tax: (90 + 50) × 1.2 = 168.00.
    const rates = { currency: 'EUR', ratePerHourMinor: 6000, taxPercent: 20 };
    expect(cameToMinor(90, [4000, 1000], rates)).toBe(16_800);
    const money = (agreedMinor: number, came: number) =>
      life({ money: { agreedMinor, cameToMinor: came, currency: 'EUR' } });
    expect(againstQuote([life()])).toBeUndefined();
    expect(againstQuote([money(100, 90), money(100, 110), money(200, 300), life()])).toEqual({
      of: 3,
      over: 2,
      ratio: 1.1,
    });
  });
  it('answers each question from lives, and says whose clock jumps', () => {
    const lives = [
      ...Array.from({ length: 8 }, (_, i) =>
        life({ id: `k${i}`, hub: 'kept', endedAt: 60_000 + i, schools: { gun: 'never' } }),
      ),
      ...Array.from({ length: 8 }, (_, i) =>
        life({ id: `n${i}`, hub: 'new', endedAt: 99_000 + i, schools: { gun: 'first' } }),
      ),
    ];
    const ask = (question: 'lasts' | 'school' | 'wrong' | 'corners' | 'cost', by?: string) =>
      logbookView(lives, () => undefined, { question, by });
    expect(ask('lasts').comparison).toMatchObject({ by: 'hub', told: { say: 'differ' } });
    expect(ask('school').comparison).toMatchObject({ by: 'school-gun' });
    expect(ask('lasts').comparison?.watched.map((w) => w.at[0])).toEqual([8, 8]);
    expect(ask('corners').hungry?.[0]?.failed).toBe(16);
    expect(ask('cost').took).toEqual([]);
    // However long the book, a page holds what can be looked at.
    const long = Array.from({ length: 900 }, (_, i) =>
      life({ id: `l${i}`, hub: i % 2 ? 'kept' : 'new' }),
    );
    const view = logbookView(long, () => undefined, { question: 'lasts' });
    expect([view.behindCount, view.behind.length]).toEqual([900, 300]);
    expect(logbookView([], () => 1, { question: 'lasts' })).toMatchObject({ lives: 0 });
  });
});
