import { useState } from 'react';
import type { ShopImport } from '../../core/schemas/shop-archive.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { ImportBox } from '../shell/ImportBox.tsx';
import { leadHeaders } from '../shell/useLeadPin.tsx';
import { call, problemOf } from '../shell/useJob.ts';

const tableNames: Readonly<Record<string, string>> = {
  technicians: 'People',
  records: 'Units, parts, kit, tools, procedures',
  record_versions: 'Earlier versions of these',
  jobs: 'Jobs',
  events: 'Entries of jobs',
  choices: 'Choices on jobs',
  snapshots: 'What signed jobs were judged against',
  cards: 'Cards as they were signed',
  signed_names: 'Names on signed cards',
  outcomes: 'Confirmed causes',
  books: 'Versions of the likelihood tables',
  shop_settings: 'Versions of the settings',
  meta: 'Name and marks of the shop',
};

/** Takes an archive in: what it would change is shown before anything is written. */
export function TakeArchive({
  who,
  pin,
  empty,
  onTaken,
}: {
  who: string;
  pin: string;
  /** Nothing is here yet: no PIN is asked, and all is taken as it is. */
  empty: boolean;
  onTaken: () => void;
}) {
  const [file, setFile] = useState<File>();
  const [seen, setSeen] = useState<ShopImport>();
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  const send = async (mode: 'look' | 'fill' | 'merge', body: File) => {
    setBusy(true);
    const r = await fetch(`/api/shop/archive/${mode}`, {
      method: 'POST',
      body,
      headers: {
        'content-type': 'application/zip',
        ...(empty ? {} : leadHeaders({ byId: who, pin })),
      },
    }).catch(() => undefined);
    setBusy(false);
    if (!r?.ok) {
      const p = r && (await problemOf(r));
      setFault(
        p?.errors[0] ? `${p.errors[0].field}: ${p.errors[0].reason}` : (p?.detail ?? 'No answer.'),
      );
      return;
    }
    setFault(undefined);
    const answer = (await r.json()) as ShopImport;
    setSeen(answer);
    if (answer.written) onTaken();
  };
  return (
    <div className="grid gap-2">
      <label className="field">
        <span>Archive of a shop, zip</span>
        <input
          className="text-in"
          type="file"
          accept=".zip,application/zip"
          onChange={(e) => {
            setFile(e.target.files?.[0]);
            setSeen(undefined);
          }}
        />
      </label>
      {fault && (
        <p className="note" role="alert">
          {fault}
        </p>
      )}
      {seen && (
        <>
          <p>
            <b>{seen.shop || 'A shop without a name'}</b>: {seen.jobs} jobs, the record of{' '}
            {seen.sealed} whole.
          </p>
          <table className="rows">
            <tbody>
              {seen.tables
                .filter((t) => t.rows > 0)
                .map((t) => (
                  <tr key={t.table}>
                    <td>{tableNames[t.table] ?? t.table}</td>
                    <td className="right num">
                      {t.fresh} of {t.rows} new{t.differs > 0 ? `, ${t.differs} stay as here` : ''}
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
        </>
      )}
      <MainAction
        label={firstThat(
          [!seen, 'Look what is in it'],
          [seen?.intoEmpty, 'Take it all in'],
          [true, 'Merge what is new'],
        )!}
        missing={firstThat(
          [!file, 'Choose the file'],
          [!empty && pin.length < 4, 'Then the lead’s PIN'],
          [busy, 'Being read'],
        )}
        onAct={() => {
          if (!file) return;
          const into = seen?.intoEmpty ? 'fill' : 'merge';
          void send(seen ? into : 'look', file);
        }}
      />
    </div>
  );
}

/** A copy of the database beside it, made while work goes on. */
function BackUp({ who, pin }: { who: string; pin: string }) {
  const [said, setSaid] = useState<string>();
  const make = async () => {
    const body = { byId: who, pin };
    const r = await call<{ file: string; jobs: number }>('POST', '/api/shop/backup', body);
    setSaid(
      r.ok
        ? `Backed up and looked through: ${r.value.jobs} jobs, in ${r.value.file}.`
        : r.problem.detail,
    );
  };
  return (
    <>
      <MainAction
        label="Back up now"
        missing={pin.length < 4 ? 'The lead’s PIN' : undefined}
        onAct={make}
      />
      {said && (
        <p className="note" role="status">
          {said}
        </p>
      )}
    </>
  );
}

/** The whole shop out as one archive, and another one in. */
export function WholeShop({ who, name }: { who: string; name: string }) {
  const [pin, setPin] = useState('');
  const [fault, setFault] = useState<string>();
  const save = async () => {
    const r = await fetch('/api/shop/archive', {
      method: 'POST',
      body: JSON.stringify({ byId: who, pin }),
      headers: { 'content-type': 'application/json' },
    }).catch(() => undefined);
    if (!r?.ok) {
      const p = r && (await problemOf(r));
      return setFault(p?.errors[0]?.reason ?? p?.detail ?? 'No answer.');
    }
    setFault(undefined);
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await r.blob());
    link.download = 'shop.zip';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <section>
      <h2>The whole shop</h2>
      <p className="note">
        One open archive: every record, job, entry and signed card, PINs only as their hashes. It
        fills an empty shop to the same state.
      </p>
      <details className="more">
        <summary>Save it, back it up, or take one in</summary>
        <div className="grid gap-2">
          <PinField person={name} pin={pin} onPin={setPin} />
          {fault && (
            <p className="note" role="alert">
              {fault}
            </p>
          )}
          <MainAction
            label="Save the whole shop"
            missing={pin.length < 4 ? 'The lead’s PIN' : undefined}
            onAct={save}
          />
          <BackUp who={who} pin={pin} />
          <TakeArchive who={who} pin={pin} empty={false} onTaken={() => location.reload()} />
        </div>
      </details>
      {(['units', 'procedures', 'lives'] as const).map((kind) => (
        <details key={kind} className="more">
          <summary>A file of {kind}</summary>
          <ImportBox kind={kind} title="" lead={{ id: who, name }} onTaken={() => undefined} />
        </details>
      ))}
    </section>
  );
}
