import { keysOf } from '../../keys-of.ts';
import { sentence } from '../../rules/index.ts';
import { drawer, judgeLaid, type LaidStack, practiceStrokes } from '../bench.ts';
import { choice, type Maker } from '../exercise.ts';
import { pickOne } from './draw.ts';

/** What a stack may come to, in short. */
const stackWords = {
  'press.path': 'press it: the force runs beside the balls',
  'press.through-balls': 'stop: the balls would carry it',
  'press.outer-ring-only': 'stop: the pusher reaches the seal and the inner ring',
  'press.inside-studs': 'stop: it stands on the wheel studs',
} as const;
type Outcome = keyof typeof stackWords;
const outcomes = keysOf(stackWords);

interface Laid extends LaidStack {
  outcome: Outcome;
  because: string;
}
/** Every stack of the drawer whose gravest word is one of these, judged once. */
const laidStacks = (): Laid[] =>
  (laid ??= practiceStrokes.flatMap((operation) =>
    drawer.flatMap((p) =>
      drawer.flatMap((s): Laid[] => {
        if (p === s) return [];
        const stack = { operation, pusherId: p.id, supportId: s.id };
        const { status, verdicts } = judgeLaid(stack);
        const gravest = verdicts.find((v) => v.status === status);
        const outcome = outcomes.find((o) => o === gravest?.rule);
        return outcome && gravest ? [{ ...stack, outcome, because: sentence(gravest) }] : [];
      }),
    ),
  ));
let laid: Laid[] | undefined;

/** May this be pressed? The harder, the more of a wrong stack is right. */
export const stack: Maker = (r, level) => {
  const all = laidStacks();
  const good = all.filter((l) => l.outcome === 'press.path');
  const isNear = (l: Laid) =>
    good.some(
      (g) =>
        g.operation === l.operation && (g.pusherId === l.pusherId || g.supportId === l.supportId),
    );
  const bad = all.filter((l) => l.outcome !== 'press.path' && isNear(l) === level > 2);
  const { outcome, because, ...shown } = pickOne(r() < 0.4 ? good : bad, r);
  return choice({
    ask:
      shown.operation === 'hub-in'
        ? 'The hub goes into its new bearing. May it be pressed like this?'
        : 'The new bearing goes into its knuckle. May it be pressed like this?',
    picture: { of: 'stack', laid: shown },
    options: outcomes.map((o) => ({ id: o, text: stackWords[o] })),
    answer: outcome,
    after: () => ({ of: 'stack', laid: shown, judged: true }),
    because,
    source: 'geometry; contact by Hertz, ISO 76',
    otherwise:
      outcome === 'press.path'
        ? 'Nothing is hurt: the ring that sits tight takes the force.'
        : 'Dents that nobody sees at the bench are heard after some hundred kilometres.',
    hard: {
      value: level > 2 ? 1 : 2,
      unit: level > 2 ? 'piece may be wrong' : 'pieces may be wrong',
    },
  });
};
