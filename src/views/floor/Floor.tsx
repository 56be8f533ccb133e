import { ArrowRight, Plus } from 'lucide-react';
import { memo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import {
  type FloorAtFirst,
  floorCounts,
  type FloorRow,
  type FloorView,
  isWaiting,
  openOn,
  stationNames,
  stations,
  timerNow,
} from '../../core/job/index.ts';
import { causeWords, type FleetService } from '../../core/service/index.ts';
import { dayTime, isoDay, timeLeft } from '../../core/units/index.ts';
import { both } from '../../ui/units.ts';
import { BearingMark, CornerGlyph, VerdictShape, VerdictWord } from '../../ui/Marks.tsx';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { TitleBlock, WhoPick } from '../../ui/TitleBlock.tsx';
import { Keys } from '../shell/Keys.tsx';
import { ShiftPin } from '../shell/ShiftPin.tsx';
import { useFetched } from '../shell/useFetched.ts';
import { call } from '../shell/useJob.ts';
import { useRings } from '../shell/useRings.ts';
import { useServerClock } from '../shell/useTick.ts';
import { StartJob } from './StartJob.tsx';
import './floor.css';

const countWords = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
];

const pages = [
  { href: '/shop', name: 'Shop' },
  { href: '/logbook', name: 'Logbook' },
  { href: '/practice', name: 'Practice' },
  { href: '/library', name: 'Library' },
  { href: '/archive', name: 'Archive' },
  { href: '/verify', name: 'Verify' },
  { href: '/scratch', name: 'Scratch' },
  { href: '/parts', name: 'Parts' },
  { href: '/kit', name: 'Kit' },
];

/** What needs me now: one row a job. */
export default function Floor({ first, who: firstWho }: { first: FloorAtFirst; who: string }) {
  const [who, setWho] = useState(firstWho);
  const [starting, setStarting] = useState(false);
  const { value: whole, failed } = useFetched<FloorView>(first.more ? '/api/floor' : undefined);
  const view = whole ?? first.view;
  const counts = whole ? floorCounts(whole.rows) : first.counts;
  const recheck = both(view.recheckKm, 'distance');
  const now = useServerClock(view.nowMs);
  const minute = now - (now % 60_000);
  const open = openOn(view.rows);
  const due = view.rows.filter((r) => r.recheck);
  const noted = view.rows.filter((r) => r.note).slice(0, 2);
  const services = view.services.slice(0, due.length > 0 ? 1 : 3);
  const waiting = open.filter(isWaiting);
  useRings(
    waiting.flatMap((r) => r.timers.map((timer) => ({ jobId: r.id, timer }))),
    now,
  );
  return (
    <div className="frame floor">
      <Keys />
      <ShiftPin />
      <TitleBlock>
        <div className="cell job">
          <p>
            <b>{view.shop}</b>
            <span>{dayTime(now, view.timeZone)}</span>
          </p>
        </div>
        <div className="cell person">
          <WhoPick people={view.people} who={who} onWho={setWho} />
        </div>
      </TitleBlock>
      <div className="tophd">
        <div>
          <h1>
            {countWords[counts.open] ?? counts.open} {counts.open === 1 ? 'job' : 'jobs'} open
          </h1>
          <p>
            <span>{counts.waiting} waiting on a clock</span>
            {view.clockBehindMs !== undefined && (
              <span className="verdict-line check" role="alert">
                <VerdictShape status="check" size={18} />
                This machine’s clock stands {timeLeft(view.clockBehindMs)} behind the last entry:
                set it right, and begin waits anew
              </span>
            )}
            {counts.stopped > 0 && (
              <span className="verdict-line stop">
                <VerdictShape status="stop" size={18} />
                {counts.stopped} stopped
              </span>
            )}
          </p>
        </div>
        <div className="two">
          {pages.map((p) => (
            <a key={p.href} className="btn quiet" href={p.href}>
              {p.name}
            </a>
          ))}
          <button type="button" className="btn main" onClick={() => setStarting(true)}>
            <Plus aria-hidden="true" />
            Start a job
          </button>
        </div>
      </div>
      <div className="cols">
        <span>Unit and complaint</span>
        <ol>
          {stations.map((s) => (
            <li key={s}>{stationNames[s]}</li>
          ))}
        </ol>
        <div className="next-action">
          <span className="pl-4">Next action</span>
          <span className="pl-[14px]">Clock</span>
        </div>
      </div>
      {open.length === 0 ? (
        <div className="empty-floor">
          <p className="note">No job is open. The first one takes half a minute.</p>
          <button type="button" className="btn main" onClick={() => setStarting(true)}>
            Start a job
          </button>
        </div>
      ) : (
        <ol className="jobs">
          {open.map((r) => (
            // Only a clock that is begun goes by the second.
            <Row key={r.id} r={r} now={isWaiting(r) ? now : minute} />
          ))}
          {failed && (
            <li>
              <TryAgain what="The rest of the floor was not read" failed={failed} />
            </li>
          )}
        </ol>
      )}
      <section className="rechecks" aria-label="Rechecks">
        <div>
          <h2>Recheck due</h2>
          <p className="cap">
            Nut mark and wheel nuts again after{' '}
            <b className="num text-ink">
              {recheck.value} {recheck.unit}
            </b>{' '}
            / {recheck.other}
          </p>
          {due.length > 0 && (
            <a className="plain-link" href="/api/reminders.ics" download="rechecks.ics">
              As a calendar
            </a>
          )}
        </div>
        {noted.map((r) => (
          <ShiftNote key={r.id} r={r} who={who} />
        ))}
        {services.map((s) => (
          <Service key={`${s.unitId} ${s.corner}`} s={s} now={now} timeZone={view.timeZone} />
        ))}
        {due.slice(0, Math.max(1, 3 - noted.length - services.length)).map((r) => (
          <Recheck key={r.id} r={r} now={now} timeZone={view.timeZone} />
        ))}
        {due.length + view.services.length === 0 && <p className="note">Nothing is due.</p>}
      </section>
      {starting && (
        <StartJob
          units={view.units}
          open={view.rows}
          who={who}
          onClose={() => setStarting(false)}
        />
      )}
    </div>
  );
}

