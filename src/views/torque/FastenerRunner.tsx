import { type ReactNode, useState } from 'react';
import { type FastenerOnJob, isTightened, withCount } from '../../core/job/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import { isSaid, type Round, type Turn } from '../../core/torque/index.ts';
import { isoDay, parseQuantity } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { Field } from '../../ui/Field.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { both } from '../../ui/units.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { FastenerEntry } from '../plan/FastenerEntry.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { BoltCircle, type BoltState } from './BoltCircle.tsx';
import { FastenerList, FastenerReadings } from './FastenerList.tsx';
import { figureOfRound, roundUnit } from './roundFigure.ts';
import { ToolAtHand, useToolAtHand } from './ToolAtHand.tsx';

/** Fasteners besides the centre nut, bolt by bolt, each turn with its own reading. */
export function FastenerRunner({
  all,
  bar,
  kicker,
  after,
}: {
  all: readonly FastenerOnJob[];
  bar: ReactNode;
  kicker: string;
  /** What comes once all of them are done. */
  after: ReactNode;
}) {
  const { view } = useJob();
  // What was just finished stays in sight until the hand goes on.
  const [picked, setPicked] = useState(() => (all.find((f) => !isTightened(f)) ?? all.at(-1))?.id);
  const [counted, setCounted] = useState<Record<string, number>>({});
  const found = all.find((f) => f.id === picked);
  if (!found)
    return (
      <StationBody
        kicker={kicker}
        title="None besides the centre nut"
        tabs={bar}
        picture={<p className="note big">The steps of this family name no other fastener.</p>}
        side={null}
        actions={after}
      />
    );
  const count = counted[found.id];
  const f = count === undefined ? found : withCount(found, count, view);
  const tabs = { all, bar, kicker, after, onPick: setPicked };
  if (f.walk) return <OneFastener key={f.id} f={f} {...tabs} />;
  return (
    <StationBody
      kicker={kicker}
      title={f.name}
      tabs={bar}
      picture={
        <div className="torque-grid">
          <FastenerList all={all} now={f.id} onPick={setPicked} />
          <div className="how-many">
            <h2>How many are there?</h2>
            <Choices
              name="How many are there"
              value={undefined}
              onValue={(n) => setCounted({ ...counted, [f.id]: Number(n) })}
              options={Array.from({ length: 10 }, (_, i) => ({
                id: String(i + 1),
                label: String(i + 1),
              }))}
            />
          </div>
        </div>
      }
      side={<Call status="to-do">Count them on the car: the order follows from it.</Call>}
      actions={<MainAction label="Begin" missing="Say how many" />}
    />
  );
}

