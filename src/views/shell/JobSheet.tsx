import { Pause, Play } from 'lucide-react';
import {
  createContext,
  type ReactNode,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { cornerNames } from '../../core/corner.ts';
import { layoutNames } from '../../core/diagnosis/index.ts';
import {
  currentStation,
  handsOn,
  type JobView,
  spine,
  stationNames,
  stations,
  laterMin,
  timerNow,
} from '../../core/job/index.ts';
import { isStation, type JobPage, pageName } from './jobPage.ts';
import { ErrorBoundary } from '../../ui/ErrorBoundary.tsx';
import { BearingMark, CornerGlyph, VerdictShape } from '../../ui/Marks.tsx';
import { DecidedAtContext } from '../../ui/RuleLink.tsx';
import { TitleBlock, WhoPick } from '../../ui/TitleBlock.tsx';
import { ClosedJob, OpenAgain } from './ClosedJob.tsx';
import { LeaveNote } from './LeaveNote.tsx';
import { Keys } from './Keys.tsx';
import { ShiftPin } from './ShiftPin.tsx';
import { ReasonDialog } from './ReasonDialog.tsx';
import { JobProvider, useJob, useJobApi } from './useJob.ts';
import { useRings } from './useRings.ts';
import { useServerClock } from './useTick.ts';
import { late } from '../../ui/late.tsx';

const ConflictDialog = late(async () => (await import('./ConflictDialog.tsx')).ConflictDialog);

const OpenStation = createContext<JobPage>('card');

export interface SheetProps {
  first: JobView;
  who: string;
}

/** The frame of every job screen: head strip, centre line, and the station below. */
export function JobSheet({
  first,
  who,
  station,
  children,
}: SheetProps & { station: JobPage; children: ReactNode }) {
  const api = useJobApi(first, who);
  return (
    <JobProvider value={api}>
      <div className="frame" data-station={station}>
        <Head />
        <Spine open={station} />
        <main className="body-of-station grid min-h-0">
          <OpenStation value={station}>
            <DecidedAtContext value={decidedAt(first, station)}>
              <ErrorBoundary>{children}</ErrorBoundary>
            </DecidedAtContext>
          </OpenStation>
        </main>
      </div>
      {api.problem?.status === 409 && <ConflictDialog />}
      <Keys job={{ id: first.job.id, station }} />
      <ShiftPin />
    </JobProvider>
  );
}

/** What verdicts on this screen say of where they were decided. */
const decidedAt = (view: JobView, station: JobPage) => ({
  what: `Job ${view.job.number}, ${pageName(station)}`,
  href: `/jobs/${view.job.id}/${station}`,
});

function Head() {
  const { view, who, setWho } = useJob();
  return (
    <TitleBlock>
      <div className="cell job">
        <CornerGlyph corner={view.ctx.corner} height={40} />
        <p>
          <a className="plain-link" href={`/units/${view.ctx.unit.id}`}>
            <b>Unit {view.ctx.unit.fleetNo}</b>
          </a>
          <span>
            {view.ctx.unit.name}, {layoutNames[view.ctx.unit.layout]}
          </span>
        </p>
      </div>
      <div className="cell corner">
        <p>
          <span>Corner</span>
          <b>{cornerNames[view.ctx.corner]}</b>
        </p>
      </div>
      <div className="cell person">
        <WhoPick people={view.people} who={who} onWho={setWho} />
      </div>
      <Clock />
      <WorkToggle />
    </TitleBlock>
  );
}

/** A running wait if there is one, else how long the job is open. */
function Clock() {
  const { view } = useJob();
  const at = useServerClock(view.nowMs);
  const { timers } = view.state;
  const { later } = useRings(
    timers.map((timer) => ({ jobId: view.job.id, timer })),
    at,
  );
  const timer = timers[0];
  if (timer) {
    const { stand, words } = timerNow(timer, at);
    return (
      <div className="cell clock">
        <p>
          <span>{timer.label}</span>
          <b className="num">{words}</b>
        </p>
        {stand === 'over' && (
          <button
            type="button"
            className="btn quiet small"
            onClick={() => later({ jobId: view.job.id, timer })}
          >
            Ring in {laterMin} min
          </button>
        )}
      </div>
    );
  }
  const open = Math.max(0, (view.state.signed?.atMs ?? at) - view.job.createdMs);
  return (
    <div className="cell clock">
      <p>
        <span>Job {view.job.number}</span>
        <b className="num">{openFor(open)}</b>
      </p>
    </div>
  );
}

/** Hands on the job or off it, in one tap: the minutes are for the plan and the quote. */
function WorkToggle() {
  const { view, send } = useJob();
  const at = useServerClock(view.nowMs);
  if (view.state.signed || view.state.closed) return null;
  const { running, ms } = handsOn(view.state.work, at);
  const Mark = running ? Pause : Play;
  return (
    <button
      type="button"
      className="cell work-toggle"
      aria-pressed={running}
      onClick={() => void send(running ? 'work-paused' : 'work-started', {})}
    >
      <Mark aria-hidden="true" size={20} />
      <span>
        {running ? 'hands on' : 'paused'}
        <b className="num">{openFor(ms)}</b>
      </span>
    </button>
  );
}

function openFor(ms: number): string {
  const min = Math.floor(ms / 60_000);
  if (min < 60) return `${min} min`;
  return min < 2880
    ? `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`
    : `${Math.floor(min / 1440)} days`;
}

function Spine({ open }: { open: JobPage }) {
  const { view } = useJob();
  const marks = useMemo(() => spine(view), [view]);
  const now = currentStation(view.state.done);
  const built = now ? stations.indexOf(now) : stations.length;
  const nav = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a phone the line scrolls: it opens with previous, current and next in view.
    const item = nav.current?.querySelector<HTMLElement>('[aria-current="page"]')?.parentElement;
    if (nav.current && item) nav.current.scrollLeft = item.offsetLeft - 108;
  }, []);
  return (
    <nav ref={nav} className="spine" aria-label="Stations of this job">
      <ol>
        {marks.map((m, i) => (
          <li key={m.station} className={`${m.mark}${i < built ? ' built' : ''}`}>
            <a
              href={`/jobs/${view.job.id}/${m.station}`}
              aria-current={m.station === open ? 'page' : undefined}
            >
              <BearingMark mark={m.mark} />
              <span className="name">{stationNames[m.station]}</span>
              <span className="result">{m.result}</span>
              <span className="visually-hidden">{m.mark === 'now' ? 'current' : m.mark}</span>
            </a>
          </li>
        ))}
      </ol>
    </nav>
  );
}

