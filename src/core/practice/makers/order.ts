import { keysOf } from '../../keys-of.ts';
import { familyByCode, offNow, walks, walkSteps } from '../../families/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { practice, pickOne, shuffled } from './draw.ts';

/** What comes next: the harder, the nearer the other steps. */
export const order: Maker = (r, level) => {
  const code = pickOne(keysOf(walks), r);
  const steps = walkSteps(walks[code].steps, 'strip', 'bench');
  const at = Math.floor(r() * (steps.length - 2));
  const [now, next] = [steps[at]!, steps[at + 1]!];
  const later = steps.slice(at + 2);
  const others = (level > 2 ? later : shuffled(later, r)).slice(0, 3);
  const done = steps.slice(0, at + 1).map((s) => s.id);
  return choice({
    ask: `${familyByCode(code).name}: what comes right after this?`,
    picture: { of: 'section', code, corner: true, lit: now.lit, title: now.text },
    options: shuffled([next, ...others], r).map((s) => ({ id: s.id, text: s.text })),
    answer: next.id,
    after: (chosen, right) => ({
      of: 'section',
      code,
      corner: true,
      title: right ? chosen.text : `${chosen.text}: still held by what comes before`,
      off: offNow(steps, 'strip', done),
      lit: steps.find((s) => s.id === chosen.id)?.lit ?? [],
      hurt: right ? [] : next.lit,
    }),
    because: next.why,
    source: practice,
    otherwise: `Skipped: ${next.why}`,
    hard: { value: others.length, unit: 'steps to choose from besides' },
  });
};
