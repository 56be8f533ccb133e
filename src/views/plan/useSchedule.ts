import { useEffect, useMemo, useState } from 'react';
import { type Schedule, scheduleAll, type WorkToPlan } from '../../core/plan/index.ts';

/** A good order at once; where a shorter one may be found, it is looked for beside the page and takes its place. */
export function useSchedule(work: WorkToPlan): Schedule {
  const quick = useMemo(() => scheduleAll(work, 'quick'), [work]);
  const [found, setFound] = useState<{ of: WorkToPlan; schedule: Schedule }>();
  useEffect(() => {
    if (quick.exact) return undefined;
    const worker = new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<Schedule>) => setFound({ of: work, schedule: data });
    worker.postMessage(work);
    return () => worker.terminate();
  }, [work, quick]);
  return found?.of === work ? found.schedule : quick;
}
