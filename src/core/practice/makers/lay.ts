import { isOneOf } from '../../keys-of.ts';
import { type Adapter, roles, type Role, solve, type Stack } from '../../press/index.ts';
import { sentence } from '../../rules/index.ts';
import {
  judgeLaid,
  type LaidStack,
  type PracticeBench,
  practiceSetup,
  practiceStrokes,
  stacksOn,
  strokeWords,
} from '../bench.ts';
import { madeUpBench } from '../drawer.ts';
import type { BenchMaker } from '../exercise.ts';
import { gravestOf, harmOf } from '../harm.ts';
import { besideRight, type LayPicture, type PracticePicture } from '../picture.ts';
import { pickOne } from './draw.ts';

/** A stack as it is sent: `pusher=ring-71;support=support-110`. */
export const layGiven = (s: Stack): string =>
  roles.flatMap((r) => (s[r] ? `${r}=${s[r].id}` : [])).join(';');

/** The stack that was sent, of pieces that lie in the drawer; undefined where it is none. */
export function laidFrom(given: string, { drawer }: PracticeBench): Stack | undefined {
  const stack: Partial<Stack> = {};
  for (const part of given.split(';')) {
    const [role, id] = part.split('=');
    const piece = drawer.find((a) => a.id === id);
    if (!isOneOf(roles, role) || !piece || stack[role]) return undefined;
    stack[role] = piece;
  }
  const { pusher } = stack;
  return pusher && { ...stack, pusher };
}

/** A stack with this piece in this place: one that lies elsewhere in it changes places. Undefined where nothing would be left to push. */
export function relaid(stack: Stack, role: Role, piece: Adapter | undefined): Stack | undefined {
  const other = roles.find((r) => r !== role && piece && stack[r]?.id === piece.id);
  const { pusher, ...rest } = {
    ...stack,
    ...(other ? { [other]: stack[role] } : {}),
    [role]: piece,
  } as Partial<Stack>;
  return pusher && { pusher, ...rest };
}

/** Where to look again, of a stack that is wrong: a place, or the way of the force; undefined where nothing is. */
export function whereWrong(laid: LaidStack): Role | 'path' | undefined {
  const word = gravestOf(judgeLaid(laid));
  return word?.status === 'stop' ? (roles.find((r) => r === word.role) ?? 'path') : undefined;
}

/** Lay the stack for this stroke, from the pieces at hand. The harder, the nearer the wrong ones come. */
export const lay: BenchMaker = (r, level, own) => {
  const bench = own ?? madeUpBench(pickOne(practiceStrokes, r), r, level);
  const { work, drawer, nearMm } = bench;
  const [best] = solve(drawer, practiceSetup(work), 1).solutions;
  if (!best) throw new RangeError('bench: no stack of its drawer is right');
  const wrong = stacksOn(bench).filter((l) => judgeLaid(l).status === 'stop');
  if (wrong.length === 0) throw new RangeError('bench: no stack of its drawer is wrong');
  const picture: LayPicture = { of: 'lay', bench, left: pickOne(wrong, r).stack };
  const judged = (stack: Stack): PracticePicture => ({
    of: 'stack',
    laid: { work, stack },
    judged: true,
  });
  return {
    ask: `${strokeWords[work.operation]} Lay the stack.`,
    picture,
    source: 'geometry; contact by Hertz, ISO 76',
    hard: {
      value: Number(nearMm.toFixed(1)),
      unit: 'mm that the nearest wrong piece is off',
    },
    worth: (given) => {
      const stack = laidFrom(given, bench);
      const gravest = stack && gravestOf(judgeLaid({ work, stack }));
      if (!gravest) return undefined;
      const right = gravest.status !== 'stop';
      return {
        right,
        because: sentence(gravest),
        otherwise: harmOf(gravest),
        picture: right
          ? judged(stack)
          : besideRight(
              ['It goes like this', judged(best.stack)],
              ['as it was laid', judged(stack)],
            ),
      };
    },
  };
};
