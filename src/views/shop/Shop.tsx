import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import type { ShopSettings, ShopView } from '../../core/schemas/shop.ts';
import type { TabletRow } from '../../core/schemas/tablets.ts';
import {
  dayTime,
  isCurrency,
  minorPerUnit,
  readMoney,
  type UnitSystem,
} from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { Choices } from '../../ui/Panels.tsx';
import { ProblemNote } from '../../ui/ProblemNote.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { Instruments } from './Instruments.tsx';
import { People } from './People.tsx';
import { ShopSchools } from './ShopSchools.tsx';
import { Tablets } from './Tablets.tsx';
import { TorqueTools } from './TorqueTools.tsx';
import { WholeShop } from './WholeShop.tsx';
import './shop.css';

/** Settings with one of their texts set, or left out where nothing is typed. */
function withText(s: ShopSettings, key: 'currency' | 'timeZone', text: string): ShopSettings {
  const { [key]: _was, ...rest } = s;
  return text === '' ? rest : { ...rest, [key]: text };
}
type Interval =
  'recheckKm' | 'recheckDays' | 'serviceKm' | 'serviceDays' | 'comebackKm' | 'wrongCallMinutes';
/** After how much the shop looks again. */
const intervals: readonly { key: Interval; label: string; unit: string }[] = [
  { key: 'recheckKm', label: 'Recheck after', unit: 'km' },
  { key: 'recheckDays', label: 'Recheck at the latest after', unit: 'days' },
  { key: 'serviceKm', label: 'Service of packed bearings after', unit: 'km' },
  { key: 'serviceDays', label: 'Service at the latest after', unit: 'days' },
  { key: 'comebackKm', label: 'A comeback is one within', unit: 'km' },
  { key: 'wrongCallMinutes', label: 'A wrong call costs, 160 unless typed', unit: 'min' },
];

/** The same for a number; what is none is left as typed for the server to refuse. */
function withNumber(
  s: ShopSettings,
  key: 'taxPercent' | 'labourRateMinor' | Interval,
  text: string,
): ShopSettings {
  const { [key]: _was, ...rest } = s;
  return text.trim() === '' ? rest : { ...rest, [key]: Number(text.replace(',', '.')) };
}

/** The rate as it was typed. */
const rateText = ({ labourRateMinor, currency }: ShopSettings) =>
  labourRateMinor === undefined || !currency
    ? ''
    : String(labourRateMinor / minorPerUnit(currency));