const Row = memo(function Row({ r, now }: { r: FloorRow; now: number }) {
  const blocked = r.spine.find((m) => m.mark === 'blocked');
  const built = r.spine.findIndex((m) => m.station === r.station);
  const href = `/jobs/${r.id}/${r.station}`;
  return (
    <li className="row">
      <a className="who" href={href}>
        <CornerGlyph corner={r.corner} height={62} />
        <span className={`unit-name${r.fleetNo.length > 3 ? ' plate' : ''}`}>{r.fleetNo}</span>
        <span className="what">
          <b>{r.complaint}</b>
          <span>{r.unitName}</span>
          <span>
            {r.family}
            {r.corner === 'unknown' ? '' : `, ${r.corner}`}
          </span>
        </span>
      </a>
      <div className="cline">
        <ol>
          {r.spine.map((m, i) => (
            <li key={m.station} className={`${m.mark}${i < built ? ' built' : ''}`}>
              <BearingMark mark={m.mark} small />
              <span className="visually-hidden">
                {stationNames[m.station]}: {m.mark}
              </span>
            </li>
          ))}
        </ol>
      </div>
      <div className="next-action">
        <a className="next" href={href}>
          <p>
            <b>{r.next.short}</b>
            <span>
              {r.next.text}, {r.who}
            </span>
          </p>
          <ArrowRight aria-hidden="true" />
        </a>
        <div className="timers">
          {blocked ? (
            <>
              <VerdictWord status="stop" size={24} />
              <span>{blocked.result.replace('Stop: ', '')}</span>
            </>
          ) : (
            <Clock r={r} now={now} />
          )}
        </div>
      </div>
    </li>
  );
});

function Clock({ r, now }: { r: FloorRow; now: number }) {
  const timer = r.timers[0];
  if (!timer)
    return (
      <>
        <b className="num">
          {timeLeft(Math.max(60_000, now - r.startedMs)).replace(/^(\d+):\d\d$/u, '$1 min')}
        </b>
        <span>open</span>
      </>
    );
  const { stand, words, share } = timerNow(timer, now);
  return (
    <>
      <b className="num">
        {words} {stand === 'running' && <small>left</small>}
      </b>
      <span>{timer.label}</span>
      <ShareBar share={share} />
    </>
  );
}

/** A note for the next shift: it stands here until somebody has read it. */
function ShiftNote({ r, who }: { r: FloorRow; who: string }) {
  const [said, setSaid] = useState<string>();
  const read = async () => {
    const body = { id: uuid(), type: 'note-read', body: {}, byId: who };
    const done = await call('POST', `/api/jobs/${r.id}/events`, body);
    if (done.ok) location.reload();
    else setSaid(done.problem.detail);
  };
  return (
    <div className="item shift-note">
      <CornerGlyph corner={r.corner} height={58} />
      <p>
        <b>
          Unit {r.fleetNo}, {r.note?.who}
        </b>
        <span>{said ?? r.note?.text}</span>
      </p>
      <button type="button" className="btn quiet small" onClick={() => void read()}>
        Read
      </button>
    </div>
  );
}

/** A packed bearing that is to be seen to. */
function Service({ s, now, timeZone }: { s: FleetService; now: number; timeZone: string }) {
  const late = s.dueMs <= now;
  return (
    <a className="item" href={`/units/${s.unitId}`}>
      <CornerGlyph corner={s.corner} height={58} />
      <p>
        <b>Unit {s.fleetNo}, service</b>
        {late ? (
          <span className="verdict-line check">
            <VerdictShape status="check" size={16} />
            Check: due now, {causeWords[s.cause]}
          </span>
        ) : (
          <span>
            by {isoDay(s.dueMs, timeZone)}, {causeWords[s.cause]}
          </span>
        )}
      </p>
    </a>
  );
}

function Recheck({ r, now, timeZone }: { r: FloorRow; now: number; timeZone: string }) {
  const { drivenKm, dueKm, dueMs } = r.recheck!;
  const over = drivenKm >= dueKm || (dueMs !== undefined && dueMs <= now);
  const km = both(drivenKm, 'distance');
  const left = both(dueKm - drivenKm, 'distance');
  const x = (v: number) => 4 + 202 * Math.min(1.25, v / dueKm);
  return (
    <a className="item" href={`/jobs/${r.id}/card`}>
      <CornerGlyph corner={r.corner} height={58} />
      <p>
        <b>Unit {r.fleetNo}</b>
        {over ? (
          <span className="verdict-line check">
            <VerdictShape status="check" size={16} />
            Check: due now
          </span>
        ) : (
          <span>
            {left.value} {left.unit} / {left.other} to go
            {dueMs !== undefined && `, by ${isoDay(dueMs, timeZone)}`}
          </span>
        )}
      </p>
      <p className="from-kit">
        {km.value} {km.unit}
        <small>/ {km.other} driven</small>
      </p>
      <svg
        className="recheck-gauge"
        viewBox="0 0 260 20"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path d={`M4 15H256M4 9v10M${x(dueKm)} 2v17`} />
        <path className={`value${over ? ' over' : ''}`} d={`M4 11H${x(drivenKm)}`} />
      </svg>
    </a>
  );
}
