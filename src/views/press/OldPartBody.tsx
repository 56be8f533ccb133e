import { type ReactNode, useState } from 'react';
import { chosenComparison, chosenPart } from '../../core/job/index.ts';
import { meanOf } from '../../core/matching/index.ts';
import { type Adapter, grindMm, keptRing } from '../../core/press/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { Candidate, Legend } from '../match/Candidate.tsx';
import { useMeasure } from '../match/Measure.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { call, useJob } from '../shell/useJob.ts';

/** Is the old one the same as the new? Read on the bench, dimension by dimension, then accepted or chosen again. */
export function OldPartBody({
  kicker,
  tabs,
  onNext,
}: {
  kicker: string;
  tabs: ReactNode;
  onNext: () => void;
}) {
  const { view, send, choose } = useJob();
  const { state } = view;
  const { picture, side, left, list, part, instrument, conflicts } = useMeasure({ off: true });
  const own = chosenComparison(view);
  const accept = async () => {
    if (part && (await send('part-confirmed', { partNumber: part.number }))) onNext();
  };
  const toGo = `${left} ${left === 1 ? 'reading' : 'readings'} to go`;
  const blocker = left === 0 ? own?.blockers[0] : undefined;
  const told = firstThat(
    [left > 0, `${toGo}${instrument ? ` with the ${instrument.name}` : ''}.`],
    [own?.status === 'good', `${part?.number} is the same where it matters.`],
    [true, `${part?.number} is within doubt: measure again with a finer instrument.`],
  );
  const status = left > 0 ? 'check' : (own?.status ?? 'stop');
  return (
    <StationBody
      kicker={kicker}
      title="Same as the new one?"
      tabs={tabs}
      picture={picture}
      side={
        <>
          <Call status={status}>{blocker ? <RuleLink said={blocker} /> : told}</Call>
          {side}
          <section className="candidates">
            <Legend />
            {list.slice(0, 4).map((c) => (
              <Candidate
                key={c.part.number}
                c={c}
                chosen={c.part.number === part?.number}
                onChoose={() => choose('match', { partNumber: c.part.number })}
              />
            ))}
          </section>
          <section>
            <h2>What killed it</h2>
            <a className="btn quiet small w-full" href={`/jobs/${view.job.id}/raceways`}>
              {state.raceways ? 'Raceways read: look again' : 'Read the raceways'}
            </a>
          </section>
          <KeepRing />
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label={state.partConfirmed === part?.number && left === 0 ? 'Next' : 'Accept part'}
          missing={firstThat(
            [left > 0, toGo],
            [own?.status === 'stop', 'Choose another part: this one is blocked'],
            [true, conflicts[0]?.reason],
          )}
          onAct={accept}
        />
      }
    />
  );
}

/** The old outer ring is the best driver for the next of its size: kept as a piece of the kit. */
function KeepRing() {
  const { view } = useJob();
  const { ctx, state, job } = view;
  const [said, setSaid] = useState<string>();
  const part = chosenPart(view);
  const outer = meanOf(state.oldReadings.outerMm);
  const width = meanOf(state.oldReadings.widthMm);
  if (
    !part ||
    !['ring-set', 'ball-set', 'taper-set'].includes(part.kind) ||
    outer === undefined ||
    width === undefined
  )
    return null;
  const ring = keptRing(job.number, outer, part.bearing.outerFaceInnerMm, width);
  const known = ctx.adapters.some((a) => a.id === ring.id);
  const keep = async () => {
    const r = await call<Adapter>('POST', '/api/adapters', ring);
    setSaid(
      r.ok
        ? `${ring.name} is in the kit: grind ${grindMm} mm off before it is used.`
        : (r.problem.errors[0]?.reason ?? r.problem.detail),
    );
  };
  return (
    <section>
      <h2>Keep the old ring as a driver</h2>
      {said || known ? (
        <p className="note">{said ?? `${ring.name} is in the kit.`}</p>
      ) : (
        <>
          <p className="cap num">
            {ring.outerMm} × {ring.innerMm} × {ring.heightMm} mm once ground {grindMm} mm off
          </p>
          <button type="button" className="btn quiet small w-full mt-1" onClick={keep}>
            Into the kit
          </button>
        </>
      )}
    </section>
  );
}
