import { useState } from 'react';
import { families, itemName } from '../../core/families/index.ts';
import {
  type CataloguePart,
  dimensionNames,
  type Found,
  kindNames,
  partInShort,
  type PartKind,
  partKinds,
  type ToOrder,
} from '../../core/matching/index.ts';
import type { Consumable } from '../../core/schemas/workshop.ts';

import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { ImportBox } from '../shell/ImportBox.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call } from '../shell/useJob.ts';
import './parts.css';
import { asTyped, readTyped } from '../../ui/units.ts';

const asked = ['boreMm', 'outerMm', 'widthMm'] as const;
const familyOfKind = (kind: PartKind) => families.find((f) => f.kind === kind)!.code;

/** What can be bought: found by size, kind or number, drawn to scale. */
export default function Catalogue({
  first,
  total,
  due,
  shop,
  people,
  who: firstWho,
}: {
  first: Found;
  total: number;
  /** What ran out of what is fitted here. */
  due: Due;
  shop: string;
  people: { id: string; name: string; lead: boolean }[];
  who: string;
}) {
  const [who, setWho] = useState(firstWho);
  const [found, setFound] = useState(first);
  const [count, setCount] = useState(total);
  const [kind, setKind] = useState<PartKind>();
  const [text, setText] = useDraft('parts:text');
  const [tol, setTol] = useDraft('parts:tol', asTyped(0.5, 'length', 1));
  const [bore, setBore] = useDraft('parts:bore');
  const [outer, setOuter] = useDraft('parts:outer');
  const [width, setWidth] = useDraft('parts:width');
  const [said, setSaid] = useState<string>();
  const [open, setOpen] = useState<CataloguePart | undefined>(first.parts[0]);
  const values = {
    boreMm: [bore, setBore],
    outerMm: [outer, setOuter],
    widthMm: [width, setWidth],
  } as const;
  const look = async (k = kind) => {
    const sizes: Record<string, number> = {};
    for (const d of asked) {
      if (values[d][0].trim() === '') continue;
      const p = readTyped(values[d][0], 'length');
      if (!p.ok) return setSaid(`${dimensionNames[d]}: ${p.reason}`);
      sizes[d] = p.value;
    }
    const t = readTyped(tol, 'length');
    if (!t.ok || t.value < 0) return setSaid('Within: a size from 0 mm.');
    const r = await call<Found>('POST', '/api/parts/search', {
      sizes,
      toleranceMm: t.value,
      ...(k ? { kind: k } : {}),
      ...(text.trim() ? { text: text.trim() } : {}),
      most: 60,
    });
    setSaid(r.ok ? undefined : (r.problem.errors[0]?.reason ?? r.problem.detail));
    if (r.ok) {
      setFound(r.value);
      setOpen(r.value.parts[0]);
    }
  };
  return (
    <ShopPage
      shop={shop}
      note={`Catalogue, ${count} parts`}
      person={{ people, who, onWho: setWho }}
      title={`${found.total} ${found.total === 1 ? 'part' : 'parts'}${found.total === count ? '' : ' found'}`}
      lines={[
        `Nearest first${found.total > found.parts.length ? `, the first ${found.parts.length} shown` : ''}`,
      ]}
    >
      <div className="pic catalogue">
        <ul className="cat-list">
          {found.parts.map((p) => (
            <li key={p.number}>
              <button
                type="button"
                aria-pressed={open?.number === p.number}
                onClick={() => setOpen(p)}
              >
                <b>
                  {p.maker} {p.number}
                </b>
                <span className="num">
                  {partInShort(p)}
                  {p.bearing.encoder.pairs ? `, ${p.bearing.encoder.pairs} pairs` : ''}
                </span>
                <span className="cap">
                  {kindNames[p.kind]}
                  {p.rolling ? `, ${p.rolling}` : ''}
                </span>
              </button>
            </li>
          ))}
          {found.parts.length === 0 && (
            <li>
              <p className="note big">Nothing within that. Widen the window or leave a size out.</p>
            </li>
          )}
        </ul>
        {open && (
          <div className="fam-known">
            <FamilySection
              code={familyOfKind(open.kind)}
              ring={open.bearing}
              label={`${open.number} where it sits`}
            />
            <p className="num">
              {open.bearing.boreMm} × {open.bearing.outerMm} × {open.bearing.widthMm} mm,{' '}
              {open.bearing.balls} × {open.bearing.ballMm} mm, static {open.bearing.staticRatingKn}{' '}
              kN. {open.stock > 0 ? `${open.stock} in stock` : `${open.leadDays} days`},{' '}
              {(open.priceMinor / 100).toFixed(2)} {open.currency}.
            </p>
          </div>
        )}
      </div>
      <aside className="side" aria-label="Look and import">
        <div className="side-in">
          <section>
            <form
              className="grid gap-2"
              onSubmit={(e) => {
                e.preventDefault();
                void look();
              }}
            >
              <h2>Look by size</h2>
              <div className="two-in">
                {asked.map((d) => (
                  <QuantityInput
                    key={d}
                    compact
                    label={dimensionNames[d]}
                    dimension="length"
                    text={values[d][0]}
                    onText={values[d][1]}
                  />
                ))}
                <QuantityInput
                  compact
                  label="Within ±"
                  dimension="length"
                  text={tol}
                  onText={setTol}
                />
              </div>
              <label className="field compact">
                <span>Part of a number, or maker</span>
                <input
                  className="text-in"
                  value={text}
                  onChange={(e) => setText(e.target.value)}
                  maxLength={60}
                />
              </label>
              <label className="field">
                <span>Kind</span>
                <select
                  className="pick"
                  value={kind ?? ''}
                  onChange={(e) => {
                    const k = (e.target.value || undefined) as PartKind | undefined;
                    setKind(k);
                    void look(k);
                  }}
                >
                  <option value="">every kind</option>
                  {partKinds.map((k) => (
                    <option key={k} value={k}>
                      {kindNames[k]}
                    </option>
                  ))}
                </select>
              </label>
              {said && (
                <p className="note" role="alert">
                  {said}
                </p>
              )}
              <button type="submit" className="btn">
                Look
              </button>
            </form>
          </section>
          <OrderList due={due} />
          <ImportBox
            kind="parts"
            onTaken={async () => {
              const r = await call<Found>('POST', '/api/parts/search', { most: 60 });
              if (r.ok) {
                setCount(r.value.total);
                setFound(r.value);
              }
            }}
          />
          <div className="grow" />
        </div>
      </aside>
    </ShopPage>
  );
}

interface Due {
  parts: readonly ToOrder[];
  consumables: readonly Consumable[];
}

function OrderList({ due: { parts, consumables } }: { due: Due }) {
  if (parts.length + consumables.length === 0) return null;
  return (
    <section>
      <h2>To order</h2>
      <table className="rows">
        <tbody>
          {parts.map(({ part: p, fitted }) => (
            <OrderRow
              key={p.number}
              of={p}
              words={`${partInShort(p)}; fitted here ${times(fitted)}`}
            />
          ))}
          {consumables.map((c) => (
            <OrderRow
              key={c.number}
              of={c}
              words={`${itemName(c.item)}, ${c.sizeText}; used here ${times(c.used ?? 0)}`}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
}
const times = (n: number) => `${n} ${n === 1 ? 'time' : 'times'}`;

function OrderRow({
  of: { maker, number, leadDays },
  words,
}: {
  of: { maker: string; number: string; leadDays: number };
  words: string;
}) {
  return (
    <tr>
      <td>
        {maker} <b>{number}</b>
        <br />
        <span className="cap">{words}</span>
      </td>
      <td className="figure">{leadDays} days</td>
    </tr>
  );
}
