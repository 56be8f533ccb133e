import { Square, Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import { type StrokeCall } from '../../core/press/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { faultsOf, type RamFault } from '../../core/standins/ram.ts';
import { VerdictShape, verdictWords } from '../../ui/Marks.tsx';
import { Choices } from '../../ui/Panels.tsx';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';
import type { GaugeHandle } from './useGauge.ts';

const faultWords: Record<RamFault, string> = {
  debris: 'Dirt under it',
  good: 'sound',
  cocked: 'cocked start',
  galling: 'galling',
  worn: 'worn seat',
  rusted: 'rusted fast',
};

/** Calls that have a word of their own. */
const ends: Partial<Record<StrokeCall, string>> = { seated: 'Seated', free: 'Free' };

/** What the stroke is, large enough to be read from the handle. */
export function GaugeCall({ gauge }: { gauge: GaugeHandle }) {
  const { live, noSignal } = gauge;
  if (!live) return null;
  const status = noSignal ? 'check' : live.status;
  return (
    <section className={`call ram-call is-${status}`} aria-live="assertive" role="status">
      <VerdictShape status={status} size={52} />
      <div>
        <b className={`word ${status}`}>
          {noSignal ? 'No signal' : (ends[live.call] ?? verdictWords[status])}
        </b>
        <div className="say">
          {noSignal
            ? `The gauge is silent since ${live.travelMm.toFixed(1)} mm. Hold; the trace is kept and goes on when it comes back.`
            : sentence(live)}
        </div>
      </div>
    </section>
  );
}

/** The stand-in hand pump: what it hides, pump and release. A real gauge comes in at the same place. */
export function GaugePanel({ gauge, fitting }: { gauge: GaugeHandle; fitting: boolean }) {
  const [fault, setFault] = useState<RamFault>('good');
  const [loose, setLoose] = useState(false);
  const note = standInNote[useStandIns()];
  return (
    <section className="ram-panel">
      {gauge.fault && (
        <p className="note" role="alert">
          {gauge.fault}
        </p>
      )}
      {gauge.running ? (
        <button type="button" className="btn release" onClick={gauge.release}>
          <Square aria-hidden="true" />
          Release
        </button>
      ) : (
        <>
          {gauge.live?.call === 'cocked' ? (
            <button type="button" className="btn quiet small w-full" onClick={gauge.square}>
              Backed off and squared
            </button>
          ) : (
            <button
              type="button"
              className="btn quiet small w-full"
              onClick={() => gauge.pump(loose ? `${fault}+drop-out` : fault)}
            >
              Pump, gauge on the tablet
            </button>
          )}
          <details className="stand-in">
            <summary>Stand-in ram</summary>
            {note && <p className="cap">{note}</p>}
            <Choices
              name="Made-up stroke"
              value={fault}
              onValue={setFault}
              options={faultsOf(fitting).map((id) => ({ id, label: faultWords[id] }))}
            />
            <div className="more">
              <label className="check">
                <input
                  type="checkbox"
                  checked={loose}
                  onChange={(e) => setLoose(e.target.checked)}
                />{' '}
                Gauge lead comes loose
              </label>
            </div>
          </details>
        </>
      )}
      <button
        type="button"
        className="link sound"
        aria-pressed={gauge.sound}
        onClick={() => gauge.setSound(!gauge.sound)}
      >
        {gauge.sound ? <Volume2 aria-hidden="true" /> : <VolumeX aria-hidden="true" />} Sound{' '}
        {gauge.sound ? 'on' : 'off'}
      </button>
    </section>
  );
}
