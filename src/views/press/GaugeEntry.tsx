import { Plus } from 'lucide-react';
import { useRef } from 'react';
import { gaugeDimension, type Operation, type Press, readGauge } from '../../core/press/index.ts';

import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { readTyped, systemHere } from '../../ui/units.ts';

/**
 * Gauge and travel, typed while the handle rests; each pair is one point of the strip. Of what comes off the peak alone
 * is enough.
 */
export function GaugeEntry({
  operation,
  press,
  fitting,
}: {
  operation: Operation;
  press: Press;
  fitting: boolean;
}) {
  const { view, send, problem, clear } = useJob();
  const [force, setForce, clearForce] = useDraft(`${view.job.id}:${operation}:force`);
  const [travel, setTravel, clearTravel] = useDraft(`${view.job.id}:${operation}:travel`);
  // What is typed anew is no longer what was refused.
  const typed = (set: (t: string) => void) => (t: string) => {
    if (problem) clear();
    set(t);
  };
  const form = useRef<HTMLFormElement>(null);
  const read = readGauge(force, press, systemHere());
  const turned = read.ok && read.by !== undefined;
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    const peakOnly = !fitting && travel.trim() === '';
    const t = readTyped(travel, 'length');
    if (!read.ok || !(t.ok || peakOnly))
      return form.current?.querySelectorAll('input')[read.ok ? 0 : 1]?.focus();
    const at = t.ok ? { travelMm: t.value } : {};
    const typedText = t.ok ? `${read.typed} at ${t.typed}` : `${read.typed}, the peak`;
    if (
      await send('stroke-reading', {
        operation,
        forceKn: read.forceKn,
        ...at,
        typed: typedText.slice(0, 80),
      })
    ) {
      clearForce();
      clearTravel();
      form.current?.querySelector('input')?.focus();
    }
  };
  const band = read.ok ? read.bandKn : undefined;
  const between = band ? `, ${band.low.toFixed(0)} to ${band.high.toFixed(0)} by its friction` : '';
  return (
    <form ref={form} className="gauge" onSubmit={submit}>
      <QuantityInput
        label={fitting ? 'Travel' : 'Travel, if read'}
        dimension="length"
        decimals={1}
        text={travel}
        onText={typed(setTravel)}
        fault={faultOf(problem, 'travelMm')}
      />
      <QuantityInput
        label={press.screw ? 'Wrench or gauge' : 'Gauge'}
        dimension={gaugeDimension(press)}
        text={force}
        onText={typed(setForce)}
        fault={
          faultOf(problem, 'forceKn') ?? (read.ok || force.trim() === '' ? undefined : read.reason)
        }
        {...(turned ? { said: `${read.forceKn.toFixed(1)} kN by the ${read.by}${between}` } : {})}
        {...(press.screw && read.ok && !turned ? { said: `${read.forceKn.toFixed(1)} kN` } : {})}
      />
      <button type="submit" className="btn quiet small" aria-label="Add reading">
        <Plus aria-hidden="true" />
      </button>
    </form>
  );
}