/** How this shop works: its name, and whether simulated instruments may be used. */
export default function Shop({
  first,
  who: firstWho,
  timeZone,
  today,
  tablets,
}: {
  first: ShopView;
  /** Those that joined, where the shop is on a network. */
  tablets: readonly TabletRow[] | undefined;
  who: string;
  timeZone: string;
  /** Date in the shop's zone. */
  today: string;
}) {
  const [shop, setShop] = useState(first);
  const [settings, setSettings] = useState(first.settings);
  const [who, setWho] = useState(firstWho);
  const [rate, setRate] = useState(rateText(first.settings));
  const [tax, setTax] = useState(String(first.settings.taxPercent ?? ''));
  const [interval, setIntervals] = useState<Partial<Record<Interval, string>>>({});
  const money = isCurrency(settings.currency) ? settings.currency : undefined;
  const [pin, setPin] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const person = shop.people.find((p) => p.id === who);
  const changed = JSON.stringify(settings) !== JSON.stringify(shop.settings);
  const ready = changed && pin.length >= 4 && settings.name.trim() !== '';
  const save = async (e: React.FormEvent) => {
    e.preventDefault();
    if (!ready) return;
    const body = { id: uuid(), byId: who, pin, version: shop.version, settings };
    const r = await call<ShopView>('PUT', '/api/shop', body);
    setPin('');
    setProblem(r.ok ? undefined : r.problem);
    if (r.ok) {
      setShop(r.value);
      setSettings(r.value.settings);
    }
  };
  return (
    <ShopPage
      shop={shop.settings.name || 'Workshop'}
      note={shop.demo ? 'Settings, demo shop' : 'Settings'}
      person={{ people: shop.people, who, onWho: setWho }}
      title="The shop"
      lines={[shop.demo ? 'Loaded with made-up data' : 'A shop of its own']}
      main="shop-main"
    >
      <form className="shop-form" onSubmit={save}>
        <Field
          label="Name"
          text={settings.name}
          onText={(name) => setSettings({ ...settings, name })}
        />
        <div>
          <p className="cap">Which units come first; both always stand there</p>
          <Choices<UnitSystem>
            name="Which units come first"
            value={settings.units ?? 'metric'}
            onValue={(units) => setSettings({ ...settings, units })}
            options={[
              { id: 'metric', label: 'mm, N·m, kN, km' },
              { id: 'inch', label: 'in, lb·ft, lbf, mi' },
            ]}
          />
        </div>
        <div className="pair-in">
          <Field
            label="Currency"
            text={settings.currency ?? ''}
            onText={(t) => setSettings(withText(settings, 'currency', t.trim().toUpperCase()))}
          />
          <Field
            label="Tax on a quote"
            unit="%"
            inputMode="decimal"
            text={tax}
            onText={(t) => {
              setTax(t);
              setSettings(withNumber(settings, 'taxPercent', t));
            }}
          />
        </div>
        {money ? (
          <Field
            label="An hour of hands on a car"
            inputMode="decimal"
            unit={money}
            text={rate}
            onText={(t) => {
              setRate(t);
              const minor = readMoney(t, money);
              const text = minor === undefined ? t : String(minor);
              setSettings(withNumber(settings, 'labourRateMinor', text));
            }}
          />
        ) : (
          <p className="note">With a currency the price of an hour is set here, for quotes.</p>
        )}
        <div className="pair-in">
          <Field
            label="Time zone, as Europe/Oslo"
            text={settings.timeZone ?? ''}
            onText={(t) => setSettings(withText(settings, 'timeZone', t.trim()))}
          />
          {intervals.map(({ key, label, unit }) => (
            <Field
              key={key}
              label={label}
              unit={unit}
              inputMode="numeric"
              text={interval[key] ?? String(first.settings[key] ?? '')}
              onText={(t) => {
                setIntervals({ ...interval, [key]: t });
                setSettings(withNumber(settings, key, t));
              }}
            />
          ))}
        </div>
        <ShopSchools
          chosen={settings.schools ?? {}}
          onChosen={(next) => setSettings({ ...settings, schools: next })}
        />
        <section>
          <h2>Simulated instruments</h2>
          {shop.demo ? (
            <p className="note">
              This is a demo shop: simulated gauge, indicator, microphone and reader work as real
              ones would, and every card is marked as made-up.
            </p>
          ) : (
            <>
              <Choices
                name="Simulated instruments"
                value={settings.standIns ? 'on' : 'off'}
                onValue={(v) => setSettings({ ...settings, standIns: v === 'on' })}
                options={[
                  { id: 'off', label: 'off' },
                  { id: 'on', label: 'on, for practice' },
                ]}
              />
              <p className="note">
                A job in which one was used is practice: its card says so, and neither the unit nor
                the tests learn from it.
              </p>
            </>
          )}
        </section>
        <PinField person={person?.name ?? 'nobody'} pin={pin} onPin={setPin} />
        <ProblemNote problem={problem} />
        <button type="submit" className={`btn ${ready ? 'main' : 'notyet'}`}>
          {ready ? `Keep as ${person?.name}` : 'Change something, then the lead’s PIN'}
        </button>
      </form>
      <div className="shop-things">
        <People shop={shop} who={who} onShop={setShop} />
        <TorqueTools today={today} shop={shop} who={who} onShop={setShop} />
        <Instruments shop={shop} who={who} onShop={setShop} />
        {tablets && <Tablets first={tablets} person={person} timeZone={timeZone} />}
        <WholeShop who={who} name={person?.name ?? 'a lead'} />
        <p className="note">
          Presses, rams, screws and adapters: <a href="/kit">Kit</a>. Parts:{' '}
          <a href="/parts">Parts</a>.
        </p>
      </div>
      <section className="shop-changes">
        <h2>Changes</h2>
        {shop.changes.length === 0 && <p className="note">None yet.</p>}
        <ol>
          {shop.changes.map((c) => (
            <li key={c.version}>
              <b className="num">{dayTime(c.atMs, timeZone)}</b>{' '}
              {shop.people.find((p) => p.id === c.byId)?.name ?? 'set up'}
            </li>
          ))}
        </ol>
      </section>
    </ShopPage>
  );
}
