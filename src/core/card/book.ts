import { type Static, Type } from '@sinclair/typebox';
import { closed, DateOnly } from '../schemas/common.ts';

/** What was found when every seal of the shop's record was tried. */

const FaultSchema = closed({
  what: Type.Union([
    /** An entry that is not what was sealed. */
    Type.Literal('altered'),
    /** What was kept at a signature is not what was signed. */
    Type.Literal('kept'),
    /** Numbers that the database gave and nothing stands under. */
    Type.Literal('missing'),
    /** Entries gone from the end. */
    Type.Literal('cut-off'),
    /** A day that is no longer what left the machine. */
    Type.Literal('rewritten'),
  ]),
  /** The job's number, or the day. */
  where: Type.String(),
  jobId: Type.Optional(Type.String()),
  /** Place in the record. */
  seq: Type.Optional(Type.Integer()),
  count: Type.Optional(Type.Integer()),
});
export type BookFault = Static<typeof FaultSchema>;

const DaySchema = closed({
  day: DateOnly,
  /** SHA-256 over the head of the day before and the last seal of every job that was written to. */
  head: Type.String(),
  jobs: Type.Integer(),
  entries: Type.Integer(),
  /** So many of them lie before a head that left the machine. */
  proven: Type.Integer(),
  /** Ed25519 by the key of the shop, base64. */
  signature: Type.String(),
  sent: Type.Optional(closed({ atMs: Type.Number(), how: Type.String(), who: Type.String() })),
});
export type DayHead = Static<typeof DaySchema>;

export const BookSchema = closed({
  checkedMs: Type.Number(),
  jobs: Type.Integer(),
  entries: Type.Integer(),
  faults: Type.Array(FaultSchema),
  /** Days that were written on, the latest first. */
  days: Type.Array(DaySchema),
  /** The last day of which a head left the machine: nothing after it can be proven. */
  provenTo: Type.Union([DateOnly, Type.Null()]),
  /** Entries after it. */
  unproven: Type.Integer(),
  /** Public key of the shop, PEM. */
  publicKey: Type.String(),
});
export type Book = Static<typeof BookSchema>;

/** What stands on paper, held against the record. */
export interface Held {
  /** What was found under that name. */
  found: 'day' | 'job' | 'nothing';
  fits: boolean;
  /** Entries of the job up to the one that was on paper, and written since. */
  upTo?: number;
  since?: number;
}

/** What the code on a printed card holds: the job's number and the seal of its last entry. */
export const cardCode = (number: string, seal: string): string =>
  `true-spindle:card:${number}:${seal}`;

export function readCardCode(text: string): { number: string; seal: string } | undefined {
  const [, number, seal] = /^true-spindle:card:([^:]+):([0-9a-f]+)$/u.exec(text.trim()) ?? [];
  return number && seal ? { number, seal } : undefined;
}

/** A fault in words. */
export function faultInWords(f: BookFault): string {
  switch (f.what) {
    case 'altered':
      return `Job ${f.where}: entry ${f.seq} is not what was sealed, or one before it is gone.`;
    case 'kept':
      return `Job ${f.where}: what was kept at its signature is not what was signed.`;
    case 'missing':
      return `${f.count} ${f.count === 1 ? 'entry is' : 'entries are'} gone before entry ${f.seq}: the database gave those numbers.`;
    case 'cut-off':
      return `${f.count} ${f.count === 1 ? 'entry is' : 'entries are'} gone from the end, after entry ${f.seq}.`;
    case 'rewritten':
      return `${f.where} is no longer what left this machine: its record was written anew.`;
  }
}
