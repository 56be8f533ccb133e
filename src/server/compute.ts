import { Type, type Static } from '@sinclair/typebox';
import { forceN, hoopMpa, pressureMpa, tolerance, type PressFit } from '../core/fits/index.ts';
import { closed, Mm, oneOf, OperationId } from '../core/schemas/common.ts';
import { AdapterSchema, BearingSchema, PressSchema, CornerRecordSchema } from '../core/schemas/workshop.ts';
import { classFits, judgeStack, requirement, solve, strokeForceKn, type Adapter, type Bench, type Work } from '../core/press/index.ts';
import { SideId } from '../core/schemas/common.ts';
import { wrenchSetting } from '../core/torque/index.ts';
import { invalid } from './problem.ts';

const MaterialId = oneOf(['steel', 'grey-iron', 'ductile-iron', 'aluminium'] as const);

/** Runs a computation and turns a range error of the core ("field: reason") into a named fault. */
function named<T>(work: () => T): T {
  try {
    return work();
  } catch (e) {
    if (!(e instanceof RangeError)) throw e;
    const [field = 'body', ...rest] = e.message.split(': ');
    throw invalid([{ field, reason: rest.join(': ') }]);
  }
}

export const PressFitSchema = closed({
  interferenceMm: Type.Number({ minimum: -1, maximum: 2 }), diameterMm: Mm(), lengthMm: Mm(), outerDiameterMm: Mm(),
  innerBoreMm: Type.Number({ minimum: 0, maximum: 2000 }), outerMaterial: MaterialId, innerMaterial: MaterialId, friction: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
});
export const pressFit = (b: Static<typeof PressFitSchema>) => named(() => {
  const fit: PressFit = b;
  const pressure = pressureMpa(fit);
  const hoop = hoopMpa(fit);
  return { pressureMpa: pressure, forceKn: forceN(pressure, b.friction, b.diameterMm, b.lengthMm) / 1000, hoopOuterMpa: hoop.outerMpa, hoopInnerMpa: hoop.innerMpa };
});

export const ToleranceSchema = closed({ sizeMm: Mm(), class: Type.String({ minLength: 2, maxLength: 5 }) });
export const toleranceOf = (b: Static<typeof ToleranceSchema>) => named(() => tolerance(b.sizeMm, b.class));

export const WrenchSchema = closed({ wantedNm: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }), wrenchMm: Mm(), extensionMm: Type.Number({ minimum: 0, maximum: 2000 }), angleDeg: Type.Number({ minimum: -180, maximum: 180 }) });
export const wrench = (b: Static<typeof WrenchSchema>) => ({ setNm: wrenchSetting(b.wantedNm, b.wrenchMm, b.extensionMm, b.angleDeg) });

export const StackSolveSchema = closed({
  operation: OperationId, bearing: BearingSchema, corner: CornerRecordSchema, press: PressSchema, encoderSide: SideId,
  kit: Type.Array(AdapterSchema, { maxItems: 1000 }),
  /** A stack laid by hand, by the ids of its pieces; the best ones are found when it is left out. */
  stack: Type.Optional(closed({ capId: Type.Optional(Type.String()), pusherId: Type.String(), supportId: Type.String() })),
});
export function stacks(b: Static<typeof StackSolveSchema>) {
  if (!b.corner.knuckle) throw invalid([{ field: 'corner.knuckle', reason: 'Missing.' }]);
  if (!b.corner.hub) throw invalid([{ field: 'corner.hub', reason: 'Missing.' }]);
  const work: Work = { bearing: b.bearing, knuckle: b.corner.knuckle, hub: b.corner.hub, encoderSide: b.encoderSide };
  const bench: Bench = { work, press: b.press, requirement: requirement(b.operation, work), forceKn: strokeForceKn(b.operation, work, classFits(work)) };
  const kit = b.kit as Adapter[];
  if (!b.stack) {
    const found = solve(kit, bench);
    return { forceKn: bench.forceKn, missing: found.missing, stacks: found.solutions.map((s) => ({ capId: s.stack.cap?.id, pusherId: s.stack.pusher.id, supportId: s.stack.support.id, status: s.judgement.status, score: s.judgement.score, verdicts: s.judgement.verdicts })) };
  }
  const piece = (field: string, id: string) => kit.find((a) => a.id === id) ?? (() => { throw invalid([{ field: `stack.${field}`, reason: `The kit has no piece “${id}”.` }]); })();
  const judged = judgeStack({ ...(b.stack.capId ? { cap: piece('capId', b.stack.capId) } : {}), pusher: piece('pusherId', b.stack.pusherId), support: piece('supportId', b.stack.supportId) }, bench);
  return { forceKn: bench.forceKn, status: judged.status, verdicts: judged.verdicts, path: judged.path.nodes, throughBalls: judged.path.throughBalls };
}
