import type { Item } from '../../core/families/index.ts';
import type { ItemState } from '../../core/job/index.ts';
import { type CataloguePart, partInShort } from '../../core/matching/index.ts';
import { BearingHalf } from '../../ui/section/BearingHalf.tsx';
import { Defs, type Marks, useMarks } from '../../ui/section/primitives.tsx';

export const itemStates: readonly (readonly [ItemState, string])[] = [
  ['in-hand', 'in hand'],
  ['in-store', 'in our store'],
  ['on-order', 'on order'],
  ['not-ordered', 'not ordered'],
];
const nextState = (s: ItemState | undefined): ItemState =>
  itemStates[
    (itemStates.findIndex(([x]) => x === (s ?? 'not-ordered')) + 1) % itemStates.length
  ]![0];
const stateName = (s: ItemState | undefined) =>
  itemStates.find(([x]) => x === (s ?? 'not-ordered'))![1];

/** Filled in hand, half in the store, open on order, dashed not ordered. */
export function ItemMark({ state = 'not-ordered' }: { state?: ItemState | undefined }) {
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true" className="image">
      <rect
        x="1.500"
        y="1.500"
        width="15"
        height="15"
        className={state === 'not-ordered' ? 'dash' : 'edge'}
      />
      {state === 'in-hand' && <rect x="1.500" y="1.500" width="15" height="15" className="full" />}
      {state === 'in-store' && <rect x="1.500" y="9" width="15" height="7.500" className="full" />}
    </svg>
  );
}

const axisY = 150;
/** Everything used up, along one axis, in the order it goes on; what is missing is dashed and leads to the step it stops. */
export function BenchAxis({
  items,
  states,
  part,
  onState,
}: {
  items: readonly Item[];
  states: Record<string, ItemState>;
  part: CataloguePart | undefined;
  onState: (id: string, s: ItemState) => void;
}) {
  const marks = useMarks();
  const gap = 864 / items.length;
  const colX = (i: number) => 8 + gap * (i + 0.5);
  const stopsAt = items.map((i) =>
    ['in-hand', 'in-store'].includes(states[i.id] ?? '') ? undefined : i,
  );
  const order = [...new Set(items.map((i) => i.blocksText))];
  const stepX = (b: string) => 70 + order.indexOf(b) * (740 / Math.max(1, order.length - 1));
  return (
    <svg
      className="drawing bench"
      viewBox="0 0 880 560"
      role="group"
      aria-label="Parts the job uses up"
    >
      <Defs id={marks.id} />
      <text className="cap" x="0" y="16">
        outboard
      </text>
      <text className="cap" x="880" y="16" textAnchor="end">
        Filled: in hand. Tap a part to change its mark
      </text>
      <path className="axis" d={`M0 ${axisY}H880`} />
      {items.map((item, i) => {
        const state = states[item.id];
        const ghost = state !== 'in-hand';
        const text =
          item.id === 'bearing' && part ? partInShort(part) : (item.quantity ?? 'new each time');
        return (
          <g
            key={item.id}
            className="item"
            role="button"
            tabIndex={0}
            onClick={() => onState(item.id, nextState(state))}
            onKeyDown={(e) => {
              if (e.key === 'Enter' || e.key === ' ') {
                e.preventDefault();
                onState(item.id, nextState(state));
              }
            }}
          >
            <rect className="hit" x={colX(i) - gap / 2 + 2} y="40" width={gap - 4} height="330" />
            <g className={ghost ? 'ghosted' : ''}>
              <ItemFigure id={item.id} x={colX(i)} part={part} marks={marks} />
            </g>
            <path className="extension-line" d={`M${colX(i)} 232v28`} />
            <circle className="balloon" cx={colX(i)} cy="274" r="14" />
            <text className="figure strong" x={colX(i)} y="279" textAnchor="middle">
              {i + 1}
            </text>
            <text className="strong" x={colX(i)} y="312" textAnchor="middle" fontSize="16">
              {item.name}
            </text>
            <Wrapped text={text} x={colX(i)} y={333} />
            <svg x={colX(i) - 50} y="366" width="18" height="18">
              <ItemMark state={state} />
            </svg>
            <text x={colX(i) - 26} y="380">
              {stateName(state)}
            </text>
          </g>
        );
      })}
      <path className="thin" d="M0 396H880" />
      <text className="strong on-paper" x="0" y="418">
        What waits for it
      </text>
      <path className="axis" d="M0 480H880" />
      {order.map((b) => {
        const stop = stopsAt.some((s) => s?.blocksText === b);
        return (
          <g key={b} className={`bearing-mark ${stop ? 'blocked' : 'todo'}`}>
            <rect className="mark-square" x={stepX(b) - 8} y="456" width="16" height="16" />
            <rect className="mark-square" x={stepX(b) - 8} y="488" width="16" height="16" />
            <path
              className="mark-cross"
              d={
                stop
                  ? `M${stepX(b) - 4} 460l8 8m0-8l-8 8M${stepX(b) - 4} 492l8 8m0-8l-8 8`
                  : `M${stepX(b)} 459v10m-5-5h10M${stepX(b)} 491v10m-5-5h10`
              }
            />
            <text className={stop ? 'text-stop' : ''} x={stepX(b)} y="528" textAnchor="middle">
              {b}
            </text>
            {stop && (
              <text className="text-stop" x={stepX(b)} y="548" textAnchor="middle">
                Stop: not here
              </text>
            )}
          </g>
        );
      })}
      {stopsAt.map(
        (item, i) =>
          item && (
            <path
              key={item.id}
              className="leads"
              d={`M${colX(i)} 386V${432 + (i % 3) * 5}H${stepX(item.blocksText)}V452`}
            />
          ),
      )}
    </svg>
  );
}

