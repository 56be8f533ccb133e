import { encoderState, missingFor } from '../../core/job/index.ts';
import { JobSheet, Tabs, type SheetProps } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { EncoderBody } from './EncoderBody.tsx';
import { FactBody } from './FactBody.tsx';
import { useTab } from './PressOut.tsx';
import { SeatVerdictBody } from './SeatVerdictBody.tsx';
import { StrokeBody } from './StrokeBody.tsx';

export default function PressIn(props: SheetProps) {
  return <JobSheet {...props} station="press-in"><Body /></JobSheet>;
}

const tabs = [{ id: 'seats', name: 'Seats' }, { id: 'encoder', name: 'Encoder' }, { id: 'bearing', name: 'Bearing' }, { id: 'ring', name: 'Snap ring' }, { id: 'hub', name: 'Hub' }, { id: 'turn', name: 'Turn' }] as const;
type Tab = (typeof tabs)[number]['id'];

/** Verdict on the seats, encoder side, two strokes with the ring between, a turn by hand. */
function Body() {
  const { view, send } = useJob();
  const { state } = view;
  const done: Tab[] = [
    ...(state.seatDecisions.bore && state.seatDecisions.journal ? ['seats' as const] : []),
    ...(['no-encoder', 'right'].includes(encoderState(view)) ? ['encoder' as const] : []),
    ...(state.strokes['bearing-in'] ? ['bearing' as const] : []),
    ...(state.facts.includes('snap-ring-fitted') && state.facts.includes('shield-on') ? ['ring' as const] : []),
    ...(state.strokes['hub-in'] ? ['hub' as const] : []),
    ...(state.facts.includes('turns-smoothly') && state.facts.includes('no-gap') ? ['turn' as const] : []),
  ];
  const firstOpen = tabs.find((t) => !done.includes(t.id))?.id ?? 'turn';
  const [open, setOpen] = useTab<Tab>(`press-in:${view.job.id}`, firstOpen);
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  const kicker = `Press in, ${tabs.findIndex((t) => t.id === open) + 1} of ${tabs.length}`;
  const next = () => setOpen(tabs[Math.min(tabs.length - 1, tabs.findIndex((t) => t.id === open) + 1)]!.id);
  const finish = async () => { if (state.done.includes('press-in') || (await send('station-done', { station: 'press-in' }))) location.assign(`/jobs/${view.job.id}/torque`); };
  switch (open) {
    case 'seats': return <SeatVerdictBody kicker={kicker} tabs={bar} onNext={next} />;
    case 'encoder': return <EncoderBody kicker={kicker} tabs={bar} onNext={next} />;
    case 'bearing': return <StrokeBody key="bearing-in" operation="bearing-in" kicker={kicker} tabs={bar} onNext={next} />;
    case 'ring': return <FactBody kicker={kicker} title="What goes in before the hub" tabs={bar} onNext={next} facts={['snap-ring-fitted', 'shield-on']} />;
    case 'hub': return <StrokeBody key="hub-in" operation="hub-in" kicker={kicker} tabs={bar} onNext={next} />;
    case 'turn': return <FactBody kicker={kicker} title="Does it turn as it should?" tabs={bar} onNext={finish} facts={['turns-smoothly', 'no-gap']} nextLabel="To Torque" missing={missingFor('press-in', view)[0]} />;
  }
}
