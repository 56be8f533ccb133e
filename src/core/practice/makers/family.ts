import { families, familyByCode, type FamilyCode } from '../../families/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { besideRight, type SectionPicture } from '../picture.ts';
import { practice, pickOne, shuffled } from './draw.ts';

const seen = (code: FamilyCode): SectionPicture => ({
  of: 'section',
  code,
  lit: ['outer', 'inner', 'ball'],
});

/** Which kind of bearing is it, by its section: the harder, the nearer of kin the others. */
export const family: Maker = (r, level) => {
  const right = pickOne(families, r);
  const kin = families.filter((f) => f.code !== right.code && f.code[0] === right.code[0]);
  const far = families.filter((f) => f.code[0] !== right.code[0]);
  const wanted = Math.min(kin.length, Math.max(0, level - 2));
  const others = [...shuffled(kin, r).slice(0, wanted), ...shuffled(far, r)].slice(0, 3);
  return choice({
    ask: 'Which kind of wheel bearing is this?',
    picture: { of: 'section', code: right.code },
    options: shuffled([right, ...others], r).map((f) => ({ id: f.code, text: f.name })),
    answer: right.code,
    after: (chosen, isRight) => {
      const yours = familyByCode(chosen.id);
      return besideRight(
        [right.name, seen(right.code)],
        isRight || !yours ? undefined : [yours.name, seen(yours.code)],
      );
    },
    because: right.seen,
    source: practice,
    otherwise: `It comes out like this: ${right.out} Another way ruins it.`,
    hard: { value: wanted, unit: 'near of kin' },
  });
};
