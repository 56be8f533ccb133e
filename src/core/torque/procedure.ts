import { type Found, type RuleId, type Said, saying } from '../rules/index.ts';
import { judgement } from '../rules/rule.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { pullVerdict } from './after-pull.ts';
import type { PullCall } from './pull.ts';
import { walkSequence } from './sequence.ts';
import { mayGoUnmeasured, type Procedure, type Stage, stageWindow, unitSigns } from './stage.ts';

export interface StageReading {
  stageId: string;
  actual?: number;
  /** Turned as the procedure says, without a gauge. */
  asSaid?: boolean;
  /** What the wrench saw of the nut while it was pulled. */
  pull?: PullCall;
}

const anyOutside = {
  under: 'torque.below',
  over: 'torque.over',
  overStretch: 'torque.over-stretch',
} as const;
/** What lies outside the window of a play, a drag or a turn back is no pull too far: each says what to do in its own words. */
const outside = {
  'back-off': {
    under: 'torque.back-short',
    over: 'torque.back-far',
    overStretch: 'torque.back-far',
  },
  'turn-hub': { under: 'torque.turns-short', over: 'torque.over', overStretch: 'torque.over' },
  'end-play': { under: 'adjust.tight', over: 'adjust.loose', overStretch: 'adjust.loose' },
  drag: { under: 'torque.drag-under', over: 'torque.drag-over', overStretch: 'torque.drag-over' },
} as const satisfies Partial<Record<Stage['kind'], Record<keyof typeof anyOutside, RuleId>>>;

/**
 * Judges one reading of one stage. `actual` is in the stage's unit; a lock has none and is seen or not, a turn may be
 * done as said without one.
 */
export function judgeStage(
  p: Procedure,
  s: Stage,
  { actual, asSaid, pull }: Omit<StageReading, 'stageId'>,
): Verdict {
  const spoilt = pull && pullVerdict(s.kind, pull);
  if (spoilt) return spoilt;
  const window = stageWindow(s);
  if (asSaid && actual === undefined && mayGoUnmeasured(s))
    return verdict(s.kind === 'wait' ? 'torque.waited' : 'torque.as-said', { source: p.source });
  if (!window) return verdict('torque.locked', { source: p.source });
  const { low, high, ours } = window;
  const found: Found = {
    value: actual,
    min: low,
    max: high,
    unit: unitSigns[s.kind],
    source: ours ? `${p.source}; window ${judgement}, none is printed` : p.source,
  };
  if (actual === undefined) return verdict('torque.no-reading', found, 'stop');
  const rules = s.kind in outside ? outside[s.kind as keyof typeof outside] : anyOutside;
  if (actual < low) return verdict(rules.under, found);
  if (actual > high) return verdict(p.stretch ? rules.overStretch : rules.over, found);
  return verdict('torque.in-window', found);
}

export interface Walk {
  /** Index of the stage to do now; equals the number of stages when all are done. */
  current: number;
  /** Latest verdict of every stage that has a reading since the walk last began. */
  verdicts: (Verdict | undefined)[];
  /** Set when the fastener must be replaced or begun again. */
  restart: boolean;
}

/**
 * Walks the readings in the order they were made. A stage counts once its latest reading is good; what was done at
 * stages behind it no longer counts when it is read again; an over-tightened one sends the walk back to the first
 * stage. Nothing is erased: the readings stay.
 */
export function walkProcedure(p: Procedure, readings: readonly StageReading[]): Walk {
  const { counts, current, restart } = walkSequence(p.stages.length, readings, {
    stage: (r) => p.stages.findIndex((s) => s.id === r.stageId),
    judge: (r, i) => judgeStage(p, p.stages[i]!, r),
    // Each reading of a nut is a pull: it adds to what later stages did.
    pullsAgain: () => true,
  });
  return { current, verdicts: counts.map((c) => c?.verdict), restart };
}

/** Why a reading for this stage cannot be taken now; undefined when it can. */
export function orderFault(p: Procedure, walk: Walk, stageId: string): Said | undefined {
  const i = p.stages.findIndex((s) => s.id === stageId);
  if (i < 0) return saying('torque.no-stage', 'refuses', { part: stageId });
  if (i === walk.current || i === 0) return undefined;
  // Pulled a second time, a stage behind the open one would add to what later stages did: only from the start again.
  if (i < walk.current) return saying('torque.again', 'refuses', { part: p.stages[i]?.text ?? '' });
  if (walk.restart) return saying('torque.order', 'refuses', { with: { restart: 'yes' } });
  const open = p.stages[walk.current]!;
  const stage = { stage: walk.current + 1 };
  return saying('torque.order', 'refuses', { part: open.text, with: stage });
}

/** Whether a reading at the first stage now begins the procedure anew, on a fastener that was taken up before. */
export const beginsAgain = (p: Procedure, walk: Walk, stageId: string): boolean =>
  p.stages[0]?.id === stageId && (walk.restart || walk.current > 0);

/** Every stage has a good reading that still counts. */
export const procedureDone = (p: Procedure, readings: readonly StageReading[]): boolean =>
  walkProcedure(p, readings).current === p.stages.length;

/** "120 N·m, −180°, 5 turns, 70 N·m + 60°" */
export function procedureInShort(p: Procedure): string {
  return p.stages
    .filter((s) => s.kind === 'torque' || s.kind === 'angle')
    .slice(-2)
    .map((s) => (s.kind === 'torque' ? `${s.value} N·m` : `${s.value}°`))
    .join(' + ');
}

/** Torque from which the angle of a stage is counted, N·m: that of the last torque stage before it; of a torque stage its own. */
export function snugOf(p: Procedure, stage: Stage): number | undefined {
  const before = p.stages.slice(0, p.stages.findIndex((s) => s.id === stage.id) + 1);
  return before.findLast((s) => s.kind === 'torque')?.value;
}
