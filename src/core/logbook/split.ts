import { cornerNames } from '../corner.ts';
import {
  familyByCode,
  type SchoolId,
  schoolIds,
  schoolOption,
  schools,
} from '../families/index.ts';
import type { LifeRecord, Span } from './life.ts';

/** A question by which lives fall into groups; never by the person who fitted them. */
export interface Split {
  id: string;
  name: string;
  of: (life: LifeRecord) => string | undefined;
  /** A way of working, not a thing. */
  school?: SchoolId;
}

const things: readonly Split[] = [
  { id: 'family', name: 'kind of bearing', of: (l) => familyByCode(l.family)?.name },
  { id: 'maker', name: 'maker', of: (l) => l.maker },
  {
    id: 'hub',
    name: 'old hub kept or new',
    of: (l) => l.hub && (l.hub === 'kept' ? 'old hub kept' : 'new hub'),
  },
  { id: 'route', name: 'route', of: (l) => l.route },
  { id: 'corner', name: 'corner', of: (l) => cornerNames[l.corner] },
];

export const splits: readonly Split[] = [
  ...things,
  ...schoolIds.map((id): Split => ({
    id: `school-${id}`,
    name: schools[id].ask.toLowerCase(),
    school: id,
    of: (l) => {
      const way = l.schools?.[id];
      return way === undefined ? undefined : (schoolOption(id, way)?.name ?? way);
    },
  })),
];

/** Groups of a split, the largest first; lives of which it is not known are left out. */
export function groupsOf(split: Split, spans: readonly Span[], most = 4): Map<string, Span[]> {
  const groups = new Map<string, Span[]>();
  for (const s of spans) {
    const name = split.of(s.life);
    if (name !== undefined) groups.set(name, [...(groups.get(name) ?? []), s]);
  }
  const ranked = [...groups].sort((a, b) => b[1].length - a[1].length || a[0].localeCompare(b[0]));
  return new Map(ranked.slice(0, most));
}

/** Splits with at least two groups among these lives. */
export const splitsWith = (spans: readonly Span[], school: boolean): Split[] =>
  splits.filter((s) => (s.school !== undefined) === school && groupsOf(s, spans).size > 1);
