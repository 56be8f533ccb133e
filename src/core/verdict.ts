/** The three words of the house. Order of gravity: good < check < stop. */
export type Status = 'good' | 'check' | 'stop';

/** One judgement a person can act on: what was found, what the limit is, and who says so. */
export interface Verdict {
  status: Status;
  /** Stable id of the rule that spoke, e.g. `press.through-balls`. */
  rule: string;
  /** A sentence for a person: what is true, then the number, then the way on. */
  text: string;
  value?: number;
  limit?: string;
  /** Where the limit comes from. */
  source?: string;
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
