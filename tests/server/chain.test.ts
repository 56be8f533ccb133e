import { expect, it } from 'vitest';
import type { EventRow, JobRow } from '../../src/db/jobs.ts';
import { eventHash, rootHash, verifyChain } from '../../src/server/chain.ts';

const job: JobRow = {
  id: 'j',
  number: '2026-0001',
  unitId: 'u',
  corner: 'LF',
  createdMs: 1,
  byId: 'rafe',
};
const line = {
  seq: 1,
  id: 'e',
  jobId: 'j',
  type: 'caution-read',
  body: { cautionId: 'press' },
  byId: 'rafe',
  atMs: 5,
} as const;
const prevHash = rootHash(job);
const sealed = { ...line, prevHash, hash: eventHash(prevHash, line) } as EventRow;

it('an untouched line fits', () =>
  expect(verifyChain(job, [sealed])).toMatchObject({ verified: true, entries: 1 }));

it.each([
  ['its id', { id: 'f' }],
  ['its job', { jobId: 'k' }],
  ['what kind it is', { type: 'timer-ended' }],
  ['what it says', { body: { cautionId: 'other' } }],
  ['who', { byId: 'tobi' }],
  ['when', { atMs: 6 }],
  ['what came before', { prevHash: 'x' }],
  ['its own seal', { hash: 'x' }],
] as [string, object][])('a line is broken by a change of %s', (_what, change) =>
  expect(verifyChain(job, [{ ...sealed, ...change } as EventRow])).toMatchObject({
    verified: false,
    brokenAt: 1,
  }),
);

it.each([
  ['number', '2026-0002'],
  ['unitId', 'v'],
  ['corner', 'RF'],
  ['createdMs', 2],
] as const)('the whole chain is broken by a change of the job’s %s', (field, value) =>
  expect(verifyChain({ ...job, [field]: value }, [sealed]).verified).toBe(false),
);
