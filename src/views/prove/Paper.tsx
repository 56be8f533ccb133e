import { type JobCard as Card, type CardLine as Line, unmeasured } from '../../core/card/index.ts';
import { clockTime, dayTime, fixed } from '../../core/units/index.ts';
import { both } from '../../ui/units.ts';
import { CornerGlyph, VerdictShape, verdictWords } from '../../ui/Marks.tsx';
import { cardCode } from '../../core/card/index.ts';
import { Corrected, CorrectionLines, CorrectionMark } from './Corrections.tsx';
import { CodeMark } from './CodeMark.tsx';
import { StrokeStrip } from './StrokeStrip.tsx';

/** What a card is that proves nothing. */
const onlyWords: Record<NonNullable<Card['only']>, string> = {
  demo: 'Demo shop: made-up data.',
  practice: 'Practice: simulated instruments were used. This card proves nothing.',
};

/** A figure of a stage as precise as its instrument shows it. */
const reading = (value: number, unit: string) => `${fixed(value, unit === 'mm' ? 3 : 0)} ${unit}`;

/** The sheet itself, the same on the screen and on paper. */
export function Paper(p: { c: Card; tz: string }) {
  return (
    <Corrected value={p.c.corrections ?? []}>
      <Sheet {...p} />
    </Corrected>
  );
}

