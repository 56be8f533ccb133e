import { createContext, useContext } from 'react';
import { type DecidedAt, ruleHref } from '../core/rules/address.ts';
import { type Said, sentence } from '../core/rules/index.ts';
import './rule-link.css';

/** Where the verdicts of a screen are decided: a station of a job. */
export const DecidedAtContext = createContext<DecidedAt | undefined>(undefined);

/** What a rule says here; tapped, it shows the rule with its figures and its source. */
export function RuleLink({ said }: { said: Said }) {
  const at = useContext(DecidedAtContext);
  return (
    <a className="rule-link" href={ruleHref(said, at)}>
      {sentence(said)}
    </a>
  );
}
