import type { Status, Verdict } from '../verdict.ts';
import { worst } from '../verdict.ts';

/** One line of a tightening procedure. */
export interface Stage {
  id: string;
  kind: 'torque' | 'angle' | 'back-off' | 'turn-hub' | 'lock';
  /** N·m, degrees or turns by kind; absent for `lock`. */
  value?: number;
  /** Allowed deviation either way, in the same unit. */
  tolerance?: number;
  text: string;
  why: string;
  wheel: 'air' | 'ground';
}

export interface Procedure {
  id: string;
  name: string;
  fastener: string;
  /** A stretch fastener that was taken too far is replaced, never backed off. */
  stretch: boolean;
  singleUse: boolean;
  thread: 'dry' | 'oiled' | 'threadlocker';
  hexMm: number;
  stages: Stage[];
  source: string;
  checkedBy?: string;
  checkedOn?: string;
}

export interface Wrench {
  id: string;
  name: string;
  type: 'click' | 'beam' | 'digital' | 'angle-gauge' | 'hand';
  minNm?: number;
  maxNm?: number;
  lengthMm?: number;
  /** Date as YYYY-MM-DD. */
  calibrationDue?: string;
}

const unitBy: Record<Stage['kind'], 'torque' | 'angle' | 'turns' | undefined> = {
  torque: 'torque',
  angle: 'angle',
  'back-off': 'angle',
  'turn-hub': 'turns',
  lock: undefined,
};
/** What a reading of the stage measures; undefined for a lock, which is seen. */
export const stageUnit = (s: Stage) => unitBy[s.kind];

/** The window a reading must fall in. */
export function stageWindow(s: Stage): { low: number; high: number } | undefined {
  if (s.value === undefined) return undefined;
  if (s.kind === 'turn-hub') return { low: s.value, high: Infinity };
  const either = s.tolerance ?? 0;
  return { low: s.value - either, high: s.value + either };
}

/** Judges one reading of one stage. `actual` is in the stage's unit; a lock has none and is seen or not. */
export function judgeStage(p: Procedure, s: Stage, actual: number | undefined): Verdict {
  const window = stageWindow(s);
  const limit = window
    ? window.high === Infinity
      ? `at least ${window.low}`
      : `${window.low}–${window.high}`
    : 'seen';
  const v = (status: Status, rule: string, text: string): Verdict => ({
    status,
    rule,
    text,
    value: actual,
    limit,
    source: p.source,
  });
  if (!window) return v('good', 'torque.locked', 'Locked and seen.');
  if (actual === undefined) return v('stop', 'torque.no-reading', 'No reading.');
  if (actual < window.low)
    return v(
      'check',
      'torque.below',
      `Below the window by ${(window.low - actual).toFixed(0)}: keep pulling, one smooth pull, and record again.`,
    );
  if (actual > window.high) {
    return p.stretch
      ? v(
          'stop',
          'torque.over-stretch',
          `Over by ${(actual - window.high).toFixed(0)} on a stretch fastener: it is spoilt. Fit a new one and begin again at stage 1.`,
        )
      : v(
          'stop',
          'torque.over',
          `Over by ${(actual - window.high).toFixed(0)}: slacken, begin again at stage 1.`,
        );
  }
  return v('good', 'torque.in-window', 'In the window.');
}

/** Whether a wrench may be used for a torque: 20 % to 100 % of its largest value (ISO 6789-1), calibration not overdue. */
export function judgeWrench(w: Wrench, nm: number, today: string): Verdict[] {
  const out: Verdict[] = [];
  if (w.maxNm === undefined)
    return [{ status: 'stop', rule: 'wrench.none', text: `${w.name} shows no torque.` }];
  const low = Math.max(w.minNm ?? 0, 0.2 * w.maxNm);
  if (nm > w.maxNm)
    out.push({
      status: 'stop',
      rule: 'wrench.range',
      value: nm,
      limit: `${low.toFixed(0)}–${w.maxNm} N·m`,
      text: `${w.name} ends at ${w.maxNm} N·m. Take a larger one or a multiplier.`,
      source: 'ISO 6789-1',
    });
  else if (nm < low)
    out.push({
      status: 'check',
      rule: 'wrench.range',
      value: nm,
      limit: `${low.toFixed(0)}–${w.maxNm} N·m`,
      text: `${nm} N·m is below the fifth of ${w.name}'s range where it can be trusted.`,
      source: 'ISO 6789-1',
    });
  if (w.calibrationDue !== undefined && w.calibrationDue < today)
    out.push({
      status: 'check',
      rule: 'wrench.calibration',
      limit: w.calibrationDue,
      text: `Calibration of ${w.name} ran out on ${w.calibrationDue}. It will be noted on the card.`,
    });
  return out.length > 0
    ? out
    : [{ status: 'good', rule: 'wrench.good', text: `${w.name} can do it.`, source: 'ISO 6789-1' }];
}

export interface StageReading {
  stageId: string;
  actual?: number;
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
 * Walks the readings in the order they were made. A stage counts once its latest reading is good;
 * an over-tightened one sends the walk back to the first stage. Nothing is erased: the readings stay.
 */
export function walkProcedure(p: Procedure, readings: readonly StageReading[]): Walk {
  let verdicts: (Verdict | undefined)[] = p.stages.map(() => undefined);
  let restart = false;
  for (const r of readings) {
    const i = p.stages.findIndex((s) => s.id === r.stageId);
    if (i < 0) continue;
    if (restart && i === 0) {
      verdicts = p.stages.map(() => undefined);
      restart = false;
    }
    verdicts[i] = judgeStage(p, p.stages[i]!, r.actual);
    if (verdicts[i]!.status === 'stop') restart = true;
  }
  const open = verdicts.findIndex((v) => v?.status !== 'good');
  const next = open < 0 ? p.stages.length : open;
  return { current: restart ? 0 : next, verdicts, restart };
}

/** Why a reading for this stage cannot be taken now; undefined when it can. */
export function orderFault(p: Procedure, walk: Walk, stageId: string): string | undefined {
  const i = p.stages.findIndex((s) => s.id === stageId);
  if (i < 0) return `stageId: this procedure has no stage “${stageId}”.`;
  if (i > walk.current)
    return walk.restart
      ? 'Out of order: the last reading was over, so the procedure begins again at stage 1.'
      : `Out of order: stage ${walk.current + 1} (${p.stages[walk.current]!.text}) is not in its window yet.`;
  return undefined;
}

export const procedureDone = (p: Procedure, readings: readonly StageReading[]): boolean => {
  const walk = walkProcedure(p, readings);
  return (
    walk.current === p.stages.length &&
    worst(walk.verdicts.filter((v) => v !== undefined)) === 'good'
  );
};

/** "120 N·m, −180°, 5 turns, 70 N·m + 60°" */
export function procedureInShort(p: Procedure): string {
  return p.stages
    .filter((s) => s.kind === 'torque' || s.kind === 'angle')
    .slice(-2)
    .map((s) => (s.kind === 'torque' ? `${s.value} N·m` : `${s.value}°`))
    .join(' + ');
}
