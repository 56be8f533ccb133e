import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { beforeAll, expect, it } from 'vitest';
import type { Task } from '../../src/core/families/index.ts';
import { itemsOf } from '../../src/core/families/index.ts';
import { limitsMm, tolerance } from '../../src/core/fits/index.ts';
import {
  setupOf,
  checksFor,
  chosenPart,
  familyCodeOf,
  type JobView,
  missingFor,
  readingsToGo,
  type Station,
  stepsOf,
  walkOf,
  workOf,
} from '../../src/core/job/index.ts';
import { isCount, sizeOf } from '../../src/core/matching/index.ts';
import { seatsOf, solve } from '../../src/core/press/index.ts';

process.env['DATA_DIR'] = mkdtempSync(join(tmpdir(), 'true-spindle-'));
process.env['LOG_LEVEL'] = 'silent';
const { importTable, importWorkshop } = await import('../../src/server/import.ts');
const { jobRecord, jobView } = await import('../../src/server/job-record.ts');
const { setChoice, startJob, writeEvent } = await import('../../src/server/jobs.ts');
const { jobCard } = await import('../../src/server/card.ts');

const demo = (name: string) =>
  readFileSync(new URL(`../../demo-data/${name}`, import.meta.url), 'utf8');
beforeAll(async () => {
  await importTable('parts', demo('parts.csv'), false);
  await importTable('adapters', demo('kit.csv'), false);
  await importWorkshop(JSON.parse(demo('workshop.json')));
}, 60_000);

/** Walks one job by the family's own tasks, refusing nothing and skipping nothing; what the interlocks hold back fails here. */
async function walk(
  unitId: string,
  corner: 'LF' | 'RF' | 'LR' | 'RR',
  route: 'bench' | 'on-car',
): Promise<JobView> {
  const id = uuid();
  const by = 'ines';
  let view = await startJob({ id, unitId, corner, byId: by });
  const put = (type: string, body: object, pin?: string) =>
    writeEvent(id, { id: uuid(), type, body, byId: by, ...(pin ? { pin } : {}) } as never);
  const look = async () => {
    view = await jobView(id);
  };
  const done = async (station: Station) => {
    await look();
    expect(missingFor(station, view), station).toEqual([]);
    await put('station-done', { station });
    await look();
  };
  await put('complaint-recorded', { corner, lamps: ['none'], history: [] });
  await done('complaint');
  await put('test-recorded', { testId: 'spring', place: corner, result: 'gritty' });
  await put('diagnosis-accepted', { suspectId: `bearing-${corner}`, probability: 0.9 });
  await done('diagnose');
  for (const i of itemsOf(familyCodeOf(view)))
    await put('item-marked', { itemId: i.id, state: 'in-hand' });
  await done('match');
  view = await setChoice(id, 'plan', {
    id: uuid(),
    version: 0,
    value: { route, chill: false, soak: false },
    byId: by,
  });
  await done('plan');
  await put('caution-read', { cautionId: 'press' });
  const task = async (t: Task) => {
    await look();
    const { ctx } = view;
    const part = chosenPart(view)!;
    switch (t.kind) {
      case 'strip':
        for (const s of stepsOf(view, 'strip'))
          await put('step-done', { phase: 'strip', stepId: s.id });
        break;
      case 'facts':
        for (const factId of t.facts) await put('fact-seen', { factId });
        break;
      case 'old':
        for (const { d, n } of readingsToGo(view))
          for (let k = 0; k < n; k++)
            await put('old-part-read', {
              dimension: d,
              valueMm: sizeOf(part, d)! + (isCount(d) ? 0 : k * 0.001),
              typed: 'x',
              instrumentId: 'mic',
            });
        if (part.bearing.encoder.kind !== 'none')
          await put('encoder-read', {
            kind: part.bearing.encoder.kind,
            pairs: part.bearing.encoder.pairs,
            side: 'inboard',
          });
        await put('part-confirmed', { partNumber: part.number });
        break;
      case 'seats':
        for (const [kind, seat] of Object.entries(seatsOf(workOf(view)!))) {
          const { lowMm, highMm } = limitsMm(
            seat.nominalMm,
            tolerance(seat.nominalMm, seat.toleranceClass),
          );
          const m = (lowMm + highMm) / 2;
          await put('seat-read', {
            seat: kind,
            readingsMm: [
              [m, m],
              [m, m],
              [m, m],
            ],
            instrumentId: 'mic',
          });
        }
        break;
      case 'verdict':
        for (const seat of Object.keys(seatsOf(workOf(view)!)))
          await put('seat-judged', { seat, decision: 'reuse' });
        break;
      case 'encoder':
        if (part.bearing.encoder.kind !== 'none')
          await put('encoder-checked', { side: 'inboard', method: 'viewing-card' });
        break;
      case 'stroke': {
        const setup = setupOf(view, t.operation)!;
        const best = solve(ctx.adapters, setup, 1).solutions[0];
        expect(best, `${t.operation} with ${setup.press.name}`).toBeDefined();
        const { cap, pusher, support, riser } = best!.stack;
        await put('stroke-recorded', {
          operation: t.operation,
          pressId: setup.press.id,
          stack: {
            pusherId: pusher.id,
            ...(cap ? { capId: cap.id } : {}),
            ...(support ? { supportId: support.id } : {}),
            ...(riser ? { riserId: riser.id } : {}),
          },
          ...(setup.press.kind === 'hammer' ? {} : { peakKn: setup.forceKn.likely }),
          ...(setup.requirement.fitting ? { depthMm: setup.requirement.travelMm } : {}),
        });
      }
    }
  };
  for (const t of walkOf(view)!.out) await task(t);
  await done('press-out');
  for (const t of walkOf(view)!.in) await task(t);
  await done('press-in');
  for (const s of stepsOf(view, 'rebuild'))
    await put('step-done', { phase: 'rebuild', stepId: s.id });
  for (const s of view.ctx.procedure!.stages)
    await put('stage-recorded', {
      stageId: s.id,
      toolId: view.ctx.wrenches[0]!.id,
      ...(s.kind === 'lock' ? {} : { actual: s.value!, typed: String(s.value) }),
    });
  await done('torque');
  for (const c of checksFor(view))
    await put('check-recorded', {
      checkId: c.id,
      ...(c.numeric ? { value: 0.02, typed: '0.02' } : { ok: true }),
    });
  await put('signed', { odometerKm: view.ctx.unit.odometerKm + 5 }, '2580');
  return jobView(id);
}

