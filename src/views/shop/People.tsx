import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, Dialog, MainAction } from '../../ui/Panels.tsx';
import { ProblemNote } from '../../ui/ProblemNote.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { useAsLead } from './useAsLead.ts';

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
          <PersonRow key={p.id} person={p} shop={shop} who={who} onShop={onShop} />
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

const standing = (p: ShopView['people'][number]): string => {
  if (p.retired) return 'works here no more';
  return p.lead ? 'lead' : 'technician';
};

/** One person: a new PIN, with the old one or a lead's; off the list, or back on it. */
function PersonRow({
  person,
  shop,
  who,
  onShop,
}: {
  person: ShopView['people'][number];
  shop: ShopView;
  who: string;
  onShop: (s: ShopView) => void;
}) {
  const [newPin, setNewPin] = useState('');
  const { pin, setPin, problem, send } = useAsLead(who, onShop);
  const hand = shop.people.find((p) => p.id === who)?.name ?? 'a lead';
  const [erasing, setErasing] = useState(false);
  const ready = pin.length >= 4;
  const erase = async () => {
    await send('/api/people/erase', { personId: person.id });
    setErasing(false);
  };
  const change = async () => {
    if (await send('/api/people/pin', { personId: person.id, newPin })) setNewPin('');
  };
  return (
    <li className={person.retired ? 'retired' : ''}>
      <details className="more">
        <summary>
          <b>{person.name}</b> <span className="cap">{standing(person)}</span>
        </summary>
        <div className="grid gap-2">
          <div className="pair-in">
            <Field
              compact
              label="New PIN"
              text={newPin}
              onText={setNewPin}
              inputMode="numeric"
              fault={problem?.errors.find((e) => e.field === 'newPin')?.reason}
            />
            <PinField compact person={hand} pin={pin} onPin={setPin} />
          </div>
          <ProblemNote problem={problem} />
          <div className="pair-in">
            <button
              type="button"
              className={`btn small ${ready && newPin.length >= 4 ? '' : 'notyet'}`}
              onClick={() => ready && newPin.length >= 4 && void change()}
            >
              Change the PIN
            </button>
            <button
              type="button"
              className={`btn quiet small ${ready ? '' : 'notyet'}`}
              onClick={() =>
                ready &&
                void send('/api/people/retire', { personId: person.id, retired: !person.retired })
              }
            >
              {person.retired ? 'Back on the list' : 'Off the list'}
            </button>
            <button
              type="button"
              className={`btn quiet small ${ready ? '' : 'notyet'}`}
              onClick={() => ready && setErasing(true)}
            >
              Erase the name
            </button>
          </div>
        </div>
      </details>
      {erasing && (
        <Dialog title={`Erase the name of ${person.name}?`} onClose={() => setErasing(false)}>
          <p className="note">
            It goes for good: from the list and from every signed card, which stays verified and
            names nobody. What somebody typed in words, and backups and archives made before, still
            hold it: they have to be deleted by hand.
          </p>
          <div className="foot">
            <button type="button" className="btn main" onClick={() => void erase()}>
              Erase {person.name}
            </button>
          </div>
        </Dialog>
      )}
    </li>
  );
}
