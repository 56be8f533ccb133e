import { useEffect, useState } from 'react';
import { type ChainResult, type FitChain, gripOf, shareBelow } from '../../core/fits/index.ts';
import type { FitReport, FitTask } from '../../workers/fit.worker.ts';

const draws = 1_000_000;
function percent(share: number): string {
  if (share === 0) return 'none';
  return share < 0.0001 ? 'under 0.01 %' : `${(100 * share).toFixed(share < 0.01 ? 2 : 1)} %`;
}

/** How tight the new ring will sit over a million assemblies, with the shares that would creep or be too tight. */
export function FitSpread({ chain, seed }: { chain: FitChain; seed: number }) {
  const [drawn, setDrawn] = useState<ChainResult>();
  const key = JSON.stringify(chain);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/fit.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<FitReport>) => setDrawn(data.result);
    worker.postMessage({ chain: JSON.parse(key) as FitChain, draws, seed } satisfies FitTask);
    return () => worker.terminate();
  }, [key, seed]);
  const grip = gripOf(chain);
  const creeps = drawn?.creeps ?? shareBelow(chain.creepMm, grip);
  const tooTight =
    drawn?.tooTight ?? (chain.tightMm === undefined ? 0 : 1 - shareBelow(chain.tightMm, grip));
  const near = chain.tightMm !== undefined && chain.tightMm < grip.mean + 8 * grip.sd + 0.02;
  const low = Math.min(chain.creepMm, 0, grip.mean - 4.5 * grip.sd) - 0.004;
  const high = Math.max(grip.mean + 4.5 * grip.sd, near ? chain.tightMm! : 0) + 0.006;
  const X = (mm: number) => 16 + (370 * (mm - low)) / (high - low);
  const Y = (z: number) => 118 - 84 * Math.exp(-0.5 * z * z);
  const curve = Array.from({ length: 61 }, (_, i) => {
    const z = -4 + (8 * i) / 60;
    return `${X(grip.mean + z * grip.sd).toFixed(1)} ${Y(z).toFixed(1)}`;
  }).join('L');
  const most = drawn ? Math.max(...drawn.counts) : 1;
  const width = drawn ? (drawn.to - drawn.from) / drawn.counts.length : 0;
  const step = (high - low) / 0.01 > 8 ? 0.02 : 0.01;
  const ticks = Array.from(
    { length: 12 },
    (_, i) => Math.ceil(low / step) * step + i * step,
  ).filter((t) => t < high);
  return (
    <div className="spread">
      <svg
        className="drawing hump"
        viewBox="0 0 400 150"
        role="img"
        aria-label={`Grip ${grip.mean.toFixed(3)} mm, deviation ${grip.sd.toFixed(3)}; ${percent(creeps)} would creep, ${percent(tooTight)} too tight`}
      >
        {drawn?.counts.map((n, i) => {
          const from = drawn.from + i * width;
          return (
            <rect
              key={i}
              className={
                from < chain.creepMm || (chain.tightMm !== undefined && from >= chain.tightMm)
                  ? 'draw bad'
                  : 'draw'
              }
              x={X(from)}
              width={Math.max(0.5, X(from + width) - X(from))}
              y={118 - (84 * n) / most}
              height={(84 * n) / most}
            />
          );
        })}
        <path className="force-trace" fill="none" d={`M${curve}`} />
        <path className="strip-tick" d="M10 118H392" />
        {ticks.map((t) => (
          <g key={t}>
            <path className="strip-tick" d={`M${X(t)} 118v6`} />
            <text className="figure" x={X(t)} y="140" textAnchor="middle">
              {t.toFixed(2).replace('-', '−')}
            </text>
          </g>
        ))}
        <path className="projection at-seat" d={`M${X(chain.creepMm)} 26V118`} />
        <text className="cap" x={X(chain.creepMm) + 4} y="22">
          creeps below {chain.creepMm.toFixed(3)}
        </text>
        {near && (
          <>
            <path className="projection at-seat" d={`M${X(chain.tightMm!)} 26V118`} />
            <text className="cap" x={X(chain.tightMm!) - 4} y="22" textAnchor="end">
              yields
            </text>
          </>
        )}
        <text className="figure strong on-paper" x={X(grip.mean)} y="100" textAnchor="middle">
          {grip.mean.toFixed(3)}
        </text>
      </svg>
      <p className="cap num">
        {drawn ? '1 000 000 assemblies drawn' : 'By calculation; drawing…'}, mm of grip after
        smoothing. Would creep: <b>{percent(creeps)}</b>.{' '}
        {chain.tightMm === undefined ? (
          'No upper limit on record.'
        ) : (
          <>
            Too tight: <b>{percent(tooTight)}</b>.
          </>
        )}
        {drawn && (
          <>
            {' '}
            Pressing force{' '}
            <b>
              {drawn.forceKn.low.toFixed(1)}–{drawn.forceKn.high.toFixed(1)} kN
            </b>
            .
          </>
        )}
      </p>
    </div>
  );
}
