import { Printer } from 'lucide-react';
import { type FormEvent, useEffect, useState } from 'react';
import { cornerNames } from '../../core/corner.ts';
import { itemsOf } from '../../core/families/index.ts';
import {
  chosenPart,
  familyCodeOf,
  familyOf,
  type JobView,
  plannedMinutes,
  planOf,
} from '../../core/job/index.ts';
import {
  branchesOf,
  type Quote as Made,
  quoteOf,
  type QuoteSettings,
} from '../../core/plan/index.ts';
import { dayTime, moneyInWords, readMoney } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { JobSheet, StationBody } from '../shell/JobSheet.tsx';
import { call, useJob } from '../shell/useJob.ts';
import './quote.css';

/** What will it cost, and what if? In the customer's words, to print. */
export default function Quote({ first, who }: { first: JobView; who: string }) {
  return (
    <JobSheet first={first} who={who} station="quote">
      <Body />
    </JobSheet>
  );
}

/** Prices that nobody has on record, typed here by their name. */
function usePrices(currency: string) {
  const { job } = useJob().view;
  const [text, setText] = useDraft(`${job.id}:quote:prices`);
  const prices = new Map(
    text
      .split('\n')
      .filter(Boolean)
      .map((line) => line.split('\t') as [string, string]),
  );
  const set = (id: string, price: string) => {
    prices.set(id, price.replaceAll(/[\n\t]/gu, ' '));
    setText([...prices].map(([k, v]) => `${k}\t${v}`).join('\n'));
  };
  const minor = (id: string) => readMoney(prices.get(id) ?? '', currency);
  return { text: (id: string) => prices.get(id) ?? '', minor, set };
}

function Body() {
  const { view } = useJob();
  const [settings, setSettings] = useState<QuoteSettings>();
  useEffect(() => {
    void call<QuoteSettings>('GET', `/api/jobs/${view.job.id}/quote-basis`).then(
      (r) => r.ok && setSettings(r.value),
    );
  }, [view.job.id]);
  const part = chosenPart(view);
  const currency = settings?.currency ?? part?.currency ?? 'EUR';
  const prices = usePrices(currency);
  const items = itemsOf(familyCodeOf(view)).filter((i) => i.singleUse && i.id !== 'bearing');
  const route = familyOf(view)?.routes.find((r) => r.id === planOf(view).route);
  const parts = [
    ...(part && part.currency === currency
      ? [{ what: `Bearing, ${part.maker}`, minor: part.priceMinor }]
      : []),
    ...items.flatMap((i) => {
      const minor = prices.minor(i.id);
      return minor === undefined ? [] : [{ what: i.name, minor }];
    }),
  ];
  const rate = settings?.ratePerHourMinor;
  const made =
    rate === undefined
      ? undefined
      : quoteOf({
          currency,
          ratePerHourMinor: rate,
          taxPercent: settings?.taxPercent ?? 0,
          plannedMin: plannedMinutes(view),
          history: settings?.history ?? [],
          alignmentMin: route?.alignmentMin ?? 0,
          parts,
        });
  const open = items.filter((i) => prices.minor(i.id) === undefined);
  return (
    <StationBody
      kicker={`Unit ${view.ctx.unit.fleetNo}, ${cornerNames[view.ctx.corner].toLowerCase()}`}
      title="What will it cost, and what if?"
      picture={
        made ? (
          <Sheet
            made={made}
            currency={currency}
            taxPercent={settings?.taxPercent}
            prices={prices}
          />
        ) : (
          <p className="note big">
            {settings
              ? 'The price of an hour is not set: a lead sets it, with currency and tax, on the Shop page.'
              : 'Looking up what earlier jobs took…'}
          </p>
        )
      }
      side={
        <>
          <Call status="to-do">{toldOf(made, settings, open.length)}</Call>
          <section className="grid gap-2">
            <h2>Prices not on record</h2>
            {items.map((i) => (
              <Field
                key={i.id}
                compact
                label={i.name}
                unit={currency}
                inputMode="decimal"
                text={prices.text(i.id)}
                onText={(t) => prices.set(i.id, t)}
              />
            ))}
          </section>
          <section className="grid gap-2">
            <h2>What if</h2>
            {branchesOf(familyCodeOf(view)).map((b) => (
              <Field
                key={b.id}
                compact
                label={b.what}
                unit={currency}
                inputMode="decimal"
                text={prices.text(`if-${b.id}`)}
                onText={(t) => prices.set(`if-${b.id}`, t)}
              />
            ))}
          </section>
          <div className="grow" />
        </>
      }
      actions={
        made ? (
          <Agree made={made} currency={currency} />
        ) : (
          <MainAction label="Print" missing="Not reckoned yet" />
        )
      }
    />
  );
}

function toldOf(made: Made | undefined, settings: QuoteSettings | undefined, open: number): string {
  if (!made || !settings) return 'No quote without the price of an hour.';
  const from =
    made.from === 'history'
      ? `By ${settings.history.length} earlier jobs of this family here.`
      : `By the plan: ${settings.history.length} of 5 earlier jobs of this family here have their minutes.`;
  return open > 0 ? `${from} ${open} prices are still open.` : from;
}

