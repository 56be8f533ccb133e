import { p1Items } from '../../core/families/index.ts';
import type { ItemState } from '../../core/job/index.ts';
import { sizeInShort, type CataloguePart } from '../../core/matching/index.ts';
import { BearingHalf } from '../../ui/section/BearingHalf.tsx';
import { Defs, useMarks, type Marks } from '../../ui/section/primitives.tsx';

export const itemStates: readonly (readonly [ItemState, string])[] = [['in-hand', 'in hand'], ['in-store', 'in our store'], ['on-order', 'on order'], ['not-ordered', 'not ordered']];
const nextState = (s: ItemState | undefined): ItemState => itemStates[(itemStates.findIndex(([x]) => x === (s ?? 'not-ordered')) + 1) % itemStates.length]![0];
const stateName = (s: ItemState | undefined) => itemStates.find(([x]) => x === (s ?? 'not-ordered'))![1];

/** Filled in hand, half in the store, open on order, dashed not ordered. */
export function ItemMark({ state = 'not-ordered' }: { state?: ItemState | undefined }) {
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true" className="im"><rect x="1.500" y="1.500" width="15" height="15" className={state === 'not-ordered' ? 'dash' : 'edge'} />{state === 'in-hand' && <rect x="1.500" y="1.500" width="15" height="15" className="full" />}{state === 'in-store' && <rect x="1.500" y="9" width="15" height="7.500" className="full" />}</svg>
  );
}

const axisY = 150;
const colX = (i: number) => 74 + i * 144;

/** Everything used up, along one axis, in the order it goes on; what is missing is dashed and leads to the step it stops. */
export function BenchAxis({ items, part, onState }: { items: Record<string, ItemState>; part: CataloguePart | undefined; onState: (id: string, s: ItemState) => void }) {
  const marks = useMarks();
  const stopsAt = p1Items.map((i) => (['in-hand', 'in-store'].includes(items[i.id] ?? '') ? undefined : i));
  const blockNames = [...new Set(p1Items.map((i) => i.blocksText))];
  const order = ['Bearing in', 'Snap ring', 'Lower joint', 'Steering joint', 'Axle nut'].filter((b) => blockNames.includes(b));
  const stepX = (b: string) => 90 + order.indexOf(b) * 172;
  return (
    <svg className="dr bench" viewBox="0 0 880 560" role="group" aria-label="Parts the job uses up">
      <Defs id={marks.id} />
      <text className="cap" x="0" y="16">outboard</text><text className="cap" x="880" y="16" textAnchor="end">Filled: in hand. Tap a part to change its mark</text>
      <path className="axis" d={`M0 ${axisY}H880`} />
      {p1Items.map((item, i) => {
        const state = items[item.id];
        const ghost = state !== 'in-hand';
        const text = item.id === 'bearing' && part ? sizeInShort(part.bearing) : item.singleUse ? 'new each time' : '5 ml';
        return (
          <g key={item.id} className="item" role="button" tabIndex={0} onClick={() => onState(item.id, nextState(state))} onKeyDown={(e) => { if (e.key === 'Enter' || e.key === ' ') { e.preventDefault(); onState(item.id, nextState(state)); } }}>
            <rect className="hit" x={colX(i) - 68} y="40" width="136" height="330" />
            <g className={ghost ? 'ghosted' : ''}><ItemFigure id={item.id} x={colX(i)} part={part} marks={marks} /></g>
            <path className="extl" d={`M${colX(i)} 232v28`} /><circle className="bal" cx={colX(i)} cy="274" r="14" /><text className="n b" x={colX(i)} y="279" textAnchor="middle">{i + 1}</text>
            <text className="b" x={colX(i)} y="312" textAnchor="middle" fontSize="16">{item.name}</text><text className="n" x={colX(i)} y="333" textAnchor="middle">{text}</text>
            <svg x={colX(i) - 50} y="343" width="18" height="18"><ItemMark state={state} /></svg><text x={colX(i) - 26} y="357">{stateName(state)}</text>
          </g>
        );
      })}
      <path className="thin" d="M0 388H880" /><text className="b" x="0" y="412">What waits for it</text>
      <path className="axis" d="M0 480H880" />
      {order.map((b) => {
        const stop = stopsAt.some((s) => s?.blocksText === b);
        return (
          <g key={b} className={`bs ${stop ? 'blocked' : 'todo'}`}>
            <rect className="sq" x={stepX(b) - 8} y="456" width="16" height="16" /><rect className="sq" x={stepX(b) - 8} y="488" width="16" height="16" />
            <path className="cr" d={stop ? `M${stepX(b) - 4} 460l8 8m0-8l-8 8M${stepX(b) - 4} 492l8 8m0-8l-8 8` : `M${stepX(b)} 459v10m-5-5h10M${stepX(b)} 491v10m-5-5h10`} />
            <text className={stop ? 'st' : ''} x={stepX(b)} y="528" textAnchor="middle">{b}</text>{stop && <text className="st" x={stepX(b)} y="548" textAnchor="middle">Stop: not here</text>}
          </g>
        );
      })}
      {stopsAt.map((item, i) => item && <path key={item.id} className="leads" d={`M${colX(i)} 366V${430 + (i % 3) * 5}H${stepX(item.blocksText)}V452`} />)}
    </svg>
  );
}

function ItemFigure({ id, x, part, marks }: { id: string; x: number; part: CataloguePart | undefined; marks: Marks }) {
  switch (id) {
    case 'axle-nut': return <g><path className="out" fill={marks.fill('hub')} d={`M${x - 20} ${axisY - 44}H${x + 4}V${axisY - 56}H${x + 18}V${axisY - 26}H${x - 20}Z`} /><path className="out f-sheet" d={`M${x - 20} ${axisY}v30l6 14h18v12h14v-56z`} /></g>;
    case 'bearing': return part ? <g><svg x={x - 60} y={axisY - 130} width="120" height="210" viewBox="-60 -130 120 210" overflow="visible"><g transform={`translate(${-part.bearing.widthMm} 0) rotate(-90)`}><BearingHalf b={part.bearing} at={{ ax: 0, u: 2 }} top={0} marks={marks} /></g></svg><rect className="out f-sheet" x={x - part.bearing.widthMm} y={axisY} width={part.bearing.widthMm * 2} height={part.bearing.outerMm} /></g> : <rect className="ghost" x={x - 36} y={axisY - 76} width="72" height="152" />;
    case 'snap-ring': return <g><path className="f-ink" d={`M${x - 3} ${axisY - 84}h6v12h-6z`} /><path className="thin" d={`M${x - 3} ${axisY - 84}v164m6-164v164m-6 0h6`} /></g>;
    case 'pinch-bolts': return <path className="out f-sheet" d={`M${x - 46} ${axisY - 18}h14v6h64v24h-64v6h-14zM${x + 6} ${axisY - 12}v24`} />;
    case 'split-pin': return <path className="out f-none" d={`M${x + 44} ${axisY - 3}H${x - 26}a10 10 0 1 0 0 8H${x + 36}`} />;
    default: return <g><rect className="f-ink" x={x - 14} y={axisY - 78} width="28" height="14" /><path className="out f-sheet" d={`M${x - 12} ${axisY - 62}h24v12l14 16v84h-52v-84l14-16z`} /></g>;
  }
}
