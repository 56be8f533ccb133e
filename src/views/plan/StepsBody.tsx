import { type ReactNode, useState } from 'react';
import {
  cautions,
  offNow,
  type Phase,
  plainRun,
  takenAlong,
  type WalkStep,
} from '../../core/families/index.ts';
import {
  cornerRecord,
  fastenerOn,
  familyCodeOf,
  rebuildSteps,
  stepsOf,
  type Timer,
  worksInOneGo,
  timerNow,
} from '../../core/job/index.ts';
import { fastenerInWords } from '../../core/torque/index.ts';
import { threadInWords } from '../../core/matching/index.ts';
import { timeLeft } from '../../core/units/index.ts';
import { BearingMark } from '../../ui/Marks.tsx';
import { Call, Caution, MainAction } from '../../ui/Panels.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { ReasonDialog } from '../shell/ReasonDialog.tsx';
import { useJob } from '../shell/useJob.ts';
import { useServerClock } from '../shell/useTick.ts';
import { FastenerEntry } from './FastenerEntry.tsx';

const allDone: Record<Phase, string> = {
  strip: 'Stripped. On to the press.',
  rebuild: 'Everything is back on.',
};

/** What is left of a wait: all of it before its clock runs. */
function waitWords(timer: Timer | undefined, minutes: number, nowMs: number): string {
  if (!timer) return timeLeft(minutes * 60_000);
  return timerNow(timer, nowMs).words;
}

/** What one tap says done: this step, with those before it or those behind it. */
function doneWords(
  along: readonly WalkStep[],
  run: readonly WalkStep[],
  startsClock: boolean,
): string {
  if (along.length > 0) return `Done up to here, ${along.length + 1} steps`;
  const clock = startsClock ? 'Done, start the clock' : 'Done';
  return run.length > 0 ? `${clock}, and the next ${run.length}` : clock;
}

