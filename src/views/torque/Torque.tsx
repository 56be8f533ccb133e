import { isRebuilt, missingFor } from '../../core/job/index.ts';
import { StepsBody } from '../plan/StepsBody.tsx';
import { JobSheet, type SheetProps, Tabs } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useMovesOn } from '../shell/useMovesOn.ts';
import { useTab } from '../shell/useTab.ts';
import { Nut } from './Nut.tsx';
import { ProcedureEditor } from './ProcedureEditor.tsx';

export default function Torque(props: SheetProps) {
  return (
    <JobSheet {...props} station="torque">
      <Body />
    </JobSheet>
  );
}

type Tab = 'rebuild' | 'nut';

function Body() {
  const { view } = useJob();
  const rebuilt = isRebuilt(view);
  const [open, setOpen] = useTab<Tab>(`torque:${view.job.id}`, rebuilt ? 'nut' : 'rebuild');
  const done: Tab[] = [
    ...(rebuilt ? ['rebuild' as const] : []),
    ...(missingFor('torque', view).length === 0 ? ['nut' as const] : []),
  ];
  const tabs: { id: Tab; name: string }[] = [
    { id: 'rebuild', name: 'Rebuild' },
    { id: 'nut', name: view.ctx.procedure?.fastener ?? 'Axle nut' },
  ];
  useMovesOn(open, open === 'rebuild' && rebuilt, () => setOpen('nut'));
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  if (open === 'rebuild')
    return (
      <StepsBody phase="rebuild" kicker="Torque, 1 of 2" tabs={bar} onNext={() => setOpen('nut')} />
    );
  if (view.ctx.procedure) return <Nut bar={bar} procedure={view.ctx.procedure} />;
  return <ProcedureEditor bar={bar} />;
}
