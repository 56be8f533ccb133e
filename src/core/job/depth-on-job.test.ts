import { describe, expect, it } from 'vitest';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import type { EventBody, JobEvent } from '../schemas/events.ts';
import {
  checksFor,
  type Depth,
  depths,
  fitsOf,
  owedAt,
  readingsToGo,
  refusal,
  seatAnswered,
} from './index.ts';

const felt = (more: Partial<EventBody<'seat-felt'>> = {}): JobEvent =>
  event('seat-felt', { seat: 'bore', grip: 'grips', seen: [], ...more });
const at = (depth: Depth, ...more: JobEvent[]) =>
  job([...strippedExample(), ...more], context(), { depth: { version: 1, value: { depth } } });
const caliper = { caliperMm: [75.97], instrumentId: 'gauge' };

describe('how deep a job is worked', () => {
  it.each<[Depth, Partial<EventBody<'seat-felt'>>, boolean]>([
    ['full', {}, false],
    ['full', caliper, false],
    ['full', { noInstrument: true }, true],
    ['usual', {}, false],
    ['usual', caliper, true],
    ['usual', { ...caliper, grip: 'not-tried' }, false],
    ['quick', {}, true],
    ['quick', { grip: 'not-tried' }, false],
  ])('%s: a seat told as %o is told: %s', (depth, told, enough) =>
    expect(seatAnswered(at(depth, felt(told)), 'bore')).toBe(enough),
  );
  it('keeps a seat that slides from being used again, at any depth', () => {
    const reuse = { seat: 'bore', decision: 'reuse' } as const;
    for (const depth of depths) {
      const told = felt({ grip: 'slides', noInstrument: true, ...caliper });
      expect(refusal('seat-judged', reuse, at(depth, told))?.rule).toBe('seat.stop');
    }
    expect(refusal('seat-judged', reuse, at('quick', felt()))).toBeUndefined();
    expect(refusal('seat-judged', reuse, at('usual', felt()))?.rule).toBe('seat.not-read');
  });
  it('takes a caliper only with an instrument of the shop, and no slip', () => {
    const said = (more: Partial<EventBody<'seat-felt'>>) =>
      refusal('seat-felt', { seat: 'bore', grip: 'grips', seen: [], ...more }, at('usual'))?.rule;
    expect(said({ caliperMm: [76] })).toBe('kit.instrument');
    expect(said({ ...caliper, caliperMm: [67.97] })).toBe('seat.reading');
    expect(said(caliper)).toBeUndefined();
  });
  it('leaves the fit to its class', () => {
    expect(fitsOf(at('usual', felt(caliper)))?.measured.bore).toBe(false);
  });
  it('asks each size of the old part once but in full', () => {
    const asked = (depth: Depth) => readingsToGo(at(depth)).map((r) => r.n);
    expect(asked('full')).toEqual([2, 2, 2]);
    expect(asked('usual')).toEqual([1, 1, 1]);
  });
  it('owes measured checks but in quick, and what people are kept safe by in all', () => {
    const owed = (depth: Depth) =>
      owedAt('prove', at(depth)).filter((o) => o.rule === 'prove.unchecked');
    const all = checksFor(at('full')).filter((c) => c.release);
    expect(owed('full')).toHaveLength(all.length);
    expect(owed('usual')).toHaveLength(all.length);
    expect(owed('quick')).toHaveLength(all.filter((c) => !c.numeric).length);
  });
});
