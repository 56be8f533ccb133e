import { type Hand, type Stage, stageWindow, turnSign } from '../../core/torque/index.ts';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';
import { roundOf } from '../../ui/section/round.ts';
import { DragScale } from './DragScale.tsx';
import type { Dragging } from './useDrag.ts';
import type { WrenchHandle } from './useWrench.ts';
import { HubHeld } from './HubHeld.tsx';
import { stageFigure } from './stageFigure.ts';
import './fastener-drawing.css';
const cx = 330;
const cy = 262;
const { polar, at } = roundOf(cx, cy);
const sector = (r0: number, r1: number, a: number, b: number) =>
  `M${at(r1, a)}A${r1} ${r1} 0 ${Math.abs(b - a) > 180 ? 1 : 0} ${b > a ? 1 : 0} ${at(r1, b)}L${at(r0, b)}A${r0} ${r0} 0 ${Math.abs(b - a) > 180 ? 1 : 0} ${b > a ? 0 : 1} ${at(r0, a)}Z`;

/** Torque on a scale round the nut, from lower left over the top to lower right. */
function TorqueRing({
  most,
  snugNm,
  nowNm = 0,
}: {
  most: number;
  snugNm: number;
  nowNm?: number | undefined;
}) {
  const deg = (nm: number) => -130 + (260 * Math.min(nm, most)) / most;
  const step = [10, 20, 40, 50, 100, 200].find((s) => most / s <= 7) ?? 400;
  const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
  return (
    <g className="torque-ring">
      <path className="f-sheet out thin2" d={sector(68, 80, -130, 130)} />
      {nowNm > 0 && <path className="f-blue" d={sector(68, 80, -130, deg(nowNm))} />}
      <path className="snug-tick" d={`M${at(64, deg(snugNm))}L${at(84, deg(snugNm))}`} />
      {ticks.map((t) => (
        <text
          key={t}
          className="figure small"
          x={polar(93, deg(t))[0]}
          y={polar(93, deg(t))[1] + 5}
          textAnchor="middle"
        >
          {t}
        </text>
      ))}
    </g>
  );
}

/** The two lowest studs beside each other, the left one first. */
function lowestStuds(
  studs: number,
): [readonly [number, number], readonly [number, number]] | undefined {
  if (studs < 3) return undefined;
  const all = Array.from({ length: studs }, (_, i) => polar(178, (i * 360) / studs));
  const low = [...all].sort((a, b) => b[1] - a[1]).slice(0, 2);
  const [a, b] = low.sort((p, q) => p[0] - q[0]);
  return a && b && a[0] < b[0] - 1 ? [a, b] : undefined;
}