export interface StationProps {
  kicker: string;
  title: string;
  tabs?: ReactNode;
  /** The picture fills the area and scales with it. */
  fill?: boolean;
  picture: ReactNode;
  /** Ways to look at the picture: open on a done station too. */
  over?: ReactNode;
  side: ReactNode;
  actions: ReactNode;
}

/** The body of a station: picture left, the call and the main action right. */
export function StationBody({
  kicker,
  title,
  tabs,
  fill,
  picture,
  over,
  side,
  actions,
}: StationProps) {
  const { problem, clear, view, send } = useJob();
  const open = useContext(OpenStation);
  const [reopening, setReopening] = useState(false);
  const now = currentStation(view.state.done);
  // Done stations are read, stations to come are looked at; only the current one takes entries.
  const { closed } = view.state;
  const station = isStation(open) ? open : undefined;
  const away = station !== undefined && (station !== now || closed !== undefined);
  const done = station !== undefined && view.state.done.includes(station);
  const there = now ? (
    <a className="btn main" data-main="" href={`/jobs/${view.job.id}/${now}`}>
      To {stationNames[now]}
    </a>
  ) : (
    <a className="btn main" data-main="" href={`/jobs/${view.job.id}/card`}>
      Job card
    </a>
  );
  return (
    <div className="station">
      <div className="station-title">
        <h1>
          <span className="operation">{kicker}</span>
          {title}
        </h1>
        {tabs}
      </div>
      <div
        className={`pic${fill ? ' fill' : ''}`}
        role="region"
        aria-label="The picture"
        tabIndex={0}
      >
        <fieldset className="contents" disabled={away}>
          {picture}
        </fieldset>
        {over}
      </div>
      <aside className="side" aria-label="The call">
        {problem && problem.status !== 409 && (
          <div className="problem" role="alert">
            <VerdictShape status="stop" size={24} />
            <span>{problem.detail}</span>
            <button type="button" onClick={clear}>
              Close
            </button>
          </div>
        )}
        <div
          className="side-in"
          role="region"
          aria-label="What is true and what is asked"
          tabIndex={0}
        >
          {closed !== undefined && station ? (
            <ClosedJob why={closed} />
          ) : (
            <fieldset className="contents" disabled={away}>
              {side}
              {station && !view.state.signed && <LeaveNote of={stationNames[station]} />}
            </fieldset>
          )}
        </div>
        <div className="acts">
          {closed !== undefined && station && <OpenAgain />}
          {!away && actions}
          {closed === undefined && away && (
            <>
              {there}
              {done && !view.state.signed && (
                <button type="button" className="btn quiet" onClick={() => setReopening(true)}>
                  Reopen
                </button>
              )}
            </>
          )}
        </div>
        {reopening && station && (
          <ReasonDialog
            title={`Reopen ${stationNames[station]}?`}
            text="What was recorded stays. The centre line goes back to here until it is done again."
            onClose={() => setReopening(false)}
            onReason={(reason) => send('station-reopened', { station, reason })}
          />
        )}
      </aside>
    </div>
  );
}

/** Steps inside a station. */
export function Tabs<T extends string>({
  tabs,
  open,
  done,
  onOpen,
}: {
  tabs: readonly { id: T; name: string }[];
  open: T;
  done: readonly T[];
  onOpen: (id: T) => void;
}) {
  const markOf = (id: T) => (done.includes(id) ? 'done' : 'todo');
  return (
    <ol className="ops" aria-label="Operations">
      {tabs.map((t, i) => (
        <li key={t.id} className={t.id === open ? 'now' : markOf(t.id)}>
          <button
            type="button"
            aria-current={t.id === open ? 'step' : undefined}
            onClick={() => onOpen(t.id)}
          >
            <b>{i + 1}</b>
            {t.name}
            {done.includes(t.id) && <span className="visually-hidden">done</span>}
          </button>
        </li>
      ))}
    </ol>
  );
}
