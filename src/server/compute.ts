import { groupLives, lifeFault, logRank } from '../core/logbook/index.ts';
import { type Static, Type } from '@sinclair/typebox';
import type {} from '../core/corner-record.ts';
import { BearingSchema, CornerRecordSchema } from '../core/corner-record.ts';
import { SideId } from '../core/corner.ts';
import { judge, placesOf, resultFault, tests } from '../core/diagnosis/index.ts';
import { forceN, hoopMpa, type PressFit, pressureMpa, tolerance } from '../core/fits/index.ts';
import {
  analyse,
  bearingOrders,
  decodeWav,
  RecordingFault,
  type Settings,
  tyre,
} from '../core/noise/index.ts';
import {
  setupFor,
  judgeStack,
  screwForceKn,
  screwTorqueNm,
  solve,
  workFrom,
} from '../core/press/index.ts';
import { AdapterSchema, PressSchema } from '../core/press/kit.ts';
import { operations } from '../core/press/operations.ts';
import { closed, Maybe, Mm, oneOf, Text } from '../core/schemas/common.ts';
import { eventBodies } from '../core/schemas/events.ts';
import {
  clampN,
  endPlayMm,
  pitchDiameterMm,
  readGrade,
  readThread,
  strengthOf,
  stressAreaMm2,
  wrenchSetting,
  yieldShare,
  yieldTorqueNm,
  clampVerdicts,
  threadVerdicts,
} from '../core/torque/index.ts';
import { sentence } from '../core/rules/index.ts';
import { type Verdict, worst } from '../core/verdict.ts';
import { invalid } from './problem.ts';
import { validated } from './validate.ts';

const MaterialId = oneOf(['steel', 'grey-iron', 'ductile-iron', 'aluminium'] as const);

/** Runs a computation and turns a range error of the core ("field: reason") into a named fault. */
export function named<T>(work: () => T): T {
  try {
    return work();
  } catch (e) {
    if (!(e instanceof RangeError)) throw e;
    const [field = 'body', ...rest] = e.message.split(': ');
    throw invalid([{ field, reason: rest.join(': ') }]);
  }
}

export const PressFitSchema = closed({
  interferenceMm: Type.Number({ minimum: -1, maximum: 2 }),
  diameterMm: Mm(),
  lengthMm: Mm(),
  outerDiameterMm: Mm(),
  innerBoreMm: Type.Number({ minimum: 0, maximum: 2000 }),
  outerMaterial: MaterialId,
  innerMaterial: MaterialId,
  friction: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
});
export const pressFit = (b: Static<typeof PressFitSchema>) =>
  named(() => {
    const fit: PressFit = b;
    const pressure = pressureMpa(fit);
    const hoop = hoopMpa(fit);
    return {
      pressureMpa: pressure,
      forceKn: forceN(pressure, b.friction, b.diameterMm, b.lengthMm) / 1000,
      hoopOuterMpa: hoop.outerMpa,
      hoopInnerMpa: hoop.innerMpa,
    };
  });

export const GeometrySchema = closed({
  balls: Type.Integer({ minimum: 3, maximum: 60 }),
  ballMm: Mm(),
  pitchMm: Mm(),
  angleDeg: Type.Number({ minimum: 0, exclusiveMaximum: 90 }),
  rotating: oneOf(['inner', 'outer'] as const),
});
export const ordersOf = (b: Static<typeof GeometrySchema>) => named(() => bearingOrders(b));

export const EndPlaySchema = closed({
  pitchMm: Mm(),
  angleDeg: Type.Number({ minimum: -36_000, maximum: 36_000 }),
});
export const endPlayOf = ({ pitchMm, angleDeg }: Static<typeof EndPlaySchema>) =>
  named(() => ({ movementMm: endPlayMm(pitchMm, angleDeg) }));

export const TyreSchema = closed({
  size: Type.String({ minLength: 1, maxLength: 40 }),
  rollingFactor: Type.Optional(Type.Number({ minimum: 0.9, maximum: 1 })),
});
export const tyreOf = (b: Static<typeof TyreSchema>) => named(() => tyre(b.size, b.rollingFactor));

