import { useEffect, useState } from 'react';
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
import { Field } from '../../ui/Field.tsx';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { JobSheet, StationBody } from '../shell/JobSheet.tsx';
import { call, useJob } from '../shell/useJob.ts';
import { QuoteAgree } from './QuoteAgree.tsx';
import { QuoteSheet } from './QuoteSheet.tsx';
import { usePrices } from './usePrices.ts';
import './quote.css';

/** What will it cost, and what if? In the customer's words, to print. */
export default function Quote({ first, who }: { first: JobView; who: string }) {
  return (
    <JobSheet first={first} who={who} station="quote">
      <Body />
    </JobSheet>
  );
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
  const currency = settings?.currency ?? part?.currency;
  const prices = usePrices(currency);
  // A bearing that is priced in another currency is priced here, never converted.
  const known = part && part.currency === currency ? part.priceMinor : undefined;
  const items = itemsOf(familyCodeOf(view)).filter(
    (i) => i.singleUse && (i.id !== 'bearing' || known === undefined),
  );
  const typed = items.flatMap((i) => {
    const minor = prices.minor(i.id);
    return minor === undefined ? [] : [{ what: i.name, minor }];
  });
  const route = familyOf(view)?.routes.find((r) => r.id === planOf(view).route);
  const rate = settings?.ratePerHourMinor;
  const made =
    settings && rate !== undefined && currency !== undefined
      ? quoteOf({
          currency,
          ratePerHourMinor: rate,
          taxPercent: settings.taxPercent ?? 0,
          plannedMin: plannedMinutes(view),
          history: settings.history,
          alignmentMin: route?.alignmentMin ?? 0,
          parts: [
            ...(known === undefined || !part
              ? []
              : [{ what: `Bearing, ${part.maker}`, minor: known }]),
            ...typed,
          ],
        })
      : undefined;
  const open = items.length - typed.length;
  return (
    <StationBody
      kicker={`Unit ${view.ctx.unit.fleetNo}, ${cornerNames[view.ctx.corner].toLowerCase()}`}
      title="What will it cost, and what if?"
      picture={
        made && currency ? (
          <QuoteSheet
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
          <Call status="to-do">{toldOf(made, settings, open)}</Call>
          <section className="grid gap-2">
            <h2>Prices not on record</h2>
            {items.map((i) => (
              <Field
                key={i.id}
                compact
                label={i.name}
                {...(currency ? { unit: currency } : {})}
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
                {...(currency ? { unit: currency } : {})}
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
        made && currency ? (
          <QuoteAgree made={made} currency={currency} />
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
