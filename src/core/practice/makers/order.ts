import { familyByCode, type FamilyCode, walks, walkSteps } from '../../families/index.ts';
import { type Maker } from '../exercise.ts';
import { practice, pickOne, shuffled } from './draw.ts';

/** What comes next: the harder, the nearer the other steps. */
export const order: Maker = (r, level) => {
  const code = pickOne(Object.keys(walks) as FamilyCode[], r);
  const steps = walkSteps(walks[code].steps, 'strip', 'bench');
  const at = Math.floor(r() * (steps.length - 2));
  const [now, next] = [steps[at]!, steps[at + 1]!];
  const later = steps.slice(at + 2);
  const others = (level > 2 ? later : shuffled(later, r)).slice(0, 3);
  return {
    ask: `${familyByCode(code)?.name}: what comes right after this?`,
    picture: { of: 'step', code, lit: now.lit ?? [], text: now.text },
    options: shuffled([next, ...others], r).map((s) => ({ id: s.id, text: s.text })),
    answer: next.id,
    because: next.why,
    source: practice,
    otherwise: `Skipped: ${next.why}`,
    hard: { value: others.length, unit: 'steps to choose from besides' },
  };
};
