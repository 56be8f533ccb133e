import { judgeStroke, type Stack } from '../../core/press/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { Dialog, Frame, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import type { Stroke } from './useStroke.ts';

/** Keeps the stroke: peak of the readings, and the seat depth measured with the ram released. */
export function RecordDialog({ stroke: { operation, bench, readings }, stack, onClose }: { stroke: Stroke; stack: Stack; onClose: () => void }) {
  const { view, send, problem } = useJob();
  const fitting = operation.endsWith('in');
  const [depth, setDepth, clear] = useDraft(`${view.job.id}:${operation}:depth`);
  const parsed = parseQuantity(depth, 'length');
  const peakKn = Math.max(...readings.map((r) => r.forceKn));
  const depthMm = fitting && parsed.ok ? parsed.value : undefined;
  const verdict = !fitting || depthMm !== undefined ? judgeStroke({ peakKn, ...(depthMm === undefined ? {} : { depthMm }) }, operation, bench.requirement, bench.forceKn) : undefined;
  const record = async (e: React.FormEvent) => {
    e.preventDefault();
    if (fitting && depthMm === undefined) return;
    const ids = { ...(stack.cap ? { capId: stack.cap.id } : {}), pusherId: stack.pusher.id, supportId: stack.support.id };
    if (await send('stroke-recorded', { operation, pressId: bench.press.id, stack: ids, peakKn, ...(depthMm === undefined ? {} : { depthMm }) })) {
      clear();
      onClose();
    }
  };
  return (
    <Dialog title={fitting ? 'Record seat' : 'Record stroke'} onClose={onClose}>
      <form className="grid gap-3" onSubmit={record}>
        <Frame name="Peak" value={`${peakKn.toFixed(1)} kN`} limit={`${bench.forceKn.low.toFixed(1)}–${bench.forceKn.high.toFixed(1)}`} />
        {fitting && <QuantityInput autoFocus label={operation === 'bearing-in' ? 'Seat depth, knuckle face to where the ring seats' : 'Travel of the hub to the ring, measured'} dimension="length" text={depth} onText={setDepth} fault={faultOf(problem, 'depthMm')} hint={`Plan ${bench.requirement.travelMm.toFixed(1)} ± 0.3 mm. Release the ram, then measure.`} />}
        {verdict && <VerdictLines verdicts={verdict.verdicts} />}
        <div className="foot"><button type="submit" className={`btn ${verdict ? 'main' : 'notyet'}`}>{verdict ? 'Keep it' : 'Type the measured depth'}</button></div>
      </form>
    </Dialog>
  );
}
