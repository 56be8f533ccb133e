import { useState } from 'react';
import { corners } from '../../core/corner.ts';
import type { Judgement, NextTest } from '../../core/diagnosis/index.ts';

import { anchorAt, firstThat } from '../../ui/firstThat.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Caution } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { stateWords } from './stateWords.ts';
import { readTyped } from '../../ui/units.ts';

/** The test to do next and its possible answers: one tap records one. */
export function TestPanel({
  next,
  judgement,
  onDone,
}: {
  next: NextTest;
  judgement: Judgement;
  onDone: () => void;
}) {
  const { send } = useJob();
  const { test, place } = next;
  const leader = judgement.suspects[0]!;
  const record = async (answer: { result?: string; value?: number; skipped?: boolean }) => {
    const kept = await send('test-recorded', { testId: test.id, place, ...answer });
    if (kept) onDone();
    return kept;
  };
  const goes = (i: number) =>
    next.answers[i] &&
    `${leader.corner ?? leader.kind} → ${Math.round(next.answers[i].probability * 100)} %`;
  return (
    <section className="test-panel">
      <h2>Next best test</h2>
      <p className="what">
        {test.name}
        {place === 'car' ? '' : `: ${place}`}
      </p>
      <p className="mins num">
        {next.minutes} min{' '}
        <small>
          {stateWords[test.state]}
          {next.minutes > test.minutes ? `, ${next.minutes - test.minutes} of it to get there` : ''}
          {test.tools.length > 0 ? `, ${test.tools.join(', ')}` : ''}
        </small>
      </p>
      <p className="note">{test.why}</p>
      {test.caution && <Caution>{test.caution}</Caution>}
      {test.numeric ? (
        <Numeric test={test} place={place} onRecord={record} />
      ) : (
        <ul className="answers">
          {test.results.map((r, i) => (
            <li key={r.id}>
              <button type="button" className="btn quiet" onClick={() => record({ result: r.id })}>
                <span>{r.name}</span>
                <em className="num">{goes(i)}</em>
              </button>
            </li>
          ))}
        </ul>
      )}
      <button
        type="button"
        className="btn quiet small skip"
        onClick={() => record({ skipped: true })}
      >
        Could not do it, or not sure
      </button>
    </section>
  );
}

type Scale = 'temperature' | 'length' | 'level';
const scales: Record<string, Scale> = { '°C': 'temperature', mm: 'length', dB: 'level' };

type Typed = ReturnType<typeof read>;
const valueOf = (t: Typed): number | undefined => (t.ok ? t.value : undefined);
const difference = (l: Typed, r: Typed): number | undefined =>
  l.ok && r.ok ? l.value - r.value : undefined;

/** A figure, or two sides whose difference is what speaks. */
function Numeric({
  test,
  place,
  onRecord,
}: {
  test: NextTest['test'];
  place: string;
  /** Whether it was kept. */
  onRecord: (a: { value: number }) => Promise<boolean>;
}) {
  const { problem, view } = useJob();
  const { unit, from, label, to } = test.numeric!;
  const sides = from < 0 ? (['Left', 'Right'] as const) : ([label] as const);
  const key = `${view.job.id}:${test.id}:${place}`;
  const [first, setFirst, clearFirst] = useDraft(`${key}:left`);
  const [second, setSecond, clearSecond] = useDraft(`${key}:right`);
  const scale: Scale = scales[unit] ?? 'level';
  const [said, setSaid] = useState<string>();
  const l = read(first, scale);
  const r = read(second, scale);
  const value = sides.length === 1 ? valueOf(l) : difference(l, r);
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    if (value === undefined)
      return setSaid(
        firstThat(
          [!l.ok, `${sides[0]}: ${l.ok ? '' : l.reason}`],
          [!r.ok, `${sides[1]}: ${r.ok ? '' : r.reason}`],
        ),
      );
    // What was typed stays until it stands in the record.
    if (!(await onRecord({ value }))) return;
    clearFirst();
    clearSecond();
  };
  const wrong = said ?? faultOf(problem, 'value');
  return (
    <form className="grid gap-2" onSubmit={submit}>
      <div className="pair-in">
        {sides.map((side, i) => {
          const [text, set] = i === 0 ? [first, setFirst] : [second, setSecond];
          return scale === 'level' ? (
            <label key={side} className="field">
              <span>
                {side}, level in {unit}
              </span>
              <span className="box">
                <input value={text} onChange={(e) => set(e.target.value)} inputMode="decimal" />
                <span className="unit-name">{unit}</span>
              </span>
            </label>
          ) : (
            <QuantityInput
              key={side}
              label={sides.length === 1 ? side : `${side} side`}
              dimension={scale}
              text={text}
              onText={set}
              decimals={scale === 'length' ? 3 : 0}
            />
          );
        })}
      </div>
      {wrong && (
        <p className="note" role="alert">
          {wrong}
        </p>
      )}
      <Running
        value={value}
        from={from}
        to={to}
        unit={unit}
        held={heldAgainst(view, test.id, place)}
        limited={test.id in limitFields}
      />
      <button type="submit" className="btn quiet">
        {sides.length === 1 ? 'Record' : 'Record both'}
      </button>
    </form>
  );
}

