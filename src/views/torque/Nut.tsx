import { type ReactNode, useState } from 'react';
import { unmeasured } from '../../core/card/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import {
  cornerRecord,
  missingFor,
  overrideOf,
  procedureUnchecked,
  spentNut,
} from '../../core/job/index.ts';
import {
  handTravelMm,
  judgeWrench,
  mayGoUnmeasured,
  type Procedure,
  type Stage,
  type StageReading,
  stageUnit,
  standOnBarM,
  threadOnNut,
  type Walk,
  walkProcedure,
  type Wrench,
  wrenchesFor,
} from '../../core/torque/index.ts';
import { clockTime, isoDay, KGF_M, LBF_N, parseQuantity } from '../../core/units/index.ts';
import { both } from '../../ui/units.ts';
import type { Verdict } from '../../core/verdict.ts';
import { VerdictShape, VerdictWord } from '../../ui/Marks.tsx';
import { Call, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { useStandIns } from '../shell/useStandIns.ts';
import { ThreadBars } from './ThreadBars.tsx';
import { useWrench, type WrenchHandle } from './useWrench.ts';
import { WrenchNow, WrenchPanel } from './WrenchPanel.tsx';
import { NutFace } from './NutFace.tsx';
import { stageFigure } from './stageFigure.ts';
import './torque.css';

/** The centre nut, stage by stage; what was read is kept, a correction is a new line. */
export function Nut({ bar, procedure: p }: { bar: ReactNode; procedure: Procedure }) {
  const { view, send } = useJob();
  const { state, ctx, job } = view;
  const walk = walkProcedure(p, state.stages);
  const finished = walk.current === p.stages.length;
  const at = Math.min(walk.current, p.stages.length - 1);
  const stage = p.stages[at]!;
  const unit = stageUnit(stage);
  const [text, setText, clear] = useDraft(`${job.id}:stage:${stage.id}`);
  const [toolId, setTool] = useState<string>();
  const [owning, setOwning] = useState(false);
  const today = isoDay(view.nowMs, view.timeZone);
  const tools = wrenchesFor(
    stage,
    ctx.wrenches.filter((w) => !w.retired),
    today,
  );
  const tool = tools.find((w) => w.id === toolId) ?? tools[0];
  const parsed = unit ? parseQuantity(text, unit) : undefined;
  const actual = parsed?.ok ? parsed.value : undefined;
  const unchecked = procedureUnchecked(view);
  const streamed = useWrench(p, stage);
  const standIns = useStandIns();
  const wrench = tool?.type === 'digital' && standIns !== 'off' ? streamed : undefined;
  const pulled = wrench?.ended ? readingOf(wrench) : undefined;
  // What a wrench could not tell is told by the paint mark.
  const typing = !wrench?.running && pulled === undefined;
  const typed = actual === undefined ? {} : { actual, typed: text.trim().slice(0, 40) };
  const record = async (reading: Reading = pulled ?? typed) => {
    if (!tool) return;
    if (!(await send('stage-recorded', { stageId: stage.id, toolId: tool.id, ...reading }))) return;
    clear();
    streamed?.forget();
  };
  const finish = async () => {
    if (state.done.includes('torque') || (await send('station-done', { station: 'torque' })))
      location.assign(`/jobs/${job.id}/prove`);
  };
  const thread = threadOnNut(p, stage);
  const air = p.stages.slice(walk.current).some((s) => s.wheel === 'air');
  return (
    <StationBody
      kicker={`${p.name}: stage ${at + 1} of ${p.stages.length}`}
      title={finished ? 'Nut done and locked' : stage.text}
      tabs={bar}
      picture={
        <div className="torque-grid">
          <StageList procedure={p} walk={walk} />
          <div className="nut">
            <NutFace
              stage={finished ? undefined : stage}
              actual={wrench?.value ?? actual}
              wrench={finished ? undefined : wrench}
              studs={cornerRecord(view)?.hub?.studs ?? 0}
            />
            {wrench && <WrenchNow wrench={wrench} />}
            {air && !finished && !wrench?.followed && <KeepOffGround />}
          </div>
        </div>
      }
      side={
        <>
          <StageCall
            procedure={p}
            walk={walk}
            unchecked={unchecked}
            stage={stage}
            wrench={wrench}
          />
          {!finished && !unchecked && (
            <section className="grid gap-2">
              {wrench && <WrenchPanel wrench={wrench} stage={stage} />}
              {typing && <StageReadingField stage={stage} at={at} text={text} onText={setText} />}
              <StageTool stage={stage} tools={tools} tool={tool} today={today} onTool={setTool} />
            </section>
          )}
          {thread && !unchecked && !finished && (
            <ThreadBars on={thread} torqueNm={stage.value ?? 0} />
          )}
          <ProcedureSource procedure={p} />
          <Readings procedure={p} />
          <div className="grow" />
          {owning && (
            <PinDialog
              title="Use a procedure nobody has checked?"
              text="Hold it against the maker’s data first. Name and reason are kept on the job card."
              reason
              onClose={() => setOwning(false)}
              onPin={(pin, reason) => send('overridden', { rule: 'torque.unchecked', reason }, pin)}
            />
          )}
        </>
      }
      actions={
        <NutActions
          unchecked={unchecked}
          finished={finished}
          restart={walk.restart}
          stage={stage}
          actual={pulled?.actual ?? (typing ? actual : undefined)}
          spoilt={wrench?.next === 'spoilt'}
          pulling={wrench?.running ?? false}
          onOwn={() => setOwning(true)}
          onRecord={record}
          onFinish={finish}
        />
      }
    />
  );
}

type Reading = Omit<EventBody<'stage-recorded'>, 'stageId' | 'toolId'>;

/** What goes on record of what a wrench has seen. */
const readingOf = ({ value, followed, curve, standIn }: WrenchHandle): Reading => ({
  ...(value === undefined ? {} : { actual: value, typed: String(value) }),
  ...(followed ? { pull: followed.call } : {}),
  ...(standIn ? { standIn } : {}),
  curve,
});

function NutActions({
  unchecked,
  finished,
  restart,
  stage,
  actual,
  spoilt,
  pulling,
  onOwn,
  onRecord,
  onFinish,
}: {
  unchecked: boolean;
  finished: boolean;
  /** The last reading sent the procedure back to stage 1. */
  restart: boolean;
  stage: Stage;
  actual: number | undefined;
  /** The wrench saw what no figure mends. */
  spoilt: boolean;
  /** A wrench is being read just now. */
  pulling: boolean;
  onOwn: () => void;
  onRecord: (reading?: Reading) => void;
  onFinish: () => void;
}) {
  const { view, send } = useJob();
  if (unchecked) return <MainAction label="Answer for this procedure" onAct={onOwn} />;
  if (finished)
    return <MainAction label="To Prove" missing={missingFor('torque', view)[0]} onAct={onFinish} />;
  // After a restart a spent nut is replaced here and now: that is the way on.
  const spent = restart ? spentNut(view) : undefined;
  if (spent)
    return (
      <MainAction
        label={`New ${spent.name.toLowerCase()} in hand`}
        onAct={() => send('item-marked', { itemId: spent.id, state: 'in-hand' })}
      />
    );
  if (pulling) return <MainAction label="Record" missing="Let go in the band first" />;
  if (spoilt) return <MainAction label="Record that it is spoilt" onAct={() => onRecord()} />;
  const unit = stageUnit(stage);
  if (stage.kind === 'wait')
    return <WaitAction stage={stage} onDone={() => onRecord({ asSaid: true })} />;
  if (!unit) return <MainAction label="Locked, seen" onAct={() => onRecord()} />;
  return (
    <>
      <RecordFigure stage={stage} unit={unit} actual={actual} onRecord={onRecord} />
      {stage.kind === 'angle' && (
        <button type="button" className="btn quiet" onClick={() => onRecord({ pull: 'slipped' })}>
          It slipped
        </button>
      )}
    </>
  );
}

function RecordFigure({
  stage,
  unit,
  actual,
  onRecord,
}: {
  stage: Stage;
  unit: NonNullable<ReturnType<typeof stageUnit>>;
  actual: number | undefined;
  onRecord: (reading?: Reading) => void;
}) {
  if (actual !== undefined) {
    const shown = both(actual, unit);
    return <MainAction label={`Record ${shown.value} ${shown.unit}`} onAct={() => onRecord()} />;
  }
  return mayGoUnmeasured(stage) ? (
    <MainAction label="Done as said, not measured" onAct={() => onRecord({ asSaid: true })} />
  ) : (
    <MainAction label="Record" missing="Type the reading" />
  );
}

/** A stage that is waited out: its clock first, then it is said done. */
function WaitAction({ stage, onDone }: { stage: Stage; onDone: () => void }) {
  const { view, send } = useJob();
  const minutes = stage.value ?? 0;
  const timerId = `nut-${stage.id}`;
  const running = view.state.timers.some((t) => t.id === timerId);
  const start = () => send('timer-started', { timerId, label: 'nut settles', minutes });
  return running ? (
    <MainAction
      label={`${minutes} min waited`}
      onAct={async () => {
        if (await send('timer-ended', { timerId })) onDone();
      }}
    />
  ) : (
    <MainAction label={`Start the clock, ${minutes} min`} onAct={start} />
  );
}

/** Every stage with its figure; a recorded one with its word. */
function StageList({ procedure: p, walk }: { procedure: Procedure; walk: Walk }) {
  return (
    <ol className="stages">
      {p.stages.map((s, i) => {
        const f = stageFigure(s);
        const v = walk.verdicts[i];
        const now = i === walk.current;
        return (
          <li key={s.id} className={now ? 'now' : ''} aria-current={now ? 'step' : undefined}>
            <span className="index num">{i + 1}</span>
            <p>
              <b className="num">
                {f.value} <small>{f.unit}</small>
              </b>
              <span>
                {f.other ? `${f.other}, ` : ''}
                {s.text.toLowerCase()}
              </span>
            </p>
            {v && <VerdictWord status={v.status} size={20} />}
          </li>
        );
      })}
    </ol>
  );
}

const KeepOffGround = () => (
  <p className="keep-off">
    <VerdictShape status="check" size={28} />
    <span>
      <b className="check">Check</b> Keep the wheel off the ground until the last stage is recorded:
      weight on a loose hub marks the bearing.
    </span>
  </p>
);

/** The verdict on the last reading where it asks for something, else what the stage is for. */
function StageCall({
  procedure: p,
  walk,
  unchecked,
  stage,
  wrench,
}: {
  procedure: Procedure;
  walk: Walk;
  unchecked: boolean;
  stage: Stage;
  wrench: WrenchHandle | undefined;
}) {
  const { view } = useJob();
  const last = view.state.stages.at(-1);
  const verdict: Verdict | undefined =
    last && walk.verdicts[p.stages.findIndex((s) => s.id === last.stageId)];
  if (unchecked)
    return <Call status="stop">Nobody has checked this procedure against the maker’s data.</Call>;
  if (walk.current === p.stages.length)
    return <Call status="good">Every stage is in its window.</Call>;
  if (wrench?.running && wrench.verdict?.status !== 'stop')
    return <Call status="to-do">Pull on, one smooth pull, and stop in the band.</Call>;
  if (wrench?.verdict)
    return (
      <Call status={wrench.verdict.status}>
        <RuleLink said={wrench.verdict} />
      </Call>
    );
  if (verdict && (walk.restart || verdict.status !== 'good'))
    return (
      <Call status={walk.restart ? 'stop' : verdict.status}>
        <RuleLink said={verdict} />
      </Call>
    );
  return <Call status="to-do">{stage.why}</Call>;
}

const hints: Partial<Record<Stage['kind'], string>> = {
  torque: 'What the wrench showed, N·m or lb·ft',
  angle: 'Degrees past the mark',
  'back-off': 'Degrees past the mark',
  'turn-hub': 'Turns by hand',
  drag: 'What the scale showed by its lever, N·m',
  recheck: 'What the wrench showed, N·m or lb·ft',
};

function StageReadingField({
  stage,
  at,
  text,
  onText,
}: {
  stage: Stage;
  at: number;
  text: string;
  onText: (text: string) => void;
}) {
  const { problem } = useJob();
  const unit = stageUnit(stage);
  if (!unit) return null;
  return (
    <QuantityInput
      label={`Reading, stage ${at + 1}`}
      dimension={unit}
      text={text}
      onText={onText}
      fault={faultOf(problem, 'actual', 'stageId')}
      hint={hints[stage.kind]}
    />
  );
}

/** Somebody of usual weight on a level bar, where no wrench reaches: a stop-gap. */
const standingKg = 80;
const standingLb = Math.round((standingKg * KGF_M) / LBF_N);

/** Which tool reads it, and whether that tool can be trusted with it. */
function StageTool({
  stage,
  tools,
  tool,
  today,
  onTool,
}: {
  stage: Stage;
  tools: readonly Wrench[];
  tool: Wrench | undefined;
  today: string;
  onTool: (id: string) => void;
}) {
  const nm = stageUnit(stage) === 'torque' ? stage.value : undefined;
  const verdicts = tool && nm !== undefined ? judgeWrench(tool, nm, today) : [];
  const tooSmall = verdicts.some((v) => v.rule === 'wrench.range' && v.status === 'stop');
  return (
    <>
      <label className="field">
        <span>Tool</span>
        <select className="pick" value={tool?.id} onChange={(e) => onTool(e.target.value)}>
          {tools.map((w) => (
            <option key={w.id} value={w.id}>
              {w.name}
            </option>
          ))}
        </select>
      </label>
      <VerdictLines verdicts={verdicts} />
      {stage.kind === 'angle' && stage.value !== undefined && tool?.lengthMm && (
        <p className="cap">
          At {both(tool.lengthMm, 'length', 0).value} mm the hand goes{' '}
          {both(handTravelMm(stage.value, tool.lengthMm), 'length', 0).value} mm /{' '}
          {both(handTravelMm(stage.value, tool.lengthMm), 'length', 0).other} round.
        </p>
      )}
      {tooSmall && nm !== undefined && (
        <p className="cap">
          Stop-gap: {standingKg} kg / {standingLb} lb stands{' '}
          {standOnBarM(nm, standingKg * KGF_M).toFixed(2)} m from the nut on a level bar, ±10 % at
          best; hold on to something and check again with a wrench.
        </p>
      )}
    </>
  );
}

/** Who stands behind the figures. */
function checkedWords(p: Procedure, answeredBy: string | undefined): string {
  if (p.checkedBy) return `Checked by ${p.checkedBy}, ${p.checkedOn}.`;
  return answeredBy ? `Not checked; ${answeredBy} answers.` : 'Not checked.';
}

function ProcedureSource({ procedure: p }: { procedure: Procedure }) {
  const { view } = useJob();
  const answer = overrideOf(view.state, 'torque.unchecked');
  const answeredBy = view.people.find((x) => x.id === answer?.byId)?.name;
  return (
    <section>
      <h2>Procedure</h2>
      <p className="cap">
        {p.fastener}, {p.hexMm} mm hex, thread {p.thread}
        {p.singleUse ? ', new nut each time' : ''}. Source: {p.source}.{' '}
        {checkedWords(p, answeredBy)}
      </p>
    </section>
  );
}

/** The last readings, newest first. */
function Readings({ procedure: p }: { procedure: Procedure }) {
  const { view } = useJob();
  const { stages } = view.state;
  return (
    <section>
      <h2>Readings</h2>
      {stages.length === 0 && <p className="note">None yet. Nothing is filled in for you.</p>}
      <table className="rows">
        <tbody>
          {[...stages]
            .reverse()
            .slice(0, 8)
            .map((r) => (
              <tr key={r.atMs + r.stageId}>
                <td>
                  Stage {p.stages.findIndex((s) => s.id === r.stageId) + 1},{' '}
                  {view.people.find((x) => x.id === r.byId)?.name}
                </td>
                <td className="figure">
                  {clockTime(r.atMs, view.timeZone)} <b>{readingText(p, r)}</b>
                </td>
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}

function readingText(p: Procedure, r: StageReading): string {
  const stage = p.stages.find((x) => x.id === r.stageId);
  const unit = stage && stageUnit(stage);
  if (!unit || r.actual === undefined) return unmeasured(r);
  const shown = both(r.actual, unit);
  return `${shown.value} ${shown.unit}`;
}
