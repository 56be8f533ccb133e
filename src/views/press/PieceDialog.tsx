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
import { PickPiece } from './PickPiece.tsx';

const order: Record<Status, number> = { good: 0, check: 1, stop: 2 };

const stops = (j: Judgement) => j.verdicts.filter((v) => v.status === 'stop').length;

/** What speaks of this piece itself comes before what it does to the whole. */
function word(role: Role, j: Judgement): string {
  const v = j.verdicts.find((x) => x.status === j.status && x.role === role) ?? j.verdicts[0];
  return v ? sentence(v) : '';
}

/** Every piece judged in this place of this stack, best first; a refused one says why. */
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
  const judged = kit
    .map((piece) => ({ piece, j: judgeStack({ ...stack, [role]: piece }, setup) }))
    .sort(
      (a, b) =>
        order[a.j.status] - order[b.j.status] || stops(a.j) - stops(b.j) || b.j.score - a.j.score,
    );
  return (
    <PickPiece
      role={role}
      offered={judged.map(({ piece, j }) => ({
        piece,
        label: `${piece.name}: ${verdictWords[j.status]}`,
        note: word(role, j),
        mark: <VerdictShape status={j.status} size={26} />,
      }))}
      onPick={onPick}
      onClose={onClose}
    />
  );
}
