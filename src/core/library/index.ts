import {
  cautions,
  type FamilyCode,
  families,
  itemsOf,
  schoolIds,
  schools,
} from '../families/index.ts';
import { calculators } from '../scratch/index.ts';
import { figureTables } from './figures.ts';
import { rules } from '../rules/index.ts';

/** What can be looked up without a job: each with its source, found by its words. */

export const kinds = [
  'families',
  'schools',
  'cautions',
  'calculations',
  'figures',
  'rules',
] as const;
export type EntryKind = (typeof kinds)[number];

export interface LibraryEntry {
  kind: EntryKind;
  id: string;
  title: string;
  lines: readonly string[];
  source: string;
  /** Where it is used, or more of it stands. */
  href?: string;
  /** Family that is drawn in section. */
  family?: FamilyCode;
}

const practice = 'common practice, no published source';

const families_ = families.map((f): LibraryEntry => ({
  kind: 'families',
  id: f.code,
  title: f.name,
  lines: [
    f.seen,
    f.out,
    f.grips,
    ...f.routes.map((r) => `${r.name}: ${r.risk}`),
    `New each time: ${itemsOf(f.code)
      .filter((i) => i.singleUse)
      .map((i) => i.name.toLowerCase())
      .join(', ')}.`,
  ],
  source: practice,
  family: f.code,
}));

const schools_ = schoolIds.map((id): LibraryEntry => ({
  kind: 'schools',
  id,
  title: schools[id].ask,
  lines: schools[id].options.map(
    (o, i) => `${o.name}${i === 0 ? ' (the usual way)' : ''}: ${o.why}`,
  ),
  source: practice,
}));

const cautions_ = Object.entries(cautions).map(([id, { text, why }]): LibraryEntry => ({
  kind: 'cautions',
  id,
  title: text,
  lines: [why],
  source: practice,
}));

const calculations = calculators.map((c): LibraryEntry => ({
  kind: 'calculations',
  id: c.id,
  title: c.name,
  lines: c.caution ? [c.caution] : [],
  source: c.source,
  href: `/scratch?c=${c.id}`,
}));

const figures_ = figureTables.map((f): LibraryEntry => ({ kind: 'figures', ...f }));

const rules_ = Object.entries(rules).map(([id, r]): LibraryEntry => ({
  kind: 'rules',
  id,
  title: r.title,
  lines: [],
  source: r.source,
  href: `/rules#${id}`,
}));

export const library: readonly LibraryEntry[] = [
  ...families_,
  ...schools_,
  ...cautions_,
  ...calculations,
  ...figures_,
  ...rules_,
];

/** Entries that hold every one of the words, titles first; all where no word is asked. */
export function lookUp(words: string, entries: readonly LibraryEntry[] = library): LibraryEntry[] {
  const asked = words.toLowerCase().split(/\s+/u).filter(Boolean);
  const holds = (text: string) => asked.every((w) => text.toLowerCase().includes(w));
  const all = (e: LibraryEntry) => [e.title, e.id, ...e.lines, e.source].join(' ');
  const found = entries.filter((e) => holds(all(e)));
  return [...found.filter((e) => holds(e.title)), ...found.filter((e) => !holds(e.title))];
}
