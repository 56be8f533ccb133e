import { type Rule, rules } from '../rules/index.ts';
import type { Status, Verdict } from '../verdict.ts';
import { type Adapter, bearingInnerMm } from './kit.ts';
import { type Judgement, type Role, roles, type Stack } from './stack.ts';

/** Why a piece is wrong where it lies, in a few words for the drawing. */
export interface Reason {
  role: Role;
  status: Status;
  text: string;
  /** Where on its face it is wrong, radius in mm. */
  radiusMm: number;
}

/** What is wrong with single pieces, worst first: for the drawing. */
export const reasonsOf = (j: Judgement, s: Stack): Reason[] =>
  j.verdicts
    .filter((v) => v.status === 'stop' || v.rule === 'press.overhang')
    .flatMap((v) => {
      const role = roles.find((r) => r === v.role);
      const piece = role && s[role];
      const mark = piece && markOf(v, piece);
      return role && mark ? [{ role, status: v.status, ...mark }] : [];
    });

function markOf(v: Verdict, piece: Adapter): Pick<Reason, 'text' | 'radiusMm'> | undefined {
  const rule: Rule = rules[v.rule];
  if (v.rule === 'press.contact') {
    const bears = (v.value ?? 0) > 0;
    const text = bears
      ? `bears by ${v.value!.toFixed(1)} mm only`
      : `does not reach the ${v.with?.['face'] ?? 'face'}`;
    return { text, radiusMm: piece.outerMm / 2 };
  }
  if (!rule.mark) return undefined;
  if (!rule.meets)
    return { text: rule.mark, radiusMm: Math.max(bearingInnerMm(piece, 0), piece.outerMm - 4) / 2 };
  const diameterMm = v.value ?? piece.outerMm;
  return { text: `${rule.mark} at ${diameterMm.toFixed(1)} mm`, radiusMm: diameterMm / 2 };
}
