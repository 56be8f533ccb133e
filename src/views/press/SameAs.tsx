import type { AlikeCorner } from '../../core/corner-record.ts';
import { chosenPart, familyCodeOf, takenOver } from '../../core/job/index.ts';
import { useFetched } from '../shell/useFetched.ts';
import { useJob } from '../shell/useJob.ts';

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
    return figures.length > 0 ? [{ ...c, figures }] : [];
  });
  if (lends.length === 0) return null;
  const take = async (takenFrom: string, figures: ReturnType<typeof takenOver>) => {
    for (const f of figures) if (!(await send('figure-read', { ...f, takenFrom }))) return;
  };
  return (
    <section>
      <h2>Built like one on record?</h2>
      {lends.map((c) => (
        <button
          key={`${c.fleetNo} ${c.corner}`}
          type="button"
          className="btn quiet small w-full mt-2"
          onClick={() => void take(`${c.fleetNo} ${c.corner}`, c.figures)}
        >
          Same as {c.fleetNo} {c.corner}: {c.figures.length} figures
        </button>
      ))}
      <p className="cap mt-1">Taken over, not measured here: hold one of them against the metal.</p>
    </section>
  );
}
