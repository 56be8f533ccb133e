import type { Said } from './index.ts';

/** Where a verdict was decided: a station of a job. */
export interface DecidedAt {
  what: string;
  href: string;
}

/** Address of a rule with what it found, and where. */
export function ruleHref(said: Said, at?: DecidedAt): string {
  const { rule, role, part, value, min, max, unit, with: more, source } = said;
  const found = { rule, role, part, value, min, max, unit, with: more, source };
  const query = `found=${encodeURIComponent(JSON.stringify(found))}`;
  const where = at ? `&at=${encodeURIComponent(JSON.stringify(at))}` : '';
  return `/rules?${query}${where}#${rule}`;
}
