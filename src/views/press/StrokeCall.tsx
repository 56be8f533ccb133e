import { gravestFirst, type Verdict } from '../../core/verdict.ts';
import { verdictWords } from '../../ui/Marks.tsx';
import { Call } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import type { Stroke } from './useStroke.ts';

/** Gravest word first: an interlock, the stack, the gauge, the recorded stroke. */
export function StrokeCall({ stroke }: { stroke: Stroke }) {
  const { judgement, live, recorded, refused, solved, measureFirst } = stroke;
  if (recorded)
    return (
      <Call status={recorded.status}>
        {recorded.verdicts.map((v) => (
          <p key={v.rule}>
            <RuleLink said={v} />
          </p>
        ))}
      </Call>
    );
  if (!judgement)
    return (
      <Call status="stop">
        No stack in this kit. Turn, borrow or buy {solved.missing[0]?.text ?? 'the missing piece'}.
      </Call>
    );
  const shown: Verdict[] = gravestFirst([
    // A caution that waits to be read is no verdict: the action asks for it.
    ...(refused && refused.rule !== 'press.caution'
      ? [{ ...refused, status: 'stop' as const }]
      : []),
    ...(measureFirst ? [{ ...measureFirst, status: 'check' as const }] : []),
    ...judgement.verdicts.filter((v) => !(measureFirst && v.rule === 'press.unmeasured')),
    ...(live ? [live] : []),
  ]);
  const status = shown[0]!.status;
  const texts = status === 'good' ? shown : shown.filter((v) => v.status === status);
  return (
    <Call status={status}>
      {texts.slice(0, 2).map((v) => (
        <p key={v.rule}>
          <RuleLink said={v} />
        </p>
      ))}
      {status === 'stop' && solved.solutions[0] && !refused && (
        <p>
          <b>
            {[solved.solutions[0].stack.pusher, solved.solutions[0].stack.support]
              .flatMap((a) => a?.name ?? [])
              .join(' on ')}{' '}
            is {verdictWords[solved.solutions[0].judgement.status]}.
          </b>
        </p>
      )}
    </Call>
  );
}
