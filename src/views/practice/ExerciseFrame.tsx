import type { ReactNode } from 'react';
import { kindTitles, levels, type PracticeView } from '../../core/practice/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { PracticeDrawing } from './PracticeDrawing.tsx';
import { Standing } from './Standing.tsx';
import type { ExerciseHandle } from './useExercise.ts';

export interface ExerciseProps {
  view: PracticeView;
  who: string;
  onNext: () => void;
}

/** What every exercise has: question and picture, the call, what it comes to on the car, how one stands. */
export function ExerciseFrame({
  view,
  who,
  onNext,
  exercise: { worth, said },
  todo,
  drawing,
  help,
  children,
}: ExerciseProps & {
  exercise: ExerciseHandle;
  /** What is to be done, until it is answered. */
  todo: string;
  /** What is drawn before the answer, where it is no still picture. */
  drawing?: ReactNode;
  /** How help is offered; undefined where none is left. */
  help?: { text: string; onHelp: () => void } | undefined;
  /** What one answers with. */
  children: ReactNode;
}) {
  const { open, set } = view;
  return (
    <>
      <div className="pic">
        <p className="kicker">
          {kindTitles[open.kind]}, level {open.level} of {levels.most}:{' '}
          {[set.hard.value, set.hard.unit].join(set.hard.unit.startsWith('°') ? '' : ' ')}
        </p>
        <h2 className="ask">{set.ask}</h2>
        <div className="practice-fig">
          {worth === undefined && drawing ? (
            drawing
          ) : (
            <PracticeDrawing picture={worth?.picture ?? set.picture} />
          )}
        </div>
      </div>
      <aside className="side" aria-label="Answer">
        <div className="side-in">
          {worth ? (
            <Call status={worth.right ? 'good' : 'check'}>
              {worth.right ? 'Seen. ' : 'Not so. '}
              {worth.because}
            </Call>
          ) : (
            <Call status="to-do">{said ?? todo}</Call>
          )}
          <section>
            {children}
            {!worth && help && (
              <button type="button" className="link" onClick={help.onHelp}>
                {help.text}
              </button>
            )}
          </section>
          {worth && (
            <section>
              <h2>On the car</h2>
              <p className="note">{worth.otherwise}</p>
              <p className="cap">
                {worth.source}. Comes again {againIn(worth.dueMs)}.
              </p>
            </section>
          )}
          <Standing view={view} who={who} />
          <div className="grow" />
        </div>
        <div className="acts one">
          <MainAction label="Next" missing={worth ? undefined : 'Answer first'} onAct={onNext} />
        </div>
      </aside>
    </>
  );
}

function againIn(dueMs: number): string {
  const min = Math.max(1, Math.round((dueMs - Date.now()) / 60_000));
  if (min < 60) return `in ${min} min`;
  return min < 2880 ? `in ${Math.round(min / 60)} h` : `in ${Math.round(min / 1440)} days`;
}
