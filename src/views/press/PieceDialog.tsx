import {
  type Adapter,
  type Setup,
  type Judgement,
  judgeStack,
  type Role,
  type Stack,
} from '../../core/press/index.ts';
import { sentence } from '../../core/rules/index.ts';
import type { Status } from '../../core/verdict.ts';
import { VerdictShape, verdictWords } from '../../ui/Marks.tsx';
import { Dialog } from '../../ui/Panels.tsx';
import { PieceFigure } from './PieceFigure.tsx';

const order: Record<Status, number> = { good: 0, check: 1, stop: 2 };
const titles: Record<Role, string> = {
  cap: 'What lies on the pusher?',
  pusher: 'What pushes?',
  support: 'What does it stand on?',
  riser: 'What raises it?',
};

const stops = (j: Judgement) => j.verdicts.filter((v) => v.status === 'stop').length;

/** What speaks of this piece itself comes before what it does to the whole. */
function word(role: Role, j: Judgement): string {
  const v = j.verdicts.find((x) => x.status === j.status && x.role === role) ?? j.verdicts[0];
  return v ? sentence(v) : '';
}

/** The drawer: every piece judged in this place of this stack, best first; a refused one says why. */
export function PieceDialog({
  role,
  stack,
  setup,
  kit,
  onPick,
  onClose,
}: {
  role: Role;
  stack: Stack;
  setup: Setup;
  kit: readonly Adapter[];
  onPick: (a: Adapter | undefined) => void;
  onClose: () => void;
}) {
  const judged: { piece: Adapter; j: Judgement }[] = kit
    .map((piece) => ({ piece, j: judgeStack({ ...stack, [role]: piece }, setup) }))
    .sort(
      (a, b) =>
        order[a.j.status] - order[b.j.status] || stops(a.j) - stops(b.j) || b.j.score - a.j.score,
    );
  return (
    <Dialog title={titles[role]} onClose={onClose}>
      <ul className="drawer">
        {(role === 'cap' || role === 'riser') && (
          <li>
            <button type="button" onClick={() => onPick(undefined)}>
              <span className="fig">–</span>
              <span>
                <b>Nothing</b>
              </span>
            </button>
          </li>
        )}
        {judged.map(({ piece, j }) => (
          <li key={piece.id}>
            <button
              type="button"
              onClick={() => onPick(piece)}
              aria-label={`${piece.name}: ${verdictWords[j.status]}`}
            >
              <PieceFigure piece={piece} />
              <span>
                <b>{piece.name}</b>{' '}
                <span className="num cap">
                  {piece.outerMm} × {piece.innerMm || '–'} × {piece.heightMm}
                </span>
                <br />
                <span className="note">{word(role, j)}</span>
              </span>
              <VerdictShape status={j.status} size={26} />
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
