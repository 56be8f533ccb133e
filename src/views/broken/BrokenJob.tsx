import { useState } from 'react';
import type { RawJob } from '../../core/schemas/raw-job.ts';
import { dayTime } from '../../core/units/index.ts';
import { Call } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call } from '../shell/useJob.ts';
import './broken.css';

/** A job that cannot be shown: why, its record as it was kept, and a lead's way to mend it. */
export default function BrokenJob({
  first,
  who: firstWho,
  why,
}: {
  first: RawJob;
  who: string;
  /** What broke while the page was drawn, where the record itself could be read. */
  why: string;
}) {
  const [job, setJob] = useState(first);
  const [who, setWho] = useState(firstWho);
  const [pin, setPin] = useState('');
  const [broke, setBroke] = useState(why);
  const [fault, setFault] = useState<string>();
  const name = (id: string) => job.people.find((p) => p.id === id)?.name ?? id;
  const reason = job.why ?? broke;
  const takeBack = async (key: string) => {
    const r = await call<RawJob>('POST', `/api/jobs/${job.id}/take-back`, { byId: who, pin, key });
    setPin('');
    setFault(r.ok ? undefined : r.problem.detail);
    if (!r.ok) return;
    setJob(r.value);
    // What the page broke on may be gone with the choice: it is drawn anew to see.
    setBroke('');
  };
  return (
    <ShopPage
      shop={job.shop}
      note={`Job ${job.number}`}
      person={{ people: job.people, who, onWho: setWho }}
      title={reason ? 'This job cannot be shown' : `The record of ${job.number}`}
      lines={[`Unit ${job.unit} ${job.corner}`, `Started ${dayTime(job.startedMs, job.timeZone)}`]}
      main="broken-main"
    >
      <div className="broken-why">
        {reason ? (
          <Call status="check">
            {reason}. Nothing of it is lost: every line stands below, and all other jobs go on.
          </Call>
        ) : (
          <p className="note">
            It can be read. <a href={`/jobs/${job.id}`}>To the job</a>
          </p>
        )}
        {job.choices.length > 0 && (
          <section>
            <h2>Choices</h2>
            <p className="note">
              A choice that no longer fits is taken back by a lead. What was recorded stays.
            </p>
            <PinField person={name(who)} pin={pin} onPin={setPin} />
            {fault && (
              <p className="note" role="alert">
                {fault}
              </p>
            )}
            <ul className="raw-lines">
              {job.choices.map((c) => (
                <li key={c.key}>
                  <b>{c.key}</b> <code>{c.value}</code>
                  <button
                    type="button"
                    className={`btn ${pin.length >= 4 ? '' : 'notyet'}`}
                    aria-disabled={pin.length < 4}
                    onClick={() => pin.length >= 4 && void takeBack(c.key)}
                  >
                    Take back {c.key}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <p className="note">
          A unit, part or tool whose record does not fit is corrected on its own page, or brought in
          again from a file: <a href="/shop">Shop</a>, <a href="/kit">Kit</a>,{' '}
          <a href="/parts">Parts</a>.
        </p>
      </div>
      <section className="broken-record">
        <h2>{job.events.length} lines of the record</h2>
        <ol className="raw-lines">
          {job.events.map((e, i) => (
            <li key={i}>
              <b>{e.type}</b>{' '}
              <span className="cap num">
                {dayTime(e.atMs, job.timeZone)}, {name(e.byId)}
              </span>
              <code>{e.body}</code>
            </li>
          ))}
        </ol>
      </section>
    </ShopPage>
  );
}
