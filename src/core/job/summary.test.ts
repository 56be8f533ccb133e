import { Ajv } from 'ajv';
import { describe, expect, it } from 'vitest';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import { type Walked, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { shopContext } from '../../../tests/shop.ts';
import type { JobEvent } from '../schemas/events.ts';
import { JobSummarySchema } from '../schemas/floor.ts';
import { nextAction, recheck, sinceSigned, spine, summaryOf, unreadable } from './index.ts';

const first = walked[0] as Walked;
const { worked } = workThrough(first);
const whole = summaryOf(worked.now, 'rafe');
const marks = (events: JobEvent[]) =>
  Object.fromEntries(spine(job(events)).map((m) => [m.station, [m.mark, m.result]]));

describe('what the floor shows of a job', () => {
  it('begins at the complaint with everything still to do, and says what first', () => {
    const begun = summaryOf(new Worked(shopContext('unit-07', 'LF')).now, 'ines');
    expect(begun).toMatchObject({
      onFloor: true,
      corner: 'LF',
      complaint: 'New job',
      family: 'Pressed-in bearing',
      station: 'complaint',
      next: { short: 'Ask the driver' },
      lastById: 'ines',
    });
    expect(begun.spine.map((m) => m.mark)).toEqual(['now', ...Array<string>(7).fill('todo')]);
    expect(begun).not.toHaveProperty('endedMs');
    expect(begun).not.toHaveProperty('closed');
  });
  it('says what each station found once a job is signed, and stays while its recheck is owed', () => {
    expect(whole.spine.map((m) => m.mark)).toEqual(Array<string>(8).fill('done'));
    expect(Object.fromEntries(whole.spine.map((m) => [m.station, m.result]))).toEqual({
      complaint: 'complaint',
      diagnose: 'LF bearing 90 %',
      match: '40 × 76 × 37',
      plan: 'bench press',
      'press-out': 'peak 12 kN',
      'press-in': 'seat 41.5 mm',
      torque: '70 N·m + 60°',
      prove: 'signed',
    });
    expect(whole).toMatchObject({
      onFloor: true,
      next: { short: 'Signed' },
      part: 'N4076-48',
      signedKm: worked.now.ctx.unit.odometerKm! + 5,
    });
    expect(whole).not.toHaveProperty('station');
    expect(whole.endedMs).toBe(worked.events.at(-1)!.atMs);
  });
  it('is of one shape at every entry, and where the job cannot be read', () => {
    const told = (n: number) => summaryOf(job(worked.events.slice(0, n)), 'rafe');
    const lost = unreadable({ corner: 'unknown', byId: 'rafe' }, 'no such unit');
    const ajv = new Ajv();
    for (const s of [...worked.events.keys()].map(told).concat(lost)) {
      ajv.validate(JobSummarySchema, JSON.parse(JSON.stringify(s)));
      expect(ajv.errors).toBeNull();
    }
    expect(lost).toMatchObject({ onFloor: true, lastById: 'rafe' });
    expect(lost.next.text).toMatch(/no such unit$/u);
  });
  it('leaves the floor when it is closed', () => {
    const closed = summaryOf(job([event('job-closed', { reason: 'a tyre' })]), 'ines');
    expect(closed).toMatchObject({ onFloor: false, closed: 'a tyre', next: { short: 'Closed' } });
    expect(nextAction(job([event('job-closed', { reason: 'a tyre' })])).text).toBe('a tyre');
  });
  it('calls a matched part provisional until the old one was held against it', () => {
    const done = (station: 'complaint' | 'diagnose' | 'match') =>
      event('station-done', { station });
    const early = marks([done('complaint'), done('diagnose'), done('match')]);
    expect(early['match']).toEqual(['provisional', 'provisional']);
    const later = marks([done('complaint'), done('diagnose'), done('match'), ...strippedExample()]);
    expect(later['match']).toEqual(['done', '40 × 76 × 37']);
  });
  it('names another cause in words, never by its id', () => {
    const call = (suspectId: string) =>
      marks([event('diagnosis-accepted', { suspectId, probability: 0.8 })])['diagnose']![1];
    expect(call('tyre-front')).toBe('tyre noise, front 80 %');
    expect(call('bearing-RR')).toBe('RR bearing 80 %');
    expect(call('long-gone')).toBe('another cause 80 %');
  });
  it('counts on from a clock that was brought down', () => {
    const signed = event('signed', { odometerKm: 91_000 });
    const corrected = { fromKm: 91_200, toKm: 19_200, reason: 'misread', byId: 'ines' };
    const at = (atMs: number) => ({
      ...context(),
      unit: { ...context().unit, odometerKm: 19_300, clockCorrected: [{ ...corrected, atMs }] },
    });
    expect(recheck(job([signed], at(signed.atMs + 1)))?.drivenKm).toBe(300);
    expect(recheck(job([signed], at(signed.atMs - 1)))?.drivenKm).toBe(0);
  });
  it('counts the distance since it was signed, never backwards', () => {
    expect(sinceSigned(1000, 1100).drivenKm).toBe(100);
    expect(sinceSigned(1000, 900).drivenKm).toBe(0);
  });
});
