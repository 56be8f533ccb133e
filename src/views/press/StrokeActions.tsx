import { reasonOf, traceRefusal } from '../../core/job/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { useJob } from '../shell/useJob.ts';
import type { Stroke } from './useStroke.ts';

/** What is done next with this stroke: read the caution, record it, go on. */
export function StrokeActions({
  stroke,
  cautionRead,
  running,
  readings,
  onRecord,
  onNext,
}: {
  stroke: Stroke;
  cautionRead: boolean;
  running: boolean;
  readings: number;
  onRecord: () => void;
  onNext: () => void;
}) {
  const { view, send } = useJob();
  const { setup, operation, recorded, refused, stack, judgement } = stroke;
  if (recorded)
    return (
      <MainAction
        label="Next"
        onAct={onNext}
        missing={recorded.status === 'stop' ? 'The stroke is not right yet' : undefined}
      />
    );
  if (!cautionRead)
    return (
      <MainAction
        label="Glasses on, guard shut: read"
        onAct={() => send('caution-read', { cautionId: 'press' })}
      />
    );
  const again = traceRefusal(operation, setup.press.id, view);
  const blows = setup.press.kind === 'hammer';
  return (
    <MainAction
      label={setup.requirement.fitting ? 'Record seat' : 'Record stroke'}
      missing={firstThat(
        [refused, refused && reasonOf(refused)],
        [judgement?.status === 'stop', 'The stack is Stop'],
        [!stack, 'No stack'],
        [running, 'The ram is under load: release it first'],
        [again, again && reasonOf(again)],
        [!blows && readings === 0, 'Type the gauge first'],
      )}
      onAct={onRecord}
    />
  );
}
