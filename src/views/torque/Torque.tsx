import { adjustOf, fastenersOf, isRebuilt, isTightened, missingFor } from '../../core/job/index.ts';
import { StepsBody } from '../plan/StepsBody.tsx';
import { JobSheet, type SheetProps, Tabs } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useMovesOn } from '../shell/useMovesOn.ts';
import { useTab } from '../shell/useTab.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { Adjust } from './Adjust.tsx';
import { FastenerRunner } from './FastenerRunner.tsx';
import { Nut } from './Nut.tsx';
import { ProcedureEditor } from './ProcedureEditor.tsx';

export default function Torque(props: SheetProps) {
  return (
    <JobSheet {...props} station="torque">
      <Body />
    </JobSheet>
  );
}

type Tab = 'rebuild' | 'nut' | 'adjust' | 'fasteners';

function Body() {
  const { view } = useJob();
  const rebuilt = isRebuilt(view);
  const [open, setOpen] = useTab<Tab>(`torque:${view.job.id}`, rebuilt ? 'nut' : 'rebuild');
  const adjust = adjustOf(view);
  const fasteners = fastenersOf(view).filter((f) => f.answeredBy === undefined);
  const done: Tab[] = [
    ...(rebuilt ? ['rebuild' as const] : []),
    ...(missingFor('torque', view).length === 0 ? ['nut' as const] : []),
    ...(adjust?.isDone ? ['adjust' as const] : []),
    ...(fasteners.every(isTightened) ? ['fasteners' as const] : []),
  ];
  const tabs: { id: Tab; name: string }[] = [
    { id: 'rebuild', name: 'Rebuild' },
    { id: 'nut', name: view.ctx.procedure?.fastener ?? 'Axle nut' },
    ...(adjust ? [{ id: 'adjust' as const, name: 'Adjust' }] : []),
    { id: 'fasteners', name: 'Fasteners' },
  ];
  useMovesOn(open, open === 'rebuild' && rebuilt, () => setOpen('nut'));
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  if (open === 'rebuild')
    return (
      <StepsBody phase="rebuild" kicker="Torque, 1 of 3" tabs={bar} onNext={() => setOpen('nut')} />
    );
  if (open === 'fasteners')
    return (
      <FastenerRunner
        all={fasteners}
        bar={bar}
        kicker={`Fasteners: ${fasteners.filter(isTightened).length} of ${fasteners.length} read`}
        after={<MainAction label="To the nut" onAct={() => setOpen('nut')} />}
      />
    );
  if (open === 'adjust' && adjust)
    return <Adjust bar={bar} now={adjust} onNut={() => setOpen('nut')} />;
  if (view.ctx.procedure)
    return <Nut bar={bar} procedure={view.ctx.procedure} onAdjust={() => setOpen('adjust')} />;
  return <ProcedureEditor bar={bar} />;
}
