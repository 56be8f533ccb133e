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
      <p className="mins num">{test.minutes} min <small>{stateWords[test.state]}</small></p>
      <p className="note">{test.why}</p>
      {test.numeric ? <Numeric test={test} place={place} onRecord={record} /> : (
        <ul className="answers">{test.results.map((r, i) => <li key={r.id}><button type="button" className="btn q" onClick={() => record({ result: r.id })}><span>{r.name}</span><em className="num">{goes(i)}</em></button></li>)}</ul>
      )}
      <button type="button" className="btn q small skip" onClick={() => record({ skipped: true })}>Could not do it</button>
    </section>
  );
}

/** Two sides read; the difference is what speaks. */
function Numeric({ test, place, onRecord }: { test: NextTest['test']; place: string; onRecord: (a: { value: number }) => void }) {
  const { problem, view } = useJob();
  const key = `${view.job.id}:${test.id}:${place}`;
  const [left, setLeft, clearLeft] = useDraft(`${key}:left`);
  const [right, setRight, clearRight] = useDraft(`${key}:right`);
  const dimension = test.numeric!.unit === '°C' ? 'temperature' : 'turns';
  const [said, setSaid] = useState<string>();
  const submit = (e: React.FormEvent) => {
    e.preventDefault();
    const l = read(left, dimension);
    const r = read(right, dimension);
    if (!l.ok || !r.ok) return setSaid(!l.ok ? `Left: ${l.reason}` : !r.ok ? `Right: ${r.reason}` : undefined);
    onRecord({ value: l.value - r.value });
    clearLeft();
    clearRight();
  };
  return (
    <form className="grid gap-2" onSubmit={submit}>
      {dimension === 'temperature' ? (
        <><QuantityInput label="Left side" dimension="temperature" text={left} onText={setLeft} /><QuantityInput label="Right side" dimension="temperature" text={right} onText={setRight} fault={said ?? faultOf(problem, 'value')} /></>
      ) : (
        <>{([['Left', left, setLeft], ['Right', right, setRight]] as const).map(([name, text, set]) => <label key={name} className="field"><span>{name}, level in {test.numeric!.unit}</span><span className="box"><input value={text} onChange={(e) => set(e.target.value)} inputMode="decimal" /><span className="un">{test.numeric!.unit}</span></span></label>)}{(said ?? faultOf(problem, 'value')) && <p className="note" role="alert">{said ?? faultOf(problem, 'value')}</p>}</>
      )}
      <button type="submit" className="btn q">Record both</button>
    </form>
  );
}

/** A level in dB has no unit to convert; it is a plain number. */
const read = (text: string, dimension: 'temperature' | 'turns') => parseQuantity(dimension === 'turns' ? text.replace(/\s*db$/iu, '') : text, dimension);