/** What a reading is held against: the unit's own limit, and the other side if it was read. */
interface Held {
  limit?: { value: number; source: string };
  other?: { value: number; name: string };
}

const limitFields = { endplay: 'endPlayMm', runout: 'runoutMm' } as const;

function heldAgainst(view: ReturnType<typeof useJob>['view'], testId: string, place: string): Held {
  const corner = corners.find((c) => c === place);
  const field = limitFields[testId as keyof typeof limitFields];
  if (!corner || !field) return {};
  const limits = view.ctx.unit.corners[corner]?.limits;
  const limit = limits?.[field];
  const across = corners.find((c) => c !== corner && c[1] === corner[1]);
  const other = view.state.results.find(
    (r) => r.testId === testId && r.place === across && r.value !== undefined,
  );
  return {
    ...(limit !== undefined ? { limit: { value: limit, source: limits!.source } } : {}),
    ...(other ? { other: { value: other.value!, name: across! } } : {}),
  };
}

/** The reading on the scale of its test while it is typed, beside what it is held against. */
function Running({
  value,
  from,
  to,
  unit,
  held,
  limited,
}: {
  value: number | undefined;
  from: number;
  to: number;
  unit: string;
  held: Held;
  limited: boolean;
}) {
  const x = (v: number) => 10 + (298 * (Math.min(to, Math.max(from, v)) - from)) / (to - from);
  const ticks = [from, (from + to) / 2, to];
  const digits = unit === 'mm' ? 2 : 0;
  const over = held.limit && value !== undefined && value > held.limit.value;
  const more = held.other && value !== undefined ? value - held.other.value : undefined;
  return (
    <>
      <svg
        className="drawing w-full"
        viewBox="0 0 318 50"
        role="img"
        aria-label={value === undefined ? 'no reading yet' : `${value.toFixed(digits)} ${unit}`}
      >
        <path className="strip-tick" d="M10 24H308" />
        {ticks.map((t) => (
          <g key={t}>
            <path className="strip-tick" d={`M${x(t)} 24v7`} />
            <text className="figure" x={x(t)} y="46" textAnchor={anchorAt(t, from, to)}>
              {from < 0 && t !== 0
                ? `${t < 0 ? 'right' : 'left'} ${Math.abs(t)}`
                : t.toFixed(unit === 'mm' ? 1 : 0)}{' '}
              {t === to ? unit : ''}
            </text>
          </g>
        ))}
        {value !== undefined && (
          <path className="now-bar" d={`M${x(from < 0 ? 0 : from)} 14H${x(value)}`} />
        )}
        {held.limit && <path className="act" d={`M${x(held.limit.value)} 2V30`} />}
        {held.other && <path className="was" d={`M${x(held.other.value)} 4V24`} />}
      </svg>
      {limited && (
        <p className={over ? 'verdict-line stop' : 'cap'} aria-live="polite">
          {over && <VerdictShape status="stop" size={18} />}
          <span className="num">
            {held.limit
              ? `${over ? 'Over the' : 'Limit of this unit'} ${over ? 'limit of ' : ''}${held.limit.value.toFixed(2)} mm (${held.limit.source})`
              : 'This unit has no limit on record'}
            {more === undefined
              ? ''
              : `; ${more >= 0 ? '+' : '−'}${Math.abs(more).toFixed(2)} mm against ${held.other!.name}`}
          </span>
        </p>
      )}
    </>
  );
}

/** A level in dB has no unit to convert; it is a plain number. */
const read = (text: string, scale: Scale) => readTyped(text, scale);
