import { unmeasured } from '../../core/card/index.ts';
import { overrideOf } from '../../core/job/index.ts';
import {
  type Procedure,
  type Stage,
  type StageReading,
  stageUnit,
  type ToolWay,
} from '../../core/torque/index.ts';
import { clockTime } from '../../core/units/index.ts';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { both } from '../../ui/units.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { readingDecimals } from './stageFigure.ts';
import { atTheWrench } from './ToolAtHand.tsx';

const hints: Partial<Record<Stage['kind'], string>> = {
  torque: 'What the wrench showed, N·m or lb·ft',
  angle: 'Degrees past the mark',
  'back-off': 'Degrees past the mark',
  'turn-hub': 'Turns by hand',
  recheck: 'What the wrench showed, N·m or lb·ft',
};

export function StageReadingField({
  stage,
  at,
  text,
  onText,
  through,
}: {
  stage: Stage;
  at: number;
  text: string;
  onText: (text: string) => void;
  /** The tool that shows the torque, with what stands between; undefined for an angle or a turn. */
  through: ToolWay | undefined;
}) {
  const { problem } = useJob();
  const unit = stageUnit(stage);
  if (!unit) return null;
  const turns = Number(text) || 0;
  const other = atTheWrench(text, through);
  return (
    <>
      <QuantityInput
        label={`Reading${other?.where ?? ''}, stage ${at + 1}`}
        dimension={unit}
        text={text}
        onText={onText}
        fault={faultOf(problem, 'actual', 'shown', 'stageId')}
        hint={other?.hint ?? hints[stage.kind]}
        {...(other?.said ? { said: other.said } : {})}
      />
      {stage.kind === 'turn-hub' && (
        <button type="button" className="btn quiet" onClick={() => onText(String(turns + 1))}>
          One more turn
        </button>
      )}
    </>
  );
}

/** Who stands behind the figures. */
function checkedWords(p: Procedure, answeredBy: string | undefined): string {
  if (p.checkedBy) return `Checked by ${p.checkedBy}, ${p.checkedOn}.`;
  return answeredBy ? `Not checked; ${answeredBy} answers.` : 'Not checked.';
}

export function ProcedureSource({ procedure: p }: { procedure: Procedure }) {
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
export function Readings({ procedure: p }: { procedure: Procedure }) {
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
  const shown = both(r.actual, unit, readingDecimals[stage.kind]);
  return `${shown.value} ${shown.unit}`;
}
