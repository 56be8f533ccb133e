import type { MouseEvent, ReactNode } from 'react';
import type { Adapter, Role } from '../../core/press/index.ts';
import { Drawer, shutDrawer } from '../../ui/Drawer.tsx';
import { PieceFigure } from './PieceFigure.tsx';
import { sizesOf } from './sizesOf.ts';
import './drawer.css';

const titles: Record<Role, string> = {
  cap: 'What lies on the pusher?',
  pusher: 'What pushes?',
  support: 'What does it stand on?',
  riser: 'What raises it?',
};

/** A piece as it is offered, with what is said of it. */
export interface Offered {
  piece: Adapter;
  /** What its button is called. */
  label: string;
  note?: string;
  mark?: ReactNode;
}

/** The drawer, for one place of a stack. */
export function PickPiece({
  role,
  offered,
  onPick,
  onClose,
}: {
  role: Role;
  offered: readonly Offered[];
  onPick: (a: Adapter | undefined) => void;
  onClose: () => void;
}) {
  const take = (piece: Adapter | undefined) => (e: MouseEvent) => {
    shutDrawer(e.currentTarget);
    onPick(piece);
  };
  return (
    <Drawer title={titles[role]} onClose={onClose}>
      <ul className="drawer">
        {(role === 'cap' || role === 'riser') && (
          <li>
            <button type="button" onClick={take(undefined)}>
              <span className="fig">–</span>
              <span>
                <b>Nothing</b>
              </span>
            </button>
          </li>
        )}
        {offered.map(({ piece, label, note, mark }) => (
          <li key={piece.id}>
            <button type="button" onClick={take(piece)} aria-label={label}>
              <PieceFigure piece={piece} />
              <span>
                <b>{piece.name}</b> <span className="num cap">{sizesOf(piece)}</span>
                {note && (
                  <>
                    <br />
                    <span className="note">{note}</span>
                  </>
                )}
              </span>
              {mark}
            </button>
          </li>
        ))}
      </ul>
    </Drawer>
  );
}
