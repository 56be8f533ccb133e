import { useState } from 'react';
import {
  causesBehind,
  layoutNames,
  type Judgement,
  type NextTest,
  type Place,
  type RankedSuspect,
  resultInWords,
  testById,
  tests,
} from '../../core/diagnosis/index.ts';
import { judgementOf, namesBearing, partByNumber } from '../../core/job/index.ts';
import { wholePercents } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, Caution, MainAction, Toggles } from '../../ui/Panels.tsx';
import { JobSheet, type SheetProps, StationBody, Tabs } from '../shell/JobSheet.tsx';
import { CloseJobDialog } from '../shell/CloseJobDialog.tsx';
import { ReasonDialog } from '../shell/ReasonDialog.tsx';
import { useJob } from '../shell/useJob.ts';
import { AllTests } from './AllTests.tsx';
import { PlanView } from './PlanView.tsx';
import { Reasons } from './Reasons.tsx';
import { Suspects } from './Suspects.tsx';
import { TestPanel } from './TestPanel.tsx';
import './diagnose.css';
import { late } from '../../ui/late.tsx';

// The charts are heavy and only the ear needs them.
const Ear = late(
  async () => (await import('../ear/Ear.tsx')).default,
  () => <p className="note p-4">Opening the ear…</p>,
);
const Signal = late(
  async () => (await import('../wheel-speed/Signal.tsx')).default,
  () => <p className="note p-4">Opening the reader…</p>,
);

export default function Diagnose(props: SheetProps) {
  return (
    <JobSheet {...props} station="diagnose">
      <Body />
    </JobSheet>
  );
}

const tabs = [
  { id: 'judgement', name: 'Judgement' },
  { id: 'ear', name: 'Ear' },
  { id: 'signal', name: 'Wheel speed' },
] as const;
type Tab = (typeof tabs)[number]['id'];

function Body() {
  const [open, setOpen] = useState<Tab>('judgement');
  const bar = <Tabs tabs={tabs} open={open} done={[]} onOpen={setOpen} />;
  if (open === 'ear') return <Ear tabs={bar} onDone={() => setOpen('judgement')} />;
  if (open === 'signal') return <Signal tabs={bar} onDone={() => setOpen('judgement')} />;
  return <JudgementBody bar={bar} />;
}

/** Tools that some tests need. */
const tools = [...new Set(tests.flatMap((t) => t.tools))];

const placeName = (p: Place) => (p === 'car' ? '' : `, ${p}`);

