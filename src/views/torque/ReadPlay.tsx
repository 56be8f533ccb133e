import type { AdjustNow } from '../../core/job/index.ts';
import { InstrumentPicker } from '../../ui/Instrument.tsx';
import { AddOneBack } from '../../ui/AddOneBack.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';
import type { Adjusting } from './useAdjust.ts';

/** Push and pull, as often as wanted, and how the lock stands. */
export function ReadPlay({ now, at }: { now: AdjustNow; at: Adjusting }) {
  const { problem } = useJob();
  const standIns = useStandIns();
  return (
    <section className="grid gap-2">
      <div className="pair-in">
        <QuantityInput
          compact
          label="Pushed in"
          dimension="length"
          decimals={3}
          text={at.push.text}
          onText={at.push.set}
        />
        <QuantityInput
          compact
          label="Pulled out"
          dimension="length"
          decimals={3}
          text={at.pull.text}
          onText={at.pull.set}
          fault={faultOf(problem, 'readings')}
        />
      </div>
      <AddOneBack
        label="Add this time"
        ready={at.ready}
        some={at.pairs.length > 0}
        onAdd={at.take}
        onBack={at.back}
      />
      {standIns !== 'off' && (
        <button type="button" className="btn quiet" onClick={at.byStandIn}>
          Push and pull with the stand-in dial
        </button>
      )}
      {standInNote[standIns] && <p className="cap">{standInNote[standIns]}</p>}
      {at.read && (
        <ol className="play-times" aria-label="Pull less push">
          {at.read.eachMm.map((mm, i) => (
            <li key={i} className="num">
              {mm.toFixed(3)}
            </li>
          ))}
          <li className="num mean">mean {at.read.meanMm.toFixed(3)} mm</li>
        </ol>
      )}
      {!at.place && (
        <QuantityInput
          compact
          label="The lock stands past its last place by, 0 in it"
          dimension="angle"
          text={at.past.text}
          onText={at.past.set}
          fault={faultOf(problem, 'pastDeg')}
        />
      )}
      {at.marks.needed && (
        <QuantityInput
          compact
          label="Places of the lock round the nut, counted"
          dimension="count"
          text={at.marks.text}
          onText={at.marks.set}
          fault={faultOf(problem, 'marks')}
        />
      )}
      {now.pitchFault && <p className="note">{now.pitchFault}</p>}
      <InstrumentPicker instruments={at.instruments} id={at.instrumentId} onId={at.setPicked} />
    </section>
  );
}
