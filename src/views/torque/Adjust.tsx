import { type ReactNode, useState } from 'react';
import { schoolOption, schools } from '../../core/families/index.ts';
import { type AdjustNow, type Warmth, warmShiftOf, wayOf } from '../../core/job/index.ts';
import { spreadVerdict } from '../../core/torque/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { InstrumentPicker } from '../../ui/Instrument.tsx';
import { VerdictWord } from '../../ui/Marks.tsx';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { both } from '../../ui/units.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';
import { AdjustFace } from './AdjustFace.tsx';
import { PlayDial } from './PlayDial.tsx';
import { PlayLine } from './PlayLine.tsx';
import { Readings } from './StageRecord.tsx';
import { type Adjusting, useAdjust } from './useAdjust.ts';
import './adjust.css';

/** Which place does the lock take? The nut, the dial, and what each place would leave. */
export function Adjust({ bar, now, onNut }: { bar: ReactNode; now: AdjustNow; onNut: () => void }) {
  const { view } = useJob();
  const at = useAdjust(now);
  const warmth = useWarmth();
  const warmMm = warmth.read && warmShiftOf(view, warmth.read);
  const playMm = at.reading ? at.read?.meanMm : now.last?.meanMm;
  return (
    <StationBody
      kicker={`${view.ctx.procedure?.fastener ?? 'Nut'}: ${now.stage.text.toLowerCase()}`}
      title={titleOf(now, at)}
      tabs={bar}
      picture={
        <div className="adjust">
          <AdjustFace now={at.reading ? { ...now, adjusted: undefined } : now} />
          <div className="adjust-dial">
            <Figures now={now} at={at} playMm={playMm} />
            <PlayDial playMm={playMm} hand={at.hand === undefined ? undefined : at.hand % 1} />
          </div>
          <PlayLine now={now} warmMm={warmMm} />
        </div>
      }
      side={
        <>
          <AdjustCall now={now} at={at} />
          {at.reading && now.isNow ? <ReadPlay now={now} at={at} /> : <Places now={now} />}
          <Warm warmth={warmth} shiftMm={warmMm} />
          <School />
          {view.ctx.procedure && <Readings procedure={view.ctx.procedure} />}
          <div className="grow" />
        </>
      }
      actions={<AdjustActions now={now} at={at} onNut={onNut} />}
    />
  );
}

function titleOf(now: AdjustNow, at: Adjusting): string {
  if (now.isDone) return 'Set and read';
  return at.reading ? 'How much end play?' : 'Which place does the lock take?';
}

/** The turn to make, large, and the end play as it stands in both units. */
function Figures({
  now,
  at,
  playMm,
}: {
  now: AdjustNow;
  at: Adjusting;
  playMm: number | undefined;
}) {
  const safe = at.reading ? undefined : now.adjusted?.safe;
  const play = playMm === undefined ? undefined : both(playMm, 'length', 3);
  const turn = safe && Math.abs(safe.turnDeg) > 0.5 ? safe.turnDeg : undefined;
  return (
    <div className="adjust-figures">
      {turn !== undefined && safe && (
        <p className="turn">
          <span>turn the nut</span>
          <b className="num">{Math.abs(turn).toFixed(1)}°</b>
          <span>
            {turn < 0 ? 'loosen' : 'tighten'}, to {safe.name}
          </span>
        </p>
      )}
      <p>
        <span>end play {at.place ? `at ${at.place}` : 'now'}, cold</span>
        <b className="num">{play ? play.value : '–'}</b>
        <span>{play ? `mm / ${play.other}` : 'not read yet'}</span>
      </p>
    </div>
  );
}

function AdjustCall({ now, at }: { now: AdjustNow; at: Adjusting }) {
  if (now.isDone) return <Call status="good">Read in its window, with the lock in its place.</Call>;
  if (!now.isNow)
    return <Call status="to-do">First the torque and the turns of the nut: then the dial.</Call>;
  const spread = at.reading && at.read ? spreadVerdict(at.read) : undefined;
  if (spread)
    return (
      <Call status={spread.status}>
        <RuleLink said={spread} />
      </Call>
    );
  if (at.place)
    return <Call status="to-do">Nut turned to {at.place}? Push and pull again there.</Call>;
  if (at.reading)
    return (
      <Call status="to-do">
        Base on the hub, tip on the end of the spindle. Push and pull while turning; rock is not
        counted.
      </Call>
    );
  if (now.pitchFault) return <Call status="check">{now.pitchFault}</Call>;
  const none = now.adjusted?.none;
  if (none)
    return (
      <Call status={none.status}>
        <RuleLink said={none} />
      </Call>
    );
  if (at.inMark && now.last && inside(now, now.last.meanMm))
    return <Call status="good">Inside, and the lock stands in a place.</Call>;
  return <Call status="to-do">Turn to the blue place and read again.</Call>;
}

const inside = ({ window }: AdjustNow, mm: number) =>
  mm >= window.lowMm - 1e-9 && mm <= window.highMm + 1e-9;

