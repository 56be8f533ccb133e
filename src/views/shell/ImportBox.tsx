import { useEffect, useState } from 'react';
import { FileButton } from '../../ui/FileButton.tsx';
import { Call } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { leadHeaders } from './useLeadPin.tsx';
import { call, type ProblemDoc } from './useJob.ts';

/** Kinds of record with a table of their own; `units` and `procedures` have JSON alone, and a lead brings them in. */
type Kind =
  | 'adapters'
  | 'presses'
  | 'parts'
  | 'consumables'
  | 'wrenches'
  | 'instruments'
  | 'lives'
  | 'units'
  | 'procedures';
interface Said {
  status: 'good' | 'check' | 'stop';
  text: string;
  errors?: ProblemDoc['errors'];
  rest?: { text: string; good: number };
}

const taken = (r: Record<string, number>) =>
  Object.entries(r)
    .map(([k, n]) => (k === 'leftOut' ? `${n} left out` : `${n} ${k}`))
    .join(', ');

/** Brings a table or a workshop file in. A table with faulty lines is refused whole, and the good lines are offered. */
export function ImportBox({
  kind,
  title = 'Import and export',
  lead,
  onTaken,
}: {
  kind: Kind;
  title?: string;
  /** Who answers for it, where the kind asks for a lead. */
  lead?: { id: string; name: string };
  onTaken: () => void;
}) {
  const [said, setSaid] = useState<Said>();
  const [running, setRunning] = useState<{ name: string; stop: AbortController }>();
  const [pin, setPin] = useState('');
  const tabled = kind !== 'units' && kind !== 'procedures';
  const send = async (path: string, body: unknown, type: string, name: string, text: string) => {
    const stop = new AbortController();
    setRunning({ name, stop });
    const headers: Record<string, string> = lead ? leadHeaders({ byId: lead.id, pin }) : {};
    const r = await call<Record<string, number>>('POST', path, body, type, headers, stop.signal);
    setRunning(undefined);
    if (stop.signal.aborted) onTaken();
    if (r.ok) {
      setSaid({ status: 'good', text: `${name}: took ${taken(r.value)}.` });
      return onTaken();
    }
    const { good } = r.problem as ProblemDoc & { good?: number };
    setSaid({
      status: 'stop',
      text: `${name}: ${r.problem.detail}`,
      errors: r.problem.errors,
      ...(good ? { rest: { text, good } } : {}),
    });
  };
  const load = async (file: File) => {
    const text = await file.text();
    if (file.name.toLowerCase().endsWith('.csv'))
      return send(`/api/import/${kind}`, text, 'text/csv', file.name, text);
    try {
      await send('/api/import', JSON.parse(text), 'application/json', file.name, text);
    } catch (e) {
      setSaid({ status: 'stop', text: `${file.name} is not JSON: ${(e as Error).message}` });
    }
  };
  return (
    <>
      {said && (
        <Call status={said.status}>
          {said.text}
          {said.errors && said.errors.length > 0 && (
            <ul>
              {said.errors.slice(0, 6).map((e) => (
                <li key={e.field + e.reason}>
                  <b>{e.field}</b>: {e.reason}
                </li>
              ))}
            </ul>
          )}
          {said.rest && (
            <button
              type="button"
              className="btn quiet small mt-2"
              onClick={() =>
                send(
                  `/api/import/${kind}/rest`,
                  said.rest!.text,
                  'text/csv',
                  'Without the faulty lines',
                  said.rest!.text,
                )
              }
            >
              Take the other {said.rest.good}
            </button>
          )}
        </Call>
      )}
      <section>
        {title && <h2>{title}</h2>}
        {lead && <PinField person={lead.name} pin={pin} onPin={setPin} />}
        {(!lead || pin.length >= 4) && (
          <FileButton
            label={tabled ? 'CSV or JSON file' : 'JSON file'}
            accept={tabled ? '.csv,.json,text/csv,application/json' : '.json,application/json'}
            busy={running !== undefined}
            onFile={(f) => void load(f)}
          />
        )}
        {running && <Running {...running} />}
        <p className="cap mt-1">
          All of a file is taken or nothing.{' '}
          {tabled && (
            <a className="link" href={`/api/export/${kind}.csv`} download>
              CSV of these
            </a>
          )}{' '}
          <a className="link" href={`/api/export/${kind}.json`} download>
            JSON of these
          </a>{' '}
          <a className="link" href="/api/schema/workshop">
            Schema
          </a>
        </p>
      </section>
    </>
  );
}

/** A file that is being taken in: for how long already, and a way to stop it. */
function Running({ name, stop }: { name: string; stop: AbortController }) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const tick = setInterval(() => setSeconds((s) => s + 1), 1000);
    return () => clearInterval(tick);
  }, []);
  return (
    <p className="note" role="status">
      {name}: <b className="num">{seconds} s</b>{' '}
      <button type="button" className="btn quiet small" onClick={() => stop.abort()}>
        Stop
      </button>
    </p>
  );
}
