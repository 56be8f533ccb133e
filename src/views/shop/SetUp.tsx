import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import type { ShopView } from '../../core/schemas/shop.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { ProblemNote } from '../../ui/ProblemNote.tsx';
import { MainAction } from '../../ui/Panels.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { TakeArchive } from './WholeShop.tsx';
import './shop.css';

/** The first page of an empty shop: its name, and the lead who answers for it. */
export default function SetUp() {
  const [id] = useState(() => uuid());
  const [shop, setShop] = useState('');
  const [name, setName] = useState('');
  const [pin, setPin] = useState('');
  const [again, setAgain] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const faultOf = (field: string) => problem?.errors.find((e) => e.field === field)?.reason;
  const start = async () => {
    const body = { id, shop: shop.trim(), name: name.trim(), pin };
    const r = await call<ShopView>('POST', '/api/shop/setup', body);
    if (r.ok) location.assign('/shop');
    else setProblem(r.problem);
  };
  return (
    <ShopPage
      shop="A shop of its own"
      note="Nothing is in it yet"
      title="Whose shop is this?"
      lines={['Then people, tools and the first car']}
      back={{ href: '/rules', word: 'Rules' }}
      main="shop-main"
    >
      <form
        className="shop-form"
        onSubmit={(e) => {
          e.preventDefault();
          void start();
        }}
      >
        <Field label="Name of the shop" text={shop} onText={setShop} fault={faultOf('shop')} />
        <Field label="First lead" text={name} onText={setName} fault={faultOf('name')} />
        <div className="pair-in">
          <Field
            label="PIN, 4 to 8 digits"
            text={pin}
            onText={setPin}
            inputMode="numeric"
            fault={faultOf('pin')}
          />
          <Field label="PIN once more" text={again} onText={setAgain} inputMode="numeric" />
        </div>
        <p className="note">
          A lead signs what cannot be undone: settings, people, procedures nobody else has checked.
        </p>
        {problem?.errors.length === 0 && <ProblemNote problem={problem} />}
        <MainAction
          label="Open the shop"
          missing={firstThat(
            [shop.trim() === '', 'Type the name of the shop'],
            [name.trim() === '', 'Type the lead’s name'],
            [pin.length < 4, 'Type a PIN'],
            [pin !== again, 'The two PINs are not the same'],
          )}
          onAct={start}
        />
      </form>
      <section className="shop-things">
        <h2>Or a shop that is there already</h2>
        <p className="note">
          An archive saved on another machine fills this one to the same state: people and PINs,
          units, kit, jobs and signed cards.
        </p>
        <TakeArchive who="" pin="" empty onTaken={() => location.assign('/')} />
      </section>
    </ShopPage>
  );
}
