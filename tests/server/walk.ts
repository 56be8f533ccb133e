import { v7 as uuid } from 'uuid';
import { type Entry, nextEntries, nextOnUnknown, type Truth, type Walked } from '../technician.ts';
import './shop-server.ts';

const { jobView } = await import('../../src/server/job-record.ts');
const { writeEvent } = await import('../../src/server/entries.ts');
const { setChoice, startJob } = await import('../../src/server/jobs.ts');

export const byId = 'ines';

/** Works one job on the server by the family's own tasks, as far as `until`; what the interlocks hold back fails here. */
export async function walk(
  { unit, corner, ...how }: Walked,
  truth?: Truth,
  until?: (e: Entry) => boolean,
) {
  const id = uuid();
  await startJob({ id, unitId: unit, corner, byId });
  for (;;) {
    const view = await jobView(id);
    const next = truth ? nextOnUnknown(view, how, truth) : nextEntries(view, how);
    if (next.length === 0) return view;
    for (const e of next) {
      if (until?.(e)) return view;
      await ('choice' in e
        ? setChoice(id, e.choice, { id: uuid(), version: 0, value: e.value, byId })
        : writeEvent(id, { id: uuid(), ...e, byId, pin: '2580' } as never));
    }
  }
}
