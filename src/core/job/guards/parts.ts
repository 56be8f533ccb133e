import { answersFault, familiesBy } from '../../families/index.ts';
import { bearingFaults, isCount, readingFault } from '../../matching/index.ts';
import { partByNumber } from '../part-on-job.ts';
import { refuse } from '../refusal.ts';
import { fault, type Guards, instrumentRefusal } from './guard.ts';

export const partGuards: Guards = {
  'old-part-read': (b, job) => {
    const unknown = instrumentRefusal(job, b.instrumentId);
    if (unknown) return unknown;
    const wrong = readingFault(b.dimension, b.valueMm, job.state.oldReadings);
    if (wrong) return refuse('valueMm', 'match.reading', { with: { fault: wrong } });
    const broken = isCount(b.dimension) && !Number.isInteger(b.valueMm);
    return broken ? refuse('valueMm', 'match.count') : undefined;
  },
  'family-named': (b) => {
    const wrong = answersFault(b.answers);
    if (wrong) return refuse('answers', 'match.family', { with: { fault: wrong } });
    // Named by hand without a question is allowed; a probability that the answers do not give is not.
    if (Object.keys(b.answers).length === 0) return undefined;
    const given = familiesBy(b.answers).find((f) => f.code === b.code)?.probability ?? 0;
    return Math.abs(given - b.probability) > 0.01
      ? refuse('probability', 'match.family')
      : undefined;
  },
  'part-entered': (b, { ctx }) => {
    const wrong = bearingFaults(b.part.bearing)[0];
    if (wrong) return fault(wrong, 'match.part', 'part.bearing.');
    const twice = ctx.parts.some((p) => p.number === b.part.number && !p.byHand);
    return twice ? refuse('part.number', 'match.part-twice', { part: b.part.number }) : undefined;
  },
  'part-confirmed': (b, job) =>
    partByNumber(job, b.partNumber)
      ? undefined
      : refuse('partNumber', 'match.part', { part: b.partNumber }),
};
