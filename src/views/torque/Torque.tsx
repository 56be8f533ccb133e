import { sentence } from '../../core/rules/index.ts';
import { useState } from 'react';
import { cornerRecord, missingFor, overrideOf, stepsOf } from '../../core/job/index.ts';
import {
  judgeWrench,
  stageUnit,
  standOnBarM,
  walkProcedure,
  type Procedure,
} from '../../core/torque/index.ts';
import { both, clockTime, KGF_M, parseQuantity } from '../../core/units/index.ts';
import { Call, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { VerdictShape, VerdictWord } from '../../ui/Marks.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { JobSheet, StationBody, Tabs, type SheetProps } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { StepsBody } from '../plan/StepsBody.tsx';
import { useTab } from '../shell/useTab.ts';
import { NutFace } from './NutFace.tsx';
import { stageFigure } from './stageFigure.ts';

export default function Torque(props: SheetProps) {
  return (
    <JobSheet {...props} station="torque">
      <Body />
    </JobSheet>
  );
}

type Tab = 'rebuild' | 'nut';
const later = ['shield', 'wheel'];

function Body() {
  const { view } = useJob();
  const rebuilt = stepsOf(view, 'rebuild')
    .filter((s) => !later.includes(s.id))
    .every((s) => view.state.stepsDone.rebuild.includes(s.id));
  const [open, setOpen] = useTab<Tab>(`torque:${view.job.id}`, rebuilt ? 'nut' : 'rebuild');
  const done: Tab[] = [
    ...(rebuilt ? ['rebuild' as const] : []),
    ...(missingFor('torque', view).length === 0 ? ['nut' as const] : []),
  ];
  const tabs: { id: Tab; name: string }[] = [
    { id: 'rebuild', name: 'Rebuild' },
    { id: 'nut', name: view.ctx.procedure?.fastener ?? 'Axle nut' },
  ];
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  if (open === 'rebuild')
    return (
      <StepsBody
        phase="rebuild"
        kicker="Torque, 1 of 2"
        tabs={bar}
        onNext={() => setOpen('nut')}
        skip={later}
      />
    );
  return view.ctx.procedure ? (
    <Nut bar={bar} procedure={view.ctx.procedure} />
  ) : (
    <StationBody
      kicker="Torque, 2 of 2"
      title="No procedure on record"
      tabs={bar}
      picture={
        <p className="note big">
          The lead enters the procedure of this nut from the maker’s data, with its source and who
          checked it. True Spindle never guesses a figure.
        </p>
      }
      side={<Call status="stop">No figure without a source.</Call>}
      actions={<MainAction label="Record" missing="No procedure" />}
    />
  );
}

/** The centre nut, stage by stage; what was read is kept, a correction is a new line. */
function Nut({ bar, procedure: p }: { bar: React.ReactNode; procedure: Procedure }) {
  const { view, send, problem } = useJob();
  const { state, ctx, job } = view;
  const walk = walkProcedure(p, state.stages);
  const finished = walk.current === p.stages.length;
  const stage = p.stages[Math.min(walk.current, p.stages.length - 1)]!;
  const unit = stageUnit(stage);
  const [text, setText, clear] = useDraft(`${job.id}:stage:${stage.id}`);
  const fitting = ctx.wrenches.filter((w) =>
    unit === 'torque' ? w.maxNm !== undefined : w.maxNm === undefined || w.type === 'digital',
  );
  const [toolId, setTool] = useState<string>();
  const able = fitting.find(
    (w) =>
      unit === 'torque' &&
      judgeWrench(w, stage.value ?? 0, new Date(view.nowMs).toISOString().slice(0, 10)).every(
        (v) => v.status === 'good',
      ),
  );
  const tool = fitting.find((w) => w.id === toolId) ?? able ?? fitting[0];
  const toolVerdicts =
    tool && unit === 'torque'
      ? judgeWrench(tool, stage.value!, new Date(view.nowMs).toISOString().slice(0, 10))
      : [];
  const parsed = unit ? parseQuantity(text, unit) : undefined;
  const actual = parsed?.ok ? parsed.value : undefined;
  const [owning, setOwning] = useState(false);
  const unchecked = !p.checkedBy && !overrideOf(state, 'torque.unchecked');
  const record = async () => {
    if (!tool) return;
    if (
      await send('stage-recorded', {
        stageId: stage.id,
        toolId: tool.id,
        ...(unit && actual !== undefined ? { actual, typed: text.trim().slice(0, 40) } : {}),
      })
    )
      clear();
  };
  const finish = async () => {
    if (state.done.includes('torque') || (await send('station-done', { station: 'torque' })))
      location.assign(`/jobs/${job.id}/prove`);
  };
  const last = state.stages.at(-1);
  const lastVerdict = last && walk.verdicts[p.stages.findIndex((s) => s.id === last.stageId)];
  const air = p.stages.slice(walk.current).some((s) => s.wheel === 'air');
  return (
    <StationBody
      kicker={`${p.name}: stage ${Math.min(walk.current + 1, p.stages.length)} of ${p.stages.length}`}
      title={finished ? 'Nut done and locked' : stage.text}
      tabs={bar}
      picture={
        <div className="torque-grid">
          <ol className="stg">
            {p.stages.map((s, i) => {
              const f = stageFigure(s);
              const v = walk.verdicts[i];
              return (
                <li
                  key={s.id}
                  className={i === walk.current ? 'now' : ''}
                  aria-current={i === walk.current ? 'step' : undefined}
                >
                  <span className="i num">{i + 1}</span>
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
          <div className="nut">
            <NutFace
              stage={finished ? undefined : stage}
              actual={actual}
              studs={cornerRecord(view)?.hub?.studs ?? 0}
            />
            {air && !finished && (
              <p className="keep-off">
                <VerdictShape status="check" size={28} />
                <span>
                  <b className="check">Check</b> Keep the wheel off the ground until the last stage
                  is recorded: weight on a loose hub marks the bearing.
                </span>
              </p>
            )}
          </div>
        </div>
      }
      side={
        <>
          <Call
            status={
              unchecked
                ? 'stop'
                : walk.restart
                  ? 'stop'
                  : finished
                    ? 'good'
                    : lastVerdict && lastVerdict.status !== 'good'
                      ? lastVerdict.status
                      : 'check'
            }
          >
            {unchecked
              ? 'Nobody has checked this procedure against the maker’s data.'
              : walk.restart
                ? lastVerdict
                  ? sentence(lastVerdict)
                  : 'Begin again at stage 1.'
                : finished
                  ? 'Every stage is in its window.'
                  : lastVerdict && lastVerdict.status !== 'good'
                    ? sentence(lastVerdict)
                    : stage.why}
          </Call>
          {!finished && !unchecked && (
            <section className="grid gap-2">
              {unit && (
                <QuantityInput
                  label={`Reading, stage ${walk.current + 1}`}
                  dimension={unit}
                  text={text}
                  onText={setText}
                  fault={faultOf(problem, 'actual', 'stageId')}
                  hint={
                    unit === 'torque'
                      ? 'What the wrench showed, N·m or lb·ft'
                      : unit === 'angle'
                        ? 'Degrees past the mark'
                        : 'Turns by hand'
                  }
                />
              )}
              <label className="field">
                <span>Tool</span>
                <select className="pick" value={tool?.id} onChange={(e) => setTool(e.target.value)}>
                  {fitting.map((w) => (
                    <option key={w.id} value={w.id}>
                      {w.name}
                    </option>
                  ))}
                </select>
              </label>
              <VerdictLines verdicts={toolVerdicts} />
              {toolVerdicts.some((v) => v.rule === 'wrench.range' && v.status === 'stop') && (
                <p className="cap">
                  Stop-gap: 80 kg / 176 lb stands {standOnBarM(stage.value!, 80 * KGF_M).toFixed(2)}{' '}
                  m from the nut on a level bar, ±10 % at best; hold on to something and check again
                  with a wrench.
                </p>
              )}
            </section>
          )}
          <section>
            <h2>Procedure</h2>
            <p className="cap">
              {p.fastener}, {p.hexMm} mm hex, thread {p.thread}
              {p.singleUse ? ', new nut each time' : ''}. Source: {p.source}.{' '}
              {p.checkedBy
                ? `Checked by ${p.checkedBy}, ${p.checkedOn}.`
                : overrideOf(state, 'torque.unchecked')
                  ? `Not checked; ${view.people.find((x) => x.id === overrideOf(state, 'torque.unchecked')!.byId)?.name} answers.`
                  : 'Not checked.'}
            </p>
          </section>
          <section>
            <h2>Readings</h2>
            {state.stages.length === 0 && (
              <p className="note">None yet. Nothing is filled in for you.</p>
            )}
            <table className="rows">
              <tbody>
                {[...state.stages]
                  .reverse()
                  .slice(0, 8)
                  .map((r) => (
                    <tr key={r.atMs + r.stageId}>
                      <td>
                        Stage {p.stages.findIndex((s) => s.id === r.stageId) + 1},{' '}
                        {view.people.find((x) => x.id === r.byId)?.name}
                      </td>
                      <td className="n">
                        {clockTime(r.atMs, view.timeZone)} <b>{readingText(p, r)}</b>
                      </td>
                    </tr>
                  ))}
              </tbody>
            </table>
          </section>
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
        unchecked ? (
          <MainAction label="Answer for this procedure" onAct={() => setOwning(true)} />
        ) : finished ? (
          <MainAction label="To Prove" missing={missingFor('torque', view)[0]} onAct={finish} />
        ) : (
          <MainAction
            label={
              unit
                ? `Record${actual === undefined ? '' : ` ${both(actual, unit).value} ${both(actual, unit).unit}`}`
                : 'Locked, seen'
            }
            missing={unit && actual === undefined ? 'Type the reading' : undefined}
            onAct={record}
          />
        )
      }
    />
  );
}

function readingText(p: Procedure, r: { stageId: string; actual?: number | undefined }): string {
  const s = p.stages.find((x) => x.id === r.stageId);
  const unit = s && stageUnit(s);
  if (!unit || r.actual === undefined) return 'seen';
  const b = both(r.actual, unit);
  return `${b.value} ${b.unit}`;
}
