import { useState } from 'react';
import {
  layGiven,
  type LayPicture,
  practiceSetup,
  relaid,
  whereWrong,
} from '../../core/practice/index.ts';
import { type Adapter, type Role, roles, type Stack } from '../../core/press/index.ts';
import { DropPlaces, HandStack } from '../press/handStackLate.ts';
import type { Held } from '../press/HandStack.tsx';
import { PickPiece } from '../press/PickPiece.tsx';
import { sizesOf } from '../press/sizesOf.ts';
import { roleWords } from '../press/roleWords.ts';
import { ExerciseFrame, type ExerciseProps } from './ExerciseFrame.tsx';
import { LaidDrawing } from './LaidDrawing.tsx';
import { useExercise } from './useExercise.ts';

/** A stack of the learner's own hand: pieces are dragged on to the axis, or chosen place by place, and nobody says a word until it is pressed. */
export function LayTheStack({ picture, ...props }: ExerciseProps & { picture: LayPicture }) {
  const exercise = useExercise(props.view, props.who);
  const { worth, helped, answer, help, given } = exercise;
  const { left, bench } = picture;
  const { work } = bench;
  const [stack, setStack] = useState(left);
  const [held, setHeld] = useState<Held>();
  const [at, setAt] = useState<Role>();
  const lay = (role: Role, piece: Adapter | undefined) => {
    if (given === undefined) setStack((now) => relaid(now, role, piece) ?? now);
    setAt(undefined);
  };
  const seen = held ? (relaid(stack, held.role, held.piece) ?? stack) : stack;
  const setup = practiceSetup(work);
  return (
    <ExerciseFrame
      {...props}
      exercise={exercise}
      todo={`${bench.own ? 'Your own pieces, as' : 'As'} the last one left it. Lay it right, then press: nothing is said before.`}
      drawing={
        <HandStack
          kit={bench.drawer}
          stack={stack}
          setup={setup}
          silent
          onHold={setHeld}
          onLay={lay}
        >
          <LaidDrawing
            laid={{ work, stack: seen }}
            judged={false}
            dims
            whole
            beside={() => <DropPlaces stack={stack} setup={setup} travelMm={0} />}
          />
        </HandStack>
      }
      help={
        helped === 0
          ? {
              text: 'Help: where to look again. It comes again sooner then.',
              onHelp: () => void help(),
            }
          : undefined
      }
    >
      {!worth && (
        <div className="run-acts">
          {helped > 0 && <LookAgain stack={stack} picture={picture} />}
          <ul className="laid-places">
            {roles.map((role) => (
              <li key={role}>
                <button type="button" onClick={() => setAt(role)}>
                  <small>{roleWords[role]}</small>
                  <b>{stack[role]?.name ?? 'nothing'}</b>
                  {stack[role] && <span className="num cap">{sizesOf(stack[role])}</span>}
                </button>
              </li>
            ))}
          </ul>
          <button
            type="button"
            className="btn run-main"
            aria-disabled={given !== undefined}
            onClick={() => void answer(layGiven(stack))}
          >
            Press it
          </button>
        </div>
      )}
      {at && (
        <PickPiece
          role={at}
          offered={bench.drawer
            .filter((piece) => relaid(stack, at, piece))
            .map((piece) => ({ piece, label: piece.name }))}
          onPick={(piece) => lay(at, piece)}
          onClose={() => setAt(undefined)}
        />
      )}
    </ExerciseFrame>
  );
}

/** Help: the place that is wrong, while one is. */
function LookAgain({ stack, picture: { bench } }: { stack: Stack; picture: LayPicture }) {
  const where = whereWrong({ work: bench.work, stack });
  if (!where) return <p className="note">Nothing in it is wrong.</p>;
  return (
    <p className="note">
      Look again at {where === 'path' ? 'the way the force takes' : `what ${placeWords[where]}`}.
    </p>
  );
}
const placeWords: Record<Role, string> = { ...roleWords, cap: 'lies under the ram' };
