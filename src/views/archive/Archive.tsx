import { useState } from 'react';
import type { FloorRow } from '../../core/job/index.ts';
import { stationNames } from '../../core/job/index.ts';
import { dayTime } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { BearingMark, CornerGlyph } from '../../ui/Marks.tsx';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { useFetched } from '../shell/useFetched.ts';
import './archive.css';

/** What did we do on that car? Every job that was signed or closed, found by unit, part, date or words. */
export default function Archive({
  first,
  words: firstWords,
  shop,
  timeZone,
}: {
  first: FloorRow[];
  /** What it was opened with. */
  words: string;
  shop: string;
  timeZone: string;
}) {
  const [words, setWords] = useState(firstWords);
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const asked = words.trim() !== '' || from !== '' || to !== '';
  const { value, failed } = useFetched<FloorRow[]>(asked ? '/api/archive/search' : undefined, {
    words: words.trim(),
    ...(from ? { from } : {}),
    ...(to ? { to } : {}),
  });
  const rows = asked ? (value ?? []) : first;
  return (
    <ShopPage
      shop={shop}
      note="Archive"
      title={`${rows.length} ${rows.length === 1 ? 'job' : 'jobs'}`}
      lines={['Signed and closed, the latest first']}
      main="archive-main"
    >
      <search className="archive-ask">
        <Field label="Unit, part, complaint, job number" text={words} onText={setWords} />
        <label className="field">
          <span>Ended from</span>
          <input
            className="text-in"
            type="date"
            value={from}
            onChange={(e) => setFrom(e.target.value)}
          />
        </label>
        <label className="field">
          <span>to</span>
          <input
            className="text-in"
            type="date"
            value={to}
            onChange={(e) => setTo(e.target.value)}
          />
        </label>
      </search>
      {failed && <TryAgain what="Not searched" failed={failed} />}
      <ol className="archive-jobs">
        {rows.map((r) => (
          <Ended key={r.id} r={r} timeZone={timeZone} />
        ))}
      </ol>
      {rows.length === 0 && !failed && <p className="note big">No job holds that.</p>}
    </ShopPage>
  );
}

function Ended({ r, timeZone }: { r: FloorRow; timeZone: string }) {
  return (
    <li>
      <a href={r.closed ? `/jobs/${r.id}/${r.station ?? 'complaint'}` : `/jobs/${r.id}/card`}>
        <CornerGlyph corner={r.corner} height={58} />
        <b className="archive-unit num">{r.fleetNo}</b>
        <span>
          <b>{r.complaint}</b>
          <span className="cap">
            {r.unitName}, {r.family}
            {r.corner === 'unknown' ? '' : `, ${r.corner}`}
          </span>
        </span>
        <span className="num">{r.part ?? ''}</span>
        <span className="archive-line" aria-hidden="true">
          {r.spine.map((m) => (
            <BearingMark key={m.station} mark={m.mark} small />
          ))}
        </span>
        <span>
          <b>{r.closed ? 'Closed' : 'Signed'}</b>
          <span className="cap">
            {r.closed ?? `${r.who}, ${r.number}`}
            {r.closed &&
              r.station &&
              `, at ${stationNames[r.station as keyof typeof stationNames]}`}
          </span>
        </span>
        <span className="num">{r.endedMs === undefined ? '' : dayTime(r.endedMs, timeZone)}</span>
      </a>
    </li>
  );
}
