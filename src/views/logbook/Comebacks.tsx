import { useState } from 'react';
import { cornerNames } from '../../core/corner.ts';
import type { Person } from '../../core/job/index.ts';
import { type LifeRecord, type LogbookView, ranKm } from '../../core/logbook/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { ProblemNote } from '../../ui/ProblemNote.tsx';
import { PinField, ReasonField } from '../../ui/SignFields.tsx';
import { both } from '../../ui/units.ts';
import { call, type ProblemDoc } from '../shell/useJob.ts';

const most = 8;
const word = ({ comeback }: LifeRecord): string => {
  if (!comeback) return 'not looked at';
  return `${comeback.is ? 'came back' : 'another thing'}: ${comeback.reason}`;
};

/** Bearings that failed soon: how many, how sure, and what a lead says of each. */
export function Comebacks({
  back,
  people,
}: {
  back: NonNullable<LogbookView['back']>;
  people: readonly Person[];
}) {
  const [asked, setAsked] = useState<LifeRecord>();
  if (back.of === 0) return null;
  const within = both(back.withinKm, 'distance');
  return (
    <section>
      <h2>
        Failed within {within.value} {within.unit}
      </h2>
      <p className="note">
        <b className="num">
          {back.count} of {back.of}
        </b>{' '}
        ({(100 * back.low).toFixed(0)} to {(100 * back.high).toFixed(0)} % by Wilson);{' '}
        {back.marked === back.count
          ? 'a lead has looked at each.'
          : `a lead has looked at ${back.marked}.`}{' '}
        A fault of fitting is looked for first.
      </p>
      <ul className="soon">
        {back.lives.slice(0, most).map((l) => (
          <li key={l.id}>
            <button type="button" className="link" onClick={() => setAsked(l)}>
              Unit {l.unit}, {cornerNames[l.corner].toLowerCase()}, after{' '}
              {both(ranKm(l) ?? 0, 'distance').value} km
            </button>
            <span className="cap">{word(l)}</span>
          </li>
        ))}
      </ul>
      {asked && (
        <Mark
          key={asked.id}
          life={asked}
          leads={people.filter((p) => p.lead && !p.retired)}
          onDone={() => location.reload()}
        />
      )}
    </section>
  );
}

function Mark({
  life,
  leads,
  onDone,
}: {
  life: LifeRecord;
  leads: readonly Person[];
  onDone: () => void;
}) {
  const [is, setIs] = useState<'yes' | 'no'>();
  const [reason, setReason] = useState('');
  const [pin, setPin] = useState('');
  const [byId, setById] = useState(leads[0]?.id ?? '');
  const [problem, setProblem] = useState<ProblemDoc>();
  const keep = async () => {
    const body = { byId, pin, is: is === 'yes', reason: reason.trim() };
    const r = await call('POST', `/api/lives/${life.id}/comeback`, body);
    setPin('');
    setProblem(r.ok ? undefined : r.problem);
    if (r.ok) onDone();
  };
  return (
    <div className="grid gap-2 mt-2">
      <p className="cap">
        Unit {life.unit}, {cornerNames[life.corner].toLowerCase()}
        {life.cause ? `: ${life.cause.toLowerCase()}` : ''}
      </p>
      <Choices
        name="Did it come back"
        value={is}
        onValue={(v) => setIs(v === 'yes' ? 'yes' : 'no')}
        options={[
          { id: 'yes', label: 'same complaint' },
          { id: 'no', label: 'another thing' },
        ]}
      />
      <ReasonField label="Why" text={reason} onText={setReason} />
      {leads.length > 1 && (
        <label className="field">
          <span>Lead</span>
          <select className="pick" value={byId} onChange={(e) => setById(e.target.value)}>
            {leads.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <PinField
        person={leads.find((p) => p.id === byId)?.name ?? 'nobody'}
        pin={pin}
        onPin={setPin}
      />
      <ProblemNote problem={problem} />
      <MainAction
        label="Keep"
        missing={firstThat(
          [!is, 'Same complaint, or another thing?'],
          [reason.trim() === '', 'Type why'],
          [pin.length < 4, 'Then the lead’s PIN'],
        )}
        onAct={keep}
      />
    </div>
  );
}
