import { useMemo } from 'react';
import { Printer } from 'lucide-react';
import { cautions } from '../../core/families/index.ts';
import { expansionMm, materials } from '../../core/fits/index.ts';
import {
  chosenPart,
  familyOf,
  missingFor,
  paceOf,
  type PlanChoice,
  planOf,
  solvedFor,
  stepsOf,
  strokesOf,
  timerNow,
  usualRoute,
  workLeft,
} from '../../core/job/index.ts';
import { chillMinutes } from '../../core/plan/index.ts';
import { type Operation, operationNames, type SolveResult } from '../../core/press/index.ts';
import { Call, type CallStatus, Caution, MainAction } from '../../ui/Panels.tsx';
import { JobSheet, type SheetProps, StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useServerClock } from '../shell/useTick.ts';
import { HowItIsDone } from './HowItIsDone.tsx';
import { OtherSide } from './OtherSide.tsx';
import { PickList } from './PickList.tsx';
import { RouteCompare } from './RouteCompare.tsx';
import { Schools } from './Schools.tsx';
import { Timeline } from './Timeline.tsx';
import { useSchedule } from './useSchedule.ts';
import { useVisit } from './useVisit.ts';
import './plan.css';

export default function Plan(props: SheetProps) {
  return (
    <JobSheet {...props} station="plan">
      <Body />
    </JobSheet>
  );
}

/** Whether this route can be set up with this kit, and where it waits. */
function toldOf(
  strokes: readonly { o: Operation; found: SolveResult | undefined }[],
  idleMin: number,
  walked: boolean,
): { status: CallStatus; text: string } {
  if (!walked)
    return {
      status: 'stop',
      text: 'This route is worked outside True Spindle. Choose one with its hours.',
    };
  // What is not known yet is no verdict on the kit: it is read at its stroke.
  const open = strokes.filter((x) => x.found === undefined).length;
  if (open > 0)
    return {
      status: 'to-do',
      text: `${open} of ${strokes.length} strokes wait for figures of this corner: they are read at their stroke.`,
    };
  const gap = strokes.find((x) => x.found?.solutions.length === 0);
  const lacks = gap?.found?.missing[0]?.text;
  if (gap) return { status: 'check', text: `${operationNames[gap.o]}: the kit lacks ${lacks}.` };
  const waits =
    idleMin > 0 ? `${idleMin} min idle in a wait.` : 'Every wait fits inside other work.';
  if (strokes.length === 0) return { status: 'to-do', text: `Nothing is pressed here. ${waits}` };
  const all = strokes.length === 1 ? 'The stroke' : `All ${strokes.length} strokes`;
  return { status: 'good', text: `${all} can be set up with this kit. ${waits}` };
}

/** What goes beside what, and when it ends. */
function Body() {
  const { view, send, choose } = useJob();
  const { state, choices, job } = view;
  const routes = familyOf(view)?.routes ?? [];
  const plan = planOf(view);
  const visit = useVisit();
  const work = useMemo(
    () =>
      workLeft(
        view,
        view.nowMs,
        visit.others.filter((o) => visit.with.includes(o.jobId)),
      ),
    [view, visit.others, visit.with],
  );
  const s = useSchedule(work);
  const pace = paceOf(view, familyOf(view)?.code);
  const strip = stepsOf(view, 'strip');
  const strokes = strokesOf(view).map((o) => ({ o, found: solvedFor(view, o) }));
  const walkable = routes.find((r) => r.id === plan.route)?.walked === true;
  const told = toldOf(strokes, s.idleMin, walkable);
  const set = (change: Partial<PlanChoice>) => choose('plan', { ...plan, ...change });
  const start = async () => {
    if (!choices.plan && !(await set({}))) return;
    if (state.done.includes('plan') || (await send('station-done', { station: 'plan' })))
      location.assign(`/jobs/${job.id}/press-out`);
  };
  const missing = missingFor('plan', view).filter((m) => m !== 'No route chosen')[0];
  const begun = state.done.includes('plan');
  return (
    <StationBody
      kicker={
        begun
          ? 'What is left, from now'
          : `${strip.length} steps to strip, ${stepsOf(view, 'rebuild').length} to rebuild`
      }
      title="What goes beside what?"
      picture={
        <div className="plan-pic">
          <Timeline plan={s} startMs={view.nowMs} timeZone={view.timeZone} />
          <RouteCompare chosen={plan.route} onRoute={(route) => set({ route })} />
          <HowItIsDone plan={plan} onSet={set} visit={visit} />
          <Schools />
        </div>
      }
      side={
        <>
          <Call status={told.status}>{told.text}</Call>
          {!choices.plan && (
            <section>
              <p className="cap">{usualRoute(view).reason}</p>
            </section>
          )}
          {pace && (
            <section>
              <p className="cap">
                Hands by this shop’s own pace: {pace.ratio.toFixed(2)} of the usual minutes, middle
                of {pace.jobs} jobs.
              </p>
            </section>
          )}
          {!s.exact && (
            <section>
              <p className="cap">
                At most {Math.round(s.endMin - s.boundMin)} min longer than any order could be.
              </p>
            </section>
          )}
          {plan.chill && choices.plan && <Freezer />}
          <section>
            <h2>What it costs</h2>
            <a className="btn quiet small" href={`/jobs/${job.id}/quote`}>
              Quote
            </a>
          </section>
          <PickList />
          <OtherSide visit={visit} />
          <section>
            <p className="cap">
              True Spindle supports a trained person. The vehicle maker’s instructions, local rules
              and licensed practice come first.
            </p>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        <>
          <MainAction
            label="Start work"
            missing={walkable ? missing : 'Choose a route that can be walked'}
            onAct={start}
          />
          <button type="button" className="btn quiet" onClick={() => window.print()}>
            <Printer aria-hidden="true" />
            List
          </button>
        </>
      }
    />
  );
}

/** The chill as a real wait: in its wrapping against frost, ready when the core is cold. */
function Freezer() {
  const { view, send } = useJob();
  const now = useServerClock(view.nowMs);
  const timer = view.state.timers.find((t) => t.id === 'chill');
  const part = chosenPart(view);
  const cold = timer !== undefined && timerNow(timer, now).stand === 'over';
  return (
    <section>
      <h2>Freezer</h2>
      {!timer ? (
        <>
          <p className="note">
            In its wrapping, against frost. Cold after about {chillMinutes} min.{' '}
            {part &&
              `At −18 °C the ring is ${(-expansionMm(part.bearing.outerMm, materials.steel.alphaPerK, -38)).toFixed(3)} mm smaller outside.`}
          </p>
          <Caution why={cautions.cold.why}>{cautions.cold.text}</Caution>
          <button
            type="button"
            className="btn quiet small w-full mt-2"
            onClick={() =>
              send('timer-started', {
                timerId: 'chill',
                label: 'bearing chills',
                minutes: chillMinutes,
              })
            }
          >
            Bearing is in: start the clock
          </button>
        </>
      ) : (
        <>
          <p className="note">
            <b className="num">{cold ? 'Cold' : timerNow(timer, now).words}</b>{' '}
            {cold ? 'now: wipe the frost, oil, press at once' : 'until it is cold'}
          </p>
          <button
            type="button"
            className="btn quiet small w-full mt-2"
            onClick={() => send('timer-ended', { timerId: 'chill' })}
          >
            Taken out
          </button>
        </>
      )}
    </section>
  );
}
