import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import {
  causesBehind,
  enoughCauses,
  learnt,
  type LikelihoodTables,
  rowFault,
  rowName,
  rowsOf,
  type TestKind,
  tests,
} from '../../core/diagnosis/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { PinField, ReasonField } from '../../ui/SignFields.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import { Rows } from './Rows.tsx';
import './tables.css';

interface View {
  tables: LikelihoodTables;
  countFromMs: number;
  versions: { version: number; reason: string; byId: string; atMs: number }[];
  people: { id: string; name: string; lead: boolean }[];
}

interface Props {
  first: View;
  shop: string;
  who: string;
}

type Send = (path: string, body: object) => Promise<boolean>;

/** What each test tells under each cause: open to be read, and to be changed by a lead. */
export default function Tables({ first, shop, who: firstWho }: Props) {
  const [view, setView] = useState(first);
  const [who, setWho] = useState(firstWho);
  const [testId, setTestId] = useState('spring');
  const [open, setOpen] = useState<string>();
  const [texts, setTexts] = useState<string[]>([]);
  const [said, setSaid] = useState<{ status: 'good' | 'stop'; text: string }>();
  const { tables } = view;
  const t = tests.find((x) => x.id === testId)!;
  const pick = (key: string | undefined, test: TestKind = t) => {
    setOpen(key);
    setTexts(
      key
        ? (tables.edits[test.id]?.[key] ?? rowsOf(test)[key]!).map((v) =>
            String(+(test.numeric ? v : v * 100).toFixed(2)),
          )
        : [],
    );
  };
  const typed = texts.map((x) => Number(x.trim().replace(',', '.')) / (t.numeric ? 1 : 100));
  const short = texts.some((x) => x.trim() === '') || typed.some((x) => !Number.isFinite(x));
  const fault = open && (short ? 'Every figure is needed.' : rowFault(t, open, typed));
  const sum = typed.reduce((a, b) => a + b, 0);
  const row = t.numeric || fault ? typed : typed.map((p) => p / sum);
  const trial =
    open && !fault ? { key: open, row: learnt(t, row, tables.counts[t.id]?.[open]) } : undefined;
  const send: Send = async (path, body) => {
    const r = await call<View>('POST', path, {
      id: uuid(),
      version: tables.version,
      byId: who,
      ...body,
    });
    setSaid(
      r.ok
        ? { status: 'good', text: `Version ${r.value.tables.version} stands.` }
        : { status: 'stop', text: inWords(r.problem) },
    );
    if (r.ok) {
      setView(r.value);
      setOpen(undefined);
    }
    return r.ok;
  };
  const person = view.people.find((p) => p.id === who);
  return (
    <ShopPage
      shop={shop}
      note={`Likelihood tables, version ${tables.version}${tables.version === 0 ? ', as written' : ''}`}
      person={{ people: view.people, who, onWho: setWho }}
      title={t.short}
      lines={[t.why]}
      main="station kit-main tables-main"
    >
      <div className="pic">
        <ul className="test-list" aria-label="Tests">
          {tests.map((x) => (
            <li key={x.id}>
              <button
                type="button"
                aria-pressed={x.id === testId}
                onClick={() => {
                  setTestId(x.id);
                  pick(undefined, x);
                  setSaid(undefined);
                }}
              >
                {x.short}
              </button>
            </li>
          ))}
        </ul>
        <div className="rows-pic">
          {!t.numeric && (
            <p className="legend">
              {t.results.map((r, i) => (
                <span key={r.id}>
                  <svg width="22" height="16" aria-hidden="true">
                    <rect className={`part share-${i}`} x="1" y="1" width="20" height="14" />
                  </svg>{' '}
                  {r.name}
                </span>
              ))}
            </p>
          )}
          <Rows test={t} tables={tables} trial={trial} open={open} onOpen={pick} />
          <p className="cap">
            Engineering judgement of ours, no published source. Dashed: as written. A row counts as
            20 cases before the bench adds its own.
          </p>
        </div>
      </div>
      <aside className="side" aria-label="Change and versions">
        <div className="side-in">
          {said && <Call status={said.status}>{said.text}</Call>}
          {open ? (
            <section>
              <h2>{rowName(open)}</h2>
              <div className="grid gap-2">
                {(t.numeric
                  ? [`Mean, ${t.numeric.unit}`, `Spread, ${t.numeric.unit}`]
                  : t.results.map((r) => r.name)
                ).map((label, i) => (
                  <label key={label} className="field compact">
                    <span>{label}</span>
                    <span className="box">
                      <input
                        value={texts[i] ?? ''}
                        inputMode="decimal"
                        onChange={(e) =>
                          setTexts(texts.map((x, k) => (k === i ? e.target.value : x)))
                        }
                      />
                      <span className="unit-name">{t.numeric?.unit ?? '%'}</span>
                    </span>
                  </label>
                ))}
              </div>
              {fault && (
                <p className="note" role="alert">
                  {fault}
                </p>
              )}
            </section>
          ) : (
            <section>
              <h2>Change a row</h2>
              <p className="note">
                Tap a cause in the drawing. Only a lead can keep a change; every version can be
                brought back.
              </p>
            </section>
          )}
          <Answer
            lead={person?.lead ?? false}
            name={person?.name ?? 'nobody'}
            label={open ? `Keep as version ${tables.version + 1}` : undefined}
            fault={fault}
            tables={tables}
            versions={view.versions}
            people={view.people}
            onKeep={(a) => send('/api/tables/edit', { ...a, testId: t.id, rows: { [open!]: row } })}
            onRestore={(a, restore) => send('/api/tables/restore', { ...a, restore })}
            onReset={(a) => send('/api/tables/reset-counts', a)}
          />
          <div className="grow" />
        </div>
      </aside>
    </ShopPage>
  );
}

