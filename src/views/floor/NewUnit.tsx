import { keysOf } from '../../core/keys-of.ts';
import { useState } from 'react';
import { type Layout, layoutNames } from '../../core/diagnosis/index.ts';
import { fleetNoPattern, type UnitRecord } from '../../core/schemas/workshop.ts';

import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { DrivenAxles } from './DrivenAxles.tsx';
import { readTyped } from '../../ui/units.ts';

const isFleetNo = new RegExp(fleetNoPattern, 'u');
const layouts = keysOf(layoutNames);

/** A car that rolls in and is not on record: its number or plate, what drives it, and its clock. */
export function NewUnit({
  who,
  first,
  onUnit,
}: {
  who: string;
  /** What was looked for and not found. */
  first: string;
  onUnit: (u: UnitRecord) => void;
}) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState<string>();
  const [layout, setLayout] = useState<Layout>();
  const [clock, setClock] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const number = (typed ?? first).trim().toUpperCase().replaceAll(' ', '-');
  const km = readTyped(clock, 'distance');
  const keep = async () => {
    const read = km.ok ? { odometerKm: Math.round(km.value) } : {};
    const body = { byId: who, fleetNo: number, layout, ...read };
    const r = await call<UnitRecord>('POST', '/api/units', body);
    setProblem(r.ok ? undefined : r.problem);
    if (!r.ok) return;
    setOpen(false);
    setTyped(undefined);
    onUnit(r.value);
  };
  if (!open)
    return (
      <button type="button" className="btn quiet small mt-2" onClick={() => setOpen(true)}>
        Not on record
      </button>
    );
  return (
    <div className="grid gap-2 mt-2">
      <Field
        label="Number or plate"
        text={typed ?? first}
        onText={setTyped}
        fault={problem?.errors.find((e) => e.field === 'fleetNo')?.reason}
      />
      <Choices
        name="Driven axle"
        value={layout}
        onValue={setLayout}
        options={layouts.map((id) => ({
          id,
          label: layoutNames[id],
          picture: <DrivenAxles layout={id} />,
        }))}
      />
      <QuantityInput
        label="Distance on the clock, or later"
        dimension="distance"
        text={clock}
        onText={setClock}
      />
      <MainAction
        label={`Keep ${number || 'it'}`}
        missing={firstThat(
          [!isFleetNo.test(number), 'Number or plate: up to 8 letters and digits'],
          [!layout, 'Tap what drives it'],
          [clock.trim() !== '' && !km.ok, 'What the clock shows is no distance'],
        )}
        onAct={keep}
      />
    </div>
  );
}
