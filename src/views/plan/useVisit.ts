import { useEffect, useMemo, useState } from 'react';
import type { OnVisit } from '../../core/job/index.ts';
import { call, useJob } from '../shell/useJob.ts';

/** Other corners of this car with an open job, and which of them are planned together with this one. */
export function useVisit() {
  const { job } = useJob().view;
  const [others, setOthers] = useState<OnVisit[]>([]);
  const [chosen, setChosen] = useState<string[]>();
  useEffect(() => {
    let gone = false;
    void call<OnVisit[]>('GET', `/api/jobs/${job.id}/visit`).then((r) => {
      if (!gone && r.ok) setOthers(r.value);
    });
    return () => {
      gone = true;
    };
  }, [job.id]);
  // A car is in the shop once: its corners belong together until somebody says otherwise.
  const together = useMemo(() => chosen ?? others.map((o) => o.jobId), [chosen, others]);
  return { others, with: together, setWith: setChosen };
}
export type Visit = ReturnType<typeof useVisit>;
