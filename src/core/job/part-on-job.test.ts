import { describe, expect, it } from 'vitest';
import { exampleWork } from '../../../tests/example.ts';
import { context, event, job } from '../../../tests/job-example.ts';
import { families } from '../families/index.ts';
import { candidatesFor, heldAgainst, type JobContext, kindRefusal } from './index.ts';

const named = context().parts[0]!;
const like = (number: string, over: Partial<typeof named.bearing> = {}) => ({
  ...named,
  number,
  bearing: { ...named.bearing, ...over },
});
const shop = (...more: (typeof named)[]): JobContext => ({
  ...context(),
  parts: [...more, named],
});
const blockers = (part: typeof named, events: ReturnType<typeof event>[] = []) =>
  heldAgainst(job(events, shop(part)), part).blockers.map((b) => b.rule);
const rows = (mm: number) => [
  [mm, mm],
  [mm, mm],
  [mm, mm],
];

describe('what is known already counts in Match', () => {
  it('stops a part that the unit’s record or a seat cannot take, and lets one through that they can', () => {
    expect(blockers(like('B1'))).toEqual([]);
    const wide = like('B2', { boreMm: exampleWork.hub.journalMm + 2 });
    expect(blockers(wide)).toContain('match.unit');
    const bore = { seat: 'bore' as const, readingsMm: rows(74), instrumentId: 'gauge' };
    expect(blockers(like('B1'), [event('seat-read', bore)])).toEqual(['match.seat']);
  });
  it('holds it against the part on record until the old one is read there', () => {
    const plain = like('B3', { encoder: { kind: 'none', pairs: 0 } });
    expect(blockers(plain)).toEqual(['match.record']);
    // The old part says it: the record was of another.
    const read = event('encoder-read', { kind: 'none', pairs: 0, side: 'inboard' });
    expect(blockers(plain, [read])).toEqual([]);
    const thick = like('B4', { innerWidthMm: named.bearing.innerWidthMm + 1 });
    expect(blockers(thick)).toEqual(['match.record']);
  });
  it('stops what cannot carry here, whatever the old part was: an earlier hand may have been wrong', () => {
    const straight = { ...like('S1'), rolling: 'cylindrical' as const };
    expect(blockers(straight)).toEqual(['match.rolls']);
    const found = event('points-read', { rolling: 'cylindrical' });
    const right = { ...like('S2'), rolling: 'ball' as const };
    const held = heldAgainst(job([found], shop(right)), right);
    expect(held.blockers).toEqual([]);
    expect(held.notes.join()).toMatch(/Not cylindrical rollers but balls or taper rollers/u);
    for (const f of families) expect(f.rolls.only.length, f.code).toBeGreaterThan(0);
  });
  it('refuses a part of another kind than the family takes, and asks for none before a family is named', () => {
    const hub = { ...like('H1'), kind: 'hub-unit' as const };
    expect(kindRefusal(hub, job([], shop()))?.rule).toBe('match.other-kind');
    expect(kindRefusal(like('B1'), job([], shop()))).toBeUndefined();
    const unnamed = { ...shop(), unit: { ...shop().unit, corners: {} } };
    expect(kindRefusal(hub, job([], unnamed))).toBeUndefined();
  });
  it('offers only the part on record while nothing was read, and never a blocked one above a right one', () => {
    const trap = like('A0', { encoder: { kind: 'magnetic', pairs: 24 } });
    const ctx = shop(trap);
    const numbers = (events: ReturnType<typeof event>[]) =>
      candidatesFor(job(events, ctx)).map((c) => c.part.number);
    expect(numbers([])).toEqual([named.number]);
    const reading = event('old-part-read', {
      dimension: 'outerMm',
      valueMm: named.bearing.outerMm,
      typed: 'x',
      instrumentId: 'gauge',
    });
    expect(numbers([reading])).toEqual([named.number, 'A0']);
  });
});
