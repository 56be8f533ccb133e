import type { Corner } from '../../core/corner.ts';
import { cornerNames } from '../../core/corner.ts';
import { type Status } from '../../core/verdict.ts';
import { type SignalKind, stripOf, type WheelReading } from '../../core/wheel-speed/index.ts';
import { VerdictShape } from '../../ui/Marks.tsx';

export const kindWords: Record<SignalKind, string> = {
  agrees: 'Agrees',
  'drops-out': 'Drops out',
  'tooth-missing': 'One pulse missing a turn',
  faint: 'Far too faint',
  weak: 'Weak',
  dead: 'Dead',
  differs: 'Differs',
  'cannot-read': 'Cannot be read',
};

export function kindStatus(kind: SignalKind): Status {
  if (kind === 'agrees') return 'good';
  return kind === 'weak' || kind === 'cannot-read' ? 'check' : 'stop';
}

interface Props {
  corner: Corner;
  reading: WheelReading;
  volts: readonly number[];
  sampleRate: number;
  /** Strength that all four strips are drawn to. */
  fullV: number;
  record: number | undefined;
  picked: boolean;
  onPick: () => void;
}

const radius = 62;

/** One wheel: its signal once round the wheel, gaps where they fall, and the wave against the others' strength. */
export function WheelSignal({
  corner,
  reading: r,
  volts,
  sampleRate,
  fullV,
  record,
  picked,
  onPick,
}: Props) {
  const shown = stripOf(r, volts, sampleRate).volts;
  const x = (i: number) => 176 + (248 * i) / (shown.length - 1);
  const y = (v: number) => 84 - 46 * Math.max(-1.2, Math.min(1.2, (v - r.centreV) / fullV));
  const status = kindStatus(r.kind);
  return (
    <button
      type="button"
      className={`wheel-sig${picked ? ' is-on' : ''}`}
      aria-pressed={picked}
      onClick={onPick}
      aria-label={`${cornerNames[corner]}: ${kindWords[r.kind]}. ${r.text}`}
    >
      <svg className="drawing" viewBox="0 0 430 166" aria-hidden="true">
        <circle className="out f-sheet thin2" cx="82" cy="84" r={radius + 12} />
        <circle className="out f-paper thin2" cx="82" cy="84" r={radius - 22} />
        <path className="centre-line-thin" d="M82 2V166M0 84H164" />
        {r.perTurn && (
          <circle
            className="pulses"
            cx="82"
            cy="84"
            r={radius}
            pathLength={100}
            strokeDasharray={`${50 / Math.round(r.perTurn)} ${50 / Math.round(r.perTurn)}`}
          />
        )}
        {r.kind === 'tooth-missing' && <path className="gap" d={arc(r.gapsAt[0]!)} />}
        {r.kind === 'drops-out' &&
          r.gapsAt.slice(0, 24).map((g, i) => <path key={i} className="gap" d={arc(g)} />)}
        <text className="figure strong" x="82" y="90" textAnchor="middle">
          {corner}
        </text>
        <path className="strip-tick" d="M176 84H424" />
        <path className="band-v" d={`M176 ${y(fullV)}H424M176 ${y(-fullV)}H424`} />
        <path
          className={`wave-v ${status}`}
          d={shown
            .map((v, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(v).toFixed(1)}`)
            .join('')}
        />
        <text className="figure" x="176" y="158">
          {r.amplitudeV.toFixed(2)} V
        </text>
        <text className="figure" x="424" y="158" textAnchor="end">
          {r.perTurn ? r.perTurn.toFixed(1) : '–'}
          {record ? ` of ${record}` : ''} a turn
        </text>
      </svg>
      <span className="wheel-word">
        <VerdictShape status={status} size={22} />
        <b>{kindWords[r.kind]}</b>
      </span>
    </button>
  );
}

function arc(share: number): string {
  const at = (s: number) =>
    `${(82 + radius * Math.sin(2 * Math.PI * s)).toFixed(1)} ${(84 - radius * Math.cos(2 * Math.PI * s)).toFixed(1)}`;
  return `M${at(share - 0.012)}A${radius} ${radius} 0 0 1 ${at(share + 0.024)}`;
}
