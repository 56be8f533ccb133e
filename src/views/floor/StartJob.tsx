import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { cornerNames, type JobCorner } from '../../core/corner.ts';
import type { FloorRow, JobView } from '../../core/job/index.ts';
import type { UnitRecord } from '../../core/schemas/workshop.ts';
import { eatenHere } from '../../core/logbook/index.ts';
import type { UnitSheet } from '../../core/schemas/unit-sheet.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { CornerGlyph, VerdictShape } from '../../ui/Marks.tsx';
import { Choices, Dialog, MainAction } from '../../ui/Panels.tsx';
import { useFetched } from '../shell/useFetched.ts';
import { call } from '../shell/useJob.ts';
import { NewUnit } from './NewUnit.tsx';

/** As many units as stand on the dialog without a search. */
const fewUnits = 24;
const places: readonly JobCorner[] = ['LF', 'RF', 'LR', 'RR', 'unknown'];

/** Two taps and a start: which unit, which corner. */
export function StartJob({
  units,
  open,
  who,
  onClose,
}: {
  units: readonly UnitRecord[];
  /** Jobs that are open now. */
  open: readonly Pick<FloorRow, 'id' | 'number' | 'fleetNo' | 'corner'>[];
  who: string;
  onClose: () => void;
}) {
  const [unitId, setUnit] = useState<string>();
  const [corner, setCorner] = useState<JobCorner>();
  const [id] = useState(() => uuid());
  const [fault, setFault] = useState<string>();
  const [words, setWords] = useState('');
  const [added, setNew] = useState<UnitRecord[]>([]);
  const all = [...added, ...units];
  const asked = words.trim().toLowerCase().split(/\s+/u).filter(Boolean);
  const found = all.filter((u) => {
    const told = `${u.fleetNo} ${u.name} ${u.maker ?? ''}`.toLowerCase();
    return asked.every((w) => told.includes(w));
  });
  const fleetNo = all.find((u) => u.id === unitId)?.fleetNo;
  const twin = open.find((j) => j.fleetNo === fleetNo && j.corner === corner);
  const { value: sheet } = useFetched<UnitSheet>(unitId && `/api/units/${unitId}`);
  const own = sheet?.lives.filter((l) => l.corner === corner) ?? [];
  const eaten = eatenHere(own);
  const start = async () => {
    const r = await call<JobView>('POST', '/api/jobs', { id, unitId, corner, byId: who });
    if (r.ok) location.assign(`/jobs/${r.value.job.id}/complaint`);
    else setFault(r.problem.detail);
  };
  return (
    <Dialog title="Start a job" onClose={onClose}>
      <section>
        <h2>Which unit?</h2>
        {units.length > fewUnits && (
          <Field label="Number, name or plate" text={words} onText={setWords} />
        )}
        <div className="units-pick">
          <Choices
            name="Unit"
            value={unitId}
            onValue={setUnit}
            options={found.slice(0, fewUnits).map((u) => ({
              id: u.id,
              label: (
                <>
                  <b className="num block text-[26px]">{u.fleetNo}</b>
                  {u.name}
                </>
              ),
            }))}
          />
        </div>
        {found.length > fewUnits && (
          <p className="cap">{found.length - fewUnits} more: type more of it.</p>
        )}
        <NewUnit
          who={who}
          first={words}
          onUnit={(u) => {
            setNew((list) => [...list, u]);
            setUnit(u.id);
            setWords('');
          }}
        />
      </section>
      <section>
        <h2>Which corner?</h2>
        <Choices
          name="Corner"
          value={corner}
          onValue={setCorner}
          options={places.map((c) => ({
            id: c,
            label: c === 'unknown' ? 'Cannot tell' : cornerNames[c],
            picture: <CornerGlyph corner={c} height={48} />,
          }))}
        />
      </section>
      {twin && (
        <div className="caution" role="status">
          <VerdictShape status="check" size={28} />
          <span>
            Job <a href={`/jobs/${twin.id}`}>{twin.number}</a> is open on this corner.
            <small>Go on with it, or start a second one if it is another matter.</small>
          </span>
        </div>
      )}
      {eaten.length > 0 && (
        <div className="caution" role="status">
          <VerdictShape status="check" size={28} />
          <span>
            {eaten.length} bearings have failed on this corner{' '}
            <small>
              {[...new Set(eaten.flatMap((l) => l.cause ?? []))].join(', ').toLowerCase() ||
                'No old part was read: read this one.'}
            </small>
          </span>
        </div>
      )}
      {fault && (
        <p className="verdict-line stop" role="alert">
          <VerdictShape status="stop" size={20} />
          {fault}
        </p>
      )}
      <div className="foot">
        <MainAction
          label="Start"
          missing={firstThat([!unitId, 'Tap a unit'], [!corner, 'Tap a corner, or “cannot tell”'])}
          onAct={start}
        />
      </div>
    </Dialog>
  );
}
