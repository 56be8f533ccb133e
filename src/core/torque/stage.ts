import { type Static, Type } from '@sinclair/typebox';
import { printed } from '../printed.ts';
import type { RuleUnit } from '../rules/index.ts';
import { closed, DateOnly, Id, Maybe, Mm, oneOf, Text } from '../schemas/common.ts';

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
    'end-play',
    'recheck',
    'lock',
  ] as const),
  /** N·m, degrees, turns, minutes or mm by kind; of a drag the most it may be; absent for `lock`. */
  value: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 3000 })),
  /** Allowed deviation either way, in the same unit. */
  tolerance: Maybe(Type.Number({ minimum: 0, maximum: 300 })),
  text: Text(80),
  why: Text(),
  wheel: oneOf(['air', 'ground'] as const),
});
export type Stage = Static<typeof StageSchema>;

const lockings = ['castle', 'plate', 'stake', 'tab', 'screw', 'self-locking'] as const;
/** What keeps a nut from turning back. */
const LockingSchema = closed({
  kind: oneOf(lockings),
  /** Of a castle nut: its slots, the ends of holes in the shaft, and what it is tightened for. */
  slots: Maybe(Type.Integer({ minimum: 3, maximum: 24 })),
  holeEnds: Maybe(Type.Integer({ minimum: 1, maximum: 12 })),
  holds: Maybe(oneOf(['clamp', 'end-play'] as const)),
  /** Of a lock screw, a plate or a tab: places round the nut in which it takes. */
  marks: Maybe(Type.Integer({ minimum: 2, maximum: 72 })),
});
export type Locking = Static<typeof LockingSchema>;

/** How a castle nut stands before it goes on to its slot, as somebody looked. */
export const SlotStandsSchema = closed({
  /** Past the last slot that lets the pin through, degrees. */
  pastDeg: Type.Number({ minimum: -180, maximum: 180 }),
  slots: Type.Integer({ minimum: 3, maximum: 24 }),
  holeEnds: Type.Integer({ minimum: 1, maximum: 12 }),
  /** Thickness that the nut clamps, mm, where it was measured. */
  gripMm: Maybe(Mm()),
});
export type SlotStands = Static<typeof SlotStandsSchema>;

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
  locking: Maybe(LockingSchema),
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

const unitBy: Record<Stage['kind'], 'torque' | 'angle' | 'turns' | 'length' | undefined> = {
  torque: 'torque',
  angle: 'angle',
  'back-off': 'angle',
  'turn-hub': 'turns',
  wait: undefined,
  drag: 'torque',
  'end-play': 'length',
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
  'end-play': 'mm',
  recheck: 'N·m',
  lock: '',
};

/** Where a procedure prints no tolerance: this share of a torque, and this angle, either way. Our judgement. */
export const ourShare = 0.05;
export const ourDeg = 5;

/** The window a reading must fall in; `ours` when the procedure prints no tolerance and ours is taken. */
export function stageWindow(s: Stage): { low: number; high: number; ours: boolean } | undefined {
  const { value, tolerance, kind } = s;
  if (value === undefined || kind === 'wait') return undefined;
  // A drag or an end play without a tolerance is a limit: the most that it may be.
  if ((kind === 'drag' || kind === 'end-play') && tolerance === undefined)
    return { low: 0, high: value, ours: false };
  if (kind === 'turn-hub') return { low: value, high: Infinity, ours: false };
  const own = unitBy[kind] === 'torque' ? ourShare * value : ourDeg;
  const either = tolerance ?? own;
  return {
    low: printed(value - either),
    high: printed(value + either),
    ours: tolerance === undefined,
  };
}

/** A turn and an angle by the paint mark can be made without a gauge; a torque and an end play cannot. */
export const mayGoUnmeasured = (s: Stage): boolean =>
  s.value !== undefined && stageUnit(s) !== 'torque' && s.kind !== 'end-play';
