import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { trustedRange, type Wrench } from '../../core/torque/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { recordId } from '../shell/recordId.ts';
import { keepRecords, shopNow } from './keepRecords.ts';
import { ImportBox } from '../shell/ImportBox.tsx';
import { RetireTool } from '../shell/RetireTool.tsx';
import { useLeadPin } from '../shell/useLeadPin.tsx';

const types: Record<Wrench['type'], string> = {
  click: 'click',
  beam: 'beam',
  digital: 'digital',
  'angle-gauge': 'angle gauge',
  hand: 'by hand',
};
const torqueTypes: readonly Wrench['type'][] = ['click', 'beam', 'digital'];

/** Every tool on one torque scale: the bar is where it can be trusted. */
function TorqueScale({ wrenches }: { wrenches: readonly Wrench[] }) {
  const measuring = wrenches.flatMap((w) => {
    const range = trustedRange(w);
    return range ? [{ w, ...range }] : [];
  });
  if (measuring.length === 0) return null;
  const most = Math.max(100, ...measuring.map((m) => m.high));
  const step = [25, 50, 100, 200].find((s) => most / s <= 6) ?? 500;
  const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
  const x = (nm: number) => 8 + (560 * nm) / most;
  const bottom = 14 + measuring.length * 46;
  return (
    <svg
      className="drawing tool-scale"
      viewBox={`0 0 600 ${bottom + 28}`}
      role="img"
      aria-label={measuring
        .map((m) => `${m.w.name}: trusted from ${m.low.toFixed(0)} to ${m.high} N·m`)
        .join('; ')}
    >
      {ticks.map((t) => (
        <g key={t}>
          <path className="thin" d={`M${x(t)} 4V${bottom}`} />
          <text className="figure" x={x(t)} y={bottom + 20} textAnchor="middle">
            {t}
          </text>
        </g>
      ))}
      {measuring.map((m, i) => (
        <g key={m.w.id} className={m.w.retired ? 'retired' : ''}>
          <text x={x(m.low)} y={20 + i * 46}>
            {m.w.name}
          </text>
          <rect
            className="expected-fill"
            x={x(m.low)}
            y={26 + i * 46}
            width={x(m.high) - x(m.low)}
            height="18"
          />
          <path
            className="out"
            d={`M${x(m.low)} ${26 + i * 46}v18M${x(m.high)} ${26 + i * 46}v18`}
          />
        </g>
      ))}
      <text className="cap" x="596" y={bottom + 20} textAnchor="end">
        N·m
      </text>
    </svg>
  );
}

/** What tightens here: each with the range it can be trusted in. */
export function TorqueTools({
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
  const [type, setType] = useState<Wrench['type']>();
  const [most, setMost] = useState('');
  const [due, setDue] = useState('');
  const [fault, setFault] = useState<string>();
  const refresh = () => void shopNow().then((s) => s && onShop(s));
  const max = parseQuantity(most, 'torque');
  const measures = type !== undefined && torqueTypes.includes(type);
  const add = async () => {
    if (!type) return;
    const wrench: Wrench = {
      id: recordId(name),
      name: name.trim(),
      type,
      ...(measures && max.ok ? { maxNm: max.value } : {}),
      ...(due ? { calibrationDue: due } : {}),
    };
    const r = await keepRecords({ wrenches: [wrench] }, lead.ask);
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
      <TorqueScale wrenches={shop.wrenches} />
      <ul className="shop-list">
        {shop.wrenches.map((w) => (
          <li key={w.id} className={w.retired ? 'retired' : ''}>
            <b>{w.name}</b>{' '}
            <span className="cap">
              {types[w.type]}
              {w.retired ? `, ${w.retired}` : ''}
              {w.calibrationDue ? `, calibrated to ${w.calibrationDue}` : ''}
            </span>{' '}
            <RetireTool
              what={w.name}
              retired={w.retired !== undefined}
              onRetire={async (why) => {
                const { retired: _was, ...kept } = w;
                const r = await keepRecords(
                  { wrenches: [why ? { ...kept, retired: why } : kept] },
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
      <details className="more">
        <summary>A file of torque tools</summary>
        {person && <ImportBox kind="wrenches" title="" lead={person} onTaken={refresh} />}
      </details>
      {lead.dialog}
    </section>
  );
}
