import { useState } from 'react';
import type { UnitSheet } from '../../core/schemas/unit-sheet.ts';
import { dayTime } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { PinField, ReasonField } from '../../ui/SignFields.tsx';
import { both, readTyped } from '../../ui/units.ts';
import { call, type ProblemDoc } from '../shell/useJob.ts';

/** A clock that was misread or exchanged is brought down by a lead; why stays on the record. */
export function ClockDown({
  sheet: { unit, people, timeZone },
  who,
  onSheet,
}: {
  sheet: UnitSheet;
  who: string;
  onSheet: (s: UnitSheet) => void;
}) {
  const [clock, setClock] = useState('');
  const [reason, setReason] = useState('');
  const [pin, setPin] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const km = readTyped(clock, 'distance');
  const nameOf = (id: string) => people.find((p) => p.id === id)?.name ?? id;
  const keep = async () => {
    if (!km.ok) return;
    const body = { byId: who, pin, odometerKm: Math.round(km.value), reason: reason.trim() };
    const r = await call<UnitSheet>('PUT', `/api/units/${unit.id}/clock`, body);
    setPin('');
    setProblem(r.ok ? undefined : r.problem);
    if (!r.ok) return;
    setClock('');
    setReason('');
    onSheet(r.value);
  };
  return (
    <details className="more">
      <summary>The clock on record is too high</summary>
      <div className="grid gap-2">
        {unit.clockCorrected?.map((c) => (
          <p key={c.atMs} className="note">
            From {both(c.fromKm, 'distance').value} to {both(c.toKm, 'distance').value} km by{' '}
            {nameOf(c.byId)}, {dayTime(c.atMs, timeZone)}: {c.reason}
          </p>
        ))}
        <QuantityInput
          label="What the clock shows"
          dimension="distance"
          text={clock}
          onText={setClock}
          fault={problem?.errors.find((e) => e.field === 'odometerKm')?.reason}
        />
        <ReasonField label="Misread, or another clock" text={reason} onText={setReason} />
        <PinField person={nameOf(who)} pin={pin} onPin={setPin} />
        {problem && !problem.errors.some((e) => e.field === 'odometerKm') && (
          <p className="note" role="alert">
            {problem.detail}
          </p>
        )}
        <MainAction
          label="Bring the clock down"
          missing={firstThat(
            [!km.ok, 'Type what the clock shows'],
            [reason.trim() === '', 'Type the reason'],
            [pin.length < 4, 'Then the lead’s PIN'],
          )}
          onAct={keep}
        />
      </div>
    </details>
  );
}
