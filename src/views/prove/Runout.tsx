import { type ReactNode, useState } from 'react';
import { checksFor, cornerRecord, runoutOf } from '../../core/job/index.ts';
import { judgeRunout } from '../../core/prove/index.ts';
import { worst } from '../../core/verdict.ts';
import { fixed } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { InstrumentPicker } from '../../ui/Instrument.tsx';
import { Call, Choices, Frame, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { asTyped, both, readTyped } from '../../ui/units.ts';
import { useDraft, useDraftList } from '../../ui/useDraft.ts';
import { useIndicator } from '../match/useIndicator.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';
import { RunoutFace } from './RunoutFace.tsx';

type Face = 'hub' | 'disc';
const faceNames: Record<Face, string> = { hub: 'Flange of the hub', disc: 'Disc on the hub' };
const counts = ['6', '8', '12'] as const;

/** Is it hub, disc or rust, and does turning the disc help? */
export function Runout({ bar }: { bar: ReactNode }) {
  const { view, send, problem } = useJob();
  const { job, state } = view;
  const runout = runoutOf(view);
  const [face, setFace] = useState<Face>(runout.hub ? 'disc' : 'hub');
  const turned = state.runout.disc?.turned ?? 0;
  const [again, setAgain] = useState<{ face: Face; turned: number }>();
  const reading = !runout[face] || again?.face === face;
  const holes = again?.face === 'disc' ? again.turned : turned;
  const draft = `${job.id}:runout:${face}:${holes}`;
  const [count, setCount] = useDraft(`${draft}:count`);
  const [read, setRead, clear] = useDraftList(`${draft}:list`);
  const [text, setText] = useDraft(`${draft}:text`);
  const [radius, setRadius] = useDraft(`${job.id}:runout:${face}:radius`);
  const instruments = view.ctx.instruments.filter((i) => !i.retired);
  const [picked, setPicked] = useState<string>();
  const instrumentId = picked ?? instruments[0]?.id ?? '';
  const [simulated, setSimulated] = useState(false);
  const standIns = useStandIns();
  const indicator = useIndicator();
  const n = Number(count) || 8;
  const places = Array.from({ length: n }, (_, i) => ({ deg: (i * 360) / n, mm: read[i] }));
  const now = read.length < n ? read.length : undefined;
  const parsed = readTyped(text, 'length');
  const r = readTyped(radius, 'length');
  const studs = cornerRecord(view)?.hub?.studs ?? 0;
  const take = (mm: number) => {
    setRead([...read, Number(mm.toFixed(4))]);
    setText('');
  };
  const keep = async () => {
    if (!r.ok) return;
    const readings = places.map(({ deg, mm = 0 }): [number, number] => [deg, mm]);
    const body = { face, radiusMm: r.value, readings, instrumentId };
    const more = {
      ...(face === 'disc' ? { turned: holes } : {}),
      ...(simulated ? { standIn: true } : {}),
    };
    if (!(await send('runout-read', { ...body, ...more }))) return;
    clear();
    setAgain(undefined);
    setSimulated(false);
    if (face === 'hub') setFace('disc');
  };
  const at = now === undefined ? undefined : places[now];
  return (
    <StationBody
      kicker={faceNames[face]}
      title="Hub, disc or rust?"
      tabs={bar}
      picture={
        <RunoutFace
          face={face}
          open={reading ? { places, now } : undefined}
          runout={runout}
          studs={studs}
        />
      }
      side={
        <>
          {reading ? (
            <Call status="to-do">
              {at
                ? `Turn the hub clockwise to ${at.deg.toFixed(0)}° and read. The indicator stays where it is.`
                : 'All round. Keep it.'}
            </Call>
          ) : (
            <RunoutCall face={face} />
          )}
          <Choices
            name="Face"
            value={face}
            onValue={(f: Face) => setFace(f)}
            options={[
              { id: 'hub', label: 'Hub' },
              { id: 'disc', label: 'Disc' },
            ]}
          />
          {reading && (
            <section className="grid gap-2">
              {at && (
                <>
                  <QuantityInput
                    label={`Indicator at ${at.deg.toFixed(0)}°`}
                    dimension="length"
                    decimals={3}
                    text={indicator.now === undefined ? text : asTyped(indicator.now, 'length', 3)}
                    onText={setText}
                    fault={faultOf(problem, 'readings', 'face')}
                  />
                  <ThumbPad text={text} onText={setText} />
                  {standIns !== 'off' && (
                    <button
                      type="button"
                      className="btn quiet"
                      onClick={() => {
                        setSimulated(true);
                        indicator.readAt(
                          `/api/jobs/${job.id}/runout/${face}/${at.deg}/${holes}`,
                          take,
                        );
                      }}
                    >
                      Read with the stand-in indicator
                    </button>
                  )}
                  {standInNote[standIns] && <p className="cap">{standInNote[standIns]}</p>}
                </>
              )}
              <QuantityInput
                compact
                label="The indicator stands at a radius of"
                dimension="length"
                text={radius}
                onText={setRadius}
                fault={faultOf(problem, 'radiusMm')}
              />
              {read.length === 0 && (
                <Choices
                  name="Places round the circle"
                  value={String(n) as (typeof counts)[number]}
                  onValue={setCount}
                  options={counts.map((id) => ({ id, label: `${id} places` }))}
                />
              )}
              {read.length > 0 && (
                <button
                  type="button"
                  className="btn quiet small"
                  onClick={() => setRead(read.slice(0, -1))}
                >
                  One back
                </button>
              )}
              <InstrumentPicker instruments={instruments} id={instrumentId} onId={setPicked} />
            </section>
          )}
          {!reading && <Shares face={face} />}
          <div className="grow" />
        </>
      }
      actions={
        reading ? (
          <MainAction
            label={
              at
                ? `Keep the reading at ${at.deg.toFixed(0)}°`
                : `Keep ${faceNames[face].toLowerCase()}`
            }
            missing={firstThat(
              [at && !parsed.ok, 'Read the indicator'],
              [!at && !r.ok, 'Type the radius of the indicator'],
            )}
            onAct={() => (at ? parsed.ok && take(parsed.value) : keep())}
          />
        ) : (
          <Then face={face} onAgain={(f, t) => setAgain({ face: f, turned: t })} onFace={setFace} />
        )
      }
    />
  );
}

const way = (holes: number) => `${holes} ${holes === 1 ? 'hole' : 'holes'} clockwise`;

/** What the readings say: turn the disc, or leave it. */
function RunoutCall({ face }: { face: Face }) {
  const { view } = useJob();
  const { hub, disc, best, places } = runoutOf(view);
  const limit = checksFor(view).find((c) => c.id === 'runout')?.numeric;
  const f = (face === 'hub' ? hub : disc)?.fit;
  if (!f) return null;
  if (face === 'disc' && best && places && best.holes > 0)
    return (
      <Call status="to-do">
        Turn the disc {way(best.holes)}: {places[0]!.tiltMm.toFixed(2)} → {best.tiltMm.toFixed(2)}{' '}
        mm.
      </Call>
    );
  const verdicts = judgeRunout(f, limit?.max, limit?.limitSource ?? '');
  return (
    <Call status={worst(verdicts)}>
      {verdicts.map((v) => (
        <span key={v.rule} className="block">
          <RuleLink said={v} />
        </span>
      ))}
    </Call>
  );
}

/** What of it is hub, disc and rust. */
function Shares({ face }: { face: Face }) {
  const { view } = useJob();
  const { hub, disc, own, places, best } = runoutOf(view);
  const f = (face === 'hub' ? hub : disc)?.fit;
  if (!f) return null;
  const atDisc = hub && disc ? (hub.fit.tiltMm * disc.radiusMm) / hub.radiusMm : undefined;
  return (
    <>
      <section>
        <h2>What it is made of</h2>
        <Frame
          name="tilt"
          value={`${f.tiltMm.toFixed(3)} mm`}
          limit={`high after ${f.tilt.highAtDeg.toFixed(0)}°`}
        />
        <Frame
          name="rust or dirt"
          value={`${f.restMm.toFixed(3)} mm`}
          limit={`most at ${f.worst.deg.toFixed(0)}°`}
        />
        {face === 'disc' && atDisc !== undefined && own && (
          <>
            <Frame
              name="hub, at this radius"
              value={`${atDisc.toFixed(3)} mm`}
              limit={`× ${fixed(disc!.radiusMm / hub!.radiusMm, 2)}`}
            />
            <Frame
              name="the disc’s own"
              value={`${(2 * own.amplitudeMm).toFixed(3)} mm`}
              limit="turns with it"
            />
          </>
        )}
      </section>
      {face === 'disc' && places && (
        <section>
          <h2>On each stud</h2>
          <ol className="places">
            {places.map((p) => (
              <li key={p.holes} className={p.holes === best?.holes ? 'now' : ''}>
                <span>{p.holes === 0 ? 'as it stands' : way(p.holes)}</span>
                <span
                  className="bar"
                  style={{
                    width: `${Math.min(100, (p.tiltMm / Math.max(...places.map((x) => x.tiltMm))) * 100)}%`,
                  }}
                />
                <b className="num">{both(p.tiltMm, 'length', 3).value} mm</b>
              </li>
            ))}
          </ol>
        </section>
      )}
    </>
  );
}

/** What comes after a face is read. */
function Then({
  face,
  onAgain,
  onFace,
}: {
  face: Face;
  onAgain: (face: Face, turned: number) => void;
  onFace: (face: Face) => void;
}) {
  const { view, send } = useJob();
  const { hub, disc, best } = runoutOf(view);
  const studs = cornerRecord(view)?.hub?.studs ?? 1;
  const turnedNow = disc?.turned ?? 0;
  const next = best && best.holes > 0 ? (turnedNow + best.holes) % studs : turnedNow;
  const total = (face === 'hub' ? hub : (disc ?? hub))?.fit.totalMm ?? 0;
  const check = () =>
    send('check-recorded', {
      checkId: 'runout',
      value: Number(total.toFixed(3)),
      typed: `${total.toFixed(3)} mm`,
    });
  if (face === 'hub')
    return (
      <>
        <MainAction label="Disc on, read it" onAct={() => onFace('disc')} />
        <button type="button" className="btn quiet" onClick={check}>
          No disc: this is the check
        </button>
        <button type="button" className="btn quiet" onClick={() => onAgain('hub', 0)}>
          Read again
        </button>
      </>
    );
  return (
    <>
      {best && best.holes > 0 ? (
        <MainAction label={`Turned, read again`} onAct={() => onAgain('disc', next)} />
      ) : (
        <MainAction label={`Take ${total.toFixed(3)} mm as the check`} onAct={check} />
      )}
      {best && best.holes > 0 ? (
        <button type="button" className="btn quiet" onClick={check}>
          Leave it so
        </button>
      ) : (
        <button type="button" className="btn quiet" onClick={() => onAgain('disc', turnedNow)}>
          Read again
        </button>
      )}
    </>
  );
}
