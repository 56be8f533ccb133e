import type { Band } from '../../core/verdict.ts';

/** How tight the new ring will sit, as one hump between its worst cases; at zero it creeps. */
export function FitHump({ band }: { band: Band }) {
  const low = Math.min(0, band.low) - 0.004;
  const high = Math.max(band.high, 0.02) + 0.012;
  const X = (mm: number) => 16 + (370 * (mm - low)) / (high - low);
  const mid = band.likely;
  const sd = Math.max(0.0005, (band.high - band.low) / 6);
  const d = Array.from({ length: 61 }, (_, i) => { const mm = mid - 4 * sd + (8 * sd * i) / 60; return `${X(mm).toFixed(1)} ${(118 - 84 * Math.exp(-0.5 * ((mm - mid) / sd) ** 2)).toFixed(1)}`; }).join('L');
  const step = (high - low) / 0.01 > 8 ? 0.02 : 0.01;
  const ticks = Array.from({ length: 12 }, (_, i) => Math.ceil(low / step) * step + i * step).filter((t) => t < high);
  return (
    <svg className="dr hump" viewBox="0 0 400 168" role="img" aria-label={`Fit ${band.likely.toFixed(3)} mm, from ${band.low.toFixed(3)} to ${band.high.toFixed(3)}`}>
      <path className="f-wash" d={`M${d}Z`} /><path className="gtrace" d={`M${d}`} />
      <path className="gtk" d="M10 118H392" />
      {ticks.map((t) => <g key={t}><path className="gtk" d={`M${X(t)} 118v6`} /><text className="n" x={X(t)} y="140" textAnchor="middle">{t.toFixed(2).replace('-', '−')}</text></g>)}
      <path className="prj seatl" d={`M${X(0)} 30V118`} /><text className="cap" x={X(0) + 4} y="26">creeps below 0</text>
      <text className="n b bgp" x={X(mid)} y="98" textAnchor="middle">{mid.toFixed(3)}</text>
      <text className="cap" x="200" y="160" textAnchor="middle">how tight the new ring sits, mm, from its size class (ISO 492 Normal)</text>
    </svg>
  );
}