const results = Type.Array(eventBodies['test-recorded'], { maxItems: 100 });
export const DiagnosisSchema = closed({
  layout: oneOf(['front', 'rear', 'all', 'solid-rear'] as const),
  complaint: Type.Optional(eventBodies['complaint-recorded']),
  results,
});
export function diagnosis(b: Static<typeof DiagnosisSchema>) {
  b.results.forEach((r, i) => {
    const fault = resultFault(r);
    if (fault) throw invalid([{ field: `results.${i}.${fault.field}`, reason: fault.reason }]);
  });
  const j = judge(b.layout, b.complaint, b.results);
  return {
    suspects: j.suspects.map((s) => ({
      id: s.id,
      name: s.name,
      probability: s.probability,
      reasons: s.reasons,
    })),
    next: j.next.map((n) => ({
      test: n.test.id,
      place: n.place,
      bits: n.bits,
      minutes: n.minutes,
    })),
    call: j.call,
    text: j.callText,
    replaceLine: j.replaceLine,
    second: j.second ? { id: j.second.suspect.id, probability: j.second.probability } : null,
    contradictions: j.contradictions.map((c) => c.text),
  };
}
/** The tests with their results and places, for a client of the interface. */
export const testList = () =>
  tests.map((t) => ({
    id: t.id,
    name: t.name,
    places: placesOf(t),
    minutes: t.minutes,
    state: t.state,
    tools: t.tools,
    results: t.results ?? null,
    numeric: t.numeric ?? null,
    why: t.why,
  }));

const NoiseSettingsSchema = closed({
  speedKmh: Type.Number({ minimum: 0, maximum: 400 }),
  tyre: Type.String({ minLength: 1, maxLength: 40 }),
  axleRatio: Type.Optional(Type.Number({ exclusiveMinimum: 1, maximum: 12 })),
  pinionTeeth: Type.Optional(Type.Integer({ minimum: 5, maximum: 30 })),
  bearing: Type.Optional(GeometrySchema),
  rings: Type.Optional(closed({ boreMm: Mm(), outerMm: Mm() })),
});

/** The ear on the server: the same function as in the tablet's worker. */
export function noise(recording: ArrayBuffer, settingsText: string) {
  let json: unknown;
  try {
    json = JSON.parse(settingsText);
  } catch {
    throw invalid([{ field: 'settings', reason: 'Not JSON.' }]);
  }
  const s = validated(NoiseSettingsSchema, json);
  try {
    return named(() => {
      const settings: Settings = {
        speeds: [{ atS: 0, kmh: s.speedKmh }],
        circumferenceMm: tyre(s.tyre).circumferenceMm,
        ...(s.axleRatio ? { axleRatio: s.axleRatio } : {}),
        ...(s.pinionTeeth ? { pinionTeeth: s.pinionTeeth } : {}),
        ...(s.bearing ? { bearing: s.bearing } : {}),
        ...(s.rings ? { rings: s.rings } : {}),
      };
      const { finding, bySize, confidence, peaks, text, seconds } = analyse(
        decodeWav(recording),
        settings,
      );
      return { finding, bySize, confidence, peaks, text, seconds };
    });
  } catch (e) {
    if (e instanceof RecordingFault) throw invalid([{ field: e.field, reason: e.message }]);
    throw e;
  }
}

export const ToleranceSchema = closed({
  sizeMm: Mm(),
  class: Type.String({ minLength: 2, maxLength: 5 }),
});
export const toleranceOf = (b: Static<typeof ToleranceSchema>) =>
  named(() => tolerance(b.sizeMm, b.class));

export const WrenchSchema = closed({
  wantedNm: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
  wrenchMm: Mm(),
  extensionMm: Type.Number({ minimum: 0, maximum: 2000 }),
  angleDeg: Type.Number({ minimum: -180, maximum: 180 }),
});
export const wrench = (b: Static<typeof WrenchSchema>) =>
  torqueTool({
    wantedNm: b.wantedNm,
    wrenchLengthMm: b.wrenchMm,
    offsetMm: b.extensionMm,
    offsetAngleDeg: b.angleDeg,
  });

