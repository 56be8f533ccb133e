import { type Static, Type } from '@sinclair/typebox';
import { type Found, type RuleUnit, type Said, saying } from '../rules/index.ts';
import { judgement } from '../rules/rule.ts';
import { closed, DateOnly, Id, Maybe, Mm, oneOf, Text } from '../schemas/common.ts';
import { verdict, type Verdict, worst } from '../verdict.ts';

/** One line of a tightening procedure. */
const StageSchema = closed({
  id: Id,
  kind: oneOf([
    'torque',
    'angle',
    'back-off',
    'turn-hub',
    'wait',
    'drag',
    'recheck',
    'lock',
  ] as const),
  /** N·m, degrees, turns or minutes by kind; of a drag the most it may be; absent for `lock`. */
  value: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 3000 })),
  /** Allowed deviation either way, in the same unit. */
  tolerance: Maybe(Type.Number({ minimum: 0, maximum: 300 })),
  text: Text(80),
  why: Text(),
  wheel: oneOf(['air', 'ground'] as const),
});
export type Stage = Static<typeof StageSchema>;

export const ProcedureSchema = closed({
  id: Id,
  name: Text(80),
  fastener: Text(60),
  /** A stretch fastener that was taken too far is replaced, never backed off. */
  stretch: Type.Boolean(),
  singleUse: Type.Boolean(),
  thread: oneOf(['dry', 'oiled', 'threadlocker'] as const),
  /** "M22 × 1.5", and the grade on its head, where somebody has read them. */
  size: Maybe(Text(20)),
  grade: Maybe(Text(10)),
  hexMm: Mm(),
  stages: Type.Array(StageSchema, { minItems: 1, maxItems: 20 }),
  source: Text(),
  checkedBy: Maybe(Text(60)),
  checkedOn: Maybe(DateOnly),
});
export type Procedure = Static<typeof ProcedureSchema>;
/** As it is typed from the maker's data: who checks it is another matter. */
export const TypedProcedureSchema = closed({
  ...Type.Omit(ProcedureSchema, ['checkedBy', 'checkedOn']).properties,
});
export type TypedProcedure = Static<typeof TypedProcedureSchema>;

export const WrenchSchema = closed({
  id: Id,
  name: Text(60),
  type: oneOf(['click', 'beam', 'digital', 'angle-gauge', 'hand'] as const),
  minNm: Maybe(Type.Number({ exclusiveMinimum: 0 })),
  maxNm: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
  lengthMm: Maybe(Mm()),
  calibrationDue: Maybe(DateOnly),
  /** Why it is used no more; stays in records of what was tightened with it. */
  retired: Maybe(Text(60)),
});
export type Wrench = Static<typeof WrenchSchema>;

const unitBy: Record<Stage['kind'], 'torque' | 'angle' | 'turns' | undefined> = {
  torque: 'torque',
  angle: 'angle',
  'back-off': 'angle',
  'turn-hub': 'turns',
  wait: undefined,
  drag: 'torque',
  recheck: 'torque',
  lock: undefined,
};
/** What a reading of the stage measures; undefined for a lock and a wait, which are seen. */
export const stageUnit = (s: Stage) => unitBy[s.kind];

/** How a figure of the stage is written. */
export const unitSigns: Record<Stage['kind'], RuleUnit> = {
  torque: 'N·m',
  angle: '°',
  'back-off': '°',
  'turn-hub': 'turns',
  wait: '',
  drag: 'N·m',
  recheck: 'N·m',
  lock: '',
};

/** Where a procedure prints no tolerance: this share of a torque, and this angle, either way. Our judgement. */
const ourShare = 0.05;
const ourDeg = 5;

/** The window a reading must fall in; `ours` when the procedure prints no tolerance and ours is taken. */
export function stageWindow(s: Stage): { low: number; high: number; ours: boolean } | undefined {
  const { value, tolerance, kind } = s;
  if (value === undefined || kind === 'wait') return undefined;
  // A drag without a tolerance is a limit: less of it is looser, never wrong by itself.
  if (kind === 'drag' && tolerance === undefined) return { low: 0, high: value, ours: false };
  if (kind === 'turn-hub') return { low: value, high: Infinity, ours: false };
  const own = unitBy[kind] === 'torque' ? ourShare * value : ourDeg;
  const either = tolerance ?? own;
  return { low: value - either, high: value + either, ours: tolerance === undefined };
}

