import { keysOf } from '../../keys-of.ts';
import { sentence } from '../../rules/index.ts';
import {
  fittingStrokes,
  judgeLaid,
  type LaidStack,
  type PracticeBench,
  stacksOn,
  strokeWords,
} from '../bench.ts';
import { madeUpBench } from '../drawer.ts';
import { type BenchMaker, choice } from '../exercise.ts';
import { gravestOf, harmOf } from '../harm.ts';
import type { Verdict } from '../../verdict.ts';
import { pickOne } from './draw.ts';

/** What a stack may come to, in short. */
const stackWords = {
  'press.path': 'press it: the force runs beside the balls',
  'press.through-balls': 'stop: the balls would carry it',
  'press.outer-ring-only': 'stop: the pusher reaches the seal and the inner ring',
  'press.inside-studs': 'stop: it stands on the wheel studs',
  'no-fit': 'stop: one of the pieces does not fit its place',
} as const;
type Outcome = keyof typeof stackWords;
const outcomes = keysOf(stackWords);

interface Laid extends LaidStack {
  outcome: Outcome;
  gravest: Verdict;
}

/** Every stack of a drawer that is right or wrong, judged; what only asks for a look is no question. */
const judgedStacks = (bench: PracticeBench): Laid[] =>
  stacksOn(bench).flatMap((laid): Laid[] => {
    const gravest = gravestOf(judgeLaid(laid));
    if (!gravest || gravest.status === 'check') return [];
    return [{ ...laid, outcome: outcomes.find((o) => o === gravest.rule) ?? 'no-fit', gravest }];
  });

/** Whether there is something to judge on a bench: right stacks, and wrong ones that have a piece in common with one. */
function judged(bench: PracticeBench, level: number) {
  const all = judgedStacks(bench);
  const good = all.filter((l) => l.outcome === 'press.path');
  const isNear = ({ stack: s }: Laid) =>
    good.some(({ stack: g }) => g.pusher.id === s.pusher.id || g.support?.id === s.support?.id);
  const bad = all.filter((l) => l.outcome !== 'press.path' && isNear(l) === level > 2);
  return good.length > 0 && bad.length > 0 ? { good, bad } : undefined;
}

/** May this be pressed? The harder, the more of a wrong stack is right. */
export const stack: BenchMaker = (r, level, own) => {
  const operation = pickOne(fittingStrokes, r);
  const stacks = (own && judged(own, level)) ?? judged(madeUpBench(operation, r, level), level);
  if (!stacks) throw new RangeError('bench: nothing to judge on it');
  // Each way of being wrong as often as any other, however many stacks it has.
  const way = pickOne([...new Set(stacks.bad.map((l) => l.outcome))], r);
  const among = r() < 0.4 ? stacks.good : stacks.bad.filter((l) => l.outcome === way);
  const { outcome, gravest, ...laid } = pickOne(among, r);
  return choice({
    ask: `${strokeWords[laid.work.operation]} May it be pressed like this?`,
    picture: { of: 'stack', laid },
    options: outcomes.map((o) => ({ id: o, text: stackWords[o] })),
    answer: outcome,
    after: () => ({ of: 'stack', laid, judged: true }),
    because: sentence(gravest),
    source: 'geometry; contact by Hertz, ISO 76',
    otherwise: harmOf(gravest),
    hard: {
      value: level > 2 ? 1 : 2,
      unit: level > 2 ? 'piece may be wrong' : 'pieces may be wrong',
    },
  });
};
