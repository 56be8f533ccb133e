import { type Found, type Rule, type RuleId, rules, type Said, saying } from './rules/index.ts';

/** The three words of the house. Order of gravity: good < check < stop. */
export type Status = 'good' | 'check' | 'stop';

/** One judgement a person can act on: which rule spoke, what it says, and the figures it found. */
export interface Verdict extends Said {
  status: Status;
}

const isStatus = (level: string): level is Status =>
  level === 'good' || level === 'check' || level === 'stop';

/** A verdict of a rule that knows one status, or the one named of those it may say. Throws RangeError for another. */
export function verdict(rule: RuleId, found: Found = {}, status?: Status): Verdict {
  const { says }: Rule = rules[rule];
  const said = status ?? says.find(isStatus);
  if (said === undefined) throw new RangeError(`rule: ${rule} gives no verdict`);
  return { status: said, ...saying(rule, said, found) };
}

const gravity: Record<Status, number> = { good: 0, check: 1, stop: 2 };

/** The gravest status of a list; `good` for an empty one. */
export function worst(verdicts: readonly { status: Status }[]): Status {
  return verdicts.reduce<Status>((w, v) => (gravity[v.status] > gravity[w] ? v.status : w), 'good');
}

/** Sorts gravest first and keeps the order within one status. */
export function gravestFirst<T extends { status: Status }>(verdicts: readonly T[]): T[] {
  return [...verdicts].sort((a, b) => gravity[b.status] - gravity[a.status]);
}

/** An uncertain figure: never one number where three are honest. */
export interface Band {
  low: number;
  likely: number;
  high: number;
}

export const band = (low: number, likely: number, high: number): Band => ({ low, likely, high });