/** The sheet for the customer. */
function Sheet({
  made,
  currency,
  taxPercent,
  prices,
}: {
  made: Made;
  currency: string;
  taxPercent: number | undefined;
  prices: ReturnType<typeof usePrices>;
}) {
  const { view } = useJob();
  const say = (minor: number) => moneyInWords(minor, currency);
  const { total } = made;
  const x = (minor: number) => 20 + (minor / (total.high * 1.02)) * 640;
  const { agreed } = view.state;
  return (
    <article className="quote-sheet">
      <header>
        <b className="num big">{view.ctx.unit.fleetNo}</b>
        <p>
          <b>{view.ctx.unit.name}</b>
          <br />
          {familyOf(view)?.name ?? 'Wheel bearing'}, {cornerNames[view.ctx.corner].toLowerCase()}
          <br />
          {dayTime(view.nowMs, view.timeZone)}
        </p>
        <p className="right">
          <span>most likely</span>
          <b className="num total">{say(total.likely)}</b>
          <span className="num">
            from {say(total.low)} to {say(total.high)}
          </span>
        </p>
      </header>
      <svg
        className="drawing"
        viewBox="0 0 680 74"
        role="img"
        aria-label={`From ${say(total.low)} to ${say(total.high)}, most likely ${say(total.likely)}`}
      >
        <path className="out" d="M20 40H660" />
        <rect
          className="expected-fill"
          x={x(total.low)}
          y="24"
          width={x(total.high) - x(total.low)}
          height="32"
        />
        <path className="way" d={`M${x(total.likely)} 18v44`} />
        <text className="cap" x={x(total.low)} y="70" textAnchor="middle">
          if all goes well
        </text>
        <text className="cap" x="660" y="70" textAnchor="end">
          if it fights back
        </text>
      </svg>
      <table>
        <thead>
          <tr>
            <th />
            <th className="num">low</th>
            <th className="num">likely</th>
            <th className="num">high</th>
          </tr>
        </thead>
        <tbody>
          {made.lines.map((l) => (
            <tr key={l.what}>
              <td>{l.what}</td>
              {(['low', 'likely', 'high'] as const).map((k) => (
                <td key={k} className="num">
                  {say(l.minor[k])}
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <td>{taxPercent === undefined ? 'Tax: not set' : `Tax, ${taxPercent} %`}</td>
            {(['low', 'likely', 'high'] as const).map((k) => (
              <td key={k} className="num">
                {say(made.tax[k])}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <section>
        <h3>What if</h3>
        {branchesOf(familyCodeOf(view)).map((b) => {
          const minor = prices.minor(`if-${b.id}`);
          return (
            <p key={b.id}>
              <b>{b.what}</b>: {b.why}{' '}
              <span className="num">
                {minor === undefined
                  ? 'You are asked first.'
                  : `About ${say(minor)} more, and you are asked first.`}
              </span>
            </p>
          );
        })}
      </section>
      <p className="cap">
        {made.from === 'history'
          ? 'Hours by earlier jobs of this kind in this shop.'
          : 'Hours by the plan of this job; half as long again where rust holds it.'}
      </p>
      {agreed && (
        <p className="agreed">
          <b>{agreed.who}</b> agreed to up to{' '}
          <b className="num">{moneyInWords(agreed.upToMinor, agreed.currency)}</b>,{' '}
          {dayTime(agreed.atMs, view.timeZone)}.
        </p>
      )}
    </article>
  );
}

/** The customer's yes: who, and to how much. */
function Agree({ made, currency }: { made: Made; currency: string }) {
  const { view, send } = useJob();
  const [asking, setAsking] = useState(false);
  const [name, setName] = useDraft(`${view.job.id}:quote:who`);
  const [upTo, setUpTo] = useDraft(`${view.job.id}:quote:upto`);
  const minor = readMoney(upTo, currency);
  const keep = async (e?: FormEvent) => {
    e?.preventDefault();
    if (!minor || name.trim() === '') return;
    if (await send('quote-agreed', { who: name.trim(), upToMinor: minor, currency }))
      setAsking(false);
  };
  if (asking)
    return (
      <form className="agree" onSubmit={keep}>
        <Field compact label="Who said yes" text={name} onText={setName} />
        <Field
          compact
          label={`Up to, likely ${moneyInWords(made.total.likely, currency)}`}
          unit={currency}
          inputMode="decimal"
          text={upTo}
          onText={setUpTo}
        />
        <MainAction
          label="Agreed"
          missing={firstThat([name.trim() === '', 'Who said yes'], [!minor, 'Up to how much'])}
          onAct={() => keep()}
        />
      </form>
    );
  return (
    <>
      <MainAction
        label={view.state.agreed ? 'Agreed anew' : 'The customer says yes'}
        onAct={() => setAsking(true)}
      />
      <button type="button" className="btn quiet" onClick={() => window.print()}>
        <Printer aria-hidden="true" />
        Print
      </button>
    </>
  );
}
