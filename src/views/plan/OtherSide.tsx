import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { type Corner, cornerNames } from '../../core/corner.ts';
import type { JobView } from '../../core/job/index.ts';
import { call, useJob } from '../shell/useJob.ts';
import type { Visit } from './useVisit.ts';

const across: Record<Corner, Corner> = { LF: 'RF', RF: 'LF', LR: 'RR', RR: 'LR' };

/** The other side of the axle: compared while the car is up, and a job of its own where it asks for one. */
export function OtherSide({ visit }: { visit: Visit }) {
  const { view, who } = useJob();
  const [failed, setFailed] = useState<string>();
  const { corner, unit } = view.ctx;
  if (corner === 'unknown') return null;
  const other = across[corner];
  const has = visit.others.find((o) => o.corner === other);
  const begin = async () => {
    const body = { id: uuid(), unitId: unit.id, corner: other, byId: who };
    const r = await call<JobView>('POST', '/api/jobs', body);
    if (r.ok) location.assign(`/jobs/${r.value.job.id}`);
    else setFailed(r.problem.detail);
  };
  return (
    <section className="other-side">
      <h2>{cornerNames[other]}</h2>
      <p className="note">
        Shaken and turned while it is up: play and sound compared with this side. Above half the
        limit both are done.
      </p>
      {has ? (
        <a className="btn quiet small" href={`/jobs/${has.jobId}`}>
          Job {has.number}
        </a>
      ) : (
        <button type="button" className="btn quiet small" onClick={begin}>
          A job for this side too
        </button>
      )}
      {failed && <p className="note">{failed}</p>}
    </section>
  );
}
