import type { Model } from './belief.ts';
import type { Suspect } from './suspects.ts';
import { background, likelihood, outcomes, type TestResult, trustIn } from './tests.ts';

/** A second fault: at the main one's corner, or another wheel bearing. */
export interface SecondFault {
  suspect: Suspect;
  probability: number;
}

/** How often a corner has two faults at once, and a car two bad bearings, before anything is known (judgement). */
const secondPrior = 0.06;
const twoBearingsPrior = 0.05;
/** From here it is worth a line of its own. */
const worthSaying = 0.12;

/**
 * The likeliest second fault: whatever can be wrong at the leader's corner, or a bearing at another. Two faults speak independently against the
 * background: the pair's likelihood is main × second ÷ background, made to sum to one over the results.
 */
export function secondFault(
  m: Model,
  main: Suspect,
  results: readonly TestResult[],
): SecondFault | undefined {
  if (!main.corner) return undefined;
  const beside = m.suspects.filter((s) => s.corner === main.corner && s.id !== main.id);
  const bearings = m.suspects.filter(
    (s) => main.kind === 'bearing' && s.kind === 'bearing' && s.corner !== main.corner,
  );
  const found = [...beside, ...bearings].map((s): SecondFault => {
    const [kin, prior] = beside.includes(s) ? [beside, secondPrior] : [bearings, twoBearingsPrior];
    const share = kin.reduce((a, x) => a + x.prior, 0);
    const odds = results
      .filter((r) => !r.skipped)
      .reduce(
        (o, r) => {
          const t = m.tests.get(r.testId);
          if (!t) return o;
          const pair = (x: { result?: string; value?: number }) =>
            (likelihood(t, r.place, x, main) * likelihood(t, r.place, x, s)) / background(t, x);
          const sum = outcomes(t).reduce((a, x) => a + pair(x) * x.width, 0);
          return o * (pair(r) / sum / likelihood(t, r.place, r, main)) ** trustIn(r);
        },
        (prior * s.prior) / share / (1 - prior),
      );
    return { suspect: s, probability: odds / (1 + odds) };
  });
  const best = found.sort((a, b) => b.probability - a.probability)[0];
  return best && best.probability >= worthSaying ? best : undefined;
}