/** A few words in at most two lines. */
function Wrapped({ text, x, y }: { text: string; x: number; y: number }) {
  const words = text.split(' ');
  const cut = text.length <= 18 ? words.length : Math.ceil(words.length / 2);
  return (
    <text className="figure" x={x} y={y} textAnchor="middle">
      {words.slice(0, cut).join(' ')}
      {cut < words.length && (
        <tspan x={x} dy="17">
          {words.slice(cut).join(' ')}
        </tspan>
      )}
    </text>
  );
}

function ItemFigure({
  id,
  x,
  part,
  marks,
}: {
  id: string;
  x: number;
  part: CataloguePart | undefined;
  marks: Marks;
}) {
  switch (id) {
    case 'axle-nut':
      return (
        <g>
          <path
            className="out"
            fill={marks.fill('hub')}
            d={`M${x - 20} ${axisY - 44}H${x + 4}V${axisY - 56}H${x + 18}V${axisY - 26}H${x - 20}Z`}
          />
          <path className="out f-sheet" d={`M${x - 20} ${axisY}v30l6 14h18v12h14v-56z`} />
        </g>
      );
    case 'bearing':
      return part ? (
        <g>
          <svg
            x={x - 60}
            y={axisY - 130}
            width="120"
            height="210"
            viewBox="-60 -130 120 210"
            overflow="visible"
          >
            <g transform={`translate(${-part.bearing.widthMm} 0) rotate(-90)`}>
              <BearingHalf b={part.bearing} at={{ ax: 0, u: 2 }} top={0} marks={marks} />
            </g>
          </svg>
          <rect
            className="out f-sheet"
            x={x - part.bearing.widthMm}
            y={axisY}
            width={part.bearing.widthMm * 2}
            height={part.bearing.outerMm}
          />
        </g>
      ) : (
        <rect className="ghost" x={x - 36} y={axisY - 76} width="72" height="152" />
      );
    case 'snap-ring':
      return (
        <g>
          <path className="f-ink" d={`M${x - 3} ${axisY - 84}h6v12h-6z`} />
          <path className="thin" d={`M${x - 3} ${axisY - 84}v164m6-164v164m-6 0h6`} />
        </g>
      );
    case 'pinch-bolts':
      return (
        <path
          className="out f-sheet"
          d={`M${x - 46} ${axisY - 18}h14v6h64v24h-64v6h-14zM${x + 6} ${axisY - 12}v24`}
        />
      );
    case 'plate-bolts':
    case 'hub-bolts':
    case 'lock-screws':
    case 'flange-nuts':
      return (
        <path
          className="out f-sheet"
          d={`M${x - 46} ${axisY - 18}h14v6h64v24h-64v6h-14zM${x + 6} ${axisY - 12}v24`}
        />
      );
    case 'lock-ring':
    case 'shaft-snap-ring':
    case 'vacuum-o-ring':
    case 'dust-rings':
      return (
        <g>
          <circle className="out f-none" cx={x} cy={axisY} r="42" />
          <circle className="out f-none" cx={x} cy={axisY} r="36" />
        </g>
      );
    case 'hub-seal':
    case 'axle-seal':
    case 'stub-seal':
      return (
        <g>
          <rect className="f-ink" x={x - 8} y={axisY - 62} width="16" height="18" />
          <rect className="f-ink" x={x - 8} y={axisY + 44} width="16" height="18" />
          <path
            className="out thin2 f-none"
            d={`M${x - 8} ${axisY - 62}v124M${x + 8} ${axisY - 62}v124`}
          />
        </g>
      );
    case 'press-ring':
      return (
        <g>
          <rect
            className="out"
            fill={marks.fill('seat')}
            x={x - 14}
            y={axisY - 46}
            width="28"
            height="18"
          />
          <rect
            className="out"
            fill={marks.fill('seat')}
            x={x - 14}
            y={axisY + 28}
            width="28"
            height="18"
          />
          <path className="thin" d={`M${x - 14} ${axisY - 28}v56m28-56v56`} />
        </g>
      );
    case 'cover-gasket':
    case 'shaft-gasket':
      return <path className="out f-none" d={`M${x} ${axisY - 50}l40 24v52l-40 24l-40-24v-52z`} />;
    case 'grease-cap':
      return (
        <path className="out f-sheet" d={`M${x + 26} ${axisY - 34}v68h-30a34 34 0 0 1 0-68z`} />
      );
    case 'split-pin':
      return (
        <path
          className="out f-none"
          d={`M${x + 44} ${axisY - 3}H${x - 26}a10 10 0 1 0 0 8H${x + 36}`}
        />
      );
    default:
      return (
        <g>
          <rect className="f-ink" x={x - 14} y={axisY - 78} width="28" height="14" />
          <path
            className="out f-sheet"
            d={`M${x - 12} ${axisY - 62}h24v12l14 16v84h-52v-84l14-16z`}
          />
        </g>
      );
  }
}