function Sheet({ c, tz }: { c: Card; tz: string }) {
  const km = c.unit.odometerKm === null ? undefined : both(c.unit.odometerKm, 'distance');
  return (
    <article className="paper">
      <header>
        <CornerGlyph corner={c.corner.id} height={62} />
        <b className="num big">{c.unit.fleetNo}</b>
        <p>
          <b>
            {c.unit.name}, {c.corner.name.toLowerCase()}
          </b>
          <br />
          {c.family}
          {c.part ? `, ${c.part.size}` : ''}
          <br />
          {c.handsOnMin === undefined ? '' : `hands on ${c.handsOnMin} min; `}
          {km ? `${km.value} ${km.unit} / ${km.other}` : 'clock not read'}
        </p>
        <p className="right">
          <b className="num">Job card {c.number}</b>
          <br />
          {dayTime(c.startedMs, tz)}
          <br />
          {c.signed ? `signed ${clockTime(c.signed.atMs, tz)}, ${c.signed.who}` : 'not signed'}
        </p>
      </header>
      {c.only && <p className="only">{onlyWords[c.only]}</p>}
      {c.madeAnewMs !== undefined && (
        <p className="only">
          Made from the record on {dayTime(c.madeAnewMs, tz)}, by the rules of that day: the job was
          signed before cards were kept.
        </p>
      )}
      <div className="cols-2">
        <section>
          <h3>Complaint</h3>
          <p>{c.complaint?.short ?? 'Not recorded'}.</p>
          <h3>Diagnosis</h3>
          {c.diagnosis ? (
            <p>
              <b className="num pct">{Math.round(c.diagnosis.probability * 100)} %</b>{' '}
              {c.diagnosis.suspect}, {c.diagnosis.who}.
              {c.diagnosis.reason ? ` ${c.diagnosis.reason}.` : ''}
            </p>
          ) : (
            <p>No call.</p>
          )}
        </section>
        <Lines title="Findings" lines={c.findings} plain />
        <Lines
          title="Parts"
          lines={[
            ...(c.part
              ? [{ what: `Bearing ${c.part.maker} ${c.part.number}`, value: c.part.size }]
              : []),
            ...c.items.filter((i) => i.what !== 'Bearing'),
          ]}
        />
        <Lines title="Old part, against the new" lines={c.oldPart} />
        {c.raceways && <Lines title="Old part, as it looked" lines={c.raceways} />}
        {c.photos && (
          <section className="card-photos">
            <h3>Photos</h3>
            {c.photos.map((p) => (
              <img key={p.hash} src={`/api/photos/${p.hash}`} alt={p.text ?? p.of} />
            ))}
          </section>
        )}
      </div>
      <section>
        <h3>
          Press strokes{' '}
          <span>
            force to the right, travel down, each on its own scale
            {c.schools
              ? `; ${c.schools.route}, ${c.schools.film}${c.schools.chilled ? ', chilled' : ''}`
              : ''}
            {c.depth ? `; worked ${c.depth}: what was left out says so` : ''}
          </span>
        </h3>
        <div className="strokes">
          {c.strokes.map((s) => (
            <figure key={s.operation}>
              <figcaption>
                <b>{s.name.replace('Press ', '')}</b>
                <VerdictShape status={s.status} size={18} />
                <span className="visually-hidden">{verdictWords[s.status]}</span>
              </figcaption>
              <StrokeStrip stroke={s} />
              <p className="num">
                {s.peakKn === null ? (
                  <b>{s.tool}</b>
                ) : (
                  <>
                    <b>{fixed(s.peakKn, 1)} kN</b> {fixed(s.expectedKn.low, 1)}–
                    {fixed(s.expectedKn.high, 1)}
                  </>
                )}
              </p>
              <p>
                {s.depthMm === null ? (
                  ''
                ) : (
                  <span className="num">
                    seat {fixed(s.depthMm, 1)}, plan {fixed(s.plannedMm, 1)} mm.{' '}
                  </span>
                )}
                {s.stack.join(', ')}
                {s.peakKn === null ? '' : `, ${s.tool}`}. {s.who}
              </p>
            </figure>
          ))}
          {c.strokes.length === 0 && <p>None yet.</p>}
        </div>
        {c.encoder && (
          <p>
            Encoder faced {c.encoder.side}, found with the {c.encoder.method.replace('-', ' ')},{' '}
            {c.encoder.who}.
          </p>
        )}
        {c.seen.length > 0 && <p>Seen between them: {c.seen.map((l) => l.value).join('; ')}.</p>}
      </section>
      <Lines title="Proof" lines={c.checks} two />
      <div className="cols-2">
        <section>
          <h3>Overrides</h3>
          {c.overrides.length === 0 ? (
            <p>None.</p>
          ) : (
            c.overrides.map((o) => (
              <p key={o.rule + o.atMs}>
                <b>{o.rule}</b>: {o.reason}. {o.who}
              </p>
            ))
          )}
          {c.turnedBack.length > 0 && (
            <>
              <h3>Done over on the way</h3>
              {c.turnedBack.map((l) => (
                <p key={l.what + l.atMs}>
                  <b>{l.what}</b>: {l.value}. {l.who}
                </p>
              ))}
            </>
          )}
          {c.found.length > 0 && (
            <>
              <h3>Found on the way</h3>
              {c.found.map((f) => (
                <p key={f}>{f}</p>
              ))}
            </>
          )}
        </section>
        <section>
          {c.agreed && (
            <>
              <h3>Agreed</h3>
              <p>
                {c.agreed.by} agreed to up to {c.agreed.upTo}, {dayTime(c.agreed.atMs, tz)}, told to{' '}
                {c.agreed.who}.
              </p>
            </>
          )}
          <h3>Signed</h3>
          <p>
            {c.signed ? (
              <>
                <b>{c.signed.who}</b>, {dayTime(c.signed.atMs, tz)}
              </>
            ) : (
              'Not signed.'
            )}
          </p>
          <CorrectionLines tz={tz} />
          <p>{c.caution}</p>
          <div className="seal-on-paper">
            <CodeMark text={cardCode(c.number, c.seal.hash)} />
            <p>
              Seal over every entry:{' '}
              <span className="num">{c.seal.hash.replace(/(.{4})(?=.)/gu, '$1 ')}</span>. The code
              holds it with the number of the job; Verify holds it against the record.
            </p>
          </div>
        </section>
      </div>
      <div className="page-two">
        <p className="page-head">
          Readings of job card {c.number}, unit {c.unit.fleetNo}
        </p>
        <Lines title="Seats" lines={c.seats} />
        {c.figures && <Lines title="Corner, as read" lines={c.figures} />}
        {c.ways && <Lines title="Ways gone where good technicians differ" lines={c.ways} two />}
        {c.fasteners && <Lines title="Other fasteners" lines={c.fasteners} />}
        {c.torque && (
          <section>
            <h3>
              Torque{' '}
              <span>
                {c.torque.procedure}; {c.torque.source};{' '}
                {c.torque.checkedBy ? `checked by ${c.torque.checkedBy}` : 'not checked'}
              </span>
            </h3>
            <table>
              <tbody>
                {c.torque.readings.map((t, i) => (
                  <tr key={i}>
                    <td>
                      {t.stage}{' '}
                      <CorrectionMark
                        line={t.stage}
                        says={t.actual === null ? unmeasured(t) : `${t.actual} ${t.unit}`}
                      />
                    </td>
                    <td className="num">
                      <b>{t.actual === null ? unmeasured(t) : reading(t.actual, t.unit)}</b>
                    </td>
                    <td className="num">
                      {t.planned === null ? '' : `plan ${reading(t.planned, t.unit)}`}
                    </td>
                    <td>{t.tool}</td>
                    <td>
                      {t.who} {clockTime(t.atMs, tz)}
                    </td>
                    <td>
                      <VerdictShape status={t.status} size={16} />
                      <span className="visually-hidden">{verdictWords[t.status]}</span>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        )}
      </div>
    </article>
  );
}

function Lines({
  title,
  lines,
  plain,
  two,
}: {
  title: string;
  lines: Line[];
  plain?: boolean;
  /** Many short lines stand beside each other. */
  two?: boolean;
}) {
  return (
    <section className={two ? 'two-columns' : undefined}>
      <h3>{title}</h3>
      {lines.length === 0 ? (
        <p>None.</p>
      ) : (
        <table>
          <tbody>
            {lines.map((l) => (
              <tr key={l.what + l.value}>
                {plain ? (
                  <td colSpan={3}>
                    {l.value} <CorrectionMark line={l.what} says={l.value} />
                  </td>
                ) : (
                  <>
                    <td>
                      {l.what} <CorrectionMark line={l.what} says={l.value} />
                    </td>
                    <td className="num">
                      <b>{l.value}</b>
                    </td>
                    <td className="num">{l.limit ?? ''}</td>
                  </>
                )}
                <td className="shape-cell">
                  {l.status && (
                    <>
                      <VerdictShape status={l.status} size={16} />
                      <span className="visually-hidden">{verdictWords[l.status]}</span>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