/** One step at a time, large, with its caution where the danger is; all steps along the axis above it. */
export function StepsBody({
  phase,
  kicker,
  tabs,
  onNext,
}: {
  phase: Phase;
  kicker: string;
  tabs: ReactNode;
  onNext: () => void;
}) {
  const { view, send } = useJob();
  const { state } = view;
  const steps = phase === 'rebuild' ? rebuildSteps(view) : stepsOf(view, phase);
  const code = familyCodeOf(view);
  const done = state.stepsDone[phase];
  const first = steps.find((s) => !done.includes(s.id));
  const [picked, setPicked] = useState<string>();
  const [finding, setFinding] = useState(false);
  // Several entries of one tap: no second tap in between.
  const [busy, setBusy] = useState(false);
  const step = steps.find((s) => s.id === picked) ?? first ?? steps.at(-1)!;
  const at = steps.indexOf(step);
  const timer = step.wait && state.timers.find((t) => t.id === step.id);
  const now = useServerClock(view.nowMs);
  const running = timer !== undefined && timerNow(timer, now).stand === 'running';
  const figure = step.fastener ? fastenerOn(view, step.fastener) : undefined;
  const finish = async (found?: string) => {
    setPicked(undefined);
    return send('step-done', { phase, stepId: step.id, ...(found ? { found } : {}) });
  };
  const isDone = done.includes(step.id);
  const left = steps.filter((s) => !done.includes(s.id));
  const markOf = (s: WalkStep) => {
    if (s === step && !isDone) return 'now';
    return done.includes(s.id) ? 'done' : 'todo';
  };
  const along = takenAlong(steps, at, done) ?? [];
  // Who works less deep goes through what carries no danger of its own in one go.
  const run = !worksInOneGo(view) || picked ? [] : plainRun(steps, at, done);
  const startClock = () =>
    step.wait &&
    send('timer-started', { timerId: step.id, label: step.wait.label, minutes: step.wait.minutes });
  const act = async (after: readonly WalkStep[]) => {
    if (isDone) return setPicked(undefined);
    // The wait runs by itself beside the next steps, so the clock starts and the hands go on.
    if (step.wait && !timer) await startClock();
    for (const s of along) if (!(await send('step-done', { phase, stepId: s.id }))) return;
    if (!(await finish())) return;
    for (const s of after) if (!(await send('step-done', { phase, stepId: s.id }))) return;
  };
  const go = async (after: readonly WalkStep[]) => {
    setBusy(true);
    await act(after);
    setBusy(false);
  };
  const startsClock = step.wait !== undefined && !timer;
  return (
    <StationBody
      kicker={kicker}
      title={phase === 'strip' ? 'Strip' : 'Rebuild'}
      tabs={tabs}
      picture={
        <div className="steps">
          <ol className="steps-line">
            {steps.map((s) => (
              <li key={s.id}>
                <button
                  type="button"
                  aria-current={s === step ? 'step' : undefined}
                  onClick={() => setPicked(s.id)}
                  aria-label={`${s.text}${done.includes(s.id) ? ', done' : ''}`}
                >
                  <BearingMark small mark={markOf(s)} />
                </button>
              </li>
            ))}
          </ol>
          <article className="step" aria-live="polite">
            <p className="cap num">
              {at + 1} of {steps.length} · {step.place} · {step.minutes} min
            </p>
            <p className="step-text">{step.text}</p>
            <p className="note big">{step.why}</p>
            {step.look && (
              <p className="look">
                <b>Look:</b> {step.look}
              </p>
            )}
            {(step.tools || figure || step.single || step.nut) && (
              <ul className="step-facts">
                {step.tools?.map((t) => (
                  <li key={t}>
                    <span>Tool</span>
                    <b>{t}</b>
                  </li>
                ))}
                {figure && (
                  <li>
                    <span>{figure.name}</span>
                    <b className="num">{fastenerInWords(figure)}</b>
                    <em>{figure.source}</em>
                  </li>
                )}
                {step.nut && (
                  <li>
                    <span>Thread</span>
                    <b className="num">{threadInWords(cornerRecord(view)?.nut)}</b>
                  </li>
                )}
                {step.fastener && !figure && (
                  <li>
                    <span>Figure</span>
                    <b>not on record: the maker’s data</b>
                  </li>
                )}
                {step.single && (
                  <li>
                    <span>New each time</span>
                    <b>{step.single.replace('-', ' ')}</b>
                  </li>
                )}
              </ul>
            )}
            {step.fastener && !figure && (
              <FastenerEntry key={step.fastener} fastenerId={step.fastener} />
            )}
            {step.caution && (
              <Caution why={cautions[step.caution].why}>{cautions[step.caution].text}</Caution>
            )}
            {step.wait && (
              <div className="wait">
                <p className="far-n num">
                  {waitWords(timer, step.wait.minutes, now)}
                  <span>{step.wait.label}</span>
                </p>
                {!timer ? (
                  <button type="button" className="btn quiet" onClick={startClock}>
                    Start the clock
                  </button>
                ) : (
                  <button
                    type="button"
                    className="btn quiet"
                    onClick={() => send('timer-ended', { timerId: step.id })}
                  >
                    {running ? 'End the wait early' : 'Clear the clock'}
                  </button>
                )}
              </div>
            )}
          </article>
          {code && (
            <div className="step-fam">
              <FamilySection
                code={code}
                corner
                lit={step.lit}
                off={offNow(steps, phase, done)}
                label={step.text}
              />
              <p className="cap">
                Usual proportions of the family, outboard to the left; what is off is dashed.
              </p>
            </div>
          )}
        </div>
      }
      side={
        <>
          <Call status={first ? 'to-do' : 'good'}>
            {first
              ? `${left.length} of ${steps.length} steps to go, about ${left.reduce((a, s) => a + s.minutes, 0)} min of hands.`
              : allDone[phase]}
          </Call>
          {state.found.length > 0 && (
            <section>
              <h2>Found on the way</h2>
              <ul>
                {state.found.map((f) => (
                  <li key={f} className="line-v">
                    <span>•</span>
                    {f}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section>
            <h2>Then</h2>
            <ul className="then">
              {steps.slice(at + 1, at + 5).map((s) => (
                <li key={s.id}>{s.text}</li>
              ))}
            </ul>
          </section>
          <div className="grow" />
          {finding && (
            <ReasonDialog
              title="Found something"
              text="What is it? It is kept on the job card; the step counts as done."
              onClose={() => setFinding(false)}
              onReason={finish}
            />
          )}
        </>
      }
      actions={
        first ? (
          <>
            <MainAction
              label={isDone ? 'To the next open step' : doneWords(along, run, startsClock)}
              missing={busy ? 'Being kept' : undefined}
              onAct={() => go(run)}
            />
            {!isDone && !busy && run.length > 0 && (
              <button type="button" className="btn quiet" onClick={() => go([])}>
                Only this one
              </button>
            )}
            {!isDone && (
              <button type="button" className="btn quiet" onClick={() => setFinding(true)}>
                Found something
              </button>
            )}
          </>
        ) : (
          <MainAction label="Next" onAct={onNext} />
        )
      }
    />
  );
}
