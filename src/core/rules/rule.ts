import type { Status } from '../verdict.ts';

/**
 * What a rule may do: call a thing good, check or stop; refuse an entry; or name what is still owed.
 * Only the first three are verdicts on something seen.
 */
export type Level = Status | 'refuses' | 'owes';

export type RuleUnit = 'mm' | 'kN' | 'MPa' | 'N·m' | '%' | '°' | 'turns' | '°C' | 'kPa' | '';

/** Figures and names that a rule found; its sentence is made from them and from nothing else. */
export interface Found {
  /** Place in the stack, or seat, that it speaks of. */
  role?: string;
  /** Name of the piece, part, step or person that it speaks of. */
  part?: string;
  value?: number | undefined;
  min?: number;
  max?: number;
  unit?: RuleUnit;
  /** Further figures and names. */
  with?: Readonly<Record<string, string | number>>;
  /** Where this limit stands, when it is not the rule's own. */
  source?: string;
}

/** What a sentence reads: the same figures, ready to be written. */
export interface Figures {
  part: string;
  value: number;
  min: number;
  max: number;
  /** Value, least and most, rounded as the rule rounds. */
  at: string;
  least: string;
  most: string;
  /** A further name or figure; empty when it is not there. */
  is: (key: string) => string;
  number: (key: string) => number;
}

export interface Rule {
  /** What it is about, in a few words. */
  title: string;
  says: readonly Level[];
  /** A published source, or "common practice, no published source", or "our judgement". */
  source: string;
  sentence: (f: Figures) => string;
  /** Decimals of its figures; 1 unless said. */
  digits?: number;
  /** A few words for the drawing, at the place where it is wrong. */
  mark?: string;
  /** The mark speaks of the diameter at which two bodies meet. */
  meets?: boolean;
  /** The window is a bore that the piece goes through, so that a close piece is guided by it. */
  guides?: boolean;
}

export const practice = 'common practice, no published source';
export const judgement = 'our judgement';
export const geometry = 'geometry of the parts';

/** Keeps the ids of a table as its type. */
export const ruleTable = <Id extends string>(table: Record<Id, Rule>): Record<Id, Rule> => table;

/** What a dimension of a piece is called at the bench. */
export const measureNames = {
  outerMm: 'outside',
  innerMm: 'inside',
  heightMm: 'height',
  hollowMm: 'inside depth',
  lipMm: 'lip',
} as const;
const nameOf: Readonly<Record<string, string>> = measureNames;

/** A rule that one dimension of a piece must lie in a window: what is wrong when it is under or over it. */
export function windowRule(
  title: string,
  wrong: { small?: string; large?: string },
  more: Partial<Rule> & { mark?: string },
): Rule {
  return {
    title,
    says: ['stop'],
    source: geometry,
    ...more,
    sentence: (f) => {
      const under = f.value < f.min;
      const fault = (under ? wrong.small : wrong.large) ?? '';
      const limit = under ? `at least ${f.least}` : `at most ${f.most}`;
      const name = nameOf[f.is('measure')] ?? 'size';
      const what = fault.replace('{what}', f.is('what'));
      return `${f.part} ${what}: ${name} ${f.at}, ${limit} mm.`;
    },
  };
}