export const TorqueToolSchema = closed({
  wantedNm: WrenchSchema.properties.wantedNm,
  wrenchLengthMm: Mm(),
  offsetMm: WrenchSchema.properties.extensionMm,
  offsetAngleDeg: WrenchSchema.properties.angleDeg,
});
export const torqueTool = (b: Static<typeof TorqueToolSchema>) =>
  named(() => ({
    setNm: wrenchSetting(b.wantedNm, b.wrenchLengthMm, b.offsetMm, b.offsetAngleDeg),
  }));

export const ThreadSchema = closed({ thread: Text(30) });
function threadOf(text: string) {
  const read = readThread(text);
  if (!read.ok) throw invalid([{ field: 'thread', reason: read.reason }]);
  return read.thread;
}
/** How it stands and why, by the rules that the screens speak by. */
const told = (verdicts: readonly Verdict[]) => ({
  status: worst(verdicts),
  why: verdicts.map((v) => sentence(v)),
});
export function threadSizes({ thread: text }: Static<typeof ThreadSchema>) {
  const thread = threadOf(text);
  return {
    thread: thread.name,
    listed: thread.listed,
    hand: thread.hand ?? 'right',
    ...told(threadVerdicts(thread)),
    stressAreaMm2: stressAreaMm2(thread),
    pitchDiameterMm: pitchDiameterMm(thread),
  };
}

const Friction = Type.Number({ exclusiveMinimum: 0, maximum: 1 });
export const ClampSchema = closed({
  thread: Text(30),
  grade: Maybe(Text(12)),
  torqueNm: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
  frictionThread: Friction,
  frictionBearing: Friction,
  bearingDiameterMm: Mm(),
});
/** Clamp of a torque, and how much of the proof load it is; a torque that would stretch the shank for good is refused. */
export function clamp({ thread: text, grade: graded, torqueNm, ...b }: Static<typeof ClampSchema>) {
  const thread = threadOf(text);
  const rub = { thread, ...b };
  const clampKn = clampN(torqueNm, rub) / 1000;
  const ofThread = threadVerdicts(thread);
  if (graded === undefined) return { clampKn, ...told(ofThread) };
  const grade = readGrade(graded, thread.series);
  const strength = grade && strengthOf(grade, thread);
  if (!strength)
    throw invalid([
      { field: 'grade', reason: `“${graded}” is no grade of a ${thread.name} here.` },
    ]);
  const yieldsAt = yieldTorqueNm(rub, strength.yieldMpa) / yieldShare;
  if (torqueNm > yieldsAt)
    throw invalid([
      {
        field: 'torqueNm',
        reason: `A ${thread.name} of ${graded} yields at about ${yieldsAt.toFixed(0)} N·m with this friction.`,
      },
    ]);
  const proofN = strength.proofMpa * stressAreaMm2(thread);
  const verdicts = [...ofThread, ...clampVerdicts(thread, graded, 1000 * clampKn, proofN)];
  return { clampKn, proofShare: (1000 * clampKn) / proofN, ...told(verdicts) };
}

export const ScrewSchema = closed({
  pitchMm: Mm(),
  flankMm: Mm(),
  threadDeg: Type.Number({ minimum: 0, exclusiveMaximum: 120 }),
  faceMm: Type.Number({ minimum: 0, maximum: 200 }),
  threadFriction: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
  faceFriction: Type.Number({ minimum: 0, maximum: 1 }),
  torqueNm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
  forceKn: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
});
export const screw = ({ torqueNm, forceKn, ...tool }: Static<typeof ScrewSchema>) =>
  named(() => {
    if ((torqueNm === undefined) === (forceKn === undefined))
      throw invalid([{ field: 'torqueNm', reason: 'Give either a torque or a force.' }]);
    return torqueNm === undefined
      ? { torqueNm: screwTorqueNm(forceKn!, tool) }
      : { forceKn: screwForceKn(torqueNm, tool) };
  });

