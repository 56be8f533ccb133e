import { sentence } from '../../core/rules/index.ts';
import { useState } from 'react';
import { Square, Volume2, VolumeX } from 'lucide-react';
import { faultsOf, type RamFault } from '../../core/standins/ram.ts';
import { Choices } from '../../ui/Panels.tsx';
import { verdictWords, VerdictShape } from '../../ui/Marks.tsx';
import type { Ram } from './useRam.ts';

const faultWords: Record<RamFault, string> = {
  good: 'sound',
  cocked: 'cocked start',
  galling: 'galling',
  worn: 'worn seat',
  rusted: 'rusted fast',
};

/** What the stroke is, large enough to be read from the handle. */
export function RamCall({ ram }: { ram: Ram }) {
  const { live, noSignal } = ram;
  if (!live) return null;
  const status = noSignal ? 'check' : live.status;
  return (
    <section className={`call ram-call is-${status}`} aria-live="assertive" role="status">
      <VerdictShape status={status} size={52} />
      <div>
        <b className={`word ${status}`}>
          {noSignal
            ? 'No signal'
            : live.call === 'seated'
              ? 'Seated'
              : live.call === 'free'
                ? 'Free'
                : verdictWords[status]}
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
export function RamPanel({ ram, fitting }: { ram: Ram; fitting: boolean }) {
  const [fault, setFault] = useState<RamFault>('good');
  const [loose, setLoose] = useState(false);
  return (
    <section className="ram-panel">
      {ram.fault && (
        <p className="note" role="alert">
          {ram.fault}
        </p>
      )}
      {ram.running ? (
        <button type="button" className="btn release" onClick={ram.release}>
          <Square aria-hidden="true" />
          Release
        </button>
      ) : (
        <>
          {ram.live?.call === 'cocked' ? (
            <button type="button" className="btn q small w-full" onClick={ram.square}>
              Backed off and squared
            </button>
          ) : (
            <button
              type="button"
              className="btn q small w-full"
              onClick={() => ram.pump(loose ? `${fault}+drop-out` : fault)}
            >
              Pump, gauge on the tablet
            </button>
          )}
          <details className="stand-in">
            <summary>Stand-in ram</summary>
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
        aria-pressed={ram.sound}
        onClick={() => ram.setSound(!ram.sound)}
      >
        {ram.sound ? <Volume2 aria-hidden="true" /> : <VolumeX aria-hidden="true" />} Sound{' '}
        {ram.sound ? 'on' : 'off'}
      </button>
    </section>
  );
}