function OneFastener({
  f,
  all,
  bar,
  kicker,
  after,
  onPick,
}: {
  f: FastenerOnJob;
  all: readonly FastenerOnJob[];
  bar: ReactNode;
  kicker: string;
  after: ReactNode;
  onPick: (id: string) => void;
}) {
  const { view, send, problem } = useJob();
  const walk = f.walk!;
  const turn = walk.next;
  const at: Turn = turn ?? walk.turns.at(-1)!;
  const round: Round = f.rounds[at.round - 1] ?? {};
  const key = `${view.job.id}:turn:${f.id}:${at.round}:${at.bolt}`;
  const [text, setText, clear] = useDraft(key);
  const [to, setTo] = useDraft(`${view.job.id}:turn:${f.id}:to`);
  const [part, setPart] = useState<'new' | 'reused' | undefined>(f.singleUse ? 'new' : undefined);
  const tools = view.ctx.wrenches.filter((w) => !w.retired);
  const nm = 'torqueNm' in round ? round.torqueNm : undefined;
  const angle = 'angleDeg' in round ? round.angleDeg : undefined;
  const shows = tools.filter((w) => w.maxNm === undefined || w.type === 'digital');
  const hand = useToolAtHand(
    nm,
    nm === undefined ? shows : tools,
    isoDay(view.nowMs, view.timeZone),
  );
  const unit = roundUnit(round);
  const read = unit ? parseQuantity(text, unit) : undefined;
  const spoilt = walk.spoilt.includes(at.bolt);
  const said = f.figure !== undefined && isSaid(f.figure);
  const shown = figureOfRound(round);
  const record = async () => {
    if (!hand.way) return;
    const { wrench, through } = hand.way;
    const body: EventBody<'fastener-tightened'> = {
      fastenerId: f.id,
      of: f.count ?? 1,
      round: at.round,
      bolt: at.bolt,
      toolId: wrench.id,
      ...(Object.keys(through).length > 0 ? { through } : {}),
      ...(read?.ok ? { actual: read.value, typed: text.trim().slice(0, 40) } : {}),
      ...(part ? { part } : {}),
      ...(said ? {} : { to: to.trim() }),
    };
    if (await send('fastener-tightened', body)) clear();
  };
  const inRound = walk.turns.filter((t) => t.round === at.round);
  const place = inRound.findIndex((t) => t.bolt === at.bolt) + 1;
  const number = inRound.length > 1 ? `Number ${place}` : f.name;
  const states = inRound.map((t): BoltState => ({ ...t, state: stateOf(t, turn, f) }));
  const one = f.rounds.length > 1 ? `round ${at.round} of ${f.rounds.length}` : shown.note;
  const missing = firstThat(
    [text.trim() !== '' && read && !read.ok, 'The reading cannot be read'],
    [!said && to.trim() === '', 'Say to what'],
    [spoilt && part !== 'new', 'Fit a new one first'],
  );
  const last = view.state.tightened[f.id]?.at(-1);
  const verdict = last && walk.at(last)?.verdict;
  return (
    <StationBody
      kicker={kicker}
      title={f.name}
      tabs={bar}
      picture={
        <div className={all.length > 1 ? 'torque-grid' : 'torque-grid alone'}>
          {all.length > 1 && <FastenerList all={all} now={f.id} onPick={onPick} />}
          <div className="nut">
            <BoltCircle
              turns={states}
              big={turn ? shown.value : 'done'}
              unit={turn ? shown.unit : ''}
              note={turn ? one : ''}
              label={turn ? `${number}, ${one}: ${shown.value} ${shown.unit}` : `${f.name}: done`}
            />
          </div>
        </div>
      }
      side={
        <>
          {verdict && verdict.status !== 'good' ? (
            <Call status={verdict.status}>
              <RuleLink said={verdict} />
            </Call>
          ) : (
            <Call status={turn ? 'to-do' : 'good'}>
              {turn
                ? (f.why ?? 'One smooth pull; stop when it says so.')
                : 'Every one has had its turns.'}
            </Call>
          )}
          {!said && <FastenerEntry key={f.id} fastenerId={f.id} />}
          {turn && (
            <section className="grid gap-2">
              {!said && <Field label="Tightened to what, in words" text={to} onText={setTo} />}
              {unit && (
                <QuantityInput
                  label={`Reading, ${number.toLowerCase()}, where the tool shows one`}
                  dimension={unit}
                  text={text}
                  onText={setText}
                  fault={faultOf(problem, 'actual', 'bolt', 'toolId')}
                />
              )}
              <Choices
                name="New or used again"
                value={part}
                onValue={setPart}
                options={[
                  { id: 'new', label: 'new' },
                  { id: 'reused', label: 'used again' },
                ]}
              />
              <ToolAtHand at={hand} nm={nm} angleDeg={angle} tools={tools} />
            </section>
          )}
          <FastenerReadings f={f} />
          <div className="grow" />
        </>
      }
      actions={
        turn ? (
          <MainAction
            label={actionWords(round, number, read, said)}
            missing={missing}
            onAct={record}
          />
        ) : (
          (nextOf(all, f, onPick) ?? after)
        )
      }
    />
  );
}

function stateOf(t: Turn, next: Turn | undefined, { walk }: FastenerOnJob): BoltState['state'] {
  const stop = walk?.at(t)?.verdict?.status === 'stop';
  if (next?.bolt === t.bolt && next.round === t.round) return stop ? 'stop' : 'now';
  if (stop) return 'stop';
  return walk?.at(t) ? 'done' : 'todo';
}

/** What is kept by the main action: a figure where one was read, else that the tool said so. */
function actionWords(
  round: Round,
  number: string,
  read: ReturnType<typeof parseQuantity> | undefined,
  said: boolean,
): string {
  if (!said) return `${number} tightened so`;
  const unit = roundUnit(round);
  if (!unit) return `${number}, by the maker’s manual`;
  if (read?.ok) {
    const b = both(read.value, unit);
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
