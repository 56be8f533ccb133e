import { type ReactNode, useState } from 'react';
import { cornerRecord, handOf, procedureUnchecked } from '../../core/job/index.ts';
import {
  type Procedure,
  springScale,
  stageUnit,
  threadOnNut,
  walkProcedure,
  wrenchesFor,
} from '../../core/torque/index.ts';
import { isoDay } from '../../core/units/index.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { useJob } from '../shell/useJob.ts';
import { useStandIns } from '../shell/useStandIns.ts';
import { LockPicture } from './LockPicture.tsx';
import { NutActions, type Reading, readingOf } from './NutActions.tsx';
import { NutFace } from './NutFace.tsx';
import { DragReading } from './DragReading.tsx';
import { HandOfThread, KeepOffGround, StageCall } from './StageCall.tsx';
import { StageList } from './StageList.tsx';
import { ProcedureSource, Readings, StageReadingField } from './StageRecord.tsx';
import { ThreadBars } from './ThreadBars.tsx';
import { readAt, ToolAtHand, useToolAtHand } from './ToolAtHand.tsx';
import { spokenStage } from './stageFigure.ts';
import { useDrag } from './useDrag.ts';
import { useCastle } from './useCastle.ts';
import { useSpoken } from './useSpoken.ts';
import { useWrench } from './useWrench.ts';
import { WrenchNow, WrenchPanel } from './WrenchPanel.tsx';
import './torque.css';
import { readTyped } from '../../ui/units.ts';

/** The centre nut, stage by stage; what was read is kept, a correction is a new line. */
export function Nut({
  bar,
  procedure: p,
  onAdjust,
}: {
  bar: ReactNode;
  procedure: Procedure;
  /** To where the end play is read. */
  onAdjust: () => void;
}) {
  const { view, send } = useJob();
  const { state, ctx, job } = view;
  const walk = walkProcedure(p, state.stages);
  const finished = walk.current === p.stages.length;
  const at = Math.min(walk.current, p.stages.length - 1);
  const stage = p.stages[at]!;
  const unit = stageUnit(stage);
  const [text, setText, clear] = useDraft(`${job.id}:stage:${stage.id}`);
  const [owning, setOwning] = useState(false);
  const today = isoDay(view.nowMs, view.timeZone);
  const nm = unit === 'torque' && stage.kind !== 'drag' ? stage.value : undefined;
  const tools = wrenchesFor(
    stage,
    ctx.wrenches.filter((w) => !w.retired),
    today,
  );
  const hand = useToolAtHand(nm, nm === undefined ? tools : ctx.wrenches, today);
  const { tool, way } = hand;
  const parsed = unit ? readTyped(text, unit) : undefined;
  const read = readAt(parsed, nm === undefined ? undefined : way);
  const { actual } = read;
  const unchecked = procedureUnchecked(view);
  const { hand: threadHand } = handOf(view);
  const streamed = useWrench(p, stage, { gain: way?.gain ?? 1, hand: threadHand });
  const standIns = useStandIns();
  const wrench = tool?.type === 'digital' && standIns !== 'off' ? streamed : undefined;
  const pulled = wrench?.ended ? readingOf(wrench) : undefined;
  // What a wrench could not tell is told by the paint mark.
  const typing = !wrench?.running && pulled === undefined;
  const scale = useDrag(stage);
  const drag = stage.kind === 'drag' && !finished ? scale : undefined;
  const castle = useCastle(p);
  const slot = stage.kind === 'lock' ? castle?.stands : undefined;
  const record = async (reading: Reading = drag?.reading ?? pulled ?? read) => {
    const toolId = drag ? springScale : tool?.id;
    if (!toolId) return;
    if (
      !(await send('stage-recorded', {
        stageId: stage.id,
        toolId,
        ...(way && Object.keys(way.through).length > 0 ? { through: way.through } : {}),
        ...(slot ? { slot } : {}),
        ...reading,
      }))
    )
      return;
    clear();
    drag?.clear();
    streamed?.forget();
  };
  const finish = async () => {
    if (state.done.includes('torque') || (await send('station-done', { station: 'torque' })))
      location.assign(`/jobs/${job.id}/prove`);
  };
  const spoken = useSpoken(finished ? 'Nut done and locked' : spokenStage(stage, threadHand));
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
            {stage.kind === 'lock' && !finished && p.locking ? (
              <LockPicture procedure={p} castle={castle} hand={threadHand} />
            ) : (
              <NutFace
                stage={finished ? undefined : stage}
                actual={wrench?.value ?? actual}
                wrench={finished ? undefined : wrench}
                drag={drag}
                studs={cornerRecord(view)?.hub?.studs ?? 0}
                hand={threadHand}
              />
            )}
            {wrench && <WrenchNow wrench={wrench} />}
            {air && !finished && !wrench?.followed && <KeepOffGround />}
          </div>
        </div>
      }
      side={
        <>
          <HandOfThread />
          <StageCall
            procedure={p}
            walk={walk}
            unchecked={unchecked}
            stage={stage}
            wrench={wrench}
          />
          {!finished && !unchecked && stage.kind !== 'end-play' && (
            <section className="grid gap-2">
              {wrench && <WrenchPanel wrench={wrench} stage={stage} />}
              {drag ? (
                <DragReading at={drag} />
              ) : (
                <>
                  {typing && (
                    <StageReadingField
                      stage={stage}
                      at={at}
                      text={text}
                      onText={setText}
                      through={nm === undefined ? undefined : way}
                    />
                  )}
                  <ToolAtHand
                    at={hand}
                    nm={nm}
                    angleDeg={stage.kind === 'angle' ? stage.value : undefined}
                    tools={ctx.wrenches}
                  />
                </>
              )}
            </section>
          )}
          {thread && !unchecked && !finished && (
            <ThreadBars on={thread} torqueNm={stage.value ?? 0} />
          )}
          <ProcedureSource procedure={p} />
          {spoken.can && (
            <label className="opt">
              <span>
                <input type="checkbox" checked={spoken.on} onChange={spoken.toggle} /> Say each
                stage aloud
              </span>
            </label>
          )}
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
          first={walk.current === 0}
          stage={stage}
          actual={drag ? drag.reading?.actual : (pulled?.actual ?? (typing ? actual : undefined))}
          missing={drag?.missing ?? (stage.kind === 'lock' ? castle?.missing : undefined)}
          spoilt={wrench?.next === 'spoilt'}
          pulling={wrench?.running ?? false}
          onAdjust={onAdjust}
          onOwn={() => setOwning(true)}
          onRecord={record}
          onFinish={finish}
        />
      }
    />
  );
}
