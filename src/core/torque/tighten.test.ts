import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  barWay,
  judgeWrench,
  judgeTurn,
  rankTools,
  readThrough,
  type Round,
  roundsOf,
  settingOf,
  toolsToTurn,
  tightenWalk,
  turnFault,
  type TurnReading,
  turnsOf,
  usualBarWay,
  type Wrench,
} from './index.ts';

const wheel: Round[] = [{ torqueNm: 120 }, { torqueNm: 120 }];
const pinch: Round[] = [{ torqueNm: 60 }, { angleDeg: 90 }];
const at = (bolt: number, round: number, more: Partial<TurnReading> = {}): TurnReading => ({
  bolt,
  round,
  ...more,
});
const walk = (count: number, rounds: Round[], readings: TurnReading[]) =>
  tightenWalk(count, rounds, readings, 'made up');

describe('a fastener in its rounds', () => {
  it('rises by shares to its torque, and takes its angle last', () => {
    expect(roundsOf({ torqueNm: 40 }, [0.5, 1])).toEqual([{ torqueNm: 20 }, { torqueNm: 40 }]);
    expect(roundsOf({ torqueNm: 60, angleDeg: 90 }, [1])).toEqual(pinch);
    // Without a figure there is one round that is never in a window.
    expect(roundsOf(undefined, [0.5, 1])).toEqual([{}]);
    expect(judgeTurn({}, 40, 'x')).toBeUndefined();
  });
  it('goes round every bolt once a round, whatever their number', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 }), fc.integer({ min: 1, max: 4 }), (n, rounds) => {
        const turns = turnsOf(n, rounds);
        expect(new Set(turns.map((t) => `${t.round}:${t.bolt}`)).size).toBe(n * rounds);
        expect(turns.map((t) => t.round)).toEqual(turns.map((t) => t.round).sort());
      }),
    );
  });
  it('is in its window by ours where none is printed', () => {
    const say = (actual: number) => judgeTurn(wheel[0]!, actual, 'x')?.rule;
    expect([113, 114, 126, 127].map(say)).toEqual([
      'fastener.below',
      'torque.in-window',
      'torque.in-window',
      'fastener.over',
    ]);
    expect(judgeTurn(wheel[0]!, undefined, 'x')).toMatchObject({ status: 'good' });
    // Whatever the torque: a figure as it is printed at an end of the window lies inside.
    for (let tenths = 50; tenths < 4000; tenths += 7) {
      const torqueNm = tenths / 10;
      for (const share of [0.95, 1.05])
        expect(judgeTurn({ torqueNm }, Number((share * torqueNm).toFixed(3)), 'x')?.rule).toBe(
          'torque.in-window',
        );
    }
  });
  it('is by an angle short, in its window, or stretched: 5° either way is ours', () => {
    const say = (actual: number) => judgeTurn(pinch[1]!, actual, 'x');
    expect([84.9, 85, 95, 95.1].map((deg) => say(deg)?.rule)).toEqual([
      'fastener.below',
      'torque.in-window',
      'torque.in-window',
      'fastener.over-angle',
    ]);
    expect(say(90)).toMatchObject({ unit: '°', min: 85, max: 95 });
    expect(judgeTurn(pinch[0]!, 60, 'plate')).toMatchObject({ unit: 'N·m', min: 57, max: 63 });
    expect(say(90)!.source).toMatch(/^x; window /u);
  });
  it('passes over a round that it has not, and counts a bolt short of its window as still to do', () => {
    expect(walk(1, pinch, [at(1, 3, { actual: 60 })]).next).toEqual(at(1, 1));
    expect(walk(1, pinch, [at(1, 1, { actual: 50 })]).next).toEqual(at(1, 1));
    expect(turnFault(walk(1, pinch, []), pinch, at(1, 3))).toMatchObject({
      rule: 'fastener.order',
      value: 1,
      with: { round: '1' },
    });
    // Nothing is left to do, and this bolt is none of them.
    const done = walk(1, [{ torqueNm: 60 }], [at(1, 1, { actual: 60 })]);
    expect(turnFault(done, [{ torqueNm: 60 }], at(2, 1))).toMatchObject({ value: 0 });
  });
  it('spoils one bolt and leaves the others as they stand', () => {
    const two = [at(1, 1, { actual: 60 }), at(2, 1, { actual: 60 })];
    const w = walk(2, pinch, [...two, at(1, 2, { actual: 120 })]);
    expect(w).toMatchObject({ spoilt: [1], next: at(1, 1) });
    expect(w.at(at(2, 1))).toMatchObject({ verdict: { status: 'good' } });
    expect(w.at(at(1, 2))).toMatchObject({ verdict: { rule: 'fastener.over-angle' } });
    expect(w.at(at(1, 1))).toBeUndefined();
  });
  // Common practice, no published source: what is loose has lost its angle, and a stretched bolt is not stretched twice.
  it('takes its angle from a bolt that is read again and is loose; one that is read right keeps it', () => {
    const done = [at(1, 1, { actual: 60 }), at(1, 2, { actual: 90 })];
    expect(walk(1, pinch, [...done, at(1, 1, { actual: 60 })]).next).toBeUndefined();
    const loose = walk(1, pinch, [...done, at(1, 1, { actual: 20 })]);
    expect(loose).toMatchObject({ next: at(1, 1), spoilt: [1] });
    expect(loose.at(at(1, 2))).toBeUndefined();
  });
  it('takes wheel nuts crosswise, twice', () => {
    // Common practice, no published source: five nuts in a star.
    const order = [1, 3, 5, 2, 4];
    const readings = order.map((bolt) => at(bolt, 1));
    expect(walk(5, wheel, readings.slice(0, 2)).next).toEqual(at(5, 1));
    expect(walk(5, wheel, readings).next).toEqual(at(1, 2));
    const all = [...readings, ...order.map((bolt) => at(bolt, 2))];
    expect(walk(5, wheel, all).next).toBeUndefined();
    expect(turnFault(walk(5, wheel, readings.slice(0, 2)), wheel, at(2, 1))).toMatchObject({
      rule: 'fastener.order',
      value: 5,
    });
    // A turn that was taken may be read again: the last reading counts.
    expect(turnFault(walk(5, wheel, all), wheel, at(3, 2, { actual: 90 }))).toBeUndefined();
    expect(walk(5, wheel, [...all, at(3, 2, { actual: 90 })]).next).toEqual(at(3, 2));
  });
  it('begins a bolt anew that was taken too far; by its angle only a new one', () => {
    const over = walk(5, wheel, [at(1, 1), at(3, 1, { actual: 150 })]);
    expect(over.next).toEqual(at(3, 1));
    expect(over.spoilt).toEqual([]);
    const far = [at(1, 1, { actual: 60 }), at(1, 2, { actual: 110 })];
    const spoilt = walk(1, pinch, far);
    expect(spoilt).toMatchObject({ next: at(1, 1), spoilt: [1] });
    expect(turnFault(spoilt, pinch, at(1, 1, { actual: 60 }))).toMatchObject({
      rule: 'fastener.spoilt',
    });
    const fresh = at(1, 1, { actual: 60, part: 'new' as const });
    expect(turnFault(spoilt, pinch, fresh)).toBeUndefined();
    const again = walk(1, pinch, [...far, fresh]);
    expect(again).toMatchObject({ next: at(1, 2), spoilt: [] });
    // Turned on a second time by its angle it would be stretched.
    const done = walk(1, pinch, [...far, fresh, at(1, 2, { actual: 90 })]);
    expect(done.next).toBeUndefined();
    expect(turnFault(done, pinch, at(1, 2, { actual: 90 }))).toMatchObject({
      rule: 'torque.again',
    });
  });
});

