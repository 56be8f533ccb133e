import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { trustedRange, type Wrench } from '../../core/torque/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { recordId } from '../shell/recordId.ts';
import { keepRecords } from './keepRecords.ts';

const types: Record<Wrench['type'], string> = {
  click: 'click',
  beam: 'beam',
  digital: 'digital',
  'angle-gauge': 'angle gauge',
  hand: 'by hand',
};
const torqueTypes: readonly Wrench['type'][] = ['click', 'beam', 'digital'];

/** What a wrench can be used for, on one scale for all. */
function Range({ wrench, most }: { wrench: Wrench; most: number }) {
  const range = trustedRange(wrench);
  if (!range) return null;
  const { low, high } = range;
  const x = (nm: number) => (280 * nm) / most;
  return (
    <svg
      className="drawing tool-range"
      viewBox="0 0 300 34"
      role="img"
      aria-label={`Usable from ${low.toFixed(0)} to ${high} N·m`}
    >
      <path className="thin" d="M0 14H290" />
      <rect className="expected-fill" x={x(low)} y="6" width={x(high) - x(low)} height="16" />
      <text className="figure" x={x(low)} y="33" textAnchor="middle">
        {low.toFixed(0)}
      </text>
      <text className="figure" x={x(high)} y="33" textAnchor="middle">
        {high}
      </text>
    </svg>
  );
}

/** What tightens here: each with the range it can be trusted in. */
export function TorqueTools({ shop, onShop }: { shop: ShopView; onShop: (s: ShopView) => void }) {
  const [name, setName] = useState('');
  const [type, setType] = useState<Wrench['type']>();
  const [most, setMost] = useState('');
  const [due, setDue] = useState('');
  const [fault, setFault] = useState<string>();
  const max = parseQuantity(most, 'torque');
  const measures = type !== undefined && torqueTypes.includes(type);
  const largest = Math.max(100, ...shop.wrenches.map((w) => w.maxNm ?? 0));
  const add = async () => {
    if (!type) return;
    const wrench: Wrench = {
      id: recordId(name),
      name: name.trim(),
      type,
      ...(measures && max.ok ? { maxNm: max.value } : {}),
      ...(due ? { calibrationDue: due } : {}),
    };
    const r = await keepRecords({ wrenches: [wrench] });
    if (!r.ok) return setFault(r.reason);
    setName('');
    setMost('');
    setFault(undefined);
    onShop(r.shop);
  };
  return (
    <section>
      <h2>Torque tools</h2>
      {shop.wrenches.length === 0 && <p className="note">None yet: no torque can be read.</p>}
      <ul className="shop-list">
        {shop.wrenches.map((w) => (
          <li key={w.id}>
            <b>{w.name}</b>{' '}
            <span className="cap">
              {types[w.type]}
              {w.calibrationDue ? `, calibrated to ${w.calibrationDue}` : ''}
            </span>
            <Range wrench={w} most={largest} />
          </li>
        ))}
      </ul>
      <details className="more">
        <summary>Add a torque tool</summary>
        <div className="grid gap-2">
          <Field label="Name of the tool" text={name} onText={setName} />
          <Choices
            name="Kind of tool"
            value={type}
            onValue={setType}
            options={(Object.keys(types) as Wrench['type'][]).map((id) => ({
              id,
              label: types[id],
            }))}
          />
          {measures && (
            <QuantityInput label="Largest value" dimension="torque" text={most} onText={setMost} />
          )}
          {measures && (
            <label className="field">
              <span>Calibration due, if known</span>
              <input
                className="text-in"
                type="date"
                value={due}
                onChange={(e) => setDue(e.target.value)}
              />
            </label>
          )}
          {fault && (
            <p className="note" role="alert">
              {fault}
            </p>
          )}
          <MainAction
            label="Keep this tool"
            missing={firstThat(
              [recordId(name) === '', 'Type its name'],
              [!type, 'Tap its kind'],
              [measures && !max.ok, 'Type its largest value'],
            )}
            onAct={add}
          />
        </div>
      </details>
    </section>
  );
}
