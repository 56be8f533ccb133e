/** The keys of a record that has these and no others, with their type. */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] =>
  Object.keys(record) as K[];

/** Whether a word from outside is one of those that are known. */
export const isOneOf = <W extends string>(known: readonly W[], word: unknown): word is W =>
  known.some((k) => k === word);
