import { createContext, useContext } from 'react';
import { sentence, type Said } from '../core/rules/index.ts';

/** Where a verdict was decided: a station of a job, with its address. */
export interface DecidedAt {
  what: string;
  href: string;
}
export const DecidedAtContext = createContext<DecidedAt | undefined>(undefined);

/** Address of a rule on the Rules page, with what it found here. */
export function ruleHref(said: Said, at: DecidedAt | undefined): string {
  const { rule, role, part, value, min, max, unit, with: more, source } = said;
  const found = { rule, role, part, value, min, max, unit, with: more, source };
  const query = new URLSearchParams({ found: JSON.stringify(found) });
  if (at) query.set('at', JSON.stringify(at));
  return `/rules?${query.toString()}#${rule}`;
}

/** What a rule says here; tapped, it shows the rule with its figures and its source. */
export function RuleLink({ said }: { said: Said }) {
  const at = useContext(DecidedAtContext);
  return (
    <a className="rule-link" href={ruleHref(said, at)}>
      {sentence(said)}
    </a>
  );
}
