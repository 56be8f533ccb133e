import { type FastenerOnJob, isTightened } from '../../core/job/index.ts';
import { fastenerInWords } from '../../core/torque/index.ts';
import { clockTime, fixed } from '../../core/units/index.ts';
import { VerdictWord } from '../../ui/Marks.tsx';
import { both } from '../../ui/units.ts';
import { useJob } from '../shell/useJob.ts';
import { roundUnit } from './roundFigure.ts';

/** Every fastener in the order of the rebuild, with its figure and how far it is. */
export function FastenerList({
  all,
  now,
  onPick,
}: {
  all: readonly FastenerOnJob[];
  now: string;
  onPick: (id: string) => void;
}) {
  return (
    <ol className="stages">
      {all.map((f, i) => (
        <li key={f.id} className={f.id === now ? 'now' : ''}>
          <button
            type="button"
            className="fastener-pick"
            aria-current={f.id === now ? 'step' : undefined}
            onClick={() => onPick(f.id)}
          >
            <span className="index num">{i + 1}</span>
            <p>
              <b className="num fastener-figure">
                {f.figure ? fastenerInWords(f.figure) : 'no figure'}
              </b>
              <span>
                {f.count && f.count > 1 ? `${f.count} × ` : ''}
                {f.name.toLowerCase()}
              </span>
            </p>
            {isTightened(f) && <VerdictWord status="good" size={20} />}
          </button>
        </li>
      ))}
    </ol>
  );
}

/** What was read of one fastener, newest first. */
export function FastenerReadings({ f }: { f: FastenerOnJob }) {
  const { view } = useJob();
  const readings = view.state.tightened[f.id] ?? [];
  if (readings.length === 0) return null;
  return (
    <section>
      <h2>Readings</h2>
      <table className="rows">
        <tbody>
          {[...readings]
            .reverse()
            .slice(0, 10)
            .map((r) => {
              const unit = roundUnit(f.rounds[r.round - 1] ?? {});
              const shown = unit && r.actual !== undefined ? both(r.actual, unit) : undefined;
              return (
                <tr key={`${r.atMs}:${r.round}:${r.bolt}`}>
                  <td>
                    {f.count === 1 ? '' : `Place ${fixed(r.bolt)}, `}round {r.round},{' '}
                    {view.people.find((x) => x.id === r.byId)?.name}
                    {r.part ? `, ${r.part}` : ''}
                  </td>
                  <td className="figure">
                    {clockTime(r.atMs, view.timeZone)}{' '}
                    <b>
                      {shown ? `${shown.value} ${shown.unit}` : (r.to ?? 'as said by the tool')}
                    </b>
                  </td>
                </tr>
              );
            })}
        </tbody>
      </table>
    </section>
  );
}
