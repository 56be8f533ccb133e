import { v7 as uuid } from 'uuid';
import { beforeAll, expect, it } from 'vitest';
import { strokesIn } from '../../src/core/families/index.ts';
import { walkOf } from '../../src/core/job/index.ts';
import { figureAt } from '../../src/core/press/index.ts';
import { shopContext } from '../shop.ts';
import { nextEntries, nextOnUnknown, type Truth, type Walked, walked } from '../technician.ts';
import { loadShop } from './shop-server.ts';

const { jobRecord, jobView } = await import('../../src/server/job-record.ts');
const { setChoice, startJob, writeEvent } = await import('../../src/server/jobs.ts');
const { newUnit, unitSheet } = await import('../../src/server/units.ts');
const { jobCard } = await import('../../src/server/card.ts');

beforeAll(loadShop, 60_000);

const byId = 'ines';

/** Works one job on the server by the family's own tasks; what the interlocks hold back fails here. */
async function walk({ unit, corner, route }: Walked, truth?: Truth) {
  const id = uuid();
  await startJob({ id, unitId: unit, corner, byId });
  for (;;) {
    const view = await jobView(id);
    const next = truth ? nextOnUnknown(view, route, truth) : nextEntries(view, route);
    if (next.length === 0) return view;
    for (const e of next)
      await ('choice' in e
        ? setChoice(id, e.choice, { id: uuid(), version: 0, value: e.value, byId })
        : writeEvent(id, { id: uuid(), ...e, byId, pin: '2580' } as never));
  }
}

it.each(walked)(
  'walks $family of $unit $corner, $route, from the complaint to a signed card by its own tasks',
  async (w) => {
    const view = await walk(w);
    const { out = [], in: fitted = [] } = walkOf(view) ?? {};
    const card = jobCard(await jobRecord(view.job.id));
    const own = strokesIn([...out, ...fitted]).filter((o) => !o.startsWith('stud-'));
    expect(card.strokes.map((s) => s.operation).sort()).toEqual([...own].sort());
    expect(card.strokes.filter((s) => s.status === 'stop')).toEqual([]);
    expect(card.seal.verified).toBe(true);
  },
  60_000,
);

const families = walked.filter((w, i) => walked.findIndex((x) => x.family === w.family) === i);
it.each(families)(
  'walks $family of a car of which nothing is on record, and keeps what was read of it',
  async (w) => {
    const known = shopContext(w.unit, w.corner);
    const truth = { record: known.unit.corners[w.corner]!, procedure: known.procedure! };
    const fleetNo = `NEW-${w.family}`;
    const { id: unit } = await newUnit({ byId, fleetNo, layout: known.unit.layout });
    const view = await walk({ ...w, unit }, truth);
    const card = jobCard(await jobRecord(view.job.id));
    expect(card.strokes.filter((s) => s.status !== 'good')).toEqual([]);
    expect(card.figures?.length).toBe(Object.keys(view.state.figures).length);
    const kept = (await unitSheet(unit)).unit.corners[w.corner]!;
    for (const { path, value } of Object.values(view.state.figures))
      expect(figureAt(kept, path), path).toBe(value);
  },
  60_000,
);
