import { useState } from 'react';
import { type Corner, cornerNames, corners } from '../../core/corner.ts';
import { layoutNames } from '../../core/diagnosis/index.ts';
import type { UnitSheet } from '../../core/schemas/unit-sheet.ts';
import { cornerKnown } from '../../core/unit/index.ts';
import { dayTime } from '../../core/units/index.ts';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { both } from '../../ui/units.ts';
import { DrivenAxles } from '../floor/DrivenAxles.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { ClockDown } from './ClockDown.tsx';
import { CornerSheet } from './CornerSheet.tsx';
import { ServiceBody } from './ServiceBody.tsx';
import { UnitFacts } from './UnitFacts.tsx';
import './unit.css';

/** One unit: its corners as they are known, what was done on it, and what nobody has read yet. */
export default function Unit({ first, who: firstWho }: { first: UnitSheet; who: string }) {
  const [sheet, setSheet] = useState(first);
  const [who, setWho] = useState(firstWho);
  const { unit } = sheet;
  const known = corners.filter((c) => unit.corners[c]);
  const [corner, setCorner] = useState<Corner>(known[0] ?? 'LF');
  const km = unit.odometerKm === undefined ? undefined : both(unit.odometerKm, 'distance');
  return (
    <ShopPage
      shop={sheet.shop}
      note={`Unit ${unit.fleetNo}`}
      person={{ people: sheet.people, who, onWho: setWho }}
      title={unit.name}
      lines={[
        layoutNames[unit.layout],
        km ? `${km.value} ${km.unit} / ${km.other}` : 'clock not read',
        known.length > 0 ? `${known.length} of 4 corners known` : 'no corner known yet',
      ]}
      main="unit-main"
    >
      <section className="unit-plan" aria-label="Corners">
        <div className="unit-car" aria-hidden="true">
          <DrivenAxles layout={unit.layout} />
        </div>
        {corners.map((c) => (
          <CornerTile
            key={c}
            corner={c}
            sheet={sheet}
            on={c === corner}
            onPick={() => setCorner(c)}
          />
        ))}
      </section>
      <div className="unit-side">
        <CornerSheet sheet={sheet} corner={corner}>
          <ServiceBody sheet={sheet} corner={corner} who={who} onSheet={setSheet} />
        </CornerSheet>
        <Jobs sheet={sheet} />
        <UnitFacts sheet={sheet} who={who} onSheet={setSheet} />
        {km && <ClockDown sheet={sheet} who={who} onSheet={setSheet} />}
      </div>
    </ShopPage>
  );
}

const kmWords = (atKm: number): string => {
  const km = both(atKm, 'distance');
  return `${km.value} ${km.unit}`;
};

/** One corner where it stands on the car: its section, its part, and how much of it is known. */
function CornerTile({
  corner,
  sheet: { unit },
  on,
  onPick,
}: {
  corner: Corner;
  sheet: UnitSheet;
  on: boolean;
  onPick: () => void;
}) {
  const record = unit.corners[corner];
  const fitted = unit.fitted?.[corner];
  // A family whose figures are not listed is told by its shape alone.
  const { known, unknown } = record ? cornerKnown(record) : { known: [], unknown: [] };
  const left = known.length + unknown.length > 0 ? unknown.length : undefined;
  return (
    <button type="button" className={`corner-tile at-${corner}`} aria-pressed={on} onClick={onPick}>
      <b>{cornerNames[corner]}</b>
      {record ? (
        <FamilySection code={record.family} small label={`${record.family}, in section`} />
      ) : (
        <span className="cap">nothing on record</span>
      )}
      <span className="num">{record?.partNumber ?? ''}</span>
      {fitted && (
        <span className="cap">
          {fitted.again ? `fitted at ${kmWords(fitted.atKm)}` : 'from the factory'}
        </span>
      )}
      {left !== undefined && (
        <span className="cap">{left === 0 ? 'all figures known' : `${left} figures unknown`}</span>
      )}
    </button>
  );
}

function Jobs({ sheet: { jobs, timeZone } }: { sheet: UnitSheet }) {
  return (
    <section>
      <h2>Jobs</h2>
      {jobs.length === 0 && <p className="note">None yet.</p>}
      <ol className="unit-jobs">
        {jobs.map((j) => (
          <li key={j.id}>
            <a href={j.state === 'open' ? `/jobs/${j.id}` : `/jobs/${j.id}/card`}>
              <b className="num">{j.number}</b>{' '}
              {j.corner === 'unknown' ? 'corner not named' : cornerNames[j.corner].toLowerCase()}
            </a>
            <span className="cap">
              {j.state}, {dayTime(j.endedMs ?? j.startedMs, timeZone)}
              {j.part ? `, ${j.part}` : ''}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
