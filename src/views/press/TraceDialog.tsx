import type { Setup } from '../../core/press/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import { Dialog } from '../../ui/Panels.tsx';
import { late } from '../../ui/late.tsx';

// Charts are heavy and only a look back needs them.
const TraceChart = late(
  async () => (await import('./TraceChart.tsx')).default,
  () => <p className="note">Opening the chart…</p>,
);

/** A recorded stroke, looked at again. */
export function TraceDialog({
  trace,
  setup,
  onClose,
}: {
  trace: EventBody<'stroke-traced'>;
  setup: Setup;
  onClose: () => void;
}) {
  return (
    <Dialog title={`The stroke again: ${trace.call}`} onClose={onClose}>
      <TraceChart trace={trace} setup={setup} />
      <p className="cap num">
        {trace.samples.length} readings by the {trace.gauge},{' '}
        {((trace.samples.at(-1)![0]! - trace.samples[0]![0]!) / 1000).toFixed(1)} s. Drag or wheel
        to zoom.
      </p>
    </Dialog>
  );
}
