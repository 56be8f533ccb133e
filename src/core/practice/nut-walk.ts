import { isOneOf, keysOf } from '../keys-of.ts';
import { sentence } from '../rules/index.ts';
import { madeUpNut, type MadeUpNut, type WrenchRange } from '../standins/wrench.ts';
import {
  judgeStage,
  mayGoUnmeasured,
  orderFault,
  type Procedure,
  snugOf,
  type Stage,
  type StageReading,
  walkProcedure,
} from '../torque/index.ts';
import type { NutPicture } from './picture.ts';

/** Mistakes that stand near every nut. Common practice, no published source. */
export const slips = {
  gun: {
    text: 'run it down with the impact gun',
    why: 'Blows are no torque, and they go through the balls.',
  },
  again: {
    text: 'the last torque once more, to be sure',
    why: 'A second pull on a nut that stands begins it anew from there: it adds what nobody asked for.',
  },
  slot: {
    text: 'back to the nearest slot',
    why: 'A nut that was pulled to its torque is never loosened to a slot.',
  },
  used: {
    text: 'the old nut, with threadlocker',
    why: 'A nut that is used once has no second clamp in it.',
  },
} as const;
const slipIds = keysOf(slips);

/** One thing done to the nut; a figure where it is pulled. */
export interface NutStep {
  id: string;
  actual?: number;
}

/** How a walk ended, and why. */
export interface NutEnd {
  right: boolean;
  stageId: string | undefined;
  actual: number | undefined;
  because: string;
  otherwise: string;
}

/** Steps as they are sent: `seat=121.4;loosen;lock`. Undefined where they are none. */
export function nutSteps(given: string): NutStep[] | undefined {
  const parts = given
    .split(';')
    .map((part) => /^([a-z]{1,20})(?:=(\d{1,4}(?:\.\d)?))?$/u.exec(part));
  return parts.some((m) => m === null)
    ? undefined
    : parts.flatMap((m) =>
        m?.[1] === undefined
          ? []
          : [{ id: m[1], ...(m[2] === undefined ? {} : { actual: Number(m[2]) }) }],
      );
}
export const nutGiven = (steps: readonly NutStep[]): string =>
  steps.map((s) => (s.actual === undefined ? s.id : `${s.id}=${s.actual.toFixed(1)}`)).join(';');

/** Whether the wrench is pulled for it. */
const isPulled = (s: Stage): boolean => s.kind === 'torque' || s.kind === 'angle';

const readingOf = (stage: Stage, { actual }: NutStep): StageReading => ({
  stageId: stage.id,
  ...(actual === undefined ? {} : { actual }),
  // What is pulled has the figure of its wrench, and no other word for it.
  ...(!isPulled(stage) && mayGoUnmeasured(stage) ? { asSaid: true } : {}),
});

/** What the steps so far put on record. */
const readingsOf = (p: Procedure, steps: readonly NutStep[]): StageReading[] =>
  steps.flatMap((step) => {
    const stage = p.stages.find((s) => s.id === step.id);
    return stage ? [readingOf(stage, step)] : [];
  });

/** Where the steps have come to by the station's own rules; undefined while the nut may be gone on with. */
export function nutEnd(p: Procedure, steps: readonly NutStep[]): NutEnd | undefined {
  const readings: StageReading[] = [];
  for (const step of steps) {
    if (isOneOf(slipIds, step.id))
      return {
        right: false,
        stageId: p.stages[walkProcedure(p, readings).current]?.id,
        actual: undefined,
        because: slips[step.id].why,
        otherwise: `It was time for: ${p.stages[walkProcedure(p, readings).current]?.text ?? 'nothing more'}.`,
      };
    const stage = p.stages.find((s) => s.id === step.id);
    if (!stage) return undefined;
    const end = (right: boolean, because: string): NutEnd => ({
      right,
      stageId: stage.id,
      actual: step.actual,
      because,
      otherwise: stage.why,
    });
    const fault = orderFault(p, walkProcedure(p, readings), stage.id);
    if (fault) return end(false, sentence(fault));
    const reading = readingOf(stage, step);
    const judged = judgeStage(p, stage, reading);
    if (judged.status !== 'good') return end(false, sentence(judged));
    readings.push(reading);
    if (walkProcedure(p, readings).current === p.stages.length) return end(true, sentence(judged));
  }
  return undefined;
}

/** The stage that this choice has to be pulled for; undefined for what is done without the wrench, or ends the walk at once. */
export function pulledNext(p: Procedure, steps: readonly NutStep[], id: string): Stage | undefined {
  const stage = p.stages.find((s) => s.id === id);
  const walk = walkProcedure(p, readingsOf(p, steps));
  return stage && isPulled(stage) && !orderFault(p, walk, id) ? stage : undefined;
}

/** A hand that goes slowly enough to be stopped by an eye. */
const range = (handDegPerS: number): WrenchRange => ({
  springDegPerNm: [0.03, 0.04],
  slope: [2.4, 3],
  breakaway: [1, 1.01],
  torqueShare: 0.003,
  angleDeg: 0.08,
  swingDeg: [400, 400],
  handDegPerS: [handDegPerS, handDegPerS],
});

/** The nut of a stage that is pulled, with what the wrench has to see first; an angle goes on from its torque. */
export function nutAt(
  { procedure, seed, handDegPerS }: NutPicture,
  stage: Stage,
): { nut: MadeUpNut; snugNm: number } | undefined {
  const snugNm = snugOf(procedure, stage);
  if (snugNm === undefined || !isPulled(stage)) return undefined;
  const at = procedure.stages.findIndex((s) => s.id === stage.id);
  return {
    nut: madeUpNut({ snugNm, fault: 'good', seed: seed + at }, range(handDegPerS)),
    snugNm,
  };
}
