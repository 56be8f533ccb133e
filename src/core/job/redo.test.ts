import { describe, expect, it } from 'vitest';
import { type Entry, nextEntries, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { itemsOf } from '../families/index.ts';
import type { JobEvent } from '../schemas/events.ts';
import { familyCodeOf } from './index.ts';

type StrokeEntry = Extract<Entry, { type: 'stroke-recorded' }>;
const isStroke = (e: Entry): e is StrokeEntry => 'type' in e && e.type === 'stroke-recorded';

/** Goes on by the job's own tasks until it is signed; fails where nothing is left to do or nothing is taken. */
function finish(job: Worked, how: (typeof walked)[number]): void {
  for (let turns = 0; !job.now.state.signed; turns++) {
    if (turns > 200) throw new Error('No way on');
    for (const e of nextEntries(job.now, how)) {
      const refused = job.put(e);
      if (refused) throw new Error(`${JSON.stringify(e)} refused: ${JSON.stringify(refused)}`);
    }
  }
}

/**
 * Common practice, no published source; a model of its own that reads the record alone: a snap ring, a seal, a pin, a
 * press ring or a joint bolt that went on twice was taken in hand in between. The names are written out here by hand.
 */
const goesOn: Record<string, { type: string; name: string }> = {
  'snap-ring': { type: 'fact-seen', name: 'snap-ring-fitted' },
  'pinch-bolts': { type: 'step-done', name: 'lower' },
  'plate-bolts': { type: 'step-done', name: 'lower' },
  'hub-bolts': { type: 'step-done', name: 'bolts' },
  'axle-seal': { type: 'stroke-recorded', name: 'seal-in' },
  'stub-seal': { type: 'stroke-recorded', name: 'seal-in' },
  'press-ring': { type: 'stroke-recorded', name: 'press-ring-on' },
  'hub-seal': { type: 'fact-seen', name: 'hub-seal-in' },
  'dust-rings': { type: 'fact-seen', name: 'dust-rings' },
  'flange-nuts': { type: 'step-done', name: 'flange-nuts' },
};
function usedTwice(events: readonly JobEvent[], items: readonly string[]): string[] {
  return items.filter((item) => {
    const on = goesOn[item];
    let used = false;
    return events.some((e, i) => {
      const body = e.body as Record<string, unknown>;
      if (e.type === 'item-marked' && body['itemId'] === item) used = false;
      // Pressed a second time where it sits, it is the same one that goes further in.
      const last = events.slice(0, i).findLast((x) => x.type === 'stroke-recorded');
      if (last?.type === e.type && last.body.operation === body['operation']) used = false;
      const names = [
        body['factId'],
        body['operation'],
        body['phase'] === 'rebuild' && body['stepId'],
      ];
      const goes = on && e.type === on.type && names.includes(on.name);
      const again = goes && used;
      if (goes) used = true;
      return again;
    });
  });
}

describe.each(walked)('$family of $unit $corner, $route, signed but for the name', (walk) => {
  const { entries } = workThrough(walk);
  const strokes = entries.filter(isStroke);
  const before = new Worked(workThrough(walk).worked.now.ctx);
  for (const e of entries.slice(0, -1)) before.put(e);

  it('has a way on from every stroke that is made again, and uses nothing twice', () => {
    let again = 0;
    for (const s of strokes) {
      const job = before.fork();
      if (job.put(s)) continue;
      again += 1;
      const items = itemsOf(familyCodeOf(job.now)).map((i) => i.id);
      finish(job, walk);
      expect(usedTwice(job.events, items), s.body.operation).toEqual([]);
    }
    // A unit that is bolted on has no strokes; every other job can be made again from somewhere.
    if (strokes.length > 0) expect(again).toBeGreaterThan(0);
  });
  it('has a way on in the middle: the last fitting stroke made again where it was just made', () => {
    const at = entries.findLastIndex(isStroke);
    const job = new Worked(before.now.ctx);
    for (const e of entries.slice(0, at + 1)) job.put(e);
    if (at >= 0) expect(job.put(entries[at]!)).toBeUndefined();
    finish(job, walk);
  });
});

it('takes no snap ring twice: the one that came off does not go back on', () => {
  const p1 = walked[0]!;
  const { entries } = workThrough(p1);
  const job = new Worked(workThrough(p1).worked.now.ctx);
  const at = entries.findIndex(
    (e) => 'body' in e && (e.body as { factId?: string }).factId === 'snap-ring-fitted',
  );
  for (const e of entries.slice(0, at + 1)) job.put(e);
  const pressed = entries.slice(0, at).findLast(isStroke)!;
  expect(job.put(pressed)).toBeUndefined();
  expect(job.put(entries[at]!)).toMatchObject({ rule: 'match.spent', part: 'Snap ring' });
});

it('knows that a unit which is bolted on is on: it is not changed for another under its bolts', () => {
  const p3 = walked.find((w) => w.family === 'P3')!;
  const { entries, worked } = workThrough(p3);
  const job = new Worked(worked.now.ctx);
  const home = entries.findIndex(
    (e) => 'body' in e && (e.body as { factId?: string }).factId === 'unit-seated',
  );
  const confirmed = entries.find((e) => 'type' in e && e.type === 'part-confirmed')!;
  for (const e of entries.slice(0, home)) job.put(e);
  expect(job.fork().put(confirmed)).toBeUndefined();
  job.put(entries[home]!);
  expect(job.put(confirmed)).toMatchObject({ rule: 'match.fitted' });
});

// As they were found pressed and signed: a bore three tenths too small, a journal a tenth too large.
it.each([
  ['bore', 75.7],
  ['journal', 40.1],
] as const)('does not take a %s of %f mm into use', (seat, mm) => {
  const p1 = walked[0]!;
  const { entries, worked } = workThrough(p1);
  const job = new Worked(worked.now.ctx);
  const judged = entries.findIndex((e) => 'type' in e && e.type === 'seat-judged');
  for (const e of entries.slice(0, judged)) job.put(e);
  const plane = [mm, mm];
  const reading = { seat, readingsMm: [plane, plane, plane], instrumentId: 'mic' };
  expect(job.put({ type: 'seat-read', body: reading })).toBeUndefined();
  expect(job.put({ type: 'seat-judged', body: { seat, decision: 'reuse' } })).toMatchObject({
    rule: 'seat.stop',
  });
});
