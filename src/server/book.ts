import { type Static, Type } from '@sinclair/typebox';
import type { Book, BookFault, DayHead, Held } from '../core/card/index.ts';
import { closed, DateOnly, Id, oneOf, Text, Uuid } from '../core/schemas/common.ts';
import { allJobs, eventsOf, type EventRow, type JobRow } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import {
  allSentHeads,
  entryHashes,
  insertSentHead,
  lastGiven,
  type SentHead,
} from '../db/sent-heads.ts';
import { verifyChain } from './chain.ts';
import { type Day, daysOf, type EntryHash, headAt } from './day-heads.ts';
import { keptAtSigning } from './job-record.ts';
import { peopleOf, personOrProblem } from './people.ts';
import { invalid } from './problem.ts';
import { publicKeyPem, signHead } from './shop-key.ts';
import { store } from './store.ts';

/** Whether the whole record still is what was written: seals, numbers, days. */

type Signed = Extract<EventRow, { type: 'signed' }>;

async function jobFaults(db: Db, job: JobRow): Promise<BookFault[]> {
  const where = { where: job.number, jobId: job.id };
  const events = await eventsOf(db, job.id);
  const seal = verifyChain(job, events);
  const signed = events.findLast((e): e is Signed => e.type === 'signed');
  const { byId = '', atMs = 0, body } = signed ?? {};
  // A kept document that cannot even be read is not what was signed.
  const fits =
    !body ||
    (await keptAtSigning(db, job, { ...body, byId, atMs }).then(
      (k) => k.keptFits,
      () => false,
    ));
  return [
    ...(seal.verified
      ? []
      : [{ what: 'altered' as const, ...where, ...(seal.brokenAt ? { seq: seal.brokenAt } : {}) }]),
    ...(fits ? [] : [{ what: 'kept' as const, ...where }]),
  ];
}

/** Numbers that the database gave and nothing stands under: rows that were taken away. */
function numberFaults(entries: readonly EntryHash[], given: number): BookFault[] {
  const gaps = entries.flatMap((e, i): BookFault[] => {
    const count = e.seq - (entries[i - 1]?.seq ?? 0) - 1;
    return count > 0 ? [{ what: 'missing', where: 'the record', seq: e.seq, count }] : [];
  });
  const last = entries.at(-1)?.seq ?? 0;
  return last < given
    ? [...gaps, { what: 'cut-off', where: 'the record', seq: last, count: given - last }]
    : gaps;
}

let trying: Promise<Book> | undefined;
/** The same for a request: one that comes while another is tried gets its answer. */
export const bookNow = async (): Promise<Book> =>
  (trying ??= verifyBook((await store()).db).finally(() => {
    trying = undefined;
  }));

/** Every seal of the shop's record tried, and its days with their heads. */
export async function verifyBook(db: Db): Promise<Book> {
  const entries = await entryHashes(db);
  const jobs = await allJobs(db);
  const faults: BookFault[] = [];
  for (const job of jobs) faults.push(...(await jobFaults(db, job)));
  faults.push(...numberFaults(entries, await lastGiven(db)));
  const days = daysOf(entries);
  const sent = await allSentHeads(db);
  const stands = (s: SentHead) => {
    const then = headAt(entries, days, s.upTo);
    return then?.day === s.day && then.head === s.head;
  };
  const kept = sent.filter(stands);
  const changed = sent.filter((s) => !stands(s));
  faults.push(...changed.map((s): BookFault => ({ what: 'rewritten', where: s.day })));
  const furthest = kept.reduce((most, s) => Math.max(most, s.upTo), 0);
  const names = new Map((await peopleOf(db)).map((p) => [p.id, p.name]));
  const sentOf = (day: string): Pick<DayHead, 'sent'> => {
    const s = kept.findLast((x) => x.day === day);
    return s ? { sent: { atMs: s.atMs, how: s.how, who: names.get(s.byId) ?? s.byId } } : {};
  };
  return {
    checkedMs: Date.now(),
    jobs: jobs.length,
    entries: entries.length,
    faults,
    days: days
      .map(({ day, head, jobs: written, entries: count, upTo }): DayHead => ({
        day,
        head,
        jobs: written,
        entries: count,
        proven: Math.min(count, Math.max(0, furthest - (upTo - count))),
        signature: signHead(day, head),
        ...sentOf(day),
      }))
      .reverse(),
    provenTo: kept.find((s) => s.upTo === furthest)?.day ?? null,
    unproven: entries.length - furthest,
    publicKey: publicKeyPem(),
  };
}

export const SentSchema = closed({
  id: Uuid,
  day: DateOnly,
  head: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  how: oneOf(['printed', 'mailed'] as const),
  byId: Id,
});

/** Notes that a day's head left the machine; only one that stands now. */
export async function headSent(body: Static<typeof SentSchema>): Promise<Book> {
  const { db, writes } = await store();
  await personOrProblem(db, body.byId);
  const day = daysOf(await entryHashes(db)).find((d) => d.day === body.day);
  if (day?.head !== body.head)
    throw invalid([
      { field: 'head', reason: 'Not the head of this day as it stands: check again.' },
    ]);
  await writes.run(() => insertSentHead(db, { ...body, upTo: day.upTo, atMs: Date.now() }));
  return verifyBook(db);
}

/** At least so much of a head or a seal is typed from paper. */
const leastTyped = 16;
export const HeldSchema = closed({
  /** Day of a head, or number of a job. */
  of: Text(20),
  hash: Text(100),
});

/** A head may have left in the middle of its day: it fits when the day had it at any of its entries. */
function stoodAt(
  entries: readonly EntryHash[],
  days: readonly Day[],
  at: number,
  typed: string,
): boolean {
  const [from, to] = [days[at - 1]?.upTo ?? 0, days[at]?.upTo ?? 0];
  for (let upTo = to; upTo > from; upTo--)
    if (headAt(entries, days, upTo)?.head.startsWith(typed)) return true;
  return false;
}

/** Holds what stands on paper against the record: a day's head, or the seal of a card. */
export async function heldAgainst({ of, hash }: Static<typeof HeldSchema>): Promise<Held> {
  const typed = hash.toLowerCase().replace(/[\s-]/gu, '');
  if (!/^[0-9a-f]+$/u.test(typed) || typed.length < leastTyped)
    throw invalid([{ field: 'hash', reason: `At least ${leastTyped} signs of 0–9 and a–f.` }]);
  const { db } = await store();
  const entries = await entryHashes(db);
  const days = daysOf(entries);
  const at = days.findIndex((d) => d.day === of.trim());
  if (at >= 0) return { found: 'day', fits: stoodAt(entries, days, at, typed) };
  const job = (await allJobs(db)).find((j) => j.number === of.trim());
  if (!job) return { found: 'nothing', fits: false };
  const events = await eventsOf(db, job.id);
  const fitting = events.findIndex((e) => e.hash.startsWith(typed));
  const whole = verifyChain(job, events).verified;
  return fitting < 0 || !whole
    ? { found: 'job', fits: false }
    : { found: 'job', fits: true, upTo: fitting + 1, since: events.length - fitting - 1 };
}
