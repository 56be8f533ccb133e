import { nutGiven, type NutPicture } from '../../core/practice/index.ts';
import { pulledFigure } from '../../core/torque/index.ts';
import { bigOf } from '../torque/useWrench.ts';
import { NutFace } from '../torque/NutFace.tsx';
import { NutLeft, studs } from './PracticeDrawing.tsx';
import { ExerciseFrame, type ExerciseProps } from './ExerciseFrame.tsx';
import { slowerBy, useExercise } from './useExercise.ts';
import { type NutWalk, useNutWalk } from './useNutWalk.ts';

/** The nut as it stands: what is pulled now as the wrench shows it, else what came last. */
function NutNow({ picture, walk }: { picture: NutPicture; walk: NutWalk }) {
  const { pulling, steps } = walk;
  const last = steps.at(-1);
  if (!pulling)
    return <NutLeft picture={{ ...picture, ended: { stageId: last?.id, actual: last?.actual } }} />;
  const { stage, snugNm, followed } = pulling;
  const big = followed && bigOf(stage, snugNm, followed, true);
  return (
    <NutFace
      stage={stage}
      actual={followed && pulledFigure(stage.kind, followed)}
      wrench={{ snugNm, followed, running: true, big }}
      studs={studs}
    />
  );
}

/** A nut walked through its stages: what comes next is chosen, what is pulled is let go in time. */
export function WalkANut({ picture, ...props }: ExerciseProps & { picture: NutPicture }) {
  const exercise = useExercise(props.view, props.who);
  const { worth, helped, answer, help, given } = exercise;
  const walk = useNutWalk(picture, slowerBy(helped), (steps) => void answer(nutGiven(steps)));
  const { pulling, steps } = walk;
  return (
    <ExerciseFrame
      {...props}
      exercise={exercise}
      todo={
        pulling
          ? `${pulling.stage.text}: let go when it is there.`
          : `${steps.length === 0 ? 'What first?' : 'What next?'} What is a pull begins with the tap.`
      }
      drawing={<NutNow picture={picture} walk={walk} />}
      help={
        helped === 0 && steps.length === 0 && !pulling
          ? { text: 'Help: half as fast. It comes again sooner then.', onHelp: () => void help() }
          : undefined
      }
    >
      {pulling ? (
        <div className="run-acts">
          <button type="button" className="btn run-main" onClick={walk.letGo}>
            Let go
          </button>
        </div>
      ) : (
        <ol className="answers">
          {picture.acts.map((o) => {
            const done = steps.find((s) => s.id === o.id);
            return (
              <li key={o.id}>
                <button
                  type="button"
                  aria-disabled={given !== undefined || worth !== undefined}
                  onClick={() => given === undefined && walk.act(o.id)}
                >
                  <b className="num">{done ? steps.indexOf(done) + 1 : ''}</b>
                  <span>{o.text}</span>
                  {done && <small>{done.actual === undefined ? 'done' : done.actual}</small>}
                </button>
              </li>
            );
          })}
        </ol>
      )}
    </ExerciseFrame>
  );
}