/** What each place leaves, with its call. */
function Places({ now }: { now: AdjustNow }) {
  const { adjusted } = now;
  if (!adjusted) return null;
  return (
    <ol className="adjust-places">
      {adjusted.places.map((p) => {
        const b = both(p.playMm, 'length', 3);
        const taken = p.name === adjusted.safe?.name;
        return (
          <li key={p.name} className={taken ? 'now' : ''}>
            <b className="num">{p.name}</b>
            <p>
              <b className="num">{b.value} mm</b> <span className="num">{b.other}</span>
              <span>
                {p.turnDeg < 0 ? 'loosen' : 'tighten'} {Math.abs(p.turnDeg).toFixed(1)}°.{' '}
                <RuleLink said={p.verdict} />
              </span>
            </p>
            <VerdictWord status={p.verdict.status} size={22} />
          </li>
        );
      })}
    </ol>
  );
}

/** Push and pull, as often as wanted, and how the lock stands. */
function ReadPlay({ now, at }: { now: AdjustNow; at: Adjusting }) {
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
      <div className="pair-in">
        <button
          type="button"
          className="btn quiet small"
          aria-disabled={!at.ready}
          onClick={at.take}
        >
          Add this time
        </button>
        {at.pairs.length > 0 && (
          <button type="button" className="btn quiet small" onClick={at.back}>
            One back
          </button>
        )}
      </div>
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

function useWarmth() {
  const { job } = useJob().view;
  const [hub, setHub] = useDraft(`${job.id}:warm:hub`);
  const [spindle, setSpindle] = useDraft(`${job.id}:warm:spindle`);
  const [apart, setApart] = useDraft(`${job.id}:warm:apart`);
  const [h, s, l] = [
    parseQuantity(hub, 'rise'),
    parseQuantity(spindle, 'rise'),
    parseQuantity(apart, 'length'),
  ];
  const read: Warmth | undefined =
    h.ok && s.ok && l.ok ? { hubK: h.value, spindleK: s.value, apartMm: l.value } : undefined;
  return { hub, setHub, spindle, setSpindle, apart, setApart, read };
}

/** What becomes of the end play when the hub runs warm. */
function Warm({
  warmth: w,
  shiftMm,
}: {
  warmth: ReturnType<typeof useWarmth>;
  shiftMm: number | undefined;
}) {
  const [open, setOpen] = useState(false);
  return (
    <section>
      <details className="more" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary>And when it runs warm?</summary>
        <div className="grid gap-2">
          <QuantityInput
            compact
            label="Hub warmer by"
            dimension="rise"
            text={w.hub}
            onText={w.setHub}
          />
          <QuantityInput
            compact
            label="Spindle warmer by"
            dimension="rise"
            text={w.spindle}
            onText={w.setSpindle}
          />
          <QuantityInput
            compact
            label="Rows apart"
            dimension="length"
            text={w.apart}
            onText={w.setApart}
          />
          {w.read && shiftMm === undefined && (
            <p className="note">Part or hub do not say what they are made like.</p>
          )}
          <p className="cap">
            Small ends facing each other, as in most hubs. An upper bound: the steel cup follows the
            hub less.
          </p>
        </div>
      </details>
    </section>
  );
}

/** Play or tight, as this job goes, and what it asks for. */
function School() {
  const { view } = useJob();
  const way = schoolOption('adjust', wayOf(view, 'adjust'));
  return (
    <section>
      <h2>{schools.adjust.ask}</h2>
      <p className="note">
        <b>{way?.name}</b>. {way?.why} <a href={`/jobs/${view.job.id}/plan`}>Chosen at Plan.</a>
      </p>
    </section>
  );
}

function AdjustActions({ now, at, onNut }: { now: AdjustNow; at: Adjusting; onNut: () => void }) {
  if (now.isDone) return <MainAction label="Lock the nut" onAct={onNut} />;
  if (!now.isNow) return <MainAction label="To the nut" onAct={onNut} />;
  if (at.reading)
    return (
      <>
        <MainAction
          label={at.read ? `Keep ${at.read.meanMm.toFixed(3)} mm` : 'Keep the end play'}
          missing={firstThat(
            [at.pairs.length === 0, 'Push and pull first'],
            [at.pastDeg === undefined, 'Say how the lock stands'],
            [at.marks.needed && !at.marks.ok, 'Count the places of the lock'],
          )}
          onAct={at.keep}
        />
        {at.place && (
          <button type="button" className="btn quiet" onClick={at.notTurned}>
            Not turned
          </button>
        )}
      </>
    );
  const { last, adjusted } = now;
  const stands = at.inMark && last !== undefined && inside(now, last.meanMm);
  const safe = adjusted?.safe;
  const there = safe && Math.abs(safe.turnDeg) <= 0.5;
  return (
    <>
      {safe && !there && !stands ? (
        <MainAction label={`At ${safe.name}, read again`} onAct={() => at.turnTo(safe)} />
      ) : (
        <MainAction
          label={`Keep ${last?.meanMm.toFixed(3) ?? ''} mm, lock it`}
          missing={stands ? undefined : 'No place is inside'}
          onAct={at.record}
        />
      )}
      <button type="button" className="btn quiet" onClick={at.again}>
        {safe ? 'Read again' : 'Washer changed, read again'}
      </button>
    </>
  );
}
