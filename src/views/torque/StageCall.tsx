import { RotateCcw } from 'lucide-react';
import { handOf } from '../../core/job/index.ts';
import { type Procedure, type Stage, turnGoes, type Walk } from '../../core/torque/index.ts';
import type { Verdict } from '../../core/verdict.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Call } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { useJob } from '../shell/useJob.ts';
import type { WrenchHandle } from './useWrench.ts';

export const KeepOffGround = () => (
  <p className="keep-off">
    <VerdictShape status="check" size={28} />
    <span>
      <b className="check">Check</b> Keep the wheel off the ground until the last stage is recorded:
      weight on a loose hub marks the bearing.
    </span>
  </p>
);

/** A thread that is tightened the other way round, said before anybody turns it. */
export function HandOfThread() {
  const { view } = useJob();
  const { hand, doubt } = handOf(view);
  if (hand === 'right') return null;
  return (
    <>
      {doubt && (
        <Call status={doubt.status}>
          <RuleLink said={doubt} />
        </Call>
      )}
      <p className="strong">
        <RotateCcw aria-hidden="true" size={20} className="inline" /> Left-hand thread: tightens{' '}
        {turnGoes('tighten', hand)}.
      </p>
    </>
  );
}

/** The verdict on the last reading where it asks for something, else what the stage is for. */
export function StageCall({
  procedure: p,
  walk,
  unchecked,
  stage,
  wrench,
}: {
  procedure: Procedure;
  walk: Walk;
  unchecked: boolean;
  stage: Stage;
  wrench: WrenchHandle | undefined;
}) {
  const { view } = useJob();
  const last = view.state.stages.at(-1);
  const verdict: Verdict | undefined =
    last && walk.verdicts[p.stages.findIndex((s) => s.id === last.stageId)];
  if (unchecked)
    return <Call status="stop">Nobody has checked this procedure against the maker’s data.</Call>;
  if (walk.current === p.stages.length)
    return <Call status="good">Every stage is in its window.</Call>;
  if (wrench?.running && wrench.verdict?.status !== 'stop')
    return <Call status="to-do">Pull on, one smooth pull, and stop in the band.</Call>;
  if (wrench?.verdict)
    return (
      <Call status={wrench.verdict.status}>
        <RuleLink said={wrench.verdict} />
      </Call>
    );
  if (verdict && (walk.restart || verdict.status !== 'good'))
    return (
      <Call status={walk.restart ? 'stop' : verdict.status}>
        <RuleLink said={verdict} />
      </Call>
    );
  return <Call status="to-do">{stage.why}</Call>;
}
