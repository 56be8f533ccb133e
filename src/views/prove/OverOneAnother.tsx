import type { KeptSignal, KeptSpectrum } from '../../core/prove/index.ts';
import { useJob } from '../shell/useJob.ts';

const [left, right, top, bottom] = [30, 372, 14, 104];

/** Two lines on the same axes. */
function Lines({
  label,
  before,
  after,
  foot,
  unit,
}: {
  label: string;
  before: readonly number[] | undefined;
  after: readonly number[] | undefined;
  /** What the lower axis runs from and to. */
  foot: [string, string];
  unit: string;
}) {
  const every = [...(before ?? []), ...(after ?? [])];
  const [least, most] = [Math.min(0, ...every), Math.max(...every)];
  const y = (v: number) => bottom - ((v - least) / (most - least || 1)) * (bottom - top);
  const path = (list: readonly number[]) =>
    list
      .map((v, i) => {
        const x = left + (i / (list.length - 1)) * (right - left);
        return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y(v).toFixed(1)}`;
      })
      .join('');
  return (
    <svg className="drawing over-one" viewBox="0 0 380 138" role="img" aria-label={label}>
      <path className="strip-tick" d={`M${left} ${top}V${bottom}H${right}`} />
      {before && <path className="line-before" d={path(before)} />}
      {after && <path className="line-after" d={path(after)} />}
      <text className="cap" x={left - 4} y={top + 8} textAnchor="end">
        {most.toFixed(most < 10 ? 1 : 0)}
      </text>
      <text className="cap" x={left - 4} y={bottom} textAnchor="end">
        {unit}
      </text>
      <text className="cap" x={left} y="118">
        {foot[0]}
      </text>
      <text className="cap" x={right} y="118" textAnchor="end">
        {foot[1]}
      </text>
      <path className="line-before" d={`M${left} 130h24`} />
      <text className="cap" x={left + 30} y="134">
        {before ? 'before' : 'before: not kept'}
      </text>
      <path className="line-after" d="M190 130h24" />
      <text className="cap" x="220" y="134">
        {after ? 'now' : 'now: not kept yet'}
      </text>
    </svg>
  );
}

/** A spectrum as far as both reach, so that order stands on order. */
const upTo = (s: KeptSpectrum | undefined, maxOrder: number) =>
  s?.db.slice(0, Math.max(2, Math.round((s.db.length * maxOrder) / s.maxOrder)));

function Spectra({ was, is }: { was: KeptSpectrum | undefined; is: KeptSpectrum | undefined }) {
  const maxOrder = Math.min(was?.maxOrder ?? Infinity, is?.maxOrder ?? Infinity);
  return (
    <Lines
      label="Sound before and after: what rings once a blow, over orders of the wheel"
      before={upTo(was, maxOrder)}
      after={upTo(is, maxOrder)}
      foot={['order 0', maxOrder.toFixed(0)]}
      unit="dB"
    />
  );
}

function Signals({ was, is }: { was: KeptSignal | undefined; is: KeptSignal | undefined }) {
  const ms = (s: KeptSignal | undefined) => (s ? `${(1000 * s.seconds).toFixed(0)} ms` : '');
  return (
    <Lines
      label="Wheel-speed signal of this corner before and after"
      before={was?.volts}
      after={is?.volts}
      foot={['', [ms(was), ms(is)].filter(Boolean).join(', now ')]}
      unit="V"
    />
  );
}

/** Sound or signal before and after over one another, where one of them was kept. */
export function OverOneAnother({ of }: { of: 'spectrum' | 'signal' }) {
  const { before, after } = useJob().view.state.keptTraces;
  if (!before[of] && !after[of]) return null;
  const byStandIn = before[of]?.standIn ?? after[of]?.standIn;
  return (
    <>
      {of === 'spectrum' ? (
        <Spectra was={before.spectrum} is={after.spectrum} />
      ) : (
        <Signals was={before.signal} is={after.signal} />
      )}
      {byStandIn && <span className="cap">By a stand-in instrument.</span>}
    </>
  );
}
