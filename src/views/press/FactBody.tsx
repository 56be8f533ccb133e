import type { ReactNode } from 'react';
import { type CautionId, cautions, type FactId, facts } from '../../core/families/index.ts';
import { familyCodeOf, seenNow, strokesOf, worksInOneGo } from '../../core/job/index.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Call, Caution, MainAction } from '../../ui/Panels.tsx';
import { StationBody } from '../shell/JobSheet.tsx';

import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { both, readTyped } from '../../ui/units.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { FactFigure } from './FactFigure.tsx';

function FactCaution({ id }: { id: CautionId | undefined }) {
  return id ? <Caution why={cautions[id].why}>{cautions[id].text}</Caution> : null;
}

/** Things to see with one's own eyes before going on. */
export function FactBody({
  kicker,
  title,
  tabs,
  facts: ids,
  onNext,
  nextLabel = 'Next',
  missing,
}: {
  kicker: string;
  title: string;
  tabs: ReactNode;
  facts: readonly FactId[];
  onNext: () => void;
  nextLabel?: string;
  missing?: string | undefined;
}) {
  const { view, send } = useJob();
  const seen = (id: FactId) => seenNow(view, id);
  const amountOf = (id: FactId) => {
    const ml = view.state.amountsMl[id];
    if (ml === undefined) return null;
    const { value, unit, other } = both(ml, 'volume');
    return `: ${value} ${unit} / ${other}`;
  };
  const contrary = ids.filter((id) => view.state.contrary[id]);
  const open = ids.filter((id) => !seen(id));
  // Who works less deep says it of all at once; each stands on the page with its picture.
  const together =
    worksInOneGo(view) &&
    open.length > 1 &&
    contrary.length === 0 &&
    !open.some((id) => facts[id].amount);
  // The last of a station leads on in the same tap, where nothing else is owed.
  const leads = nextLabel !== 'Next' && !missing;
  const seeAll = async () => {
    for (const id of open) if (!(await send('fact-seen', { factId: id }))) return;
    if (leads) onNext();
  };
  return (
    <StationBody
      kicker={kicker}
      title={title}
      tabs={tabs}
      picture={
        <div className="facts">
          {ids.map((id) => (
            <section key={id} className={seen(id) ? 'seen' : ''}>
              <FactFigure id={id} family={familyCodeOf(view)} />
              <div>
                <h2>{facts[id].ask}</h2>
                <p className="note">{facts[id].why}</p>
                {!seen(id) && <FactCaution id={facts[id].caution} />}
                {view.state.contrary[id] && (
                  <p className="verdict-line stop">
                    <VerdictShape status="stop" size={24} />
                    <span>
                      {facts[id].opposite.seen}. <b>{facts[id].opposite.then}</b>
                    </span>
                  </p>
                )}
                <p className="fact-answers">
                  {seen(id) ? (
                    <span className="verdict-line good">
                      <VerdictShape status="good" size={24} />
                      {facts[id].done}
                      {amountOf(id)}
                    </span>
                  ) : (
                    <FactDone id={id} />
                  )}
                  {!view.state.contrary[id] && (
                    <button
                      type="button"
                      className={seen(id) ? 'link' : 'btn quiet'}
                      onClick={() => send('fact-seen', { factId: id, absent: true })}
                    >
                      {facts[id].opposite.seen}
                    </button>
                  )}
                </p>
              </div>
            </section>
          ))}
        </div>
      }
      side={
        <>
          <FactCall
            open={open.length}
            contrary={contrary}
            pressed={strokesOf(view).some((o) => !(o in view.state.strokes))}
          />
          <div className="grow" />
        </>
      }
      actions={
        together ? (
          <MainAction
            label={`All ${open.length} as they should be, seen${leads ? `; ${nextLabel.toLowerCase()}` : ''}`}
            onAct={seeAll}
          />
        ) : (
          <MainAction
            label={nextLabel}
            missing={open[0] ? facts[open[0]].ask : missing}
            onAct={onNext}
          />
        )
      }
    />
  );
}

/** Says that a thing was seen; with what was measured where its record has an amount. */
function FactDone({ id }: { id: FactId }) {
  const { view, send, problem } = useJob();
  const [text, setText, clear] = useDraft(`${view.job.id}:${id}:amount`);
  const { amount, done } = facts[id];
  const ml = readTyped(text, 'volume');
  const say = async () => {
    const measured = amount && ml.ok ? { amountMl: ml.value, typed: ml.typed } : {};
    if (await send('fact-seen', { factId: id, ...measured })) clear();
  };
  return (
    <>
      {amount && (
        <QuantityInput
          compact
          label={amount}
          dimension="volume"
          text={text}
          onText={setText}
          fault={faultOf(problem, 'amountMl')}
        />
      )}
      <button type="button" className="btn" onClick={() => void say()}>
        {done}
      </button>
    </>
  );
}

/** A verdict once something was seen; before that only what is to be done. */
function FactCall({
  open,
  contrary,
  pressed,
}: {
  open: number;
  contrary: readonly FactId[];
  /** Something is still to be pressed. */
  pressed: boolean;
}) {
  const [first] = contrary;
  if (first) return <Call status="stop">{facts[first].opposite.then}</Call>;
  if (open === 0) return <Call status="good">Seen, and on record.</Call>;
  return (
    <Call status="to-do">
      {open} to see before {pressed ? 'the press moves again' : 'the work goes on'}.
    </Call>
  );
}
