import { useState } from 'react';
import { type Held, readCardCode } from '../../core/card/index.ts';
import { Field } from '../../ui/Field.tsx';
import { VerdictShape } from '../../ui/Marks.tsx';
import { call } from '../shell/useJob.ts';

/** What was found, in words. */
function words(h: Held, of: string): { status: 'good' | 'stop' | 'check'; text: string } {
  if (h.found === 'nothing')
    return { status: 'check', text: `Neither a day nor a job is called “${of}” here.` };
  if (!h.fits)
    return {
      status: 'stop',
      text:
        h.found === 'day'
          ? 'Not the head of this day: the record up to it was written anew, or the paper is not ours.'
          : 'Not a seal of this job: its record was altered or cut off, or the paper is not ours.',
    };
  if (h.found === 'day')
    return { status: 'good', text: 'The record up to this day is what it was.' };
  const since = h.since ? `, ${h.since} written since` : '';
  return {
    status: 'good',
    text: `Fits at entry ${h.upTo}${since}: nothing before it was altered.`,
  };
}

/** A paper in the hand: the seal of a card by its job number, or the head of a day. */
export function HeldAgainst() {
  const [of, setOf] = useState('');
  const [hash, setHash] = useState('');
  const [told, setTold] = useState<ReturnType<typeof words>>();
  const [fault, setFault] = useState<string>();
  const hold = async () => {
    // What the code on a card holds is taken as it is read.
    const code = readCardCode(hash);
    const asked = code ? { of: code.number, hash: code.seal } : { of: of.trim(), hash };
    const r = await call<Held>('POST', '/api/verify/held', asked);
    setTold(r.ok ? words(r.value, asked.of) : undefined);
    setFault(r.ok ? undefined : r.problem.detail);
  };
  return (
    <section>
      <h2>A paper in your hand</h2>
      <form
        className="grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void hold();
        }}
      >
        <Field compact label="Job number, or day (2026-11-27)" text={of} onText={setOf} />
        <Field
          compact
          label="Seal or head on it, or what its code holds"
          text={hash}
          onText={setHash}
          fault={fault}
        />
        <button type="submit" className="btn small">
          Hold it against the record
        </button>
      </form>
      {told && (
        <p className={`verdict-line ${told.status}`} role="status">
          <VerdictShape status={told.status} size={22} />
          <span>{told.text}</span>
        </p>
      )}
    </section>
  );
}
