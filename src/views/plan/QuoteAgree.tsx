import { Printer } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import type { Quote } from '../../core/plan/index.ts';
import { moneyInWords, readMoney } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';

/** The customer's yes: who, and to how much. */
export function QuoteAgree({ made, currency }: { made: Quote; currency: string }) {
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