const tool = (id: string, more: Partial<Wrench>): Wrench => ({
  id,
  name: id,
  type: 'click',
  ...more,
});
const small = tool('small', { minNm: 10, maxNm: 60, lengthMm: 330 });
const middle = tool('middle', { minNm: 40, maxNm: 200, lengthMm: 500 });
const large = tool('large', { minNm: 70, maxNm: 340, lengthMm: 640, calibrationDue: '2026-01-01' });
const multiplier = tool('times5', { type: 'multiplier', ratio: 5, efficiency: 0.9 });
const shop = [large, small, multiplier, middle];

describe('which of the tools', () => {
  const first = (nm: number, tools = shop) => rankTools(nm, tools, '2026-11-27')[0]!;
  it('is the smallest that can be trusted with it; one that is overdue comes after', () => {
    expect([50, 120, 250].map((nm) => first(nm).wrench.id)).toEqual(['small', 'middle', 'large']);
    expect(first(250).verdicts).toMatchObject([{ rule: 'wrench.calibration', status: 'check' }]);
    expect(rankTools(120, shop, '2026-11-27').map((w) => w.wrench.id)).toEqual([
      'middle',
      'large',
      'small',
    ]);
    // Put away it is not offered.
    expect(first(120, [{ ...middle, retired: 'lost' }, small]).wrench.id).toBe('small');
    expect(() => first(0)).toThrow(/nm/u);
  });
  it('goes through a multiplier only where no wrench reaches', () => {
    // Geometry of the gear: 900 N·m out of 200 N·m in, times 5, of which 90 % arrive.
    const way = first(900);
    expect(way).toMatchObject({ wrench: { id: 'middle' }, through: { multiplierId: 'times5' } });
    expect(way.setNm).toBeCloseTo(200, 9);
    expect(rankTools(300, shop, '2026-11-27').every((w) => !w.through.multiplierId)).toBe(true);
  });
  it('reckons with 0.9 of what a multiplier should give where its record is silent, and never past its own most', () => {
    // Our judgement, said beside it.
    const silent = tool('m', { type: 'multiplier', ratio: 4 });
    const set = settingOf(720, middle, { multiplierId: 'm' }, [silent], '').setNm;
    expect(set).toBeCloseTo(720 / 3.6, 9);
    const said = (nm: number, more: Partial<Wrench>) =>
      settingOf(nm, middle, { multiplierId: 'm' }, [{ ...silent, ...more }], '').verdicts.map(
        (v) => `${v.rule} ${v.status}`,
      );
    expect(said(720, {})).toEqual(['wrench.good good', 'wrench.efficiency check']);
    expect(said(720, { efficiency: 0.8 })).not.toContain('wrench.efficiency check');
    // Chosen by hand, past its own end, it is Stop all the same.
    expect(said(720, { efficiency: 0.9, maxNm: 700 })).toContain('wrench.range stop');
    const strong = tool('m', { type: 'multiplier', ratio: 5, maxNm: 800 });
    expect(rankTools(900, [middle, strong], '').every((w) => !w.through.multiplierId)).toBe(true);
    expect(rankTools(800, [middle, strong], '')[0]!.through.multiplierId).toBe('m');
  });
  it('comes last where its length is needed and not on record', () => {
    const bare = tool('bare', { maxNm: 150 });
    const ranked = rankTools(100, [bare, large], '2025-01-01', { offsetMm: 50 });
    expect(ranked.map((w) => [w.wrench.id, w.lengthUnknown === true])).toEqual([
      ['large', false],
      ['bare', true],
    ]);
  });
  it('turns by an angle without a scale, and to a manual’s word with whatever reads or holds', () => {
    const types = ['click', 'beam', 'digital', 'angle-gauge', 'multiplier', 'bar', 'hand'] as const;
    const all = types.map((type) => tool(type, { type }));
    const ids = (to: 'angle' | 'words') => toolsToTurn(to, all).map((w) => w.id);
    expect(ids('angle')).toEqual(['digital', 'angle-gauge', 'bar']);
    expect(ids('words')).toEqual(['click', 'beam', 'digital', 'bar', 'hand']);
    expect(toolsToTurn('words', [{ ...small, retired: 'bent' }])).toEqual([]);
  });
  it('is set for its offset: 100 N·m on 400 mm through 100 mm straight on is 80', () => {
    // Machinery's Handbook, T_w = T L/(L + E), from memory.
    const wrench = tool('w', { maxNm: 200, lengthMm: 400 });
    const set = (offsetAngleDeg: number) =>
      settingOf(100, wrench, { offsetMm: 100, offsetAngleDeg }, [], '').setNm;
    expect(set(0)).toBeCloseTo(80, 9);
    expect(set(90)).toBeCloseTo(100, 9);
    expect(set(180)).toBeCloseTo(133.333, 3);
    const behind = settingOf(100, wrench, { offsetMm: 2000, offsetAngleDeg: 180 }, [], '');
    expect(behind.verdicts).toMatchObject([{ rule: 'wrench.behind', status: 'stop' }]);
    const unknown = settingOf(100, tool('w', { maxNm: 200 }), { offsetMm: 50 }, [], '');
    expect(unknown.lengthUnknown).toBe(true);
  });
  // ISO 6789-1, from memory: deviation = (shown − given)/given, so what shows 2 % more is set 2 % higher.
  it('is set by its last deviation, and what it shows is read back at the nut, whatever stands between', () => {
    const set = (nm: number, deviationPct: number) =>
      settingOf(nm, { ...middle, deviationPct }, {}, [], '').setNm;
    expect(set(100, 2)).toBeCloseTo(102, 9);
    expect(set(100, -3)).toBeCloseTo(97, 9);
    const m = tool('m', { type: 'multiplier', ratio: 5, efficiency: 0.8 });
    const nm = fc.double({ min: 1, max: 900, noNaN: true });
    const off = fc.double({ min: -6, max: 6, noNaN: true });
    fc.assert(
      fc.property(nm, off, fc.boolean(), fc.nat(300), (at, deviationPct, times, offsetMm) => {
        const w = tool('w', { maxNm: 1000, lengthMm: 400, deviationPct });
        const through = { offsetMm, ...(times ? { multiplierId: 'm' } : {}) };
        const way = settingOf(at, w, through, [m], '');
        expect(readThrough(way.setNm, way).actual).toBeCloseTo(at, 6);
      }),
    );
  });
  // ISO 6789-1, from memory: 6 % where a tool ends at 10 N·m; below its scale it cannot be set at all.
  it('cannot be set below its scale, and may be off by more where it is small', () => {
    const rules = (nm: number, w: Wrench) =>
      judgeWrench(w, nm, '').map((v) => `${v.rule} ${v.status}`);
    expect(rules(39, middle)).toEqual(['wrench.range stop']);
    expect(rules(40, middle)).toEqual(['wrench.good good']);
    expect(rules(30, tool('w', { minNm: 20, maxNm: 200 }))).toEqual(['wrench.range check']);
    const driver = tool('d', { type: 'click', minNm: 2, maxNm: 10, deviationPct: 5.5 });
    expect(rules(6, driver)).toEqual(['wrench.good good']);
    expect(rules(6, { ...driver, deviationPct: 6.1 })).toEqual(['wrench.deviation check']);
  });
  it('is told off by more than its class allows', () => {
    const off = (deviationPct: number) =>
      rankTools(120, [{ ...middle, deviationPct }], '')[0]!.verdicts.map((v) => v.rule);
    expect([off(-4), off(4.1), off(-5)]).toEqual([
      ['wrench.good'],
      ['wrench.deviation'],
      ['wrench.deviation'],
    ]);
  });
  it('is a body on a bar in the end, with the bar’s own weight and its slope', () => {
    // 461 N·m and 80 kg: 0.588 m on a bar that weighs nothing (common practice, no published source).
    const weightN = 80 * 9.80665;
    expect(barWay(461, weightN, { lengthM: 1.2, weightN: 0 })!.standM).toBeCloseTo(0.588, 3);
    const bar = { lengthM: 1.2, weightN: 45 };
    expect(barWay(461, weightN, bar)!.standM).toBeCloseTo((461 - 27) / weightN, 9);
    // Statics: both arms are shorter by the cosine of the slope.
    const sloped = barWay(461, weightN, { ...bar, slopeDeg: 30 })!;
    const arm = Math.cos(Math.PI / 6);
    expect(sloped.standM * weightN * arm + 27 * arm).toBeCloseTo(461, 9);
    expect(barWay(20, weightN, bar)).toBeUndefined();
    expect(barWay(1200, weightN, bar)!.reaches).toBe(false);
    expect(() => barWay(100, weightN, { ...bar, slopeDeg: 90 })).toThrow(/slopeDeg/u);
    // 80 kg on 1.2 m of bar that weighs 45 N: our judgement of what stands in a shop.
    expect(usualBarWay(461)).toEqual(barWay(461, weightN, bar));
    expect(usualBarWay(27)).toBeUndefined();
  });
});
