import { keysOf } from '../../keys-of.ts';
import { familyByCode } from '../../families/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { mistakes, mistakesOf, rightBodies, withMistake } from '../mistakes.ts';
import type { SectionPicture } from '../picture.ts';
import { pickOne, practice, shuffled } from './draw.ts';

/** How far a gap shows, mm: the harder, the less. */
const shownMm = [7, 5, 4, 3, 2.2] as const;
/** How often nothing is wrong. */
const rightShare = 0.2;

/** Is something wrong in this section? The harder, the less it shows and the nearer the other answers. */
export const section: Maker = (r, level) => {
  const code = pickOne(keysOf(mistakesOf), r);
  const own = mistakesOf[code] ?? [];
  const mistake = r() < rightShare ? undefined : pickOne(own, r);
  const mm = shownMm[level - 1] ?? 4;
  const right: SectionPicture = { of: 'section', code, bodies: rightBodies(code) };
  const made = mistake && withMistake(code, mistake, mm);
  const before: SectionPicture = made ? { ...right, bodies: made.wrong } : right;
  const far = keysOf(mistakes).filter((m) => !own.includes(m));
  const others = [...own.filter((m) => m !== mistake), ...shuffled(far, r)].slice(0, 3);
  const named = [...(mistake ? [mistake] : []), ...others];
  return choice({
    ask: `${familyByCode(code).name}. Is something wrong in it?`,
    picture: before,
    options: [
      { id: 'nothing', text: 'nothing: go on' },
      ...shuffled(named, r).map((id) => ({ id, text: mistakes[id].name })),
    ],
    answer: mistake ?? 'nothing',
    after: () =>
      made && mistake
        ? {
            of: 'beside',
            list: [
              {
                title: 'What it comes to',
                picture: { ...right, bodies: made.comes, hurt: mistakes[mistake].hurt },
              },
              { title: 'As it should be', picture: right },
            ],
          }
        : { ...right, title: 'Nothing is wrong in it' },
    because: mistake ? mistakes[mistake].why : 'Every part is there, home and the right way round.',
    source: practice,
    otherwise: mistake
      ? mistakes[mistake].otherwise
      : 'Taken apart again for nothing, a pressed bearing is lost.',
    hard: { value: mm, unit: 'mm that a gap shows' },
  });
};
