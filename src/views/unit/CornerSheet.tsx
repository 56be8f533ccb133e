import type { ReactNode } from 'react';
import { type Corner, cornerNames } from '../../core/corner.ts';
import { familyByCode } from '../../core/families/index.ts';
import { layoutDoubt } from '../../core/job/index.ts';
import { both } from '../../ui/units.ts';
import { VerdictLines } from '../../ui/Panels.tsx';
import { eatenHere, type LifeRecord, ranKm } from '../../core/logbook/index.ts';
import type { UnitSheet } from '../../core/schemas/unit-sheet.ts';
import { cornerKnown, type KnownFigure } from '../../core/unit/index.ts';
import { fastenerInWords } from '../../core/torque/index.ts';
import { dayTime } from '../../core/units/index.ts';

const valueIn = ({ figure, value }: KnownFigure): string =>
  typeof value === 'number'
    ? `${value.toFixed(1)} mm`
    : (figure.options?.find((o) => o.id === value)?.name ?? value);

/** What is known of one corner and where it comes from; what still has to be read. */
export function CornerSheet({
  sheet,
  corner,
  children,
}: {
  sheet: UnitSheet;
  corner: Corner;
  /** What is to be done here, before what is known. */
  children?: ReactNode;
}) {
  const { unit, changes, timeZone, procedures } = sheet;
  const record = unit.corners[corner];
  if (!record)
    return (
      <section>
        <h2>{cornerNames[corner]}</h2>
        <p className="note">
          Nothing is on record. The first job on this corner reads it, and keeps what it read.
        </p>
      </section>
    );
  const { known, unknown } = cornerKnown(record);
  const procedure = procedures[corner];
  const doubt = layoutDoubt(familyByCode(record.family)?.code, unit.layout, corner);
  return (
    <section>
      <h2>
        {cornerNames[corner]}: {familyByCode(record.family)?.name.toLowerCase() ?? record.family}
      </h2>
      {doubt && <VerdictLines verdicts={[doubt]} />}
      {record.feed && (
        <p className="note">
          <b>Fed by {record.feed === 'oil' ? 'axle oil: converted' : 'grease'}</b>, since a job
          changed it.
        </p>
      )}
      <p className="cap">
        From: {record.source}.{' '}
        {changes[0] === undefined
          ? 'As it was first entered.'
          : `Record changed ${dayTime(changes[0], timeZone)}, ${changes.length} earlier ${changes.length === 1 ? 'version' : 'versions'} kept.`}
      </p>
      {children}
      <table className="rows">
        <tbody>
          <tr>
            <th>Centre nut</th>
            <td className="right">
              {procedure ? `${procedure.name}; ${procedure.source}` : 'no procedure on record'}
            </td>
          </tr>
          {known.map((k) => (
            <tr key={k.figure.path}>
              <td>
                {k.figure.name}
                {record.takenOver?.includes(k.figure.path) && (
                  <>
                    <br />
                    <span className="cap">taken over, not measured here</span>
                  </>
                )}
              </td>
              <td className="figure">
                <b>{valueIn(k)}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <CornerLives lives={sheet.lives.filter((l) => l.corner === corner)} />
      {unknown.length > 0 && (
        <>
          <h2>Still unknown</h2>
          <ul className="unit-open">
            {unknown.map((f) => (
              <li key={f.path}>
                {f.name} <span className="cap">{f.how}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {Object.values(unit.fasteners).length > 0 && (
        <>
          <h2>Fasteners of the unit</h2>
          <table className="rows">
            <tbody>
              {Object.entries(unit.fasteners).map(([id, f]) => (
                <tr key={id}>
                  <td>
                    {f.name}
                    <br />
                    <span className="cap">{f.source}</span>
                  </td>
                  <td className="figure">
                    <b>{fastenerInWords(f)}</b>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}

/** What was fitted here and how it ended; two that failed are a corner that eats bearings. */
function CornerLives({ lives }: { lives: readonly LifeRecord[] }) {
  if (lives.length === 0) return null;
  const eaten = eatenHere(lives);
  return (
    <>
      <h2>Bearings fitted here</h2>
      {eaten.length > 0 && (
        <p className="note">
          <b>{eaten.length} failed here.</b> Look at the corner before the next one goes in.
        </p>
      )}
      <ul className="unit-open">
        {lives.map((l) => (
          <li key={l.id}>
            {[l.fittedOn, l.maker, l.part].filter(Boolean).join(', ')}
            <span className="cap">
              {l.end === 'running' ? 'running' : `${l.end}${ran(l)}`}
              {l.cause && `: ${l.cause.toLowerCase()}`}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

const ran = (life: LifeRecord): string => {
  const km = ranKm(life);
  return km === undefined ? '' : ` after ${both(km, 'distance').value} km`;
};
