import { Printer } from 'lucide-react';
import type { JobCard as Card } from '../../core/card/index.ts';
import type { JobView } from '../../core/job/index.ts';
import { dayTime } from '../../core/units/index.ts';
import { type Status } from '../../core/verdict.ts';
import { Call } from '../../ui/Panels.tsx';
import { JobSheet, StationBody } from '../shell/JobSheet.tsx';
import { AsExercise } from './AsExercise.tsx';
import { CorrectLine } from './Corrections.tsx';
import { Lessons } from './Lessons.tsx';
import { Paper } from './Paper.tsx';
import { Recheck } from './Recheck.tsx';
import './prove.css';

/** Whether the record still is what was signed. */
function sealWords({ seal, signed }: Card): { status: Status; text: string } {
  if (seal.verified) {
    const text = `All ${seal.entries} entries match their seals`;
    return signed
      ? { status: 'good', text: `${text}.` }
      : { status: 'check', text: `${text}; not signed yet.` };
  }
  const altered =
    seal.brokenAt === undefined
      ? 'What was kept when this was signed does not match its seal: the kept copy was altered.'
      : `Entry ${seal.brokenAt} does not match its seal: this record was altered.`;
  return { status: 'stop', text: altered };
}

/** Can I stand by it in a year? The same sheet on the screen and on paper. */
export default function JobCard({
  first,
  who,
  card: c,
}: {
  first: JobView;
  who: string;
  card: Card;
}) {
  const tz = first.timeZone;
  const told = sealWords(c);
  const figures = [...c.seats, ...c.checks].filter((l) => l.limit).length;
  return (
    <JobSheet first={first} who={who} station="card">
      <StationBody
        kicker={
          c.signed ? `Signed by ${c.signed.who}, ${dayTime(c.signed.atMs, tz)}` : 'Not signed yet'
        }
        title={`Job card ${c.number}`}
        picture={<Paper c={c} tz={tz} />}
        side={
          <>
            <Call status={told.status}>{told.text}</Call>
            <section>
              <h2>Would it stand in a year?</h2>
              <table className="rows">
                <tbody>
                  <tr>
                    <td>Figures with limits</td>
                    <td className="figure">
                      <b>{figures}</b>
                    </td>
                  </tr>
                  <tr>
                    <td>Strokes kept</td>
                    <td className="figure">
                      <b>{c.strokes.length}</b>
                    </td>
                  </tr>
                  <tr>
                    <td>Torque readings</td>
                    <td className="figure">
                      <b>{c.torque?.readings.length ?? 0}</b>
                    </td>
                  </tr>
                  <tr>
                    <td>Overrides, reason given</td>
                    <td className="figure">
                      <b>{c.overrides.length}</b>
                    </td>
                  </tr>
                </tbody>
              </table>
            </section>
            <section>
              <h2>Seal</h2>
              <p className="num seal-hash">{c.seal.hash.slice(0, 16).replace(/(.{4})/gu, '$1 ')}</p>
              <p className="cap">SHA-256 over every entry and the one before it</p>
            </section>
            {c.signed && <CorrectLine card={c} />}
            <AsExercise />
            {c.signed && <Lessons jobId={first.job.id} />}
            {c.recheckKm !== null && <Recheck dueKm={c.recheckKm} />}
            <div className="grow" />
          </>
        }
        actions={
          <>
            <button type="button" className="btn main" data-main="" onClick={() => window.print()}>
              <Printer aria-hidden="true" />
              Print
            </button>
            <a
              className="btn quiet"
              href={`/api/jobs/${first.job.id}/card.json`}
              download={`job-card-${c.number}.json`}
            >
              JSON
            </a>
            <a
              className="btn quiet"
              href={`/api/jobs/${first.job.id}/card.csv`}
              download={`job-card-${c.number}.csv`}
            >
              CSV
            </a>
          </>
        }
      />
    </JobSheet>
  );
}