it.each([
  ['P1', 'unit-07', 'LF', 'bench', ['hub-out', 'bearing-out', 'bearing-in', 'hub-in']],
  ['P1', 'unit-07', 'LF', 'on-car', ['hub-out', 'bearing-out', 'bearing-in', 'hub-in']],
  ['P2', 'unit-15', 'RF', 'on-car', ['cartridge-out', 'cartridge-in']],
  ['P2', 'unit-15', 'RF', 'bench', ['cartridge-out', 'cartridge-in']],
  ['A1', 'unit-11', 'RR', 'on-car', ['shell-in', 'seal-in']],
  ['A2', 'unit-19', 'RR', 'bench', ['shaft-bearing-off', 'shaft-bearing-on', 'press-ring-on']],
  ['B2', 'unit-04', 'LR', 'bench', ['first-ring-in', 'second-ring-in']],
  ['N1', 'unit-11', 'RF', 'bench', ['shell-in', 'seal-in']],
] as const)(
  'walks %s of %s %s, %s, from the complaint to a signed card by its own tasks',
  async (_family, unitId, corner, route, strokes) => {
    const view = await walk(unitId, corner, route);
    expect(view.state.signed).toBeDefined();
    const card = jobCard(await jobRecord(view.job.id));
    expect(card.strokes.map((s) => s.operation).sort()).toEqual([...strokes].sort());
    expect(card.strokes.filter((s) => s.status === 'stop')).toEqual([]);
    expect(card.seal.verified).toBe(true);
  },
  60_000,
);
