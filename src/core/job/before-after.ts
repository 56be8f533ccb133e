import { resultInWords, testById } from '../diagnosis/index.ts';
import type { JobNow } from './job-now.ts';
import { checksFor } from './owed.ts';

/** Test of Diagnose that took the same figure as a final check. */
const takenBy: Readonly<Record<string, string>> = {
  'end-play': 'endplay',
  'shaft-play': 'endplay',
  runout: 'runout',
  warmth: 'heat',
  signal: 'signal',
  road: 'ear',
};

/** Checks that a recording speaks for. */
const tracedBy: Readonly<Record<string, 'spectrum' | 'signal'>> = {
  signal: 'signal',
  road: 'spectrum',
};

/** One thing as it was at Diagnose and as it is now. */
export interface BeforeAfter {
  checkId: string;
  what: string;
  /** Figures of the check, where it is measured: how much, either way. */
  unit?: string;
  max?: number;
  before?: number;
  now?: number;
  /** What was found, in words; undefined where nobody looked. */
  beforeWords?: string;
  nowWords?: string;
  /** The kind of recording that is laid over the one before. */
  trace?: 'spectrum' | 'signal';
}

/** Whether a test speaks of this corner: taken at it, at its axle, or at the whole car. */
const isHere = (place: string, corner: string): boolean => {
  const axle = corner.endsWith('F') ? 'front' : 'rear';
  return place === corner || place === axle || place === 'car';
};

/** Every final check that Diagnose could have taken before; one that has no before says so by its absence. */
export function beforeAfterOf(job: JobNow): BeforeAfter[] {
  return checksFor(job).flatMap((c): BeforeAfter[] => {
    const testId = takenBy[c.id];
    if (testId === undefined) return [];
    const was = job.state.results.findLast(
      (r) => r.testId === testId && !r.skipped && isHere(r.place, job.ctx.corner),
    );
    const test = testById(testId);
    const is = job.state.checks[c.id];
    const right = is?.ok === true ? 'right' : 'not right';
    return [
      {
        checkId: c.id,
        what: c.text,
        ...(tracedBy[c.id] ? { trace: tracedBy[c.id] } : {}),
        ...(c.numeric ? { unit: c.numeric.unit, max: c.numeric.max } : {}),
        ...(was?.value === undefined ? {} : { before: Math.abs(was.value) }),
        ...(was && test ? { beforeWords: resultInWords(test, was) } : {}),
        ...(is?.value === undefined ? {} : { now: Math.abs(is.value) }),
        ...(is
          ? { nowWords: is.value === undefined ? right : `${is.value} ${c.numeric?.unit ?? ''}` }
          : {}),
      },
    ];
  });
}
