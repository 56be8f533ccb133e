import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { call } from '../shell/useJob.ts';

/** What was reckoned, kept with the job that is open, as a note. */
export function IntoJob({
  job,
  text,
}: {
  job: { id: string; number: string; by: string };
  text: string;
}) {
  const [kept, setKept] = useState<string>();
  const [fault, setFault] = useState<string>();
  const keep = async () => {
    const r = await call('POST', `/api/jobs/${job.id}/events`, {
      id: uuid(),
      type: 'note-left',
      body: { text: text.slice(0, 400), reckoned: true },
      byId: job.by,
    });
    setKept(r.ok ? text : undefined);
    setFault(r.ok ? undefined : r.problem.detail);
  };
  return (
    <div className="grid gap-2">
      <button type="button" className="btn main" data-main="" onClick={keep}>
        Into job {job.number}
      </button>
      {kept === text && <p role="status">Kept with the job as a note.</p>}
      {fault && <p role="alert">{fault}</p>}
    </div>
  );
}
