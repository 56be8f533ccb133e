import type { RankedSuspect, SecondFault } from '../../core/diagnosis/index.ts';

function strength(bits: number): string {
  if (Math.abs(bits) >= 1.5) return 'strongly';
  return Math.abs(bits) >= 0.5 ? 'clearly' : 'a little';
}

/** For and against one suspect, as a balance along one axis. */
export function Reasons({
  suspect,
  second,
}: {
  suspect: RankedSuspect;
  second: SecondFault | undefined;
}) {
  const list = suspect.reasons
    .filter((r) => Math.abs(r.bits) >= 0.08)
    .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits))
    .slice(0, 6);
  const most = Math.max(1, ...list.map((r) => Math.abs(r.bits)));
  return (
    <section className="reasons" aria-live="polite">
      <h2>Why {suspect.name.toLowerCase()}</h2>
      {second && (
        <p className="second">
          Perhaps also: <b>{second.suspect.name.toLowerCase()}</b>,{' '}
          <span className="num">{Math.round(second.probability * 100)} %</span>
        </p>
      )}
      {list.length === 0 && <p className="note">Nothing speaks for or against it yet.</p>}
      <ul>
        {list.map((r) => (
          <li key={r.label}>
            <svg viewBox="-50 0 100 16" preserveAspectRatio="none" aria-hidden="true">
              <path className="mid" d="M0 0V16" vectorEffect="non-scaling-stroke" />
              <rect
                className={r.bits > 0 ? 'for' : 'against'}
                x={r.bits > 0 ? 0 : (48 * r.bits) / most}
                y="3"
                width={(48 * Math.abs(r.bits)) / most}
                height="10"
                vectorEffect="non-scaling-stroke"
              />
            </svg>
            <span>{r.label}</span>
            <em>
              {r.bits > 0 ? 'for' : 'against'}, {strength(r.bits)}
            </em>
          </li>
        ))}
      </ul>
    </section>
  );
}
