import { Square } from 'lucide-react';
import { useState } from 'react';
import { type StandInSetting, standInSettings } from '../../core/standins/wrench-settings.ts';
import type { AfterPull, Stage } from '../../core/torque/index.ts';
import { both } from '../../ui/units.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';
import { PullCurve } from './PullCurve.tsx';
import type { WrenchHandle } from './useWrench.ts';

const settingWords: Record<StandInSetting, string> = {
  good: 'sound, one pull',
  ratchet: 'in several pulls',
  short: 'stops short',
  'too-far': 'goes too far',
  slips: 'socket slips',
  'cross-threaded': 'crossed thread',
  yields: 'shank gives',
  silent: 'falls silent',
};

const pullWords: Partial<Record<AfterPull, string>> = { pull: 'Pull', 'pull-on': 'Pull on' };

/** The wrench that reads torque and angle: take it up, put it down, and what it drew. A real one comes in at the same place. */
export function WrenchPanel({ wrench, stage }: { wrench: WrenchHandle; stage: Stage }) {
  const [setting, setSetting] = useState<StandInSetting>('good');
  const note = standInNote[useStandIns()];
  const pullWord = pullWords[wrench.next];
  const pull = () => {
    wrench.pull(setting);
    // On a phone the figure that is read while pulling stands above this.
    document.querySelector('.nut-face')?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <section className="wrench-panel">
      <h2>Torque over angle</h2>
      <PullCurve curve={wrench.curve} stage={stage} snugNm={wrench.snugNm} />
      {wrench.fault && (
        <p className="verdict-line check" role="alert">
          <VerdictShape status="check" size={20} />
          <span>{wrench.fault}</span>
        </p>
      )}
      {wrench.running && (
        <button type="button" className="btn release" onClick={wrench.putDown}>
          <Square aria-hidden="true" />
          Put down
        </button>
      )}
      {!wrench.running && pullWord && (
        <div className="pair-in">
          <button type="button" className="btn quiet" onClick={pull}>
            {pullWord}
          </button>
          <label className="field compact">
            <span>Stand-in wrench</span>
            <select
              className="pick"
              value={setting}
              onChange={(e) => setSetting(e.target.value as StandInSetting)}
            >
              {standInSettings.map((id) => (
                <option key={id} value={id}>
                  {settingWords[id]}
                </option>
              ))}
            </select>
          </label>
        </div>
      )}
      {note && <p className="cap">{note}</p>}
    </section>
  );
}

/** What the wrench shows now beside the giant figure. */
export function WrenchNow({ wrench }: { wrench: WrenchHandle }) {
  const { followed } = wrench;
  if (!followed) return null;
  const [now, peak] = [both(followed.torqueNm, 'torque'), both(followed.peakNm, 'torque')];
  return (
    <div className="wrench-now" aria-live="off">
      <p>
        <span className="cap">torque now</span>
        <b className="num">
          {now.value} <small>{now.unit}</small>
        </b>
        <span className="cap">{now.other}</span>
      </p>
      <p>
        <span className="cap">highest</span>
        <b className="num">
          {peak.value} <small>{peak.unit}</small>
        </b>
        <span className="cap">{peak.other}</span>
      </p>
      <p>
        <span className="cap">pulls</span>
        <b className="num">{followed.pulls}</b>
      </p>
    </div>
  );
}
