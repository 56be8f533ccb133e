import { useRef } from 'react';
import { both } from '../../ui/units.ts';

type Part = 'startsKmh' | 'peaksKmh' | 'goneKmh';
interface Props {
  starts: number | undefined;
  peaks: number | undefined;
  gone: number | undefined;
  onChange: (part: Partial<Record<Part, number>>) => void;
}

const left = 30;
const width = 500;
const top = 140;
const x = (kmh: number) => left + (width * kmh) / top;

/** A speed band to drag: where it starts, is strongest, is gone. A ring left alone says nothing. */
export function SpeedBand({ starts, peaks, gone, onChange }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const rings: {
    part: Part;
    value: number | undefined;
    resting: number;
    y: number;
    label: string;
  }[] = [
    { part: 'startsKmh', value: starts, resting: 40, y: 112, label: 'starts' },
    { part: 'peaksKmh', value: peaks, resting: 80, y: 40, label: 'strongest' },
    { part: 'goneKmh', value: gone, resting: 130, y: 112, label: 'gone' },
  ];
  const at = (part: Part) => rings.find((r) => r.part === part)!;
  const set = (part: Part, kmh: number) => {
    const low =
      part === 'startsKmh'
        ? 0
        : (at(part === 'goneKmh' && peaks !== undefined ? 'peaksKmh' : 'startsKmh').value ?? 0);
    const high =
      part === 'goneKmh'
        ? top
        : (at(part === 'startsKmh' && peaks !== undefined ? 'peaksKmh' : 'goneKmh').value ?? top);
    onChange({ [part]: Math.min(high, Math.max(low, Math.round(kmh / 5) * 5)) });
  };
  const drag = (part: Part) => (e: React.PointerEvent) => {
    const move = (clientX: number) => {
      const box = svg.current?.getBoundingClientRect();
      if (box) set(part, (((clientX - box.left) / box.width) * 580 - left) * (top / width));
    };
    (e.currentTarget as Element).setPointerCapture(e.pointerId);
    if (e.type === 'pointerdown') move(e.clientX);
    else if (e.buttons > 0) move(e.clientX);
  };
  const p = (r: (typeof rings)[number]) => r.value ?? r.resting;
  const far = peaks === undefined ? undefined : both(peaks, 'speed');
  return (
    <div className="speed">
      <h2>
        At what speed <span className="cap">drag the three rings</span>
      </h2>
      <div className="speed-row">
        <p className="far-n num">
          {far ? (
            <>
              {far.value} <small>km/h</small>
              <span>{far.other}</span>
            </>
          ) : (
            <>
              – <small>km/h</small>
              <span>strongest: not said</span>
            </>
          )}
        </p>
        <svg ref={svg} className="drawing" viewBox="0 0 580 160">
          <path className="strip-tick" d={`M${left} 112H${left + width + 20}`} />
          {[0, 20, 40, 60, 80, 100, 120, 140].map((v) => (
            <g key={v}>
              <path className="strip-tick" d={`M${x(v)} 112v8`} />
              <text className="figure" x={x(v)} y="140" textAnchor="middle">
                {v}
                {v === 140 ? ' km/h' : ''}
              </text>
            </g>
          ))}
          <path
            className={peaks === undefined ? 'ghost' : 'band'}
            d={`M${x(p(rings[0]!))} 112L${x(p(rings[1]!))} 40L${x(p(rings[2]!))} 112z`}
          />
          {rings.map((r) => (
            <g
              key={r.part}
              role="slider"
              tabIndex={0}
              aria-label={`${r.label}, km/h`}
              aria-valuemin={0}
              aria-valuemax={top}
              aria-valuenow={p(r)}
              aria-valuetext={r.value === undefined ? 'not said' : `${r.value} km/h`}
              className={`ring${r.value === undefined ? ' off' : ''}`}
              onPointerDown={drag(r.part)}
              onPointerMove={drag(r.part)}
              onKeyDown={(e) => {
                const by = { ArrowRight: 5, ArrowUp: 5, ArrowLeft: -5, ArrowDown: -5 }[e.key];
                if (by) {
                  e.preventDefault();
                  set(r.part, p(r) + by);
                }
              }}
            >
              <circle className="hit" cx={x(p(r))} cy={r.y} r="26" />
              <circle className="live" cx={x(p(r))} cy={r.y} r="10" />
              <text
                x={x(p(r)) + (r.part === 'startsKmh' ? -18 : 18)}
                y={r.y - 12}
                textAnchor={r.part === 'startsKmh' ? 'end' : 'start'}
              >
                {r.label} <tspan className="figure strong">{r.value ?? ''}</tspan>
              </text>
            </g>
          ))}
        </svg>
      </div>
    </div>
  );
}