/** Which corner, how sure, what next. */
function JudgementBody({ bar }: { bar: React.ReactNode }) {
  const { view, send, choose } = useJob();
  const { state, ctx, job, choices } = view;
  const j = judgementOf(view);
  const top = j.suspects[0]!;
  const part = top.corner
    ? partByNumber(view, ctx.unit.corners[top.corner]?.partNumber)
    : undefined;
  const without = choices.diagnose?.value.without ?? [];
  const [picked, setPicked] = useState<{ testId: string; place: Place }>();
  const [about, setAbout] = useState<string>();
  const [asking, setAsking] = useState(false);
  const [closing, setClosing] = useState(false);
  const next: NextTest | undefined = picked
    ? (j.next.find((n) => n.test.id === picked.testId && n.place === picked.place) ?? again(picked))
    : j.next[0];
  const shown = wholePercents(j.suspects.map((s) => s.probability));
  const call = async (reason?: string) => {
    if (
      !(await send('diagnosis-accepted', {
        suspectId: top.id,
        probability: top.probability,
        ...(reason ? { reason } : {}),
      }))
    )
      return false;
    if (top.kind !== 'bearing') return true;
    if (state.done.includes('diagnose') || (await send('station-done', { station: 'diagnose' })))
      location.assign(`/jobs/${job.id}/match`);
    return true;
  };
  const sure = j.call === 'replace';
  // Where no test pays any more the call is made as it stands: that is no override.
  const opens = j.call === 'open';
  const left = j.next.filter((n) => n !== next).slice(0, 8);
  const likely = top.probability >= 0.5 ? `${top.name}, likely` : 'Not clear yet';
  return (
    <StationBody
      kicker={`${layoutNames[ctx.unit.layout][0]!.toUpperCase()}${layoutNames[ctx.unit.layout].slice(1)}, ${state.results.length} ${state.results.length === 1 ? 'test' : 'tests'} done`}
      title={sure ? top.name : likely}
      tabs={bar}
      picture={
        <div className="diagnose-grid">
          <Suspects judgement={j} shown={shown} onAbout={setAbout} about={about ?? top.id} />
          <PlanView suspects={j.suspects} />
          <div className="why-grid">
            <Reasons
              suspect={j.suspects.find((s) => s.id === (about ?? top.id))!}
              second={j.second}
            />
            <section className="heard">
              <h2>Tests so far</h2>
              {causesBehind(ctx.tables.causes) > 0 && (
                <p className="cap">
                  Shares before any test: ours, and {causesBehind(ctx.tables.causes)} causes seen in
                  this shop.
                </p>
              )}
              {state.results.length === 0 && (
                <p className="note">
                  None yet: {state.complaint ? 'the driver’s words alone.' : 'and no complaint.'}
                </p>
              )}
              <ul>
                {state.results.map((r) => (
                  <li key={r.testId + r.place}>
                    <button
                      type="button"
                      className="again"
                      onClick={() => setPicked({ testId: r.testId, place: r.place })}
                    >
                      <b>{resultInWords(testById(r.testId)!, r)}</b>
                      <span>{testById(r.testId)!.why}</span>
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          </div>
        </div>
      }
      side={
        <>
          <Call status={callStatus(j.call, top.kind)}>
            {(sure || opens) && top.kind !== 'bearing'
              ? 'Not a bearing: nothing is pressed out here. '
              : ''}
            {j.callText}
          </Call>
          <p className="cap cost">
            {j.lineReason}
            {part
              ? ` The part: ${part.number}, ${(part.priceMinor / 100).toFixed(2)} ${part.currency}.`
              : ''}
          </p>
          {j.contradictions.map((c) => (
            <section key={c.text} className="p-0!">
              <Caution>{c.text}</Caution>
            </section>
          ))}
          {next && (
            <TestPanel
              key={next.test.id + next.place}
              next={next}
              judgement={j}
              onDone={() => setPicked(undefined)}
            />
          )}
          <section>
            <h2>Not yet checked</h2>
            <ul className="not-yet">
              {left.map((n) => (
                <li key={n.test.id + n.place}>
                  <button
                    type="button"
                    onClick={() => setPicked({ testId: n.test.id, place: n.place })}
                  >
                    <span>
                      {n.test.short}
                      {placeName(n.place)}
                    </span>
                    <em className="num">{n.minutes} min</em>
                  </button>
                </li>
              ))}
            </ul>
          </section>
          <section>
            <AllTests layout={ctx.unit.layout} onPick={setPicked} />
          </section>
          <section className="tools">
            <h2>Tools at hand</h2>
            <Toggles
              name="Tools at hand"
              values={tools.filter((t) => !without.includes(t))}
              onValues={(have) =>
                choose('diagnose', { without: tools.filter((t) => !have.includes(t)) })
              }
              options={tools.map((t) => ({ id: t, label: t }))}
            />
            <a className="link" href="/tables">
              What each test tells
            </a>
          </section>
          <div className="grow" />
          {closing && (
            <CloseJobDialog
              why={`Not a bearing: ${j.suspects.find((s) => s.id === state.diagnosis?.suspectId)?.name ?? 'another cause'}`}
              onClose={() => setClosing(false)}
            />
          )}
          {asking && (
            <ReasonDialog
              title={`Call it at ${shown[0]} %?`}
              text={`${j.callText} Below the line a call needs a reason; it is kept on the job card.`}
              onClose={() => setAsking(false)}
              onReason={call}
            />
          )}
        </>
      }
      actions={
        <>
          {state.diagnosis && !namesBearing(state.diagnosis.suspectId) && !state.closed && (
            <button type="button" className="btn quiet" onClick={() => setClosing(true)}>
              Close the job
            </button>
          )}
          <MainAction
            label={`Call it: ${top.kind === 'bearing' && top.corner ? `${top.corner} bearing` : top.name}, ${shown[0]} %`}
            missing={firstThat(
              [!state.complaint, 'Record the complaint first'],
              [top.probability < 0.5 && !opens, 'No suspect is over half yet'],
            )}
            onAct={() => (sure || opens ? call() : setAsking(true))}
          />
        </>
      }
    />
  );
}

/** A call is a verdict: while tests are still to do there is none. */
function callStatus(call: Judgement['call'], kind: RankedSuspect['kind']) {
  if (call === 'test') return 'to-do';
  return call === 'replace' && kind === 'bearing' ? 'good' : 'check';
}

/** A test that was done before, opened to be done again. */
function again({ testId, place }: { testId: string; place: Place }): NextTest | undefined {
  const test = testById(testId);
  return (
    test && { test, place, bits: 0, minutes: test.minutes, bitsPerMinute: 0, saves: 0, answers: [] }
  );
}
