import { useState } from 'react';
import type { Judgement, NextTest } from '../../core/diagnosis/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';

const stateWords = { driven: 'on the road', lifted: 'on the lift, engine off', 'wheel-off': 'wheel off' } as const;

/** The test to do next and its possible answers: one tap records one. */
export function TestPanel({ next, judgement, onDone }: { next: NextTest; judgement: Judgement; onDone: () => void }) {
  const { send } = useJob();
  const { test, place } = next;
  const leader = judgement.suspects[0]!;
  const record = async (answer: { result?: string; value?: number; skipped?: boolean }) => {
    if (await send('test-recorded', { testId: test.id, place, ...answer })) onDone();
  };
  const goes = (i: number) => next.answers[i] && `${leader.corner ?? leader.kind} → ${Math.round(next.answers[i].probability * 100)} %`;
  return (
    <section className="test-panel"><h2>Next best test</h2>
      <p className="what">{test.name}{place === 'car' ? '' : `: ${place}`}</p>
      <p className="mins num">{next.minutes} min <small>{stateWords[test.state]}{next.minutes > test.minutes ? `, ${next.minutes - test.minutes} of it to get there` : ''}{test.tools.length > 0 ? `, ${test.tools.join(', ')}` : ''}</small></p>
      <p className="note">{test.why}</p>
      {test.numeric ? <Numeric test={test} place={place} onRecord={record} /> : (
        <ul className="answers">{test.results.map((r, i) => <li key={r.id}><button type="button" className="btn q" onClick={() => record({ result: r.id })}><span>{r.name}</span><em className="num">{goes(i)}</em></button></li>)}</ul>
      )}
      <button type="button" className="btn q small skip" onClick={() => record({ skipped: true })}>Could not do it, or not sure</button>
    </section>
  );
}

type Scale = 'temperature' | 'length' | 'turns';

/** A figure, or two sides whose difference is what speaks. */
function Numeric({ test, place, onRecord }: { test: NextTest['test']; place: string; onRecord: (a: { value: number }) => void }) {
  const { problem, view } = useJob();
  const { unit, from, label, to } = test.numeric!;
  const sides = from < 0 ? (['Left', 'Right'] as const) : ([label] as const);
  const key = `${view.job.id}:${test.id}:${place}`;
  const [first, setFirst, clearFirst] = useDraft(`${key}:left`);
  const [second, setSecond, clearSecond] = useDraft(`${key}:right`);
  const scale: Scale = unit === '°C' ? 'temperature' : unit === 'mm' ? 'length' : 'turns';
  const [said, setSaid] = useState<string>();
  const l = read(first, scale);
  const r = read(second, scale);
  const value = sides.length === 1 ? (l.ok ? l.value : undefined) : l.ok && r.ok ? l.value - r.value : undefined;
  const submit = (e: React.FormEvent) => {
    e.preventDefault();
    if (value === undefined) return setSaid(!l.ok ? `${sides[0]}: ${l.reason}` : !r.ok ? `${sides[1]}: ${r.reason}` : undefined);
    onRecord({ value });
    clearFirst();
    clearSecond();
  };
  const wrong = said ?? faultOf(problem, 'value');
  return (
    <form className="grid gap-2" onSubmit={submit}>
      <div className="pair-in">{sides.map((side, i) => {
        const [text, set] = i === 0 ? [first, setFirst] : [second, setSecond];
        return scale === 'turns'
          ? <label key={side} className="field"><span>{side}, level in {unit}</span><span className="box"><input value={text} onChange={(e) => set(e.target.value)} inputMode="decimal" /><span className="un">{unit}</span></span></label>
          : <QuantityInput key={side} label={sides.length === 1 ? side : `${side} side`} dimension={scale} text={text} onText={set} decimals={scale === 'length' ? 3 : 0} />;
      })}</div>
      {wrong && <p className="note" role="alert">{wrong}</p>}
      <Running value={value} from={from} to={to} unit={unit} />
      <button type="submit" className="btn q">{sides.length === 1 ? 'Record' : 'Record both'}</button>
    </form>
  );
}

/** The reading on the scale of its test while it is typed. */
function Running({ value, from, to, unit }: { value: number | undefined; from: number; to: number; unit: string }) {
  const x = (v: number) => 10 + (298 * (Math.min(to, Math.max(from, v)) - from)) / (to - from);
  const ticks = [from, (from + to) / 2, to];
  return (
    <svg className="dr w-full" viewBox="0 0 318 50" role="img" aria-label={value === undefined ? 'no reading yet' : `${value.toFixed(unit === 'mm' ? 2 : 0)} ${unit}`}>
      <path className="gtk" d="M10 24H308" />{ticks.map((t) => <g key={t}><path className="gtk" d={`M${x(t)} 24v7`} /><text className="n" x={x(t)} y="46" textAnchor={t === from ? 'start' : t === to ? 'end' : 'middle'}>{from < 0 && t !== 0 ? `${t < 0 ? 'right' : 'left'} ${Math.abs(t)}` : t.toFixed(unit === 'mm' ? 1 : 0)} {t === to ? unit : ''}</text></g>)}
      {value !== undefined && <path className="now-bar" d={`M${x(from < 0 ? 0 : from)} 14H${x(value)}`} />}
    </svg>
  );
}

/** A level in dB has no unit to convert; it is a plain number. */
const read = (text: string, scale: Scale) => parseQuantity(scale === 'turns' ? text.replace(/\s*db$/iu, '') : text, scale);
