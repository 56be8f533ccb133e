import { undoneBy } from '../../core/families/index.ts';
import { dangerOf, reasonOf, traceRefusal } from '../../core/job/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { useJob } from '../shell/useJob.ts';
import { TakeApart } from './TakeApart.tsx';
import { mayBegin, type Stroke } from './useStroke.ts';

/** What is done next with this stroke: read the caution, record it, go on. */
export function StrokeActions({
  stroke,
  cautionRead,
  running,
  keeping,
  unread,
  onRecord,
  onMeasure,
  onNext,
  onAgain,
}: {
  stroke: Stroke;
  cautionRead: boolean;
  running: boolean;
  /** The trace of the gauge is not there yet. */
  keeping: boolean;
  /** Nothing of the gauge is there yet. */
  unread: boolean;
  onRecord: () => void;
  /** Asks for the figure that the stack waits for. */
  onMeasure: () => void;
  onNext: () => void;
  onAgain: () => void;
}) {
  const { view, send } = useJob();
  const { setup, operation, recorded, refused, stack, judgement } = stroke;
  if (recorded) {
    const { fitting } = setup.requirement;
    // What is wrong is made again; what was fitted since comes out again.
    const fitted = undoneBy(operation).some((o) => o in view.state.strokes);
    const first = recorded.status === 'stop' || fitted;
    const again = !mayBegin(operation, view) && (
      <button type="button" className={first ? 'btn main' : 'btn quiet'} onClick={onAgain}>
        {againWord(fitting, fitted)}
      </button>
    );
    return (
      <>
        {first ? again : <MainAction label="Next" onAct={onNext} />}
        {fitting && <TakeApart operation={operation} />}
        {!first && again}
      </>
    );
  }
  const [asked] = stroke.open;
  if (asked && (!refused || refused.rule === 'press.caution'))
    return <MainAction label={`Measure ${asked.figure.name.toLowerCase()}`} onAct={onMeasure} />;
  if (!cautionRead)
    return (
      <MainAction
        label={
          setup.press.kind === 'hammer'
            ? 'Glasses on, nobody in line: read'
            : 'Glasses on, guard shut: read'
        }
        onAct={() => send('caution-read', { cautionId: dangerOf(setup.press) })}
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
        [keeping, 'The trace is being kept'],
        [again, again && reasonOf(again)],
        [!blows && unread, 'Type the gauge first'],
      )}
      onAct={onRecord}
    />
  );
}

function againWord(fitting: boolean, fitted: boolean): string {
  if (fitting) return 'Press again';
  return fitted ? 'Press out again' : 'Again';
}
