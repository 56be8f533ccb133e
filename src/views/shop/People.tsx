import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';

/** Who works here; a lead takes somebody on. */
export function People({
  shop,
  who,
  onShop,
}: {
  shop: ShopView;
  who: string;
  onShop: (s: ShopView) => void;
}) {
  const [name, setName] = useState('');
  const [newPin, setNewPin] = useState('');
  const [lead, setLead] = useState<'yes' | 'no'>('no');
  const [pin, setPin] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const faultOf = (field: string) => problem?.errors.find((e) => e.field === field)?.reason;
  const person = shop.people.find((p) => p.id === who);
  const add = async () => {
    const body = { byId: who, pin, name: name.trim(), newPin, lead: lead === 'yes' };
    const r = await call<ShopView>('POST', '/api/people', body);
    setPin('');
    setProblem(r.ok ? undefined : r.problem);
    if (!r.ok) return;
    setName('');
    setNewPin('');
    onShop(r.value);
  };
  return (
    <section>
      <h2>People</h2>
      <ul className="shop-list">
        {shop.people.map((p) => (
          <li key={p.id}>
            <b>{p.name}</b> <span className="cap">{p.lead ? 'lead' : 'technician'}</span>
          </li>
        ))}
      </ul>
      <details className="more">
        <summary>Take somebody on</summary>
        <div className="grid gap-2">
          <Field label="Name" text={name} onText={setName} fault={faultOf('name')} />
          <Field
            label="Their PIN, 4 to 8 digits"
            text={newPin}
            onText={setNewPin}
            inputMode="numeric"
            fault={faultOf('newPin')}
          />
          <Choices
            name="Lead"
            value={lead}
            onValue={setLead}
            options={[
              { id: 'no', label: 'technician' },
              { id: 'yes', label: 'lead' },
            ]}
          />
          <PinField person={person?.name ?? 'a lead'} pin={pin} onPin={setPin} />
          {problem && (faultOf('pin') ?? faultOf('byId')) && (
            <p className="note" role="alert">
              {problem.detail}
            </p>
          )}
          <MainAction
            label={`Take ${name.trim() || 'them'} on`}
            missing={firstThat(
              [name.trim() === '', 'Type the name'],
              [newPin.length < 4, 'Type their PIN'],
              [pin.length < 4, 'Then the lead’s PIN'],
            )}
            onAct={add}
          />
        </div>
      </details>
    </section>
  );
}
