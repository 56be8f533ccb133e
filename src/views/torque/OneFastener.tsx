import type { ReactNode } from 'react';
import { type FastenerOnJob, isTightened } from '../../core/job/index.ts';
import type { Round, Turn } from '../../core/torque/index.ts';

import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { Field } from '../../ui/Field.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { both } from '../../ui/units.ts';
import { FastenerEntry } from '../plan/FastenerEntry.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { BoltCircle, type BoltState } from './BoltCircle.tsx';
import { FastenerList, FastenerReadings } from './FastenerList.tsx';
import { figureOfRound, roundUnit } from './roundFigure.ts';
import { ToolAtHand } from './ToolAtHand.tsx';
import { useTurn, type Walked } from './useTurn.ts';

/** One fastener on the screen, its bolts in a circle, the next one large. */
export function OneFastener({
  f,
  all,
  bar,
  kicker,
  after,
  onPick,
}: {
  f: Walked;
  all: readonly FastenerOnJob[];
  bar: ReactNode;
  kicker: string;
  after: ReactNode;
  onPick: (id: string) => void;
}) {
  const { next } = f.walk;
  const at = next ?? f.walk.turns.at(-1) ?? { round: 1, bolt: 1 };
  const turn = useTurn(f, at);
  const inRound = f.walk.turns.filter((t) => t.round === at.round);
  const place = inRound.findIndex((t) => t.bolt === at.bolt) + 1;
  const number = inRound.length > 1 ? `Number ${place}` : f.name;
  return (
    <StationBody
      kicker={kicker}
      title={f.name}
      tabs={bar}
      picture={
        <div className={all.length > 1 ? 'torque-grid' : 'torque-grid alone'}>
          {all.length > 1 && <FastenerList all={all} now={f.id} onPick={onPick} />}
          <Circle f={f} at={at} round={turn.round} number={number} />
        </div>
      }
      side={
        <>
          <HowItWent f={f} />
          {!turn.said && <FastenerEntry key={f.id} fastenerId={f.id} />}
          {next && <TurnEntry turn={turn} number={number} />}
          <FastenerReadings f={f} />
          <div className="grow" />
        </>
      }
      actions={
        next ? (
          <MainAction
            label={actionWords(turn.round, number, turn.actual, turn.said)}
            missing={turn.missing}
            onAct={turn.record}
          />
        ) : (
          (nextOf(all, f, onPick) ?? after)
        )
      }
    />
  );
}

/** The bolts face-on, what is done and what comes next. */
function Circle({ f, at, round, number }: { f: Walked; at: Turn; round: Round; number: string }) {
  const { next, turns } = f.walk;
  const shown = figureOfRound(round);
  const note = f.rounds.length > 1 ? `round ${at.round} of ${f.rounds.length}` : shown.note;
  const states = turns
    .filter((t) => t.round === at.round)
    .map((t): BoltState => ({ ...t, state: stateOf(t, f) }));
  return (
    <div className="nut">
      <BoltCircle
        turns={states}
        big={next ? shown.value : 'done'}
        unit={next ? shown.unit : ''}
        note={next ? note : ''}
        label={next ? `${number}, ${note}: ${shown.value} ${shown.unit}` : `${f.name}: done`}
      />
    </div>
  );
}

/** The verdict on the last turn where it was not right; else what to do. */
function HowItWent({ f }: { f: Walked }) {
  const { view } = useJob();
  const last = view.state.tightened[f.id]?.at(-1);
  const verdict = last && f.walk.at(last)?.verdict;
  if (verdict && verdict.status !== 'good')
    return (
      <Call status={verdict.status}>
        <RuleLink said={verdict} />
      </Call>
    );
  return f.walk.next ? (
    <Call status="to-do">{f.why ?? 'One smooth pull; stop when it says so.'}</Call>
  ) : (
    <Call status="good">Every one has had its turns.</Call>
  );
}

function TurnEntry({ turn, number }: { turn: ReturnType<typeof useTurn>; number: string }) {
  const { problem } = useJob();
  return (
    <section className="grid gap-2">
      {!turn.said && (
        <Field label="Tightened to what, in words" text={turn.to} onText={turn.setTo} />
      )}
      {turn.unit && (
        <QuantityInput
          label={`Reading${turn.other?.where ?? ''}, ${number.toLowerCase()}, where the tool shows one`}
          dimension={turn.unit}
          text={turn.text}
          onText={turn.setText}
          fault={faultOf(problem, 'actual', 'shown', 'bolt', 'toolId')}
          hint={turn.other?.hint}
          {...(turn.other?.said ? { said: turn.other.said } : {})}
        />
      )}
      <Choices
        name="New or used again"
        value={turn.part}
        onValue={turn.setPart}
        options={[
          { id: 'new', label: 'new' },
          { id: 'reused', label: 'used again' },
        ]}
      />
      <ToolAtHand at={turn.hand} nm={turn.nm} angleDeg={turn.angleDeg} tools={turn.tools} />
    </section>
  );
}

function stateOf(t: Turn, { walk }: Walked): BoltState['state'] {
  const { next } = walk;
  const stop = walk.at(t)?.verdict?.status === 'stop';
  if (stop) return 'stop';
  if (next?.bolt === t.bolt && next.round === t.round) return 'now';
  return walk.at(t) ? 'done' : 'todo';
}

/** What is kept by the main action: a figure where one was read, else that the tool said so. */
function actionWords(
  round: Round,
  number: string,
  actual: number | undefined,
  said: boolean,
): string {
  if (!said) return `${number} tightened so`;
  const unit = roundUnit(round);
  if (!unit) return `${number}, by the maker’s manual`;
  if (actual !== undefined) {
    const b = both(actual, unit);
    return `${number}: record ${b.value} ${b.unit}`;
  }
  return unit === 'angle' ? `${number}: turned to the mark` : `${number}: it clicked`;
}

function nextOf(
  all: readonly FastenerOnJob[],
  f: FastenerOnJob,
  onPick: (id: string) => void,
): ReactNode {
  const next = all.find((x) => !isTightened(x) && x.id !== f.id);
  return (
    next && <MainAction label={`Next: ${next.name.toLowerCase()}`} onAct={() => onPick(next.id)} />
  );
}
