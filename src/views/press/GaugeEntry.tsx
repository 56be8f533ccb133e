import { useRef } from 'react';
import { Plus } from 'lucide-react';
import { parseQuantity } from '../../core/units/index.ts';
import { fromPressureText, type Operation } from '../../core/press/index.ts';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';

/** Gauge and travel, typed while the handle rests; each pair is one point of the strip. */
export function GaugeEntry({ operation }: { operation: Operation }) {
  const { view, send, problem } = useJob();
  const [force, setForce, clearForce] = useDraft(`${view.job.id}:${operation}:force`);
  const [travel, setTravel, clearTravel] = useDraft(`${view.job.id}:${operation}:travel`);
  const form = useRef<HTMLFormElement>(null);
  // A gauge may read pressure: force by the piston of the press.
  const press = view.ctx.presses[0];
  const pressure = press && fromPressureText(force, press);
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    const f = pressure?.ok ? { ok: true as const, value: pressure.forceKn, typed: force.trim() } : pressure ? { ok: false as const } : parseQuantity(force, 'force');
    const t = parseQuantity(travel, 'length');
    if (!f.ok || !t.ok) return form.current?.querySelectorAll('input')[f.ok ? 0 : 1]?.focus();
    if (await send('stroke-reading', { operation, forceKn: f.value, travelMm: t.value, typed: `${f.typed} at ${t.typed}`.slice(0, 80) })) {
      clearForce();
      clearTravel();
      form.current?.querySelector('input')?.focus();
    }
  };
  return (
    <form ref={form} className="gauge" onSubmit={submit}>
      <QuantityInput label="Travel" dimension="length" decimals={1} text={travel} onText={setTravel} fault={faultOf(problem, 'travelMm')} />
      <QuantityInput label="Gauge" dimension="force" text={force} onText={setForce} fault={faultOf(problem, 'forceKn') ?? (pressure && !pressure.ok ? pressure.reason : undefined)} {...(pressure?.ok ? { said: `${pressure.forceKn.toFixed(1)} kN by the piston` } : {})} />
      <button type="submit" className="btn q small" aria-label="Add reading"><Plus aria-hidden="true" /></button>
    </form>
  );
}
