import { AddOneBack } from '../../ui/AddOneBack.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { both } from '../../ui/units.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import type { Dragging } from './useDrag.ts';

/** What the scale showed, one reading after another; the one that started the hub is struck out. */
export function DragReading({ at }: { at: Dragging }) {
  const { problem } = useJob();
  return (
    <>
      <QuantityInput
        label={at.forcesN.length === 0 ? 'To start the hub' : 'While it turns'}
        dimension="pull"
        hint="What the scale shows, N or lbf"
        fault={faultOf(problem, 'drag', 'actual')}
        {...at.force}
      />
      <AddOneBack
        label="Add this reading"
        ready={at.ready}
        some={at.forcesN.length > 0}
        onAdd={at.add}
        onBack={at.back}
      />
      {at.forcesN.length > 0 && (
        <ol className="play-times" aria-label="Readings of the scale, N">
          {at.forcesN.map((n, i) => (
            <li key={i} className="num">
              {i === 0 ? (
                <>
                  <s>{n}</s> N, not read
                </>
              ) : (
                `${n} N`
              )}
            </li>
          ))}
          {at.reading && (
            <li className="num mean">{both(at.reading.actual, 'torque', 2).value} N·m</li>
          )}
        </ol>
      )}
      <QuantityInput
        compact
        label="Arm: middle of the hub to the scale"
        dimension="length"
        decimals={0}
        {...at.radius}
      />
      <QuantityInput
        compact
        label="The seal alone drags, where it was read"
        dimension="torque"
        decimals={2}
        {...at.seal}
      />
    </>
  );
}
