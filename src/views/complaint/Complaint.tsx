import { Play } from 'lucide-react';
import { cornerNames, type JobCorner } from '../../core/corner.ts';
import {
  clues,
  type Happening,
  happeningNames,
  happenings,
  type Complaint as Said,
  sounds,
} from '../../core/diagnosis/index.ts';
import { judgementOf } from '../../core/job/index.ts';
import { wholePercents } from '../../core/units/index.ts';
import { useKept } from '../../ui/kept.ts';
import { Call, Choices, MainAction, Toggles } from '../../ui/Panels.tsx';
import { JobSheet, type SheetProps, StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { CarAbove } from './CarAbove.tsx';
import { BendArrow, Thermometer, Wave } from './pictures.tsx';
import { playSound } from './playSound.ts';
import { SpeedBand } from './SpeedBand.tsx';
import './complaint.css';

export default function Complaint(props: SheetProps) {
  return (
    <JobSheet {...props} station="complaint">
      <Body />
    </JobSheet>
  );
}

const lampNames = { abs: 'ABS', brake: 'brake', none: 'none' } as const;

/** The driver's words, tapped; kept in the browser until recorded. */
function Body() {
  const { view, send } = useJob();
  const { job, state } = view;
  const key = `complaint:${job.id}`;
  const [kept, keep] = useKept('localStorage', key);
  const said: Said = kept
    ? (JSON.parse(kept) as Said)
    : (state.complaint ?? { corner: job.corner, lamps: [], history: [] });
  const change = (part: Partial<Said>) => keep(JSON.stringify({ ...said, ...part }));
  const record = async () => {
    if (!(await send('complaint-recorded', said))) return;
    keep(null);
    if (state.done.includes('complaint') || (await send('station-done', { station: 'complaint' })))
      location.assign(`/jobs/${job.id}/diagnose`);
  };
  return (
    <StationBody
      kicker={`Job ${job.number}`}
      title="What does the driver say?"
      picture={
        <div className="complaint-grid">
          <CarAbove corner={said.corner} onCorner={(corner: JobCorner) => change({ corner })} />
          <div className="asks">
            <SpeedBand
              starts={said.startsKmh}
              peaks={said.peaksKmh}
              gone={said.goneKmh}
              onChange={change}
            />
            <div className="two-asks">
              <div>
                <h2>
                  Bends: louder to the <span className="cap">right loads the left wheels</span>
                </h2>
                <Choices
                  name="Louder in which bend"
                  value={said.bend}
                  onValue={(bend) => change({ bend })}
                  options={(['left', 'same', 'right'] as const).map((id) => ({
                    id,
                    label: id,
                    picture: <BendArrow way={id} />,
                  }))}
                />
              </div>
              <div>
                <h2>When</h2>
                <Choices
                  name="Cold or after a drive"
                  value={said.heat}
                  onValue={(heat) => change({ heat })}
                  options={[
                    { id: 'cold', label: 'cold too', picture: <Thermometer level={0.15} /> },
                    { id: 'warm', label: 'after a drive', picture: <Thermometer level={0.7} /> },
                  ]}
                />
              </div>
            </div>
            <div>
              <h2>
                Sounds most like <span className="cap">tap to play and pick</span>
              </h2>
              <Choices
                name="Sound"
                value={said.sound}
                onValue={(sound) => {
                  change({ sound });
                  playSound(sound);
                }}
                options={sounds.map((id) => ({
                  id,
                  label: (
                    <span className="inline-flex items-center gap-1">
                      <Play size={13} fill="currentColor" aria-hidden="true" />
                      {id}
                    </span>
                  ),
                  picture: <Wave kind={id} />,
                }))}
              />
            </div>
            <div className="two-asks lamps">
              <div>
                <h2>Lamps</h2>
                <Toggles
                  name="Lamps"
                  values={said.lamps}
                  onValues={(v) =>
                    change({
                      lamps:
                        v.includes('none') && !said.lamps.includes('none')
                          ? ['none']
                          : v.filter((l) => l !== 'none' || v.length === 1),
                    })
                  }
                  options={(['abs', 'brake', 'none'] as const).map((id) => ({
                    id,
                    label: lampNames[id],
                  }))}
                />
              </div>
              <div>
                <h2>Done or happened before</h2>
                <Toggles<Happening>
                  name="Done or happened before"
                  values={said.history}
                  onValues={(history) => change({ history })}
                  options={happenings.map((id) => ({ id, label: happeningNames[id] }))}
                />
              </div>
            </div>
          </div>
        </div>
      }
      side={<Likely said={said} />}
      actions={
        <MainAction
          label="To the tests"
          missing={said.sound ? undefined : 'Which sound is it most like?'}
          onAct={record}
        />
      }
    />
  );
}

/** What the talk alone makes likely. */
function Likely({ said }: { said: Said }) {
  const { view } = useJob();
  const j = judgementOf({ ...view, state: { ...view.state, complaint: said, results: [] } });
  const top = j.suspects.slice(0, 5);
  const rest = 1 - top.reduce((a, s) => a + s.probability, 0);
  const shown = wholePercents([...top.map((s) => s.probability), rest]);
  const heard = clues(said);
  const [first, second] = top;
  return (
    <>
      <Call status={heard.length === 0 ? 'to-do' : 'check'}>
        {heard.length === 0 ? (
          'Nothing said yet. Tap what the driver tells you.'
        ) : (
          <>
            {first!.name} or {second!.name.toLowerCase()}. Talk alone cannot part them.
          </>
        )}
      </Call>
      <section>
        <h2>Likely before any test</h2>
        {[...top.map((s) => s.name), 'Other'].map((name, i) => (
          <div key={name} className="likely">
            <span>{name}</span>
            <b className="num">
              {shown[i]} <small>%</small>
            </b>
            <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
              <path className="base" d="M0 9.500H100" vectorEffect="non-scaling-stroke" />
              <rect
                className={i === 0 ? 'first' : ''}
                x="0"
                y="1"
                width={Math.max(0.5, shown[i]!)}
                height="8.500"
                vectorEffect="non-scaling-stroke"
              />
            </svg>
          </div>
        ))}
      </section>
      <section>
        <h2>What was said</h2>
        {heard.length === 0 && (
          <p className="note">
            {said.corner === 'unknown' ? 'No corner named.' : cornerNames[said.corner]}
          </p>
        )}
        <table className="rows">
          <tbody>
            {heard.map((c) => (
              <tr key={c.label}>
                <td>{c.label}</td>
                <td className="figure">→ {c.points}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <div className="grow" />
    </>
  );
}
