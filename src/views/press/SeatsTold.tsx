import {
  reusableTogether,
  seatKinds,
  seatName,
  seatPart,
  seatVerdicts,
} from '../../core/job/index.ts';
import type { SeatKind } from '../../core/fits/index.ts';
import { worst } from '../../core/verdict.ts';
import { Call, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { SeatSection } from './SeatSection.tsx';
import type { SeatTab } from './seatTab.ts';

/** Both seats as they were told: each with its word, and the way on. */
export function SeatsTold({
  kicker,
  tabs,
  onAgain,
  onDone,
  missing,
}: SeatTab & { onAgain: (k: SeatKind) => void }) {
  const { view, send } = useJob();
  const kinds = seatKinds(view);
  const said = kinds.flatMap((k) => seatVerdicts(view, k) ?? []);
  // Nothing against them: reused in the same tap, by the same eyes.
  const reuse = reusableTogether(view);
  const goOn = async () => {
    for (const seat of reuse) if (!(await send('seat-judged', { seat, decision: 'reuse' }))) return;
    onDone();
  };
  return (
    <StationBody
      kicker={kicker}
      title="Are the seats still good?"
      tabs={tabs}
      picture={
        <div className="seat-body">
          <SeatSection kinds={kinds} />
        </div>
      }
      side={
        <>
          <Call status={worst(said)}>{said[0] && <RuleLink said={said[0]} />}</Call>
          <section>
            <VerdictLines verdicts={said} />
          </section>
          {kinds.map((k) => (
            <section key={k}>
              <button type="button" className="btn quiet small w-full" onClick={() => onAgain(k)}>
                {seatName(view, k)} again
              </button>
            </section>
          ))}
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label={
            reuse.length > 0
              ? `Reuse ${reuse.map((k) => seatPart(view, k)).join(' and ')}, to Press in`
              : 'To Press in'
          }
          missing={missing}
          onAct={goOn}
        />
      }
    />
  );
}
