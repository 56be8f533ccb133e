import { randomBytes } from 'node:crypto';
import type { Person } from '../core/job/index.ts';
import type { EventBody, JobEvent } from '../core/schemas/events.ts';
import type { JobRow } from '../db/jobs.ts';
import type { SignedName } from '../db/signed.ts';
import { sha256 } from './chain.ts';

/** What stands in place of the name of somebody who was erased. */
export const erasedName = 'Name erased';

const hashOf = (salt: string, name: string): string => sha256(`${salt}\n${name}`);

/** Names of everybody whose hand was on a job, each under a salt of its own: the hash tells no name once the salt is gone. */
export function saltedNames(
  job: JobRow,
  events: readonly JobEvent[],
  people: readonly Person[],
): SignedName[] {
  const ids = new Set([job.byId, ...events.map((e) => e.byId)]);
  return people
    .filter((p) => ids.has(p.id))
    .map(({ id, name }) => ({
      jobId: job.id,
      personId: id,
      name,
      salt: randomBytes(16).toString('hex'),
    }));
}

/** The same as they go into the signed line. */
export const hashedNames = (rows: readonly SignedName[]): EventBody<'signed'>['names'] =>
  rows.map((r) => ({ id: r.personId, hash: hashOf(r.salt ?? '', r.name ?? '') }));

/** Whether the names kept are those that were signed, but for who was erased. One signed before names were kept has none. */
export function namesFit(
  signed: Pick<EventBody<'signed'>, 'names'>,
  kept: readonly SignedName[],
): boolean {
  return (signed.names ?? []).every(({ id, hash }) => {
    const row = kept.find((k) => k.personId === id);
    if (!row) return false;
    const { name, salt } = row;
    return name === null && salt === null ? true : hash === hashOf(salt ?? '', name ?? '');
  });
}

/** People as a signed job names them: by the name at its signature. */
export const namedAtSigning = (people: readonly Person[], kept: readonly SignedName[]): Person[] =>
  people.map((p) => {
    const row = kept.find((k) => k.personId === p.id);
    return row ? { ...p, name: row.name ?? erasedName } : p;
  });
