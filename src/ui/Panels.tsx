import { X } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';
import { sentence } from '../core/rules/index.ts';
import type { Status, Verdict } from '../core/verdict.ts';
import { VerdictShape, verdictWords } from './Marks.tsx';
import { RuleLink } from './RuleLink.tsx';

/** The call of a screen: word first, then what is true. */
/** A verdict, or what is still to be done before there can be one. */
export type CallStatus = Status | 'to-do';

export function Call({ status, children }: { status: CallStatus; children: ReactNode }) {
  if (status === 'to-do') return <ToDo>{children}</ToDo>;
  return (
    <section className={`call is-${status}`} aria-live="polite">
      <VerdictShape status={status} size={52} />
      <div>
        <b className={`word ${status}`}>{verdictWords[status]}</b>
        <div className="say">{children}</div>
      </div>
    </section>
  );
}

/** What is merely still to do: in ink, no verdict. It stands where the call will stand. */
function ToDo({ children }: { children: ReactNode }) {
  return (
    <section className="call to-do" aria-live="polite">
      <svg width="52" height="52" viewBox="0 0 52 52" aria-hidden="true">
        <path className="to-do-mark" d="M8 26H40M28 14L40 26L28 38" />
      </svg>
      <div>
        <b className="word">To do</b>
        <div className="say">{children}</div>
      </div>
    </section>
  );
}

/** Verdicts as lines, each linked to its rule. */
export function VerdictLines({ verdicts }: { verdicts: readonly Verdict[] }) {
  return (
    <ul>
      {verdicts.map((v) => (
        <li key={v.rule + (v.role ?? '') + sentence(v)} className="line-v">
          <VerdictShape status={v.status} size={22} />
          <span>
            <span className="visually-hidden">{verdictWords[v.status]}: </span>
            <RuleLink said={v} />
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Symbol, value, limit and, when there is one, the verdict: one line of an engineering sheet. */
export function Frame({
  name,
  value,
  limit,
  status,
}: {
  name: string;
  value: string;
  limit?: string | undefined;
  status?: Status | undefined;
}) {
  return (
    <span className="feature-frame">
      {name && <span className="symbol">{name}</span>}
      <b>{value}</b>
      {limit && <span className="limit-cell">{limit}</span>}
      {status && (
        <span>
          <VerdictShape status={status} size={20} />
          <span className="visually-hidden">{verdictWords[status]}</span>
        </span>
      )}
    </span>
  );
}

/** Goes to what a locked action waits for: the first field of its dialog or page that is wrong or still empty. */
function toWhatIsMissing(action: HTMLElement): void {
  const place = action.closest('dialog') ?? action.closest('main') ?? document;
  const fields = [...place.querySelectorAll('input')].filter(
    (f) => f.offsetParent !== null && f.type !== 'checkbox' && f.type !== 'radio',
  );
  const missing =
    fields.find((f) => f.getAttribute('aria-invalid') === 'true') ??
    fields.find((f) => f.value === '');
  missing?.scrollIntoView({ block: 'center' });
  missing?.focus();
}

/** The main action. While something is missing it says what, keeps focus, and does nothing. */
export function MainAction({
  label,
  missing,
  busy,
  onAct,
  type = 'button',
}: {
  label: string;
  missing?: string | undefined;
  busy?: boolean;
  onAct?: () => void;
  type?: 'button' | 'submit';
}) {
  if (missing)
    return (
      <button
        type="button"
        className="btn notyet"
        aria-disabled="true"
        onClick={(e) => toWhatIsMissing(e.currentTarget)}
      >
        <span>{label}</span>
        <small>{missing}</small>
      </button>
    );
  return (
    <button type={type} className="btn main" onClick={onAct} aria-busy={busy} data-main="">
      {label}
    </button>
  );
}

export function Caution({ children, why }: { children: ReactNode; why?: string }) {
  return (
    <div className="caution">
      <VerdictShape status="check" size={28} />
      <span>
        {children}
        {why && <small>{why}</small>}
      </span>
    </div>
  );
}

export interface Choice<T extends string> {
  id: T;
  label: ReactNode;
  picture?: ReactNode;
}

/** One of several, in taps; arrow keys work as in any radio group. */
export function Choices<T extends string>({
  name,
  options,
  value,
  onValue,
}: {
  name: string;
  options: readonly Choice<T>[];
  value: T | undefined;
  onValue: (v: T) => void;
}) {
  const at = options.findIndex((o) => o.id === value);
  const move = (e: React.KeyboardEvent, by: number) => {
    e.preventDefault();
    e.stopPropagation();
    const next = options[(Math.max(0, at) + by + options.length) % options.length]!;
    onValue(next.id);
    (
      e.currentTarget.parentElement?.children[options.indexOf(next)] as HTMLElement | undefined
    )?.focus();
  };
  return (
    <div role="radiogroup" aria-label={name} className="opts">
      {options.map((o, i) => (
        <button
          key={o.id}
          type="button"
          role="radio"
          aria-checked={o.id === value}
          tabIndex={o.id === value || (at < 0 && i === 0) ? 0 : -1}
          className="opt"
          onClick={() => onValue(o.id)}
          onKeyDown={(e) => {
            if (e.key === 'ArrowRight' || e.key === 'ArrowDown') move(e, 1);
            if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') move(e, -1);
          }}
        >
          {o.picture}
          <span>{o.label}</span>
        </button>
      ))}
    </div>
  );
}

/** Any of several. */
export function Toggles<T extends string>({
  name,
  options,
  values,
  onValues,
}: {
  name: string;
  options: readonly Choice<T>[];
  values: readonly T[];
  onValues: (v: T[]) => void;
}) {
  return (
    <div role="group" aria-label={name} className="opts">
      {options.map((o) => (
        <button
          key={o.id}
          type="button"
          className="opt"
          aria-pressed={values.includes(o.id)}
          onClick={() =>
            onValues(values.includes(o.id) ? values.filter((v) => v !== o.id) : [...values, o.id])
          }
        >
          {o.picture}
          <span>{o.label}</span>
        </button>
      ))}
    </div>
  );
}

interface DialogProps {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** A native dialog: focus is kept inside, Escape closes it. */
export function Dialog({ title, onClose, children }: DialogProps) {
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const d = ref.current;
    if (d && !d.open) d.showModal();
  }, []);
  return (
    <dialog ref={ref} onClose={onClose} onCancel={onClose} aria-label={title}>
      <DialogBody title={title} onClose={onClose}>
        {children}
      </DialogBody>
    </dialog>
  );
}

/** What stands in a dialog, under its title. */
export const DialogBody = ({ title, onClose, children }: DialogProps) => (
  <div className="dialog-body">
    <header>
      <h2>{title}</h2>
      <button type="button" className="btn quiet small" onClick={onClose} aria-label="Close">
        <X aria-hidden="true" />
      </button>
    </header>
    {children}
  </div>
);
