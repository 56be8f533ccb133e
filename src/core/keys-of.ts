/** The keys of a record that has these and no others, with their type. */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] =>
  Object.keys(record) as K[];
