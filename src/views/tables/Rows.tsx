import {
  learnt,
  type LikelihoodTables,
  rowName,
  rowsOf,
  type TestKind,
} from '../../core/diagnosis/index.ts';
import { anchorAt } from '../../ui/firstThat.ts';

const left = 232;
const width = 520;
const rowHeight = 62;

export interface RowsProps {
  test: TestKind;
  tables: LikelihoodTables;
  /** A row as it is being typed. */
  trial: { key: string; row: readonly number[] } | undefined;
  open: string | undefined;
  onOpen: (key: string) => void;
}

/** A test's rows along one axis: what it says under each cause. Dashed is what we wrote, solid what stands now. */
export function Rows({ test: t, tables, trial, open, onOpen }: RowsProps) {
  const rows = Object.entries(rowsOf(t));
  const from = t.numeric?.from ?? 0;
  const to = t.numeric?.to ?? 1;
  const x = (v: number) => left + (width * (v - from)) / (to - from);
  const ticks = t.numeric ? [from, (from + to) / 2, to] : [0, 0.25, 0.5, 0.75, 1];
  return (
    <svg
      className="drawing tables"
      viewBox={`0 0 780 ${rows.length * rowHeight + 40}`}
      role="group"
      aria-label={`What “${t.short}” says under each cause`}
    >
      {ticks.map((v) => (
        <g key={v}>
          <path className="strip-axis" d={`M${x(v)} 4V${rows.length * rowHeight + 8}`} />
          <text
            className="figure"
            x={x(v)}
            y={rows.length * rowHeight + 28}
            textAnchor={anchorAt(v, from, to)}
          >
            {t.numeric
              ? `${+v.toFixed(2)}${v === to ? ` ${t.numeric.unit}` : ''}`
              : `${v * 100}${v === 1 ? ' %' : ''}`}
          </text>
        </g>
      ))}
      {rows.map(([key, written], i) => {
        const edited = tables.edits[t.id]?.[key];
        const now =
          trial?.key === key ? trial.row : learnt(t, edited ?? written, tables.counts[t.id]?.[key]);
        const count = tables.counts[t.id]?.[key];
        const [first = 0] = count ?? [];
        const cases = t.numeric ? first : (count ?? []).reduce((a, b) => a + b, 0);
        const y = i * rowHeight + 8;
        return (
          <g
            key={key}
            className={`suspect${open === key ? ' is-on' : ''}`}
            role="button"
            tabIndex={0}
            aria-pressed={open === key}
            onClick={() => onOpen(key)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' || e.key === ' ') {
                e.preventDefault();
                onOpen(key);
              }
            }}
          >
            <rect className="hit" x="0" y={y - 2} width="778" height={rowHeight - 6} />
            <text className="name" x="4" y={y + 24}>
              {rowName(key)}
            </text>
            <text className="cap" x="4" y={y + 43}>
              {[edited ? 'changed by a lead' : '', cases > 0 ? `${cases} seen on the bench` : '']
                .filter(Boolean)
                .join(', ') || 'as written'}
            </text>
            {t.numeric ? (
              <Bell row={now} written={written} x={x} y={y + 48} from={from} to={to} />
            ) : (
              <Split
                row={now}
                written={written}
                x={x}
                y={y + 8}
                names={t.results.map((r) => r.name)}
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** Running sums: where each part of a split begins. */
const starts = (row: readonly number[]) =>
  row.reduce<number[]>((a, p) => [...a, a.at(-1)! + p], [0]);

function Split({
  row,
  written,
  x,
  y,
  names,
}: {
  row: readonly number[];
  written: readonly number[];
  x: (v: number) => number;
  y: number;
  names: string[];
}) {
  const at = starts(row);
  return (
    <g>
      {row.map((p, i) => {
        const w = x(at[i + 1]!) - x(at[i]!);
        return (
          <g key={names[i]}>
            <rect
              className={`part share-${i}`}
              x={x(at[i]!)}
              y={y}
              width={Math.max(0, w)}
              height="32"
            />
            {w > 40 && (
              <text
                className={`figure on-share-${i}`}
                x={x(at[i]!) + w / 2}
                y={y + 22}
                textAnchor="middle"
              >
                {Math.round(p * 100)}
              </text>
            )}
          </g>
        );
      })}
      {starts(written)
        .slice(1, -1)
        .map((s, i) => (
          <path key={names[i]} className="was" d={`M${x(s)} ${y - 5}v42`} />
        ))}
    </g>
  );
}

function Bell({
  row,
  written,
  x,
  y,
  from,
  to,
}: {
  row: readonly number[];
  written: readonly number[];
  x: (v: number) => number;
  y: number;
  from: number;
  to: number;
}) {
  const path = ([mean, spread]: readonly number[]) =>
    Array.from({ length: 61 }, (_, i) => from + ((to - from) * i) / 60)
      .map(
        (v, i) =>
          `${i === 0 ? 'M' : 'L'}${x(v).toFixed(1)} ${(y - 40 * Math.exp(-0.5 * ((v - mean!) / spread!) ** 2)).toFixed(1)}`,
      )
      .join('');
  return (
    <g>
      <path className="strip-tick" d={`M${x(from)} ${y}H${x(to)}`} />
      <path className="bell-fill" d={`${path(row)}L${x(to)} ${y}L${x(from)} ${y}Z`} />
      <path className="bell-was" d={path(written)} />
      <path className="bell" d={path(row)} />
    </g>
  );
}
