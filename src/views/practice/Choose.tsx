import { useEffect } from 'react';
import type { PracticeOption } from '../../core/practice/index.ts';
import { ExerciseFrame, type ExerciseProps } from './ExerciseFrame.tsx';
import { type ExerciseHandle, useExercise } from './useExercise.ts';

/** One of several is chosen. */
export function Choose({ options, ...props }: ExerciseProps & { options: PracticeOption[] }) {
  const exercise = useExercise(props.view, props.who);
  const { worth, given, out, answer, help } = exercise;
  useKeys(
    options.map((o) => o.id),
    answer,
  );
  const canHelp = out.length < options.length - 2;
  return (
    <ExerciseFrame
      {...props}
      exercise={exercise}
      todo={`Choose by what you see; keys 1 to ${options.length} do it too.`}
      help={
        canHelp
          ? { text: 'Help: rule one out. It comes again sooner then.', onHelp: () => void help() }
          : undefined
      }
    >
      <ol className="answers">
        {options.map((o, i) => (
          <li key={o.id}>
            <button
              type="button"
              className={out.includes(o.id) && !worth ? 'is-out' : mark(o.id, exercise)}
              aria-disabled={given !== undefined || out.includes(o.id)}
              onClick={() => void answer(o.id)}
            >
              <b className="num">{i + 1}</b>
              <span>{o.text}</span>
              {worth?.answer === o.id && <small>this one</small>}
              {worth && given === o.id && !worth.right && <small>yours</small>}
            </button>
          </li>
        ))}
      </ol>
    </ExerciseFrame>
  );
}

function mark(id: string, { given, worth }: ExerciseHandle): string {
  if (worth?.answer === id) return 'is-right';
  return given === id ? 'is-given' : '';
}

/** A number key chooses, as a finger would. */
function useKeys(ids: readonly string[], choose: (id: string) => Promise<void>) {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const id = ids[Number(e.key) - 1];
      if (id !== undefined && !e.ctrlKey && !e.metaKey && !e.altKey) void choose(id);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [ids, choose]);
}
