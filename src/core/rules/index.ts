import { keysOf } from '../keys-of.ts';
import { factRules } from '../families/fact.rules.ts';
import { seatRules } from '../fits/seat.rules.ts';
import { interlockRules, owedRules } from '../job/job.rules.ts';
import { matchRules } from '../matching/match.rules.ts';
import { pathRules, pieceRules, stackRules, windowRules } from '../press/press.rules.ts';
import { followRules, readingRules } from '../press/stroke.rules.ts';
import { proveRules } from '../prove/prove.rules.ts';
import { adjustRules } from '../torque/adjust.rules.ts';
import { torqueRules } from '../torque/torque.rules.ts';
import type { Figures, Found, Level, Rule } from './rule.ts';

export type { Found, Level, Rule, RuleUnit } from './rule.ts';

/** The rules by what they speak of, in the order of the work. */
export const ruleGroups = [
  { title: 'Old part against new', rules: matchRules },
  { title: 'Seats', rules: seatRules },
  { title: 'Pieces', rules: pieceRules },
  { title: 'Windows of each stroke', rules: windowRules },
  { title: 'Stack and press', rules: stackRules },
  { title: 'Where the force runs', rules: pathRules },
  { title: 'Gauge and kept stroke', rules: readingRules },
  { title: 'Following a stroke', rules: followRules },
  { title: 'To be seen before a stroke', rules: factRules },
  { title: 'Nut and wrench', rules: torqueRules },
  { title: 'Adjustment', rules: adjustRules },
  { title: 'Final checks', rules: proveRules },
  { title: 'What may be recorded', rules: interlockRules },
  { title: 'What is still owed', rules: owedRules },
] as const;

export const rules = {
  ...matchRules,
  ...seatRules,
  ...pieceRules,
  ...windowRules,
  ...stackRules,
  ...pathRules,
  ...readingRules,
  ...followRules,
  ...factRules,
  ...torqueRules,
  ...adjustRules,
  ...proveRules,
  ...interlockRules,
  ...owedRules,
};
export type RuleId = keyof typeof rules;
export const ruleIds = keysOf(rules);
export const isRule = (id: string): id is RuleId => Object.hasOwn(rules, id);

/** What a rule found. Verdicts, refusals and what is owed are this with a word more. */
export interface Said extends Found {
  rule: RuleId;
}

/** What a rule found, once it is sure that this rule speaks at this level. Throws RangeError when it does not. */
export function saying(rule: RuleId, level: Level, found: Found = {}): Said {
  const { says }: Rule = rules[rule];
  if (!says.includes(level)) throw new RangeError(`rule: ${rule} never ${level}`);
  return { rule, ...found };
}

function figuresOf(said: Said, { digits = 1 }: Rule): Figures {
  const { part = '', value = NaN, min = NaN, max = NaN, with: more = {} } = said;
  return {
    part,
    value,
    min,
    max,
    at: value.toFixed(digits),
    least: min.toFixed(digits),
    most: max.toFixed(digits),
    is: (key) => String(more[key] ?? ''),
    number: (key) => Number(more[key] ?? NaN),
  };
}

/** The sentence for a person. Made here and nowhere else, and read back nowhere. */
export function sentence(said: Said): string {
  const rule: Rule = rules[said.rule];
  return rule.sentence(figuresOf(said, rule));
}

/** Where the limit stands: what the judge named, else the rule's own. */
export const sourceOf = (said: Said): string => said.source ?? rules[said.rule].source;

/** "at least 4.0 mm", "3.2–6.1 kN", "at most 900 MPa"; undefined where the rule knows no limit. */
export function limitOf(said: Said): string | undefined {
  const { min, max, unit = '' } = said;
  const { digits = 1 }: Rule = rules[said.rule];
  const [least, most] = [min, max].map((x) => x?.toFixed(digits));
  const open = max === undefined || max === Infinity;
  if (min === undefined) return open ? undefined : `at most ${most} ${unit}`.trim();
  return (open ? `at least ${least} ${unit}` : `${least}–${most} ${unit}`).trim();
}

/**
 * The rule that an override answers for. Overrides name a rule, or a rule and the thing it speaks of; the two seats
 * have names of their own from the first version on.
 */
export function ruleOfOverride(overridden: string): RuleId | undefined {
  if (overridden === 'seat.bore' || overridden === 'seat.journal') return 'seat.stop';
  const [id = ''] = overridden.split(':');
  return isRule(id) ? id : undefined;
}
