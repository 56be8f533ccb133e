import { v7 as uuid } from 'uuid';
import type { AlikeCorner } from '../../core/corner-record.ts';
import { chosenPart, familyCodeOf, type Lent, lentBy } from '../../core/job/index.ts';
import { useFetched } from '../shell/useFetched.ts';
import { useJob } from '../shell/useJob.ts';

/** A corner that is built alike lends what is unknown here in one tap; each stays marked as taken over. */
export function SameAs() {
  const { view, send } = useJob();
  const family = familyCodeOf(view);
  const part = chosenPart(view)?.bearing;
  const { value: alike } = useFetched<AlikeCorner[]>(
    family && part ? '/api/corners/alike' : undefined,
    { family, outerMm: part?.outerMm, boreMm: part?.boreMm, unitId: view.ctx.unit.id },
  );
  const lends = (alike ?? []).map((c) => lentBy(view, c)).filter((l) => l.figures.length > 0);
  if (lends.length === 0) return null;
  const take = async ({ from: takenFrom, figures, fasteners, procedure }: Lent) => {
    for (const f of figures) if (!(await send('figure-read', { ...f, takenFrom }))) return;
    for (const [fastenerId, fastener] of fasteners)
      if (!(await send('fastener-read', { fastenerId, fastener, takenFrom }))) return;
    if (procedure) await send('procedure-entered', { procedure: { ...procedure, id: uuid() } });
  };
  return (
    <section>
      <h2>Built like one on record?</h2>
      {lends.map((l) => (
        <button
          key={l.from}
          type="button"
          className="btn quiet small w-full mt-2"
          onClick={() => void take(l)}
        >
          Same as {l.from}: {l.figures.length} figures
          {l.fasteners.length > 0 ? `, ${l.fasteners.length} fasteners` : ''}
          {l.procedure ? ', the nut’s procedure' : ''}
        </button>
      ))}
      <p className="cap mt-1">Taken over, not measured here: hold one of them against the metal.</p>
    </section>
  );
}
