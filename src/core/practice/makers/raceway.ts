import { keysOf } from '../../keys-of.ts';
import { causes, type CauseId, type Mark, weighCauses } from '../../old-part/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { besideRight } from '../picture.ts';
import { pickOne, shuffled, between } from './draw.ts';

const allRound = (look: Mark['look'], gapDeg: number): Mark => ({
  on: 'outer',
  row: 'outboard',
  look,
  severity: 2,
  round: true,
  gapDeg,
});
const atOne = (look: Mark['look'], atDeg: number): Mark => ({
  on: 'outer',
  row: 'outboard',
  look,
  severity: 2,
  atDeg,
});

/** Marks that each cause leaves; the further from the middle of its place, the harder. */
const leaves: Partial<Record<CauseId, (off: number, pitch: number) => Mark[]>> = {
  'through-balls': (_off, pitch) => [allRound('dents', pitch)],
  kerb: (off) => [atOne('dents', off % 360), atOne('dents', (off + 340) % 360)],
  seat: (off) => [atOne('spall-below', 180 + off)],
  parked: (_off, pitch) => [allRound('shaken', pitch)],
  water: (off) => [atOne('rust', off), atOne('rust', off + 90)],
  current: (_off, pitch) => [allRound('current', pitch / 3)],
};

export const raceway: Maker = (r, level) => {
  const balls = pickOne([11, 12, 13], r);
  const ids = keysOf(leaves);
  const made = pickOne(ids, r);
  const off = Math.round(between(-8, 8, r) * level);
  const marks = (leaves[made]?.((off + 360) % 360, 360 / balls) ?? []).map((m) => ({
    ...m,
    ...(m.atDeg === undefined ? {} : { atDeg: (m.atDeg + 360) % 360 }),
  }));
  const [first] = weighCauses(marks, { family: 'P1', balls });
  const answer = first?.cause ?? made;
  const others = shuffled(
    ids.filter((c) => c !== answer),
    r,
  ).slice(0, 3);
  const ring = { of: 'rings', family: 'P1', balls } as const;
  return choice({
    ask: 'What killed this bearing?',
    picture: { ...ring, marks },
    options: shuffled([answer, ...others], r).map((c) => ({ id: c, text: causes[c].name })),
    answer,
    after: (chosen, right) => {
      const yours = leaves[chosen.id]?.(0, 360 / balls) ?? [];
      return besideRight(
        [causes[answer].name, { ...ring, marks }],
        right ? undefined : [`${chosen.text} leaves this`, { ...ring, marks: yours }],
      );
    },
    because: first?.reasons.join(' ') ?? '',
    source: 'looks of ISO 15243 (from memory); weights are our judgement',
    otherwise: `The next one dies of it too, unless: ${causes[answer].advice[0]}`,
    hard: { value: Math.abs(off), unit: '° off the middle' },
  });
};
