import { type Static, Type } from '@sinclair/typebox';
import { closed, Maybe, oneOf } from '../schemas/common.ts';
import { causeIds } from './causes.data.ts';
import { lookIds, markPlaces } from './looks.data.ts';

const Degrees = Type.Number({ minimum: 0, maximum: 360 });

/** One thing seen on the old part. Angles clockwise seen from outboard, 0° at the top as it stood in the car. */
export const MarkSchema = closed({
  on: oneOf(markPlaces),
  row: Maybe(oneOf(['outboard', 'inboard'] as const)),
  look: oneOf(lookIds),
  /** 1 just seen, 2 felt by a fingernail, 3 it made the bearing unfit. */
  severity: Type.Integer({ minimum: 1, maximum: 3 }),
  atDeg: Maybe(Degrees),
  /** It goes all round. */
  round: Maybe(Type.Boolean()),
  /** Angle from one to the next, where there are several. */
  gapDeg: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 180 })),
});
export type Mark = Static<typeof MarkSchema>;

/** The old part as it was read: what is seen, and what is taken for the cause. */
export const RacewaysSchema = closed({
  marks: Type.Array(MarkSchema, { minItems: 1, maxItems: 40 }),
  /** Balls or rollers of one row, as counted on the bench. */
  balls: Maybe(Type.Integer({ minimum: 3, maximum: 60 })),
  cause: Maybe(oneOf(causeIds)),
});

export const severityWords = ['just seen', 'felt by a fingernail', 'unfit by it'] as const;