const inWords = (p: ProblemDoc) => p.errors.map((e) => e.reason).join(' ') || p.detail;

interface Signature {
  pin: string;
  reason: string;
}

/** Reason and PIN of the lead, then one of: keep the row, bring a version back, let the counts begin anew. */
function Answer({
  lead,
  name,
  label,
  fault,
  tables,
  versions,
  people,
  onKeep,
  onRestore,
  onReset,
}: {
  lead: boolean;
  name: string;
  label: string | undefined;
  fault: string | undefined;
  tables: LikelihoodTables;
  versions: View['versions'];
  people: View['people'];
  onKeep: (a: Signature) => Promise<boolean>;
  onRestore: (a: Signature, version: number) => Promise<boolean>;
  onReset: (a: Signature) => Promise<boolean>;
}) {
  const [reason, setReason] = useState('');
  const [pin, setPin] = useState('');
  const missing = firstThat(
    [!lead, 'A lead has to be on the tablet'],
    [reason.trim() === '', 'Say why'],
    [pin.length < 4, 'PIN first'],
  );
  const act = async (work: (a: Signature) => Promise<boolean>) => {
    if (!missing && (await work({ pin, reason: reason.trim() }))) {
      setReason('');
      setPin('');
    } else setPin('');
  };
  const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
  return (
    <>
      <section className="grid gap-2">
        <ReasonField compact label="Why" text={reason} onText={setReason} />
        <PinField compact person={name} pin={pin} onPin={setPin} />
        {label && (
          <MainAction
            label={label}
            missing={fault ? 'The row is not right yet' : missing}
            onAct={() => act(onKeep)}
          />
        )}
      </section>
      <section>
        <h2>Versions</h2>
        <ul className="not-yet">
          {[...versions, { version: 0, reason: 'as written', byId: '', atMs: 0 }].map((v) => (
            <li key={v.version}>
              <button
                type="button"
                aria-disabled={v.version === tables.version || missing !== undefined}
                onClick={() => v.version !== tables.version && act((a) => onRestore(a, v.version))}
              >
                <span>
                  {v.version}, {v.reason}
                  {v.byId && (
                    <small className="cap">
                      {' '}
                      {people.find((p) => p.id === v.byId)?.name}, {day(v.atMs)}
                    </small>
                  )}
                </span>
                <em>{v.version === tables.version ? 'stands' : 'bring back'}</em>
              </button>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2>Seen on the bench</h2>
        <p className="note">
          <b className="num">{tables.outcomes}</b>{' '}
          {tables.outcomes === 1
            ? 'job whose cause was seen counts'
            : 'jobs whose cause was seen count'}
          .{' '}
          {causesBehind(tables.causes) > 0
            ? `The shares before any test stand on ${causesBehind(tables.causes)} of them.`
            : `The shares before any test are ours until ${enoughCauses} causes of more than one kind were seen.`}
        </p>
        {tables.outcomes > 0 && (
          <button
            type="button"
            className="btn quiet small w-full mt-2"
            aria-disabled={missing !== undefined}
            onClick={() => act(onReset)}
          >
            {missing ? `Count anew: ${missing.toLowerCase()}` : 'Count anew from now'}
          </button>
        )}
      </section>
    </>
  );
}