export const StackSolveSchema = closed({
  operation: oneOf(operations),
  bearing: BearingSchema,
  corner: CornerRecordSchema,
  press: PressSchema,
  encoderSide: SideId,
  kit: Type.Array(AdapterSchema, { maxItems: 1000 }),
  /** A stack laid by hand, by the ids of its pieces; the best ones are found when it is left out. */
  stack: Type.Optional(
    closed({
      capId: Type.Optional(Type.String()),
      pusherId: Type.String(),
      supportId: Type.Optional(Type.String()),
      riserId: Type.Optional(Type.String()),
    }),
  ),
});
export function stacks(b: Static<typeof StackSolveSchema>) {
  const work = workFrom(b.corner.family, b.corner, b.bearing, b.encoderSide);
  if (!work)
    throw invalid([
      {
        field: 'corner',
        reason: `The bodies of family ${b.corner.family} are not all there: P1 knuckle and hub, P2 cartridge and housing, A2 shaft, the others housing.`,
      },
    ]);
  const setup = setupFor(b.operation, work, b.press);
  if (!setup)
    throw invalid([{ field: 'operation', reason: `These parts have no stroke “${b.operation}”.` }]);
  const kit = b.kit;
  if (!b.stack) {
    const found = solve(kit, setup);
    return {
      forceKn: setup.forceKn,
      missing: found.missing,
      stacks: found.solutions.map((s) => ({
        capId: s.stack.cap?.id,
        pusherId: s.stack.pusher.id,
        supportId: s.stack.support?.id,
        riserId: s.stack.riser?.id,
        status: s.judgement.status,
        score: s.judgement.score,
        verdicts: s.judgement.verdicts,
      })),
    };
  }
  const piece = (field: string, id: string) =>
    kit.find((a) => a.id === id) ??
    (() => {
      throw invalid([{ field: `stack.${field}`, reason: `The kit has no piece “${id}”.` }]);
    })();
  const judged = judgeStack(
    {
      ...(b.stack.capId ? { cap: piece('capId', b.stack.capId) } : {}),
      pusher: piece('pusherId', b.stack.pusherId),
      ...(b.stack.supportId ? { support: piece('supportId', b.stack.supportId) } : {}),
      ...(b.stack.riserId ? { riser: piece('riserId', b.stack.riserId) } : {}),
    },
    setup,
  );
  return {
    forceKn: setup.forceKn,
    status: judged.status,
    verdicts: judged.verdicts,
    path: judged.path.nodes,
    throughBalls: judged.path.throughBalls,
  };
}

/** Answers stay as long as can be read: a curve of very many steps is thinned. */
const mostSteps = 2000;

const LifeBody = closed({
  time: Type.Number({ minimum: 0, maximum: 1e9 }),
  failed: Type.Boolean(),
  /** When it came under watch. */
  entry: Type.Optional(Type.Number({ minimum: 0, maximum: 1e9 })),
});
export const SurvivalSchema = closed({
  groups: Type.Array(
    closed({ name: Text(60), lives: Type.Array(LifeBody, { minItems: 1, maxItems: 100_000 }) }),
    { minItems: 1, maxItems: 12 },
  ),
});
export function survival({ groups }: Static<typeof SurvivalSchema>) {
  const faults = groups.flatMap((g, i) =>
    g.lives.flatMap((l, j) => {
      const reason = lifeFault(l);
      return reason ? [{ field: `groups.${i}.lives.${j}.time`, reason }] : [];
    }),
  );
  if (faults.length > 0) throw invalid(faults.slice(0, 20));
  const test = logRank(groups.map((g) => g.lives));
  return {
    groups: groups.map(({ name, lives }) => {
      const g = groupLives({ name, exact: lives, intervals: [] });
      const step = Math.ceil(g.curve.length / mostSteps);
      return { ...g, curve: g.curve.filter((_, i) => i % step === 0 || i === g.curve.length - 1) };
    }),
    logRank: test ? { chi2: test.chi2, p: test.p } : null,
    ...(test ? {} : { noLogRank: 'It takes two groups, and a failure while both were watched.' }),
  };
}
