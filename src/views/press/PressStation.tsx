import type { Task } from '../../core/families/index.ts';
import { owedAt, taskDone, walkOf, workOf } from '../../core/job/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { StepsBody } from '../plan/StepsBody.tsx';
import { JobSheet, type SheetProps, StationBody, Tabs } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useMovesOn } from '../shell/useMovesOn.ts';
import { useTab } from '../shell/useTab.ts';
import { FactBody } from './FactBody.tsx';
import { OldPartBody } from './OldPartBody.tsx';
import { SeatReadBody } from './SeatReadBody.tsx';
import { SeatVerdictBody } from './SeatVerdictBody.tsx';
import { StrokeBody } from './StrokeBody.tsx';
import './press.css';
import { late } from '../../ui/late.tsx';

// Few bearings have an encoder: its part comes with its tab.
const EncoderBody = late(async () => (await import('./EncoderBody.tsx')).EncoderBody);

type Station = 'press-out' | 'press-in';
const after: Record<Station, { id: string; label: string }> = {
  'press-out': { id: 'press-in', label: 'To Press in' },
  'press-in': { id: 'torque', label: 'To Torque' },
};

/** Press out or press in: the tasks of the job's family in the order of the metal, one tab each. */
export function PressStation({ station, ...props }: SheetProps & { station: Station }) {
  return (
    <JobSheet {...props} station={station}>
      <Body station={station} />
    </JobSheet>
  );
}

/** A wheel stud is changed only where one is damaged, so its strokes wait behind the others: out, then in. */
const studTask = (out: boolean): Task => ({
  id: 'stud',
  name: 'Stud',
  kind: 'stroke',
  operation: out ? 'stud-in' : 'stud-out',
  spare: true,
});

function Body({ station }: { station: Station }) {
  const { view, send } = useJob();
  const walk = walkOf(view);
  const own = (station === 'press-out' ? walk?.out : walk?.in) ?? [];
  const studs =
    workOf(view)?.stud && station === 'press-in'
      ? [studTask(view.state.strokes['stud-out'] !== undefined)]
      : [];
  const tasks = [...own, ...studs];
  const done = tasks.filter((t) => taskDone(t, view)).map((t) => t.id);
  const firstOpen = own.find((t) => !done.includes(t.id))?.id ?? own.at(-1)?.id ?? '';
  const [open, setOpen] = useTab(`${station}:${view.job.id}`, firstOpen);
  const at = Math.max(
    0,
    tasks.findIndex((t) => t.id === open),
  );
  const task = tasks[at];
  useMovesOn(task?.id, task !== undefined && done.includes(task.id), () => {
    const following = own[at + 1];
    if (at < own.length - 1 && following && task?.kind !== 'stroke') setOpen(following.id);
  });
  const name = station === 'press-out' ? 'Press out' : 'Press in';
  if (!task)
    return (
      <StationBody
        kicker={name}
        title="Not walked here"
        picture={<p className="note big">This family is worked by the maker’s instructions.</p>}
        side={<Call status="stop">Nothing to press for this family.</Call>}
        actions={<MainAction label="Next" missing="Not walked in this version" />}
      />
    );
  const tabs = <Tabs tabs={tasks} open={task.id} done={done} onOpen={setOpen} />;
  const kicker =
    task.kind === 'stroke' && task.spare
      ? `${name}, where one is damaged`
      : `${name}, ${at + 1} of ${own.length}`;
  const [owed] = owedAt(station, view);
  const missing = owed && sentence(owed);
  const finish = async () => {
    if (view.state.done.includes(station) || (await send('station-done', { station })))
      location.assign(`/jobs/${view.job.id}/${after[station].id}`);
  };
  const last = at === own.length - 1;
  const next = () => setOpen(own[at + 1]?.id ?? firstOpen);
  switch (task.kind) {
    case 'strip':
      return <StepsBody phase="strip" kicker={kicker} tabs={tabs} onNext={next} />;
    case 'stroke':
      return (
        <StrokeBody
          key={task.operation}
          operation={task.operation}
          kicker={kicker}
          tabs={tabs}
          onNext={next}
        />
      );
    case 'facts':
      return (
        <FactBody
          kicker={kicker}
          title={task.title}
          tabs={tabs}
          facts={task.facts}
          onNext={last ? finish : next}
          {...(last
            ? {
                nextLabel: after[station].label,
                // What is asked on this very tab is not missing: it is answered here.
                missing: owed?.fact && task.facts.includes(owed.fact) ? undefined : missing,
              }
            : {})}
        />
      );
    case 'old':
      return <OldPartBody kicker={kicker} tabs={tabs} onNext={last ? finish : next} />;
    case 'seats':
      return <SeatReadBody kicker={kicker} tabs={tabs} onDone={finish} missing={missing} />;
    case 'verdict':
      return <SeatVerdictBody kicker={kicker} tabs={tabs} onNext={next} />;
    case 'encoder':
      return <EncoderBody kicker={kicker} tabs={tabs} onNext={next} />;
  }
}
