import canonicalize from 'canonicalize';
import { createHash } from 'node:crypto';
import type { Seal } from '../core/card/index.ts';
import type { EventRow, JobRow } from '../db/jobs.ts';

/** SHA-256 of a text, hex. */
export const sha256 = (bytes: string | Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex');

/** SHA-256 over canonical JSON (RFC 8785), hex. */
export const digest = (value: unknown): string => sha256(canonicalize(value) ?? '');

/** First link: the job itself. */
export const rootHash = (
  job: Pick<JobRow, 'id' | 'number' | 'unitId' | 'corner' | 'createdMs'>,
): string =>
  digest({
    id: job.id,
    number: job.number,
    unitId: job.unitId,
    corner: job.corner,
    createdMs: job.createdMs,
  });

/** Hash of an event chained to the one before it. */
export const eventHash = (
  prevHash: string,
  e: Pick<EventRow, 'id' | 'jobId' | 'type' | 'body' | 'byId' | 'atMs'>,
): string =>
  digest({
    prevHash,
    id: e.id,
    jobId: e.jobId,
    type: e.type,
    body: e.body,
    byId: e.byId,
    atMs: e.atMs,
  });

/** Walks the chain of one job from its root. */
export function verifyChain(job: JobRow, events: readonly EventRow[]): Seal {
  let hash = rootHash(job);
  for (const e of events) {
    if (e.prevHash !== hash || eventHash(hash, e) !== e.hash)
      return { verified: false, entries: events.length, hash, brokenAt: e.seq };
    hash = e.hash;
  }
  return { verified: true, entries: events.length, hash };
}
