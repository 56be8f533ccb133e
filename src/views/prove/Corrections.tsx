import { createContext, useContext, useState } from 'react';
import { cardLines, type JobCard as Card } from '../../core/card/index.ts';
import { dayTime } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { PinDialog } from '../shell/PinDialog.tsx';
import { useJob } from '../shell/useJob.ts';

type Correction = NonNullable<Card['corrections']>[number];

/** What was corrected of the card that is shown, in its order. */
export const Corrected = createContext<readonly Correction[]>([]);

/** The number of the correction that puts a line right, beside the line. */
export function CorrectionMark({ line, says }: { line: string; says: string }) {
  const at = useContext(Corrected).findLastIndex((x) => x.line === line && x.was === says);
  return at < 0 ? null : <sup className="num">correction {at + 1}</sup>;
}

/** Lines that were put right under the signature: what stood there and what is right. */
export function CorrectionLines({ tz }: { tz: string }) {
  const corrections = useContext(Corrected);
  if (corrections.length === 0) return null;
  return (
    <>
      <h3>Corrections under the signature</h3>
      {corrections.map((x, i) => (
        <p key={x.atMs}>
          <b className="num">{i + 1}</b> {x.line}: <s>{x.was}</s> <b>{x.is}</b>. {x.reason}. {x.who}
          , {dayTime(x.atMs, tz)}
        </p>
      ))}
    </>
  );
}

/** Puts a line of the signed card right: the line stays, the correction refers to it. */
export function CorrectLine({ card }: { card: Card }) {
  const { view, send } = useJob();
  const lines = cardLines(card);
  const [at, setAt] = useState('');
  const [is, setIs] = useState('');
  const [signing, setSigning] = useState(false);
  const line = lines[Number(at)];
  const picked = at === '' ? undefined : line;
  const missing = firstThat(
    [!picked, 'Name the line first'],
    [is.trim() === '', 'Say what is right'],
  );
  const correct = async (pin: string, reason: string) => {
    if (!picked) return false;
    const body = { line: picked.line, was: picked.says, is: is.trim(), reason };
    const ok = await send('line-corrected', body, pin);
    if (ok) location.assign(`/jobs/${view.job.id}/card`);
    return ok;
  };
  return (
    <section>
      <details className="more">
        <summary>A line is wrong?</summary>
        <div className="grid gap-2">
          <label className="field">
            <span>Line of the card</span>
            <select className="pick" value={at} onChange={(e) => setAt(e.target.value)}>
              <option value="">choose</option>
              {lines.map((l, i) => (
                <option key={i} value={i}>
                  {l.line}: {l.says}
                </option>
              ))}
            </select>
          </label>
          <Field label="What is right" text={is} onText={setIs} />
          <button
            type="button"
            className="btn quiet small"
            aria-disabled={missing !== undefined}
            onClick={() => missing === undefined && setSigning(true)}
          >
            {missing ?? 'Correct it'}
          </button>
        </div>
        {signing && picked && (
          <PinDialog
            title="Correct a line of the card?"
            text={`${picked.line}: ${picked.says} stays on the card; ${is.trim()} stands beside it, with your name and reason.`}
            reason
            onClose={() => setSigning(false)}
            onPin={correct}
          />
        )}
      </details>
    </section>
  );
}
