import { missingFor, spentNut } from '../../core/job/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import { mayGoUnmeasured, type Stage, stageUnit } from '../../core/torque/index.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { both } from '../../ui/units.ts';
import { useJob } from '../shell/useJob.ts';
import { readingDecimals } from './stageFigure.ts';
import type { WrenchHandle } from './useWrench.ts';

export type Reading = Omit<EventBody<'stage-recorded'>, 'stageId' | 'toolId'>;

/** What goes on record of what a wrench has seen. */
export const readingOf = ({ value, followed, curve, standIn }: WrenchHandle): Reading => ({
  ...(value === undefined ? {} : { actual: value }),
  ...(followed ? { pull: followed.call } : {}),
  ...(standIn ? { standIn } : {}),
  curve,
});

export function NutActions({
  unchecked,
  finished,
  first,
  stage,
  actual,
  missing,
  spoilt,
  pulling,
  onAdjust,
  onOwn,
  onRecord,
  onFinish,
}: {
  unchecked: boolean;
  finished: boolean;
  /** The last reading sent the procedure back to stage 1. */
  /** The first stage comes next. */
  first: boolean;
  stage: Stage;
  actual: number | undefined;
  /** Why there is no figure yet, where it is more than that none was typed. */
  missing?: string | undefined;
  /** The wrench saw what no figure mends. */
  spoilt: boolean;
  /** A wrench is being read just now. */
  pulling: boolean;
  onAdjust: () => void;
  onOwn: () => void;
  onRecord: (reading?: Reading) => void;
  onFinish: () => void;
}) {
  const { view, send } = useJob();
  if (unchecked) return <MainAction label="Answer for this procedure" onAct={onOwn} />;
  if (finished)
    return <MainAction label="To Prove" missing={missingFor('torque', view)[0]} onAct={onFinish} />;
  // Before its first stage a spent nut is replaced here and now: that is the way on.
  const spent = first ? spentNut(view) : undefined;
  if (spent)
    return (
      <MainAction
        label={`New ${spent.name.toLowerCase()} in hand`}
        onAct={() => send('item-marked', { itemId: spent.id, state: 'in-hand' })}
      />
    );
  if (stage.kind === 'end-play') return <MainAction label="Read the end play" onAct={onAdjust} />;
  if (pulling) return <MainAction label="Record" missing="Let go in the band first" />;
  if (spoilt) return <MainAction label="Record that it is spoilt" onAct={() => onRecord()} />;
  const unit = stageUnit(stage);
  if (stage.kind === 'wait')
    return <WaitAction stage={stage} onDone={() => onRecord({ asSaid: true })} />;
  if (!unit) return <MainAction label="Locked, seen" missing={missing} onAct={() => onRecord()} />;
  return (
    <>
      <RecordFigure
        stage={stage}
        unit={unit}
        actual={actual}
        missing={missing}
        onRecord={onRecord}
      />
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
  missing = 'Type the reading',
  onRecord,
}: {
  stage: Stage;
  unit: NonNullable<ReturnType<typeof stageUnit>>;
  actual: number | undefined;
  missing?: string | undefined;
  onRecord: (reading?: Reading) => void;
}) {
  if (actual !== undefined) {
    const shown = both(actual, unit, readingDecimals[stage.kind]);
    return <MainAction label={`Record ${shown.value} ${shown.unit}`} onAct={() => onRecord()} />;
  }
  return mayGoUnmeasured(stage) ? (
    <MainAction label="Done as said, not measured" onAct={() => onRecord({ asSaid: true })} />
  ) : (
    <MainAction label="Record" missing={missing} />
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
