import { type ReactNode, useState } from 'react';
import type { SeatKind } from '../../core/fits/index.ts';
import {
  fitEffects,
  overrideOf,
  reusableTogether,
  seatAnswered,
  seatChain,
  seatKinds,
  seatName,
  seatOf,
  seatPart,
  seatResult,
  seatVerdicts,
} from '../../core/job/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { worst } from '../../core/verdict.ts';
import { Call, Frame, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { useJob } from '../shell/useJob.ts';
import { SeatSection } from './SeatSection.tsx';
import { keepTab } from '../shell/useTab.ts';
import { FitSpread } from './FitSpread.tsx';
import { SeatUnrolled } from './SeatUnrolled.tsx';
import { TemperaturePlan } from './TemperaturePlan.tsx';

/** Reuse or replace: the verdict on each seat before anything is pressed. */
export function SeatVerdictBody({
  kicker,
  tabs,
  onNext,
}: {
  kicker: string;
  tabs: ReactNode;
  onNext: () => void;
}) {
  const { view, send } = useJob();
  const { state } = view;
  const kinds = seatKinds(view);
  const [picked, setKind] = useState<SeatKind>();
  const kind = picked ?? kinds.find((k) => !state.seatDecisions[k]) ?? kinds[0] ?? 'bore';
  const [owning, setOwning] = useState(false);
  const verdicts = seatAnswered(view, kind) ? seatVerdicts(view, kind) : undefined;
  if (!verdicts?.[0])
    return (
      <StationBody
        kicker={kicker}
        title="Are the seats still good?"
        tabs={tabs}
        picture={
          <p className="note p-4">
            Nothing is known of the seats yet. Go back to Press out, Seats.
          </p>
        }
        side={<Call status="to-do">Press in is locked until the seats are told.</Call>}
        actions={<MainAction label="Record verdict" missing="Tell the seats at Press out" />}
      />
    );
  const status = worst(verdicts);
  const effects = fitEffects(view, kind);
  const part = seatPart(view, kind);
  const decided = state.seatDecisions[kind];
  const both = kinds.every((k) => state.seatDecisions[k]);
  const judge = async (decision: 'reuse' | 'replace') => {
    if (await send('seat-judged', { seat: kind, decision })) {
      const next = kinds.find((k) => k !== kind && !state.seatDecisions[k]);
      if (next) setKind(next);
    }
  };
  // Told by feel and nothing against it: one tap for the seats together.
  const together = reusableTogether(view);
  const all =
    together.length > 1 ? together.map((k) => seatPart(view, k)).join(' and ') : undefined;
  const reuseAll = async () => {
    for (const seat of together)
      if (!(await send('seat-judged', { seat, decision: 'reuse' }))) return;
  };
  const measureNew = async () => {
    const reason = `New ${part} fitted, measured again`;
    if (!(await send('station-reopened', { station: 'press-out', reason }))) return;
    keepTab(`press-out:${view.job.id}`, 'seats');
    location.assign(`/jobs/${view.job.id}/press-out`);
  };
  const owned = overrideOf(state, `seat.${kind}`);
  return (
    <StationBody
      kicker={kicker}
      title={kind === 'bore' ? 'Is the bore still good?' : 'Is the journal still good?'}
      tabs={tabs}
      picture={<SeatSeen kind={kind} />}
      side={
        <>
          <Call status={status}>
            <RuleLink said={verdicts[0]} />
          </Call>
          <section>
            <h2>Seats</h2>
            {kinds.map((k) => (
              <button
                key={k}
                type="button"
                className="seat-pick"
                aria-pressed={k === kind}
                onClick={() => setKind(k)}
              >
                <b>{seatName(view, k)}</b>
                <span>{state.seatDecisions[k] ?? 'no verdict yet'}</span>
              </button>
            ))}
          </section>
          <section>
            <h2>Reasons</h2>
            <VerdictLines verdicts={verdicts} />
            {effects && (
              <p className="cap">
                Limits of size: {verdicts[0].source}. Form: half the IT grade, engineering
                judgement; the maker’s figure comes first.
              </p>
            )}
          </section>
          {effects && (
            <section>
              <h2>What the fit does</h2>
              <table className="rows">
                <tbody>
                  <tr>
                    <th>Pressure</th>
                    <td className="figure">
                      <b>{effects.pressureMpa.toFixed(1)}</b> MPa
                    </td>
                  </tr>
                  <tr>
                    <th>Hoop stress, outer body</th>
                    <td className="figure">
                      <b>{effects.hoopMpa.toFixed(0)}</b>
                      {effects.yieldMpa ? ` of ${effects.yieldMpa}` : ''} MPa
                    </td>
                  </tr>
                  <tr>
                    <th>Clearance lost</th>
                    <td className="figure">
                      <b>{effects.clearanceLossMm.toFixed(3)}</b> mm
                    </td>
                  </tr>
                  <tr>
                    <th>Holds before it creeps</th>
                    <td className="figure">
                      <b>{effects.torqueNm.toFixed(0)}</b> N·m, {effects.axialKn.toFixed(1)} kN
                    </td>
                  </tr>
                </tbody>
              </table>
            </section>
          )}
          {kind === 'bore' && (
            <section>
              <TemperaturePlan />
            </section>
          )}
          <div className="grow" />
          {owning && (
            <PinDialog
              title="Reuse a seat that is judged Stop?"
              text={sentence(verdicts[0])}
              reason
              onClose={() => setOwning(false)}
              onPin={(pin, reason) => send('overridden', { rule: `seat.${kind}`, reason }, pin)}
            />
          )}
        </>
      }
      actions={
        <SeatActions
          part={part}
          all={all}
          onAll={reuseAll}
          settled={both && decided !== undefined}
          givenUp={kinds.find((k) => state.seatDecisions[k] === 'replace')}
          onMeasure={measureNew}
          stopped={status === 'stop'}
          answeredBy={view.people.find((p) => p.id === owned?.byId)?.name}
          onJudge={judge}
          onNext={onNext}
          onOwn={() => setOwning(true)}
        />
      }
    />
  );
}

/** Reuse or replace; what is Stop is reused only when somebody answers for it. */
function SeatActions({
  part,
  all,
  onAll,
  settled,
  givenUp,
  stopped,
  answeredBy,
  onJudge,
  onMeasure,
  onNext,
  onOwn,
}: {
  part: string;
  /** The parts that may be reused together. */
  all: string | undefined;
  onAll: () => void;
  settled: boolean;
  /** The seat that was judged “replace”. */
  givenUp: SeatKind | undefined;
  onMeasure: () => void;
  stopped: boolean;
  answeredBy: string | undefined;
  onJudge: (d: 'reuse' | 'replace') => void;
  onNext: () => void;
  onOwn: () => void;
}) {
  if (settled && givenUp)
    return (
      <>
        <MainAction label={`Measure the new ${part}`} onAct={onMeasure} />
        {!stopped && (
          <button type="button" className="btn quiet" onClick={() => onJudge('reuse')}>
            Reuse after all
          </button>
        )}
      </>
    );
  if (settled) return <MainAction label="Next" onAct={onNext} />;
  if (all)
    return (
      <>
        <MainAction label={`Reuse ${all}`} onAct={onAll} />
        <button type="button" className="btn quiet" onClick={() => onJudge('replace')}>
          Replace the {part}
        </button>
      </>
    );
  if (!stopped)
    return (
      <>
        <MainAction label={`Reuse the ${part}`} onAct={() => onJudge('reuse')} />
        <button type="button" className="btn quiet" onClick={() => onJudge('replace')}>
          Replace
        </button>
      </>
    );
  if (answeredBy)
    return <MainAction label={`Reuse, ${answeredBy} answers`} onAct={() => onJudge('reuse')} />;
  return (
    <>
      <MainAction label={`Replace the ${part}`} onAct={() => onJudge('replace')} />
      <button type="button" className="btn quiet" onClick={onOwn}>
        Answer for it
      </button>
    </>
  );
}

/** The seat as it was read, unrolled; of one that was only told, where it lies. */
function SeatSeen({ kind }: { kind: SeatKind }) {
  const { view } = useJob();
  const seat = seatOf(view, kind);
  const result = seatResult(view, kind);
  const read = view.state.seats[kind];
  if (!seat || !result || !read)
    return (
      <div className="seat-body">
        <SeatSection kinds={[kind]} />
      </div>
    );
  const chain = seatChain(view, kind);
  return (
    <div className="seat-body">
      <SeatUnrolled kind={kind} seat={seat} readings={read.readingsMm} />
      <div className="seat-foot">
        <div>
          <p className="cap">Mean {kind}</p>
          <p className="far-n num">
            {result.meanMm.toFixed(3)} <small>mm</small>
          </p>
          <div className="grid gap-2 mt-2 justify-items-start">
            <Frame
              name="Out of round"
              value={result.outOfRoundMm.toFixed(3)}
              limit={`max ${result.limitMm.toFixed(3)}`}
              status={result.outOfRoundMm <= result.limitMm ? 'good' : 'stop'}
            />
            <Frame
              name="Taper"
              value={result.taperMm.toFixed(3)}
              limit={`max ${result.limitMm.toFixed(3)}`}
              status={result.taperMm <= result.limitMm ? 'good' : 'stop'}
            />
          </div>
        </div>
        {chain && <FitSpread key={kind} chain={chain} seed={1} />}
      </div>
    </div>
  );
}
