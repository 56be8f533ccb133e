import { fixed } from '../../core/units/index.ts';
import { both, readTyped } from '../../ui/units.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';

/** What is still owed after the job: the recheck, with the distance it was done at. */
export function Recheck({ dueKm }: { dueKm: number }) {
  const { view, send } = useJob();
  const { signed, recheckedKm } = view.state;
  const [km, setKm, clear] = useDraft(`${view.job.id}:recheck`);
  const parsed = readTyped(km, 'distance');
  const fault =
    parsed.ok && signed && parsed.value < signed.odometerKm
      ? `Signed at ${fixed(signed.odometerKm)} km: less cannot be.`
      : undefined;
  if (recheckedKm !== undefined)
    return (
      <section>
        <h2>Recheck</h2>
        <p className="verdict-line good">
          <VerdictShape status="good" size={22} />
          done at {fixed(recheckedKm)} km
        </p>
      </section>
    );
  return (
    <section>
      <h2>Still owed</h2>
      <p className="note">
        Recheck after {dueKm} km / {both(dueKm, 'distance').other}: paint mark of the nut, wheel
        nuts by wrench.
      </p>
      <form
        className="grid gap-2"
        onSubmit={async (e) => {
          e.preventDefault();
          if (
            parsed.ok &&
            !fault &&
            (await send('recheck-done', { odometerKm: Math.round(parsed.value) }))
          )
            clear();
        }}
      >
        <QuantityInput
          compact
          label="Distance on the clock now"
          dimension="distance"
          text={km}
          onText={setKm}
          fault={fault}
        />
        <button type="submit" className="btn quiet small">
          Recheck done
        </button>
      </form>
    </section>
  );
}
