import { useEffect, useState } from 'react';
import { confirmed, missingFor } from '../../core/job/index.ts';
import { p1Steps, walkSteps } from '../../core/families/index.ts';
import { JobSheet, Tabs, type SheetProps } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { StepsBody } from '../plan/StepsBody.tsx';
import { FactBody } from './FactBody.tsx';
import { OldPartBody } from './OldPartBody.tsx';
import { SeatReadBody } from './SeatReadBody.tsx';
import { StrokeBody } from './StrokeBody.tsx';

export default function PressOut(props: SheetProps) {
  return <JobSheet {...props} station="press-out"><Body /></JobSheet>;
}

const tabs = [{ id: 'strip', name: 'Strip' }, { id: 'hub', name: 'Hub' }, { id: 'ring', name: 'Ring' }, { id: 'bearing', name: 'Bearing' }, { id: 'old', name: 'Old part' }, { id: 'seats', name: 'Seats' }] as const;
type Tab = (typeof tabs)[number]['id'];

/** Strip, two strokes, then the bench: the old part and the seats. */
function Body() {
  const { view, send } = useJob();
  const { state } = view;
  const strip = walkSteps(p1Steps, 'strip');
  const done: Tab[] = [
    ...(strip.every((s) => state.stepsDone.strip.includes(s.id)) ? ['strip' as const] : []),
    ...(state.strokes['hub-out'] ? ['hub' as const] : []),
    ...(state.facts.includes('inner-ring-off') && state.facts.includes('snap-ring-out') ? ['ring' as const] : []),
    ...(state.strokes['bearing-out'] ? ['bearing' as const] : []),
    ...(confirmed(view) ? ['old' as const] : []),
    ...(state.seats.bore && state.seats.journal ? ['seats' as const] : []),
  ];
  const firstOpen = tabs.find((t) => !done.includes(t.id))?.id ?? 'seats';
  const [open, setOpen] = useTab<Tab>(`press-out:${view.job.id}`, firstOpen);
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  const kicker = `Press out, ${tabs.findIndex((t) => t.id === open) + 1} of ${tabs.length}`;
  const next = () => setOpen(tabs[Math.min(tabs.length - 1, tabs.findIndex((t) => t.id === open) + 1)]!.id);
  const finish = async () => { if (state.done.includes('press-out') || (await send('station-done', { station: 'press-out' }))) location.assign(`/jobs/${view.job.id}/press-in`); };
  switch (open) {
    case 'strip': return <StepsBody phase="strip" kicker={kicker} tabs={bar} onNext={next} />;
    case 'hub': return <StrokeBody key="hub-out" operation="hub-out" kicker={kicker} tabs={bar} onNext={next} />;
    case 'ring': return <FactBody kicker={kicker} title="Rings off before the next stroke" tabs={bar} onNext={next} facts={['inner-ring-off', 'snap-ring-out']} />;
    case 'bearing': return <StrokeBody key="bearing-out" operation="bearing-out" kicker={kicker} tabs={bar} onNext={next} />;
    case 'old': return <OldPartBody kicker={kicker} tabs={bar} onNext={next} />;
    case 'seats': return <SeatReadBody kicker={kicker} tabs={bar} onDone={finish} missing={missingFor('press-out', view)[0]} />;
  }
}

/** The open tab: where the work stands at first, then where the hand went; kept over a reload. */
export function useTab<T extends string>(key: string, first: T): [T, (t: T) => void] {
  const [open, setOpen] = useState<T>(first);
  useEffect(() => {
    const kept = sessionStorage.getItem(`tab:${key}`);
    if (kept) setOpen(kept as T);
  }, [key]);
  return [open, (t) => { setOpen(t); sessionStorage.setItem(`tab:${key}`, t); }];
}
