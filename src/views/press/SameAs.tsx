import type { AlikeCorner } from '../../core/corner-record.ts';
import { v7 as uuid } from 'uuid';
import {
  chosenPart,
  familyCodeOf,
  fastenerOn,
  type JobView,
  stepsOf,
  takenOver,
} from '../../core/job/index.ts';
import type { ReadFastener, TypedProcedure } from '../../core/torque/index.ts';
import { useFetched } from '../shell/useFetched.ts';
import { useJob } from '../shell/useJob.ts';

interface Lends extends Omit<AlikeCorner, 'fasteners' | 'procedure'> {
  figures: ReturnType<typeof takenOver>;
  fasteners: (readonly [string, ReadFastener])[];
  procedure?: TypedProcedure;
}

/** What a corner built alike lends besides figures: fasteners that nobody has read here, and the nut's procedure. */
function besides(view: JobView, from: AlikeCorner): Pick<Lends, 'fasteners' | 'procedure'> {
  const walked = [...stepsOf(view, 'strip'), ...stepsOf(view, 'rebuild')];
  const fasteners = Object.entries(from.fasteners).flatMap(([id, fastener]) => {
    const { name: _n, figure: _f, ...read } = fastener;
    const open = walked.some((s) => s.fastener === id) && !fastenerOn(view, id);
    const said = read.torqueNm !== undefined || read.angleDeg !== undefined || read.byManual;
    return open && said ? [[id, read] as const] : [];
  });
  if (view.ctx.procedure || !from.procedure) return { fasteners };
  // Who checked it for that unit has not checked it for this one.
  const { checkedBy: _by, checkedOn: _on, ...typed } = from.procedure;
  const source = `as ${from.fleetNo} ${from.corner}: ${typed.source}`.slice(0, 200);
  return { fasteners, procedure: { ...typed, id: uuid(), source } };
}

/** A corner that is built alike lends its figures in one tap; each stays marked as taken over. */
export function SameAs() {
  const { view, send } = useJob();
  const family = familyCodeOf(view);
  const part = chosenPart(view)?.bearing;
  const { value: alike } = useFetched<AlikeCorner[]>(
    family && part ? '/api/corners/alike' : undefined,
    { family, outerMm: part?.outerMm, boreMm: part?.boreMm, unitId: view.ctx.unit.id },
  );
  const lends = (alike ?? []).flatMap((c) => {
    const figures = takenOver(view, c.record);
    return figures.length > 0 ? [{ ...c, figures, ...besides(view, c) }] : [];
  });
  if (lends.length === 0) return null;
  const take = async ({ fleetNo, corner, figures, fasteners, procedure }: Lends) => {
    const takenFrom = `${fleetNo} ${corner}`;
    for (const f of figures) if (!(await send('figure-read', { ...f, takenFrom }))) return;
    for (const [fastenerId, fastener] of fasteners)
      if (!(await send('fastener-read', { fastenerId, fastener, takenFrom }))) return;
    if (procedure) await send('procedure-entered', { procedure });
  };
  return (
    <section>
      <h2>Built like one on record?</h2>
      {lends.map((c) => (
        <button
          key={`${c.fleetNo} ${c.corner}`}
          type="button"
          className="btn quiet small w-full mt-2"
          onClick={() => void take(c)}
        >
          Same as {c.fleetNo} {c.corner}: {c.figures.length} figures
          {c.fasteners.length > 0 ? `, ${c.fasteners.length} fasteners` : ''}
          {c.procedure ? ', the nut’s procedure' : ''}
        </button>
      ))}
      <p className="cap mt-1">Taken over, not measured here: hold one of them against the metal.</p>
    </section>
  );
}
