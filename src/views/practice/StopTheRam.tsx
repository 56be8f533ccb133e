import type { RamPicture } from '../../core/practice/index.ts';
import { ExerciseFrame, type ExerciseProps } from './ExerciseFrame.tsx';
import { RamTrace } from './RamTrace.tsx';
import { slowerBy, useExercise } from './useExercise.ts';
import { useRamRun } from './useRamRun.ts';

/** The pump runs until it is released; by hand it goes stroke by stroke. */
export function StopTheRam({ picture, ...props }: ExerciseProps & { picture: RamPicture }) {
  const exercise = useExercise(props.view, props.who);
  const { worth, helped, answer, help, given } = exercise;
  const release = (at: number) => void answer(String(at));
  const run = useRamRun(picture, slowerBy(helped), release);
  const begun = run.at > picture.from;
  return (
    <ExerciseFrame
      {...props}
      exercise={exercise}
      todo="Start the pump and release it when it has to stop; or pump stroke by stroke, there the eye has time."
      drawing={<RamTrace picture={picture} at={run.at} />}
      help={
        helped === 0 && !begun
          ? { text: 'Help: half as fast. It comes again sooner then.', onHelp: () => void help() }
          : undefined
      }
    >
      {!worth && (
        <div className="run-acts">
          <button
            type="button"
            className="btn run-main"
            aria-disabled={given !== undefined}
            onClick={() => {
              if (given === undefined) return run.running ? release(run.halt()) : run.start();
            }}
          >
            {run.running ? 'Release' : 'Start the pump'}
          </button>
          {!run.running && (
            <>
              <button type="button" className="btn" onClick={run.pump}>
                One stroke
              </button>
              {begun && (
                <button type="button" className="btn" onClick={() => release(run.at)}>
                  Release here
                </button>
              )}
            </>
          )}
        </div>
      )}
    </ExerciseFrame>
  );
}
