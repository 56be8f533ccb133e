import type { ThreadOnNut } from '../../core/torque/index.ts';
import { both } from '../../ui/units.ts';

const [left, right] = [104, 334];

/** The same torque on the thread as it is asked for and on a greased one: three frictions each, against the proof load. */
export function ThreadBars({ on, torqueNm }: { on: ThreadOnNut; torqueNm: number }) {
  const most = Math.max(...on.bars.map((b) => b.highN)) * 1.9;
  const x = (n: number) => left + (n / most) * (right - left);
  const rows = on.bars.length;
  const nm = both(torqueNm, 'torque');
  const kn = (n: number) => both(n / 1000, 'force');
  return (
    <section>
      <h2>What {`${nm.value} ${nm.unit}`} clamps</h2>
      <svg
        className="drawing thread-bars"
        viewBox={`0 0 340 ${rows * 40 + 12}`}
        role="img"
        aria-label={on.bars
          .map((b) => `${b.state}: ${kn(b.likelyN).value} ${kn(b.likelyN).unit} likely`)
          .join('; ')}
      >
        {on.bars.map((b, i) => (
          <g key={b.state}>
            <text x="0" y={i * 40 + 26}>
              {b.state}
            </text>
            <rect
              className="expected-fill"
              x={x(b.lowN)}
              y={i * 40 + 10}
              width={x(b.highN) - x(b.lowN)}
              height="20"
            />
            <path className="out" d={`M${x(b.likelyN)} ${i * 40 + 6}v28`} />
            <text className="figure" x={x(b.highN) + 8} y={i * 40 + 26}>
              {kn(b.likelyN).value} {kn(b.likelyN).unit}
              {b.proofShare === undefined ? '' : `, ${Math.round(100 * b.proofShare)} %`}
            </text>
          </g>
        ))}
        <path className="thin" d={`M${left} 0V${rows * 40 + 8}`} />
      </svg>
      <p className="cap">
        Per cent of the proof load, where the grade is known. Greased, the same torque clamps{' '}
        {on.greasedTimes.toFixed(1)} times as hard. Bands: low to high friction, our judgement; face
        of the nut by its hex.
      </p>
    </section>
  );
}
