import { judge, type Judgement, testsOf, type UnitHistory } from '../diagnosis/index.ts';
import type { UnitRecord } from '../schemas/workshop.ts';
import { once } from './job-now.ts';

/** What the unit's record says of its bearings. */
export const historyOf = (unit: UnitRecord): UnitHistory => ({
  odometerKm: unit.odometerKm,
  fitted: unit.fitted ?? {},
  exposure: unit.exposure ?? [],
});

/** The diagnosis of a job as it stands, on the shop's own tables and the unit's history. */
export const judgementOf = once(({ ctx, state, choices }): Judgement =>
  judge(ctx.unit.layout, state.complaint, state.results, {
    tables: testsOf(ctx.tables),
    causes: ctx.tables.causes,
    history: historyOf(ctx.unit),
    ...(ctx.shop?.wrongCallMinutes ? { wrongMinutes: ctx.shop.wrongCallMinutes } : {}),
    without: choices.diagnose?.value.without ?? [],
  }),
);
