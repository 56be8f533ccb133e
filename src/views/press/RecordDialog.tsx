import {
  judgeStroke,
  type Operation,
  seatToleranceMm,
  type Stack,
} from '../../core/press/index.ts';

import { Dialog, Frame, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { peakOf, recordOf, type Stroke } from './useStroke.ts';
import { readTyped } from '../../ui/units.ts';

/** What is measured after the stroke, with the ram released. */
const depthOf: Partial<Record<Operation, string>> = {
  'bearing-in': 'Seat depth, knuckle face to where the ring seats',
  'hub-in': 'Travel of the hub to the ring, measured',
  'cartridge-in': 'Travel of the cartridge until the shoulder stands',
  'shaft-bearing-on': 'Travel of the bearing to the shoulder',
  'press-ring-on': 'Travel of the ring to the bearing',
  'bearing-and-ring-on': 'Travel of both until the bearing stands',
  'shell-in': 'Depth of the shell from where it entered',
  'seal-in': 'Depth of the seal’s inner end',
  'stud-in': 'Travel of the stud until its head stands',
};

/** Keeps a fitting stroke: the seat depth is measured with the ram released; the peak is of its readings. */
export function RecordDialog({
  stroke,
  stack,
  onClose,
}: {
  stroke: Stroke;
  stack: Stack;
  onClose: () => void;
}) {
  const { view, send, problem } = useJob();
  const { operation, setup } = stroke;
  const { travelMm } = setup.requirement;
  const [depth, setDepth, clear] = useDraft(`${view.job.id}:${operation}:depth`);
  const parsed = readTyped(depth, 'length');
  const depthMm = parsed.ok ? parsed.value : undefined;
  const peakKn = peakOf(stroke);
  const verdict =
    depthMm === undefined ? undefined : judgeStroke({ peakKn, depthMm }, setup, stroke.way);
  const record = async (e: React.FormEvent) => {
    e.preventDefault();
    if (depthMm === undefined) return;
    if (await send('stroke-recorded', recordOf(stroke, stack, depthMm))) {
      clear();
      onClose();
    }
  };
  return (
    <Dialog title="Record seat" onClose={onClose}>
      <form className="grid gap-3" onSubmit={record}>
        {peakKn !== undefined && (
          <Frame
            name="Peak"
            value={`${peakKn.toFixed(1)} kN`}
            limit={`${setup.forceKn.low.toFixed(1)}–${setup.forceKn.high.toFixed(1)}`}
          />
        )}
        <QuantityInput
          autoFocus
          label={depthOf[operation] ?? 'Depth of the ring from where it entered'}
          dimension="length"
          text={depth}
          onText={setDepth}
          fault={faultOf(problem, 'depthMm')}
          hint={`Plan ${travelMm.toFixed(1)} ± ${seatToleranceMm} mm. Release the ram, then measure.`}
        />
        {verdict && <VerdictLines verdicts={verdict.verdicts} />}
        <div className="foot">
          <button type="submit" className={`btn ${verdict ? 'main' : 'notyet'}`}>
            {verdict ? 'Keep it' : 'Type the measured depth'}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