/** The hub face-on: bolt circle, nut, and for an angle the arc to the mark and how much of it is done. */
export function NutFace({
  stage,
  actual,
  wrench,
  drag,
  studs,
  hand = 'right',
  none = 'done',
}: {
  stage: Stage | undefined;
  actual: number | undefined;
  /** A wrench that is read, where there is one. */
  wrench?: Pick<WrenchHandle, 'snugNm' | 'followed' | 'big' | 'running'> | undefined;
  /** A drag that is read by a scale. */
  drag?: Dragging | undefined;
  studs: number;
  hand?: Hand;
  /** Said where there is no stage: it is done, or none is chosen yet. */
  none?: string;
}) {
  const marks = useMarks();
  const turning = stage?.kind === 'angle' || stage?.kind === 'back-off';
  const sign = turnSign(hand) * (stage?.kind === 'back-off' ? -1 : 1);
  const want = turning ? sign * (stage.value ?? 0) : 0;
  const done = turning ? sign * Math.min(actual ?? 0, 359) : 0;
  const start = turning ? -want / 2 : 0;
  const hex = Array.from({ length: 6 }, (_, i) => at(58, 30 + i * 60 + done + start)).join('L');
  const f = stage && stageFigure(stage);
  const pulled = stage?.kind === 'torque' || stage?.kind === 'angle';
  const band = stage && stageWindow(stage);
  return (
    <svg
      className="drawing nut-face"
      viewBox="0 0 560 520"
      role="img"
      aria-label={
        stage ? `Nut face-on: ${stage.text}, ${f?.value} ${f?.unit}` : `Nut face-on: ${none}`
      }
    >
      <Defs id={marks.id} />
      <circle className="out f-paper thin2" cx={cx} cy={cy} r="222" />
      <circle className="thin" cx={cx} cy={cy} r="215" />
      <circle className="centre-line-thin" cx={cx} cy={cy} r="178" />
      <path
        className="centre-line-thin"
        d={`M${cx - 240} ${cy}H${cx + 240}M${cx} ${cy - 240}V${cy + 250}`}
      />
      {Array.from({ length: studs }, (_, i) => {
        const [x, y] = polar(178, (i * 360) / studs);
        return (
          <g key={i}>
            <circle className="out f-sheet thin2" cx={x} cy={y} r="21" />
            <path className="thin" d={`M${x - 28} ${y}h56M${x} ${y - 28}v56`} />
          </g>
        );
      })}
      {pulled && <HubHeld wheel={stage.wheel} stud={lowestStuds(studs)} />}
      <circle className="out f-paper thin2" cx={cx} cy={cy} r="102" />
      <circle className="out f-sheet thin2" cx={cx} cy={cy} r="84" />
      {turning && (
        <>
          <path className="turn-arc f-sheet" d={sector(112, 146, start, start + want)} />
          {Math.abs(done) > 0.5 && (
            <path
              className="turn-arc in-blue-ink"
              fill={marks.fill('pusher')}
              d={sector(112, 146, start, start + (Math.abs(done) > Math.abs(want) ? want : done))}
            />
          )}
          {Array.from({ length: Math.floor(Math.abs(want) / 15) + 1 }, (_, i) => (
            <path
              key={i}
              className="turn-arc"
              d={`M${at(140, start + sign * i * 15)}L${at(146, start + sign * i * 15)}`}
            />
          ))}
          <path
            className="f-blue"
            d={`M${at(150, start + want)}L${at(168, start + want - 4)}L${at(168, start + want + 4)}Z`}
          />
          <text
            className="strong"
            x={polar(182, start + want)[0]}
            y={polar(182, start + want)[1] - 4}
            textAnchor={start + want > 0 ? 'start' : 'end'}
          >
            stop here
          </text>
          <path className="paint" d={`M${at(44, start + done)}L${at(108, start + done)}`} />
          <path className="paint-core" d={`M${at(46, start + done)}L${at(106, start + done)}`} />
        </>
      )}
      {turning && band && (
        <path
          className="window-band"
          fill={marks.fill('support')}
          d={sector(112, 154, start + sign * band.low, start + sign * Math.min(band.high, 359))}
        />
      )}
      {wrench && (
        <TorqueRing
          most={Math.max(
            wrench.snugNm * (turning ? 2.4 : 1.25),
            1.05 * (wrench.followed?.peakNm ?? 0),
          )}
          snugNm={wrench.snugNm}
          nowNm={wrench.running ? wrench.followed?.torqueNm : wrench.followed?.peakNm}
        />
      )}
      <path className="hex" d={`M${hex}Z`} />
      <circle className="out f-sheet" cx={cx} cy={cy} r="34" />
      <circle className="thin" cx={cx} cy={cy} r="29" />
      <circle className="out thin2 f-paper" cx={cx} cy={cy} r="7" />
      {drag && (
        <DragScale
          hub={[cx, cy]}
          stud={polar(178, 90)}
          forceN={drag.forcesN.at(-1)}
          radiusMm={drag.radiusMm}
        />
      )}
      {f && (
        <text className="giant" x="0" y="84">
          {wrench?.big?.value ?? f.value}
          <tspan className="unit" dx="6">
            {wrench?.big?.unit ?? f.unit}
          </tspan>
        </text>
      )}
      {f && (
        <text x="4" y="112">
          {wrench?.big?.note ||
            f.other ||
            (turning
              ? `${((stage.value ?? 0) / 60).toFixed(0)} ${stage.value === 60 ? 'flat' : 'flats'} of the nut`
              : stage?.text)}
        </text>
      )}
      {turning && !wrench?.big && (
        <>
          <text className="cap" x="2" y="452">
            to go
          </text>
          <text className="rest" x="0" y="492">
            {Math.max(0, Math.abs(want) - Math.abs(done)).toFixed(0)}°
          </text>
        </>
      )}
      {!stage && (
        <text className="giant" x="0" y="84">
          {none}
        </text>
      )}
    </svg>
  );
}
