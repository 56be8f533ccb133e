import { useState } from 'react';
import type { Corner } from '../../core/corner.ts';
import type { UnitSheet } from '../../core/schemas/unit-sheet.ts';
import {
  causeWords,
  greaseVolume,
  type ServiceDue,
  type ServiceKind,
  serviceNames,
} from '../../core/service/index.ts';
import { isoDay } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { ProblemNote } from '../../ui/ProblemNote.tsx';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { both, readTyped } from '../../ui/units.ts';
import { call, type ProblemDoc } from '../shell/useJob.ts';

interface Props {
  sheet: UnitSheet;
  corner: Corner;
  who: string;
  onSheet: (s: UnitSheet) => void;
}

/** When a packed bearing is seen to next, what is done then, and what was done since. */
export function ServiceBody(props: Props) {
  const { sheet, corner } = props;
  const due = sheet.services.find((s) => s.corner === corner);
  if (!due) return null;
  return (
    <section>
      <h2>Service</h2>
      <DueLine due={due} timeZone={sheet.timeZone} />
      <p className="cap">{due.words}</p>
      <Grease sheet={sheet} corner={corner} />
      <NoteService {...props} />
    </section>
  );
}

function DueLine({ due, timeZone }: { due: ServiceDue; timeZone: string }) {
  const { last, dueMs, cause, late, drivenKm, everyKm } = due;
  if (!last || dueMs === undefined || !cause)
    return <p className="note">Nobody wrote down when it was last seen to: no day is claimed.</p>;
  const km = drivenKm === undefined ? undefined : both(drivenKm, 'distance');
  const every = everyKm === undefined ? undefined : both(everyKm, 'distance');
  return (
    <>
      <p className={`verdict-line ${late ? 'check' : ''}`}>
        {late && <VerdictShape status="check" size={22} />}
        <span>
          {late ? 'Due now' : `Due ${isoDay(dueMs, timeZone)}`}, {causeWords[cause]}
          {km && every && `: ${km.value} of ${every.value} ${km.unit} driven`}
        </span>
      </p>
      <p className="note">
        Last {last.on}: {serviceNames[last.what]}
        {last.playMm !== undefined && `, end play ${both(last.playMm, 'length', 3).value} mm`}
        {last.note && `. ${last.note}`}
      </p>
    </>
  );
}

/** How much grease the hub takes, by its record; nothing where its sizes are not known. */
function Grease({ sheet: { unit, bores }, corner }: Pick<Props, 'sheet' | 'corner'>) {
  const record = unit.corners[corner];
  const grease = record && record.feed !== 'oil' ? greaseVolume(record, bores[corner]) : undefined;
  if (!grease) return null;
  const [low, high] = [both(grease.low, 'volume'), both(grease.high, 'volume')];
  return (
    <p className="note">
      Rollers filled, and{' '}
      <b className="num">
        {low.value} to {high.value} {high.unit}
      </b>{' '}
      / {low.other} to {high.other}, between the cups: a third to a half of that room, by the
      record.
    </p>
  );
}

function NoteService({ sheet: { unit }, corner, who, onSheet }: Props) {
  const [what, setWhat] = useState<ServiceKind>('looked-at');
  const [play, setPlay] = useState('');
  const [clock, setClock] = useState('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const faultOf = (f: string) => problem?.errors.find((e) => e.field === f)?.reason;
  const mm = readTyped(play, 'length');
  const km = readTyped(clock, 'distance');
  const send = async (path: string, body: object) => {
    const r = await call<UnitSheet>('POST', `/api/units/${unit.id}/${path}`, body);
    setProblem(r.ok ? undefined : r.problem);
    if (!r.ok) return;
    setPlay('');
    setClock('');
    setNote('');
    onSheet(r.value);
  };
  const keep = () =>
    send('service', {
      byId: who,
      corner,
      what,
      ...(mm.ok ? { playMm: mm.value } : {}),
      ...(km.ok ? { odometerKm: Math.round(km.value) } : {}),
      ...(note.trim() ? { note: note.trim() } : {}),
    });
  return (
    <details className="more">
      <summary>Seen to, or through deep water</summary>
      <div className="grid gap-2">
        <Choices
          name="What was done"
          value={what}
          onValue={(v) => setWhat(v as ServiceKind)}
          options={[
            { id: 'looked-at', label: 'looked at' },
            { id: 'packed', label: 'packed again' },
          ]}
        />
        <p className="cap">{serviceNames[what]}</p>
        <div className="pair-in">
          <QuantityInput
            compact
            label="End play, where it was read"
            dimension="length"
            text={play}
            onText={setPlay}
            fault={faultOf('playMm')}
          />
          <QuantityInput
            compact
            label="What the clock shows"
            dimension="distance"
            text={clock}
            onText={setClock}
            fault={faultOf('odometerKm')}
          />
        </div>
        <Field label="Found" text={note} onText={setNote} fault={faultOf('note')} />
        {problem?.errors.length === 0 && <ProblemNote problem={problem} />}
        <MainAction
          label="Write it down"
          missing={firstThat(
            [play.trim() !== '' && !mm.ok, 'The end play is no length'],
            [clock.trim() !== '' && !km.ok, 'What the clock shows is no distance'],
          )}
          onAct={keep}
        />
        <button
          type="button"
          className="btn quiet"
          onClick={() => void send('waded', { byId: who })}
        >
          It stood in deep water today
        </button>
      </div>
    </details>
  );
}
