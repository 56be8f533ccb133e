import { useEffect, useState } from 'react';
import {
  type Calculator,
  calculators,
  scratch,
  type ScratchField,
  type ScratchResult,
  type Scratched,
} from '../../core/scratch/index.ts';
import type { Dimension } from '../../core/units/index.ts';
import { ErrorBoundary } from '../../ui/ErrorBoundary.tsx';
import { Field } from '../../ui/Field.tsx';
import { Choices } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { both, forOutside, fromOutside, systemHere } from '../../ui/units.ts';
import { ShopPage } from '../shell/ShopPage.tsx';
import { drawings } from './drawings.tsx';
import { IntoJob } from './IntoJob.tsx';
import './scratch.css';

type Typed = Record<string, string>;

/** A figure as it is read out, both systems. */
export function shown(r: ScratchResult): string {
  if ('text' in r) return r.text;
  const b = both(r.value, r.dimension, r.decimals);
  const gap = b.unit === '°' ? '' : ' ';
  return [`${b.value}${gap}${b.unit}`.trim(), b.other].filter(Boolean).join(' / ');
}

/** The texts of an address, those of quantities changed by what becomes of them on the way in or out. */
const eachQuantity = (texts: Typed, change: (text: string, d: Dimension) => string): Typed => {
  const kinds = new Map(calculators.flatMap((c) => c.fields.map((f) => [f.id, f.kind])));
  return Object.fromEntries(
    Object.entries(texts).map(([id, text]) => {
      const kind = kinds.get(id);
      return [id, typeof kind === 'string' && kind !== 'word' ? change(text, kind) : text];
    }),
  );
};

/** Reckon without a job: what is typed stands in the address, so that it can be sent. */
export default function Scratch({
  first,
  shop,
  job,
}: {
  /** What the address holds. */
  first: Typed;
  shop: string;
  /** The job that was open before this page. */
  job: { id: string; number: string; by: string } | undefined;
}) {
  const [open, setOpen] = useState(first['c'] ?? calculators[0]!.id);
  const [typed, setTyped] = useState<Typed>(() => eachQuantity(first, fromOutside));
  const c = calculators.find((x) => x.id === open) ?? calculators[0]!;
  useEffect(() => {
    const sent = eachQuantity(typed, forOutside);
    const fields = c.fields.flatMap((f) => (sent[f.id] ? [[f.id, sent[f.id]!]] : []));
    const from = job ? [['job', job.id]] : [];
    const query = new URLSearchParams([['c', c.id], ...fields, ...from]);
    history.replaceState(undefined, '', `?${query.toString()}`);
  }, [c, typed, job]);
  const out = scratch(c, typed, systemHere());
  return (
    <ShopPage
      shop={shop}
      note="Scratch"
      title={c.name}
      lines={['Reckoned, not recorded. The address of this page holds the figures.']}
      main="scratch-main"
      {...(job ? { back: { href: `/jobs/${job.id}`, word: `Job ${job.number}` } } : {})}
    >
      <nav className="scratch-list" aria-label="Calculations">
        {calculators.map((x) => (
          <button
            key={x.id}
            type="button"
            aria-current={x.id === c.id ? 'true' : undefined}
            onClick={() => setOpen(x.id)}
          >
            {x.name}
          </button>
        ))}
      </nav>
      <section className="scratch-picture">
        <Out c={c} out={out} />
      </section>
      <section className="scratch-form">
        {c.fields.map((f) => (
          <OneField
            key={`${c.id}:${f.id}`}
            f={f}
            text={typed[f.id] ?? ''}
            fault={out.done ? undefined : out.faults[f.id]}
            onText={(t) => setTyped({ ...typed, [f.id]: t })}
          />
        ))}
        <p className="cap">{c.source}.</p>
        {c.caution && <p className="note">{c.caution}</p>}
        {out.done && job && (
          <IntoJob
            job={job}
            text={`${c.name}: ${out.results.map((r) => `${r.what} ${shown(r)}`).join('; ')}`}
          />
        )}
      </section>
    </ShopPage>
  );
}

function Out({ c, out }: { c: Calculator; out: Scratched }) {
  const Drawing = drawings[c.id];
  if (!out.done)
    return (
      <p className="note big">
        {out.open.length > 0
          ? `Still open: ${c.fields
              .filter((f) => out.open.includes(f.id))
              .map((f) => f.label.toLowerCase())
              .join('; ')}.`
          : 'One figure cannot be.'}
      </p>
    );
  return (
    <>
      <div className="scratch-results" aria-live="polite">
        {out.results.map((r) => (
          <p key={r.what} className={r.main ? 'main' : ''}>
            <span className="cap">{r.what}</span>
            <b className="num">{shown(r)}</b>
          </p>
        ))}
      </div>
      <ErrorBoundary>{Drawing && <Drawing a={out.asked} />}</ErrorBoundary>
    </>
  );
}

function OneField({
  f,
  text,
  fault,
  onText,
}: {
  f: ScratchField;
  text: string;
  fault: string | undefined;
  onText: (t: string) => void;
}) {
  const label = f.optional ? `${f.label}, if any` : f.label;
  if (f.kind === 'word')
    return <Field label={label} text={text} onText={onText} fault={text ? fault : undefined} />;
  if (typeof f.kind !== 'string')
    return (
      <div className="field">
        <span>{label}</span>
        <Choices
          name={label}
          value={text}
          onValue={onText}
          options={f.kind.map((id) => ({ id, label: id.replace('-', ' ') }))}
        />
      </div>
    );
  return (
    <QuantityInput
      label={label}
      dimension={f.kind as Dimension}
      text={text}
      onText={onText}
      fault={text ? fault : undefined}
    />
  );
}
