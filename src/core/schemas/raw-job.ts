/** A job as its rows stand in the database: for one that can no longer be read, and for who wants to see for themselves. */
export interface RawJob {
  id: string;
  number: string;
  /** Number of the unit, or its id where that is on no record. */
  unit: string;
  corner: string;
  startedMs: number;
  /** Why it cannot be read; absent where it can. */
  why?: string;
  /** Lines of the record, oldest first; `body` is the text that was kept. */
  events: { type: string; body: string; byId: string; atMs: number }[];
  choices: { key: string; value: string; byId: string; atMs: number }[];
  people: { id: string; name: string; lead: boolean; retired?: true }[];
  shop: string;
  timeZone: string;
}
