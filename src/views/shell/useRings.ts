import { useEffect } from 'react';
import {
  afterRing,
  laterMin,
  type Rung,
  ringsNow,
  type Timer,
  waitKey,
} from '../../core/job/index.ts';
import { soundCall } from '../press/soundCall.ts';
import { useKept } from '../../ui/kept.ts';

export interface Wait {
  jobId: string;
  timer: Timer;
}

const place = 'rung';
/** A date far beyond every wait: it does not ring again. */
const forGood = Number.MAX_SAFE_INTEGER;

function rungHere(text: string | null): Rung {
  try {
    const kept: unknown = JSON.parse(text ?? '{}');
    return typeof kept === 'object' && kept !== null ? (kept as Rung) : {};
  } catch {
    return {};
  }
}

/** Two pages of one browser take turns, so that the second finds what the first has rung; without locks (plain HTTP) they may both ring. */
const inTurn = (work: () => void): void => {
  if ('locks' in navigator) void navigator.locks.request(place, work);
  else work();
};

/**
 * Rings each wait that is over once in this browser, however often the page is loaded and whatever became of the server
 * meanwhile; `later` lets it ring again after some minutes.
 */
export function useRings(waits: readonly Wait[], nowMs: number) {
  const [, keep] = useKept('localStorage', place);
  useEffect(() => {
    if (!waits.some(({ timer }) => nowMs >= timer.endsMs)) return;
    inTurn(() => {
      const rung = rungHere(localStorage.getItem(place));
      const ringing = waits.filter(({ jobId, timer }) =>
        ringsNow(waitKey(jobId, timer), timer, rung, nowMs),
      );
      if (ringing.length === 0) return;
      soundCall('check');
      const done = ringing.reduce((r, w) => afterRing(r, waitKey(w.jobId, w.timer), forGood), rung);
      keep(JSON.stringify(done));
    });
  }, [waits, nowMs, keep]);
  const later = ({ jobId, timer }: Wait) =>
    keep(
      JSON.stringify(
        afterRing(
          rungHere(localStorage.getItem(place)),
          waitKey(jobId, timer),
          nowMs + laterMin * 60_000,
        ),
      ),
    );
  return { later };
}
