import type { Judgement } from '../../core/press/index.ts';
import { judgeLaid, type LaidStack, practiceSetup } from '../../core/practice/index.ts';
import { Cutaway, type CutawayProps } from '../../ui/section/cutaway/Cutaway.tsx';

/** Before the answer nothing is judged: no way of the force, no mark. */
const notJudged: Judgement = {
  status: 'good',
  verdicts: [],
  path: { nodes: [], throughBalls: false, verdicts: [] },
  score: 0,
};

/** A stack of practice in section, with its sizes; once it is judged, part of the way down. */
export function LaidDrawing({
  laid,
  judged,
  ...more
}: { laid: LaidStack; judged: boolean } & Pick<CutawayProps, 'beside' | 'whole' | 'dims'>) {
  const setup = practiceSetup(laid.work);
  return (
    <Cutaway
      stack={laid.stack}
      setup={setup}
      judgement={judged ? judgeLaid(laid) : notJudged}
      alone
      travelMm={judged ? setup.requirement.travelMm * 0.6 : 0}
      {...more}
    />
  );
}
