import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { recordId } from '../shell/recordId.ts';
import { keepRecords, shopNow } from './keepRecords.ts';
import { ImportBox } from '../shell/ImportBox.tsx';
import { RetireTool } from '../shell/RetireTool.tsx';
import { useLeadPin } from '../shell/useLeadPin.tsx';

/** By how much a reading can be off, on a scale of tenfolds from a micrometre to a millimetre. */
function DoubtBar({ doubtMm }: { doubtMm: number }) {
  const x = (mm: number) => 8 + 180 * (Math.log10(mm) + 3);
  return (
    <svg className="drawing tool-scale" viewBox="0 0 600 40" aria-hidden="true">
      <path className="thin" d="M8 20H548" />
      {[0.001, 0.01, 0.1, 1].map((t) => (
        <g key={t}>
          <path className="thin" d={`M${x(t)} 14v12`} />
          <text className="cap" x={x(t)} y="38" textAnchor="middle">
            {t}
          </text>
        </g>
      ))}
      <rect
        className="expected-fill"
        x="8"
        y="12"
        width={Math.max(2, x(doubtMm) - 8)}
        height="10"
      />
    </svg>
  );
}

/** What measures here, the finest first: by how much a reading can be off. */
export function Instruments({
  shop,
  who,
  onShop,
}: {
  shop: ShopView;
  who: string;
  onShop: (s: ShopView) => void;
}) {
  const person = shop.people.find((p) => p.id === who);
  const lead = useLeadPin(person);
  const [name, setName] = useState('');
  const [doubt, setDoubt] = useState('');
  const [fault, setFault] = useState<string>();
  const refresh = () => void shopNow().then((s) => s && onShop(s));
  const read = parseQuantity(doubt, 'length');
  const add = async () => {
    if (!read.ok) return;
    const instrument = { id: recordId(name), name: name.trim(), doubtMm: read.value };
    const r = await keepRecords({ instruments: [instrument] }, lead.ask);
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
            <li key={i.id} className={i.retired ? 'retired' : ''}>
              <b>{i.name}</b> <span className="num">±{i.doubtMm} mm</span>{' '}
              <span className="cap">{i.retired}</span>
              <DoubtBar doubtMm={i.doubtMm} />
              <RetireTool
                what={i.name}
                retired={i.retired !== undefined}
                onRetire={async (why) => {
                  const { retired: _was, ...kept } = i;
                  const r = await keepRecords(
                    { instruments: [why ? { ...kept, retired: why } : kept] },
                    lead.ask,
                  );
                  if (r.ok) onShop(r.shop);
                  else setFault(r.reason);
                }}
              />
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
      <details className="more">
        <summary>A file of instruments</summary>
        {person && <ImportBox kind="instruments" title="" lead={person} onTaken={refresh} />}
      </details>
      {lead.dialog}
    </section>
  );
}
