import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { cardVersion, upcastCard } from '../../src/core/card/index.ts';
import { choiceKeys, eventTypes } from '../../src/core/schemas/events.ts';
import { workshopKinds } from '../../src/core/schemas/workshop.ts';
import { snapshotVersion, upcastSnapshot } from '../../src/server/snapshot.ts';

process.env['DATA_DIR'] = mkdtempSync(join(tmpdir(), 'true-spindle-'));
const { routes } = await import('../../src/server/routes/index.ts');

/**
 * Names that stand in databases and files of others. One may be added; one that goes or changes needs an upcaster
 * with a test of its own, and then moves from its list to that test.
 */
const stored = {
  events: [
    'complaint-recorded',
    'test-recorded',
    'diagnosis-accepted',
    'item-marked',
    'caution-read',
    'step-done',
    'timer-started',
    'timer-ended',
    'fact-seen',
    'family-named',
    'old-part-read',
    'raceways-read',
    'points-read',
    'part-entered',
    'damage-read',
    'encoder-read',
    'seat-read',
    'seat-felt',
    'work-started',
    'work-paused',
    'fastener-read',
    'seat-judged',
    'part-confirmed',
    'encoder-checked',
    'stroke-reading',
    'stroke-traced',
    'stroke-recorded',
    'procedure-entered',
    'fastener-tightened',
    'stage-recorded',
    'runout-read',
    'play-read',
    'quote-agreed',
    'school-chosen',
    'trace-kept',
    'line-corrected',
    'photo-left',
    'note-left',
    'note-read',
    'check-recorded',
    'overridden',
    'station-done',
    'station-reopened',
    'signed',
    'recheck-done',
    'job-closed',
    'job-reopened',
  ],
  choices: [
    'diagnose',
    'match',
    'depth',
    'plan',
    'stack-hub-out',
    'stack-bearing-out',
    'stack-bearing-in',
    'stack-hub-in',
    'stack-cartridge-out',
    'stack-cartridge-in',
    'stack-shaft-bearing-off',
    'stack-shaft-bearing-on',
    'stack-press-ring-on',
    'stack-bearing-and-ring-on',
    'stack-shell-in',
    'stack-seal-in',
    'stack-first-ring-in',
    'stack-second-ring-in',
    'stack-outer-cup-in',
    'stack-inner-cup-in',
    'stack-stud-out',
    'stack-stud-in',
  ],
  kinds: [
    'units',
    'parts',
    'consumables',
    'adapters',
    'presses',
    'procedures',
    'wrenches',
    'instruments',
  ],
  compute: [
    'press-fit',
    'tolerance',
    'wrench',
    'screw',
    'stack',
    'bearing-orders',
    'tyre',
    'diagnosis',
    'tests',
    'wheel-speed',
    'noise',
  ],
};

it.each([
  ['event types', stored.events, eventTypes],
  ['choice keys', stored.choices, choiceKeys],
  ['kinds of record', stored.kinds, workshopKinds],
  ['computations', stored.compute.map((n) => `/api/compute/${n}`), routes.map((r) => r.path)],
] as [string, string[], readonly string[]][])('%s keep their names', (_what, kept, today) =>
  expect(today).toEqual(expect.arrayContaining(kept)),
);

it('a card of version 1 says of no stroke whether it fitted a part; read today it does, and says nothing else anew', () => {
  const old = {
    version: 1,
    number: '2026-0001',
    strokes: [
      { operation: 'hub-out', peakKn: 9 },
      { operation: 'hub-in', peakKn: 12 },
    ],
  };
  expect(upcastCard(old)).toEqual({
    version: cardVersion,
    number: '2026-0001',
    strokes: [
      { operation: 'hub-out', peakKn: 9, fitting: false },
      { operation: 'hub-in', peakKn: 12, fitting: true },
    ],
    turnedBack: [],
  });
  expect(() => upcastCard({ version: 99 })).toThrow(/^version: 99/u);
});

it('a context kept without a version is of the first; its book is today’s likelihood tables', () => {
  const old = { ctx: { corner: 'LF', book: { version: 4 } }, choices: {} };
  const today = { ctx: { corner: 'LF', tables: { version: 4 } }, choices: {} };
  expect(upcastSnapshot(old)).toEqual(today);
  expect(upcastSnapshot({ ...today, version: snapshotVersion })).toEqual(today);
  expect(() => upcastSnapshot({ version: snapshotVersion + 1 })).toThrow(/^version: /u);
});
