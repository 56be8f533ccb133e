import type { ReactNode } from 'react';
import { chosenComparison } from '../../core/job/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { Candidate, Legend } from '../match/Candidate.tsx';
import { useMeasure } from '../match/Measure.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';

/** Is the old one the same as the new? Read on the bench, dimension by dimension, then accepted or chosen again. */
export function OldPartBody({ kicker, tabs, onNext }: { kicker: string; tabs: ReactNode; onNext: () => void }) {
  const { view, send, choose } = useJob();
  const { ctx, state, choices } = view;
  const { picture, side, left, list, part, instrument, conflicts } = useMeasure({ off: true });
  const own = chosenComparison(ctx, state, choices);
  const accept = async () => { if (part && (await send('part-confirmed', { partNumber: part.number }))) onNext(); };
  const status = left > 0 ? 'check' : (own?.status ?? 'stop');
  return (
    <StationBody
      kicker={kicker} title="Same as the new one?" tabs={tabs} picture={picture}
      side={
        <>
          <Call status={status}>{left > 0 ? `${left} ${left === 1 ? 'reading' : 'readings'} to go${instrument ? ` with the ${instrument.name}` : ''}.` : own?.status === 'good' ? `${part?.number} is the same where it matters.` : own?.blockers[0]?.text ?? `${part?.number} is within doubt: measure again with a finer instrument.`}</Call>
          {side}
          <section className="cands"><Legend />
            {list.slice(0, 4).map((c) => <Candidate key={c.part.number} c={c} chosen={c.part.number === part?.number} onChoose={() => choose('match', { partNumber: c.part.number })} />)}
          </section>
          <div className="grow" />
        </>
      }
      actions={<MainAction label={state.partConfirmed === part?.number && left === 0 ? 'Next' : 'Accept part'} missing={left > 0 ? `${left} ${left === 1 ? 'reading' : 'readings'} to go` : own?.status === 'stop' ? 'Choose another part: this one is blocked' : conflicts[0]?.reason} onAct={accept} />}
    />
  );
}
