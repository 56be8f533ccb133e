import type { ReactNode } from 'react';
import { type FactId, facts } from '../../core/families/index.ts';
import { familyCodeOf } from '../../core/job/index.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { FactFigure } from './FactFigure.tsx';

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
  const seen = (id: FactId) => view.state.facts.includes(id);
  const open = ids.filter((id) => !seen(id));
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
                {seen(id) ? (
                  <p className="verdict-line good">
                    <VerdictShape status="good" size={24} />
                    {facts[id].done}
                  </p>
                ) : (
                  <button
                    type="button"
                    className="btn"
                    onClick={() => send('fact-seen', { factId: id })}
                  >
                    {facts[id].done}
                  </button>
                )}
              </div>
            </section>
          ))}
        </div>
      }
      side={
        <>
          <Call status={open.length === 0 ? 'good' : 'check'}>
            {open.length === 0
              ? 'Seen, and on record.'
              : `${open.length} to see before the press moves again.`}
          </Call>
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label={nextLabel}
          missing={open[0] ? facts[open[0]].ask : missing}
          onAct={onNext}
        />
      }
    />
  );
}
