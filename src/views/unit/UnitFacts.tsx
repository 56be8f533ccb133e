import { useState } from 'react';
import type { UnitSheet } from '../../core/schemas/unit-sheet.ts';
import { identificationSlip } from '../../core/unit/index.ts';

import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** What can wait until somebody has time: name, clock, tyre, year, identification number, axle load. */
export function UnitFacts({
  sheet: { unit },
  who,
  onSheet,
}: {
  sheet: UnitSheet;
  who: string;
  onSheet: (s: UnitSheet) => void;
}) {
  const [name, setName] = useState(unit.name);
  const [clock, setClock] = useState('');
  const [tyre, setTyre] = useState(unit.tyre ?? '');
  const [year, setYear] = useState(String(unit.year ?? ''));
  const [identification, setIdentification] = useState(unit.identification ?? '');
  const [front, setFront] = useState('');
  const [rear, setRear] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const faultOf = (field: string) => problem?.errors.find((e) => e.field.endsWith(field))?.reason;
  const km = readTyped(clock, 'distance');
  const loads = { front: readTyped(front, 'force'), rear: readTyped(rear, 'force') };
  const slip = identificationSlip(identification);
  const odd = (text: string, p: { ok: boolean }) => text.trim() !== '' && !p.ok;
  const keep = async () => {
    const newton = (p: ReturnType<typeof readTyped>) =>
      p.ok ? Math.round(p.value * 1000) : undefined;
    const axle = {
      ...unit.axleLoadN,
      ...(newton(loads.front) === undefined ? {} : { front: newton(loads.front) }),
      ...(newton(loads.rear) === undefined ? {} : { rear: newton(loads.rear) }),
    };
    const facts = {
      name: name.trim() || unit.name,
      ...(km.ok ? { odometerKm: Math.round(km.value) } : {}),
      ...(tyre.trim() ? { tyre: tyre.trim() } : {}),
      ...(year.trim() ? { year: Number(year) } : {}),
      ...(identification.trim() ? { identification: identification.trim() } : {}),
      ...(Object.keys(axle).length > 0 ? { axleLoadN: axle } : {}),
    };
    const r = await call<UnitSheet>('PUT', `/api/units/${unit.id}`, { byId: who, facts });
    setProblem(r.ok ? undefined : r.problem);
    if (!r.ok) return;
    setClock('');
    onSheet(r.value);
  };
  return (
    <details className="more">
      <summary>Name, clock, tyre, identification</summary>
      <div className="grid gap-2">
        <Field label="Name" text={name} onText={setName} />
        <QuantityInput
          label="Distance on the clock"
          dimension="distance"
          text={clock}
          onText={setClock}
          fault={faultOf('odometerKm')}
        />
        <div className="pair-in">
          <Field compact label="Tyre, as on the sidewall" text={tyre} onText={setTyre} />
          <Field
            compact
            label="Year"
            text={year}
            onText={setYear}
            inputMode="numeric"
            fault={faultOf('year')}
          />
        </div>
        <Field
          label="Identification number, 17 characters"
          text={identification}
          onText={setIdentification}
          fault={faultOf('identification')}
        />
        {slip && (
          <p className="line-v" role="status">
            <VerdictShape status="check" size={22} />
            <span>{slip} It is kept as typed.</span>
          </p>
        )}
        <div className="pair-in">
          <QuantityInput
            compact
            label="Load of the front axle"
            dimension="force"
            text={front}
            onText={setFront}
          />
          <QuantityInput
            compact
            label="Load of the rear axle"
            dimension="force"
            text={rear}
            onText={setRear}
          />
        </div>
        <MainAction
          label="Keep"
          missing={firstThat(
            [odd(clock, km), 'What the clock shows is no distance'],
            [odd(front, loads.front) || odd(rear, loads.rear), 'An axle load is no force'],
            [year.trim() !== '' && !/^\d{4}$/u.test(year.trim()), 'The year has four digits'],
          )}
          onAct={keep}
        />
      </div>
    </details>
  );
}
