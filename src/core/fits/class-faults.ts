import { tolerance } from './iso286.ts';

/** Fields of a record that name a class, and where the size that it is of stands beside it. */
const sizes: readonly (readonly [string, string])[] = [
  ['boreClass', 'boreMm'],
  ['journalClass', 'journalMm'],
  ['toleranceClass', 'diameterMm'],
];

/** Classes of a record that the tables do not hold at their size, by field; such a seat could never be judged. */
export function classFaults(record: object, at = ''): { field: string; reason: string }[] {
  const here = record as Record<string, unknown>;
  const own = sizes.flatMap(([name, size]) => {
    const [of, mm] = [here[name], here[size]];
    if (typeof of !== 'string' || typeof mm !== 'number') return [];
    try {
      tolerance(mm, of);
      return [];
    } catch (e) {
      return [{ field: at + name, reason: `${(e as RangeError).message.replace(/^\w+: /u, '')}.` }];
    }
  });
  const nested = Object.entries(here).flatMap(([key, inner]) =>
    typeof inner === 'object' && inner !== null ? classFaults(inner, `${at}${key}.`) : [],
  );
  return [...own, ...nested];
}
