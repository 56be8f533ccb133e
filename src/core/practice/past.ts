import { keysOf } from '../keys-of.ts';
import { type Static, Type } from '@sinclair/typebox';
import { corners } from '../corner.ts';
import { familyCodes } from '../families/index.ts';
import { layoutNames, suspectsFor } from '../diagnosis/index.ts';
import { type CauseId, causes, causeIds, MarkSchema, weighCauses } from '../old-part/index.ts';
import { closed, Id, oneOf } from '../schemas/common.ts';
import { choice, type Exercise, type Maker } from './exercise.ts';
import { besideRight, namedPlaces } from './picture.ts';
import { shuffled } from './makers/draw.ts';

/** A past job as an exercise: what was seen on it and what it was; neither its people nor its unit. */
export const PastCaseSchema = Type.Union([
  closed({
    of: Type.Literal('raceway'),
    id: Id,
    family: oneOf(familyCodes),
    balls: Type.Integer({ minimum: 3, maximum: 60 }),
    marks: Type.Array(MarkSchema, { minItems: 1, maxItems: 24 }),
    cause: oneOf(causeIds),
  }),
  closed({
    of: Type.Literal('corner'),
    id: Id,
    layout: oneOf(keysOf(layoutNames)),
    told: Type.Array(
      closed({
        place: oneOf([...corners, 'front', 'rear', 'car'] as const),
        text: Type.String({ maxLength: 200 }),
      }),
      { minItems: 1, maxItems: 40 },
    ),
    suspectId: Id,
  }),
]);
export type PastCase = Static<typeof PastCaseSchema>;

/** Wrong answers beside the right one, by level. */
const others = (level: number) => Math.min(5, 1 + level);
const source = 'a job of this shop, as it was signed; who and which unit taken out';

function ofRaceway(
  c: Extract<PastCase, { of: 'raceway' }>,
  r: () => number,
  level: number,
): Exercise {
  const [best] = weighCauses(c.marks, { family: c.family, balls: c.balls }).filter(
    (w) => w.cause === c.cause,
  );
  const wrong = shuffled(
    causeIds.filter((id) => id !== c.cause),
    r,
  ).slice(0, others(level));
  const picture = { of: 'rings', family: c.family, balls: c.balls, marks: c.marks } as const;
  return choice({
    ask: 'This bearing came off a car of ours. What killed it?',
    picture,
    options: shuffled<CauseId>([c.cause, ...wrong], r).map((id) => ({ id, text: causes[id].name })),
    answer: c.cause,
    after: () => besideRight([causes[c.cause].name, picture], undefined),
    because: best?.reasons.join(' ') || `On that job it was read as: ${causes[c.cause].name}.`,
    source,
    otherwise: `The next one dies of it too, unless: ${causes[c.cause].advice[0]}`,
    hard: { value: wrong.length, unit: 'causes to tell it from' },
  });
}

function ofCorner(
  c: Extract<PastCase, { of: 'corner' }>,
  r: () => number,
  level: number,
): Exercise {
  const all = suspectsFor(c.layout).filter((s) => s.prior > 0);
  const right = all.find((s) => s.id === c.suspectId) ?? { id: c.suspectId, name: c.suspectId };
  const wrong = shuffled(
    all.filter((s) => s.id !== right.id),
    r,
  ).slice(0, others(level));
  const picture = {
    of: 'car',
    title: `${c.told.length} tests`,
    layout: c.layout,
    told: c.told,
  } as const;
  const named = [right, ...wrong];
  return choice({
    ask: `A car of ours, ${layoutNames[c.layout]}, and its tests. What was it?`,
    picture,
    options: shuffled(named, r).map((s) => ({
      id: s.id,
      text: s.name,
    })),
    answer: c.suspectId,
    after: (chosen) => ({ ...picture, was: namedPlaces(named, right.id, chosen.id) }),
    because: `It was seen: ${right.name}.`,
    source,
    otherwise: 'Another part would have been taken off, and the noise would have stayed.',
    hard: { value: wrong.length, unit: 'causes to tell it from' },
  });
}

/** The exercise that a past job makes. */
export const pastExercise = (c: PastCase, r: () => number, level: number): ReturnType<Maker> =>
  c.of === 'raceway' ? ofRaceway(c, r, level) : ofCorner(c, r, level);
