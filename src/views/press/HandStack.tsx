import { isOneOf } from '../../core/keys-of.ts';
import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type ReactNode, useState } from 'react';
import {
  type Adapter,
  type Setup,
  judgeStack,
  type Role,
  roles,
  type Stack,
} from '../../core/press/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { verdictWords } from '../../ui/Marks.tsx';
import { layoutOf } from '../../ui/section/layout.ts';
import { PieceFigure } from './PieceFigure.tsx';
import { sizesOf } from './sizesOf.ts';
import { roleWords } from './roleWords.ts';
import './hand-stack.css';

/** Arrow keys go from place to place along the axis. */
const toNextPlace: KeyboardCoordinateGetter = (event, { context, currentCoordinates }) => {
  const step = { ArrowDown: 1, ArrowUp: -1, ArrowRight: 1, ArrowLeft: -1 }[event.code];
  if (step === undefined) return undefined;
  event.preventDefault();
  const places = roles.map((r) => context.droppableRects.get(r)).filter((x) => x !== undefined);
  const own = context.collisionRect;
  if (!own || places.length === 0) return undefined;
  const before = step > 0 ? -1 : roles.length;
  const at = context.over ? roles.findIndex((r) => r === context.over?.id) : before;
  const next = places[Math.max(0, Math.min(places.length - 1, at + step))]!;
  return {
    x: currentCoordinates.x + next.left + next.width / 2 - (own.left + own.width / 2),
    y: currentCoordinates.y + next.top + next.height / 2 - (own.top + own.height / 2),
  };
};

/** A piece hanging over a place. */
export interface Held {
  role: Role;
  piece: Adapter;
}

export interface HandStackProps {
  kit: readonly Adapter[];
  stack: Stack;
  setup: Setup;
  /** Nothing is said of a piece before it lies: it is for the hand that lays it to know. */
  silent?: boolean;
  /** A piece hangs over a place, or none does any more. */
  onHold: (over: Held | undefined) => void;
  onLay: (role: Role, piece: Adapter) => void;
  children: ReactNode;
}

/** The drawer under the drawing: pieces are drawn from it on to the axis with mouse, finger or keys, and judged while they hang there. */
export function HandStack({
  kit,
  stack,
  setup,
  silent = false,
  onHold,
  onLay,
  children,
}: HandStackProps) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 140, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: toNextPlace }),
  );
  const [held, setHeld] = useState<Adapter>();
  const [over, setOver] = useState<Role>();
  const judged =
    !silent && held && over ? judgeStack({ ...stack, [over]: held }, setup) : undefined;
  const word =
    judged &&
    (judged.verdicts.find((v) => v.status === judged.status && v.role === over) ??
      judged.verdicts[0]);
  const hang = (place: Role | undefined) => {
    setOver(place);
    onHold(held && place ? { role: place, piece: held } : undefined);
  };
  const drop = () => {
    setHeld(undefined);
    setOver(undefined);
    onHold(undefined);
  };
  const lay = ({ over: place }: DragEndEvent) => {
    if (held && isOneOf(roles, place?.id)) onLay(place.id, held);
    drop();
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={(e) => setHeld(kit.find((a) => a.id === e.active.id))}
      onDragOver={(e) => hang(roles.find((r) => r === e.over?.id))}
      onDragEnd={lay}
      onDragCancel={drop}
    >
      <div className={`hand-stack${held ? ' holding' : ''}`}>
        {children}
        {judged && word && (
          <p className={`hand-word is-${judged.status}`} role="status">
            <b className={`word ${judged.status}`}>{verdictWords[judged.status]}</b>{' '}
            {sentence(word)}
          </p>
        )}
        <ul className="hand-drawer" aria-label="Drawer: draw a piece on to the axis">
          {kit
            .filter((a) => !a.retired)
            .map((a) => (
              <li key={a.id}>
                <Piece piece={a} sized={silent} />
              </li>
            ))}
        </ul>
      </div>
      <DragOverlay dropAnimation={null}>
        {held && (
          <div className="hand-held">
            <PieceFigure piece={held} />
          </div>
        )}
      </DragOverlay>
    </DndContext>
  );
}

function Piece({ piece, sized }: { piece: Adapter; sized: boolean }) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: piece.id });
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={isDragging ? 'gone' : ''}
      {...listeners}
      {...attributes}
    >
      <PieceFigure piece={piece} />
      <span>{piece.name}</span>
      {sized && <small className="num">{sizesOf(piece)}</small>}
    </button>
  );
}

/** Places on the axis that take a piece, drawn over the section as the stack lies: they stay while the drawing shows what hangs there. */
export function DropPlaces({
  stack,
  setup,
  travelMm,
}: {
  stack: Stack;
  setup: Setup;
  travelMm: number;
}) {
  const { scene, y } = layoutOf(stack, setup, travelMm);
  const { at } = scene;
  const head = y(at.cap?.[0] ?? at.pusher?.[0] ?? scene.ramBottom);
  const foot = y(scene.bed);
  const span = (role: Role): [number, number] | undefined => {
    const z = at[role];
    if (z) return [y(z[0]), y(z[1])];
    // An empty place at either end still takes a piece.
    if (role === 'cap') return [Math.max(0, head - 34), head];
    return role === 'riser' && at.support ? [foot, Math.min(580, foot + 30)] : undefined;
  };
  return (
    <g>
      {roles.map((r) => {
        const s = span(r);
        return s && <Place key={r} role={r} from={s[0]} to={Math.max(s[0] + 26, s[1])} />;
      })}
    </g>
  );
}

function Place({ role, from, to }: { role: Role; from: number; to: number }) {
  const { setNodeRef, isOver } = useDroppable({ id: role });
  return (
    <g className={`place${isOver ? ' over' : ''}`}>
      <rect
        ref={(el) => setNodeRef(el as unknown as HTMLElement | null)}
        x="80"
        y={from}
        width="424"
        height={to - from}
      />
      <text className="cap" x="86" y={from + 16}>
        {roleWords[role]}
      </text>
    </g>
  );
}
