import { type Found, type RuleId, type Said, saying, sentence } from '../rules/index.ts';

/** Why something may not be recorded now: the field of the entry, and the rule with its figures. */
export interface Refusal extends Said {
  field: string;
}
export const refuse = (field: string, rule: RuleId, found: Found = {}): Refusal => ({
  field,
  ...saying(rule, 'refuses', found),
});
/** The way on, in a sentence. */
export const reasonOf = (r: Refusal): string => sentence(r);
