import type { ReactNode } from 'react';
import { schoolOption, schools } from '../../core/families/index.ts';
import { type AdjustNow, handOf, warmShiftOf, wayOf } from '../../core/job/index.ts';
import { type Hand, spreadVerdict, stageWindow, turnWords } from '../../core/torque/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { both } from '../../ui/units.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { AdjustFace } from './AdjustFace.tsx';
import { LockPlaces } from './LockPlaces.tsx';
import { PlayDial } from './PlayDial.tsx';
import { PlayLine } from './PlayLine.tsx';
import { ReadPlay } from './ReadPlay.tsx';
import { HandOfThread } from './StageCall.tsx';
import { Readings } from './StageRecord.tsx';
import { type Adjusting, useAdjust } from './useAdjust.ts';
import { useWarmth, WarmPlay } from './WarmPlay.tsx';
import './adjust.css';

/** Which place does the lock take? The nut, the dial, and what each place would leave. */
export function Adjust({ bar, now, onNut }: { bar: ReactNode; now: AdjustNow; onNut: () => void }) {
  const { view } = useJob();
  const at = useAdjust(now);
  const { hand } = handOf(view);
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
          <AdjustFace now={at.reading ? { ...now, adjusted: undefined } : now} hand={hand} />
          <div className="adjust-dial">
            <Figures now={now} at={at} playMm={playMm} hand={hand} />
            <PlayDial playMm={playMm} hand={at.hand === undefined ? undefined : at.hand % 1} />
          </div>
          <PlayLine now={now} warmMm={warmMm} />
        </div>
      }
      side={
        <>
          <HandOfThread />
          <AdjustCall now={now} at={at} />
          {at.reading && now.isNow ? (
            <ReadPlay now={now} at={at} />
          ) : (
            <LockPlaces now={now} hand={hand} />
          )}
          <WarmPlay warmth={warmth} shiftMm={warmMm} />
          <School />
          <ByDrag onNut={onNut} />
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
  hand,
}: {
  now: AdjustNow;
  at: Adjusting;
  playMm: number | undefined;
  hand: Hand;
}) {
  const to = at.reading ? undefined : now.turnTo;
  const play = playMm === undefined ? undefined : both(playMm, 'length', 3);
  return (
    <div className="adjust-figures">
      {to && (
        <p className="turn">
          <span>turn the nut</span>
          <b className="num">{Math.abs(to.turnDeg).toFixed(1)}°</b>
          <span>
            {turnWords(to.turnDeg < 0 ? 'loosen' : 'tighten', hand)}, to {to.name}
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
  if (now.edge)
    return (
      <Call status={now.edge.status}>
        <RuleLink said={now.edge} />
      </Call>
    );
  if (now.mayLock) return <Call status="good">Inside, and the lock stands in a place.</Call>;
  return <Call status="to-do">Turn to the blue place and read again.</Call>;
}

/** Where the procedure sets by drag too: its window, what was read, and the way to its stage. */
function ByDrag({ onNut }: { onNut: () => void }) {
  const { view } = useJob();
  const stage = view.ctx.procedure?.stages.find((s) => s.kind === 'drag');
  const window = stage && stageWindow(stage);
  if (!stage || !window) return null;
  const read = view.state.stages.findLast((s) => s.stageId === stage.id)?.actual;
  const nm = (value: number) => both(value, 'torque', 2);
  return (
    <section>
      <h2>Preload by drag</h2>
      <p className="note">
        <b className="num">
          {nm(window.low).value} to {nm(window.high).value} {nm(window.high).unit}
        </b>{' '}
        without the seal
        {read === undefined ? ', not read yet' : `; read: ${nm(read).value} ${nm(read).unit}`}. By
        scale and arm, the reading that starts the hub struck out.
      </p>
      <button type="button" className="link" onClick={onNut}>
        To its stage
      </button>
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
  const { last, turnTo } = now;
  return (
    <>
      {turnTo ? (
        <MainAction label={`At ${turnTo.name}, read again`} onAct={() => at.turnTo(turnTo)} />
      ) : (
        <MainAction
          label={`Keep ${last?.meanMm.toFixed(3) ?? ''} mm, lock it`}
          missing={now.mayLock ? undefined : 'No place is inside'}
          onAct={at.record}
        />
      )}
      <button type="button" className="btn quiet" onClick={at.again}>
        {now.adjusted?.safe ? 'Read again' : 'Washer changed, read again'}
      </button>
    </>
  );
}
