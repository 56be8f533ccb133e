import { Plus } from 'lucide-react';
import { useRef } from 'react';
import {
  fromPressureText,
  type Operation,
  type Press,
  screwForceKn,
  type ScrewTool,
} from '../../core/press/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';

/** Gauge and travel, typed while the handle rests; each pair is one point of the strip. */
export function GaugeEntry({ operation, press }: { operation: Operation; press: Press }) {
  const { view, send, problem, clear } = useJob();
  const [force, setForce, clearForce] = useDraft(`${view.job.id}:${operation}:force`);
  const [travel, setTravel, clearTravel] = useDraft(`${view.job.id}:${operation}:travel`);
  // What is typed anew is no longer what was refused.
  const typed = (set: (t: string) => void) => (t: string) => {
    if (problem) clear();
    set(t);
  };
  const form = useRef<HTMLFormElement>(null);
  // A gauge may read pressure, and a wrench on a screw torque: force by the piston, or by the greased thread.
  const other = press.screw ? fromTorque(force, press.screw) : fromPressureText(force, press);
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    const converted = other?.ok && { ok: true as const, value: other.forceKn, typed: force.trim() };
    const f = other ? converted || { ok: false as const } : parseQuantity(force, 'force');
    const t = parseQuantity(travel, 'length');
    if (!f.ok || !t.ok) return form.current?.querySelectorAll('input')[f.ok ? 0 : 1]?.focus();
    if (
      await send('stroke-reading', {
        operation,
        forceKn: f.value,
        travelMm: t.value,
        typed: `${f.typed} at ${t.typed}`.slice(0, 80),
      })
    ) {
      clearForce();
      clearTravel();
      form.current?.querySelector('input')?.focus();
    }
  };
  return (
    <form ref={form} className="gauge" onSubmit={submit}>
      <QuantityInput
        label="Travel"
        dimension="length"
        decimals={1}
        text={travel}
        onText={typed(setTravel)}
        fault={faultOf(problem, 'travelMm')}
      />
      <QuantityInput
        label={press.screw ? 'Wrench or gauge' : 'Gauge'}
        dimension="force"
        text={force}
        onText={typed(setForce)}
        fault={faultOf(problem, 'forceKn') ?? (other && !other.ok ? other.reason : undefined)}
        {...(other?.ok
          ? { said: `${other.forceKn.toFixed(1)} kN by the ${press.screw ? 'thread' : 'piston'}` }
          : {})}
      />
      <button type="submit" className="btn quiet small" aria-label="Add reading">
        <Plus aria-hidden="true" />
      </button>
    </form>
  );
}

/** Force of the greased screw from a torque with its unit; undefined where the text is a force. */
function fromTorque(
  text: string,
  screw: ScrewTool,
): { ok: true; forceKn: number } | { ok: false; reason: string } | undefined {
  if (/k?n\s*$|kip|tonf?\s*$|lbf\s*$/iu.test(text) && !/m\s*$/iu.test(text)) return undefined;
  const t = parseQuantity(text, 'torque');
  if (t.ok) return { ok: true, forceKn: screwForceKn(t.value, screw) };
  return text.trim() === '' ? undefined : { ok: false, reason: t.reason };
}
