import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { recordId } from '../shell/recordId.ts';
import { keepRecords } from './keepRecords.ts';

/** What measures here, the finest first: by how much a reading can be off. */
export function Instruments({ shop, onShop }: { shop: ShopView; onShop: (s: ShopView) => void }) {
  const [name, setName] = useState('');
  const [doubt, setDoubt] = useState('');
  const [fault, setFault] = useState<string>();
  const read = parseQuantity(doubt, 'length');
  const add = async () => {
    if (!read.ok) return;
    const instrument = { id: recordId(name), name: name.trim(), doubtMm: read.value };
    const r = await keepRecords({ instruments: [instrument] });
    if (!r.ok) return setFault(r.reason);
    setName('');
    setDoubt('');
    setFault(undefined);
    onShop(r.shop);
  };
  return (
    <section>
      <h2>Instruments</h2>
      {shop.instruments.length === 0 && <p className="note">None yet: no seat can be measured.</p>}
      <ul className="shop-list">
        {[...shop.instruments]
          .sort((a, b) => a.doubtMm - b.doubtMm)
          .map((i) => (
            <li key={i.id}>
              <b>{i.name}</b> <span className="num">±{i.doubtMm} mm</span>
            </li>
          ))}
      </ul>
      <details className="more">
        <summary>Add an instrument</summary>
        <div className="grid gap-2">
          <Field label="Name of the instrument" text={name} onText={setName} />
          <QuantityInput
            label="A reading can be off by"
            dimension="length"
            decimals={3}
            text={doubt}
            onText={setDoubt}
            hint="Bore gauge and micrometer about 0.003, caliper 0.03"
          />
          {fault && (
            <p className="note" role="alert">
              {fault}
            </p>
          )}
          <MainAction
            label="Keep this instrument"
            missing={firstThat(
              [recordId(name) === '', 'Type its name'],
              [!read.ok, 'Type by how much it can be off'],
            )}
            onAct={add}
          />
        </div>
      </details>
    </section>
  );
}