/** A turn and an angle by the paint mark can be made without a gauge; a torque cannot. */
export const mayGoUnmeasured = (s: Stage): boolean =>
  s.value !== undefined && stageUnit(s) !== 'torque';

/**
 * Judges one reading of one stage. `actual` is in the stage's unit; a lock has none and is seen or not, a turn may be
 * done as said without one.
 */
export function judgeStage(
  p: Procedure,
  s: Stage,
  { actual, asSaid }: Omit<StageReading, 'stageId'>,
): Verdict {
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
  if (actual < low) return verdict('torque.below', found);
  if (actual > high) return verdict(p.stretch ? 'torque.over-stretch' : 'torque.over', found);
  return verdict('torque.in-window', found);
}

/** A wrench is trusted from this share of its largest value on. ISO 6789-1. */
const trustedFrom = 0.2;

/** From where to where a wrench can be trusted, N·m: 20 % to 100 % of its largest value (ISO 6789-1); undefined for what reads no torque. */
export const trustedRange = ({
  minNm = 0,
  maxNm,
}: Pick<Wrench, 'minNm' | 'maxNm'>): { low: number; high: number } | undefined =>
  maxNm === undefined ? undefined : { low: Math.max(minNm, trustedFrom * maxNm), high: maxNm };

/** Whether a wrench may be used for a torque: 20 % to 100 % of its largest value (ISO 6789-1), calibration not overdue. */
export function judgeWrench(w: Wrench, nm: number, today: string): Verdict[] {
  const part = w.name;
  const trusted = trustedRange(w);
  if (!trusted) return [verdict('wrench.none', { part })];
  const out: Verdict[] = [];
  const { low, high } = trusted;
  const range = { part, value: nm, min: low, max: high, unit: 'N·m' as const };
  if (nm > high) out.push(verdict('wrench.range', range, 'stop'));
  else if (nm < low) out.push(verdict('wrench.range', range, 'check'));
  if (w.calibrationDue !== undefined && w.calibrationDue < today)
    out.push(verdict('wrench.calibration', { part, with: { due: w.calibrationDue } }));
  return out.length > 0 ? out : [verdict('wrench.good', range)];
}

/** Tools that can read a stage, those that can be trusted with it first; angles need no torque scale. */
export function wrenchesFor(stage: Stage, wrenches: readonly Wrench[], today: string): Wrench[] {
  // Drag is read by a spring scale on a lever; a wait needs no tool of its own.
  if (stage.kind === 'drag' || stage.kind === 'wait') return [...wrenches];
  if (stageUnit(stage) !== 'torque')
    return wrenches.filter((w) => w.maxNm === undefined || w.type === 'digital');
  const nm = stage.value ?? 0;
  const trusted = (w: Wrench) => judgeWrench(w, nm, today).every((v) => v.status === 'good');
  const able = wrenches.filter((w) => w.maxNm !== undefined);
  return [...able.filter(trusted), ...able.filter((w) => !trusted(w))];
}

export interface StageReading {
  stageId: string;
  actual?: number;
  /** Turned as the procedure says, without a gauge. */
  asSaid?: boolean;
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
  let verdicts: (Verdict | undefined)[] = p.stages.map(() => undefined);
  let restart = false;
  for (const r of readings) {
    const i = p.stages.findIndex((s) => s.id === r.stageId);
    if (i < 0) continue;
    if (i === 0) restart = false;
    const judged = judgeStage(p, p.stages[i]!, r);
    verdicts = verdicts.map((v, k) => (k < i ? v : undefined));
    verdicts[i] = judged;
    if (judged.status === 'stop') restart = true;
  }
  const open = verdicts.findIndex((v) => v?.status !== 'good');
  const next = open < 0 ? p.stages.length : open;
  return { current: restart ? 0 : next, verdicts, restart };
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

/** Torque from which the angle of a stage is counted, N·m: that of the last torque stage before it; of a torque stage its own. */
export function snugOf(p: Procedure, stage: Stage): number | undefined {
  const before = p.stages.slice(0, p.stages.findIndex((s) => s.id === stage.id) + 1);
  return before.findLast((s) => s.kind === 'torque')?.value;
}
