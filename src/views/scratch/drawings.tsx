import type { ReactNode } from 'react';
import {
  type Asked,
  limitsOf,
  lockOf,
  nextSlotOf,
  screwOf,
  standOf,
} from '../../core/scratch/index.ts';
import { tyre } from '../../core/noise/index.ts';
import { both } from '../../ui/units.ts';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';
import { CastleNut } from '../torque/CastleNut.tsx';
import { HowItStands } from '../torque/HowItStands.tsx';

const rad = (deg: number) => (deg * Math.PI) / 180;
const Sheet = ({ label, children }: { label: string; children: ReactNode }) => (
  <svg className="drawing scratch-drawing" viewBox="0 0 340 260" role="img" aria-label={label}>
    {children}
  </svg>
);

function BodyOnBar({ a }: { a: Asked }) {
  const [bar, slope] = [a.number('bar'), a.orZero('slope')];
  const stand = 1000 * standOf(a).standM;
  const scale = 260 / Math.max(bar, stand);
  const to = (mm: number): [number, number] => [
    40 + mm * scale * Math.cos(rad(slope)),
    150 - mm * scale * Math.sin(rad(slope)),
  ];
  const [end, foot] = [to(bar), to(stand)];
  return (
    <Sheet
      label={`Bar of ${bar.toFixed(0)} mm, somebody stands ${stand.toFixed(0)} mm from the nut`}
    >
      <path className="centre-line-thin" d="M20 150H330" />
      <path className="tool-bar" d={`M40 150L${end.join(' ')}`} strokeWidth="13" />
      <path className="tool-bar-core" d={`M40 150L${end.join(' ')}`} strokeWidth="10" />
      <circle className="out f-sheet" cx="40" cy="150" r="17" />
      <path className="f-blue" d={`M${foot[0]} ${foot[1] - 10}l-9 -20h18Z`} />
      <path className="weight-line" d={`M${foot[0]} ${foot[1] - 30}V${foot[1] - 80}`} />
      <path className="thin" d={`M40 190v20M${foot[0]} 190v20M40 200H${foot[0]}`} />
      <text className="figure" x={(40 + foot[0]) / 2} y="226" textAnchor="middle">
        {both(stand, 'length', 0).value} mm along the bar
      </text>
    </Sheet>
  );
}

function AngleMarks({ a }: { a: Asked }) {
  const deg = Math.min(359, a.number('angle'));
  const [cx, cy, r] = [150, 150, 100];
  const end = [cx + r * Math.sin(rad(deg)), cy - r * Math.cos(rad(deg))];
  const hex = Array.from(
    { length: 6 },
    (_, i) => `${cx + 34 * Math.sin(rad(30 + i * 60))} ${cy - 34 * Math.cos(rad(30 + i * 60))}`,
  ).join('L');
  return (
    <Sheet label={`Turn by ${deg.toFixed(0)}°`}>
      {Array.from({ length: 12 }, (_, i) => (
        <path
          key={i}
          className="thin"
          d={`M${cx + (r - 6) * Math.sin(rad(i * 30))} ${cy - (r - 6) * Math.cos(rad(i * 30))}L${cx + r * Math.sin(rad(i * 30))} ${cy - r * Math.cos(rad(i * 30))}`}
        />
      ))}
      <path className="hex" d={`M${hex}Z`} />
      <path className="paint" d={`M${cx} ${cy - 24}V${cy - 56}`} />
      <path
        className="turn-arrow"
        d={`M${cx} ${cy - r}A${r} ${r} 0 ${deg > 180 ? 1 : 0} 1 ${end.join(' ')}`}
      />
      <path className="thin" d={`M${cx} ${cy}L${end.join(' ')}`} />
      <text className="strong" x="0" y="22">
        {deg.toFixed(0)}°, {(deg / 60).toFixed(1)} flats
      </text>
    </Sheet>
  );
}

function Zone({ a }: { a: Asked }) {
  const { deviations: d, limits: l } = limitsOf(a);
  const most = 1.3 * Math.max(Math.abs(d.upperUm), Math.abs(d.lowerUm), 1);
  const y = (um: number) => 130 - (um / most) * 110;
  return (
    <Sheet label={`Between ${l.lowMm.toFixed(3)} and ${l.highMm.toFixed(3)} mm`}>
      <path className="out" d="M20 130H330" />
      <text className="cap" x="20" y="124">
        nominal {a.number('size')}
      </text>
      <rect
        className="expected-fill zone"
        x="150"
        y={y(d.upperUm)}
        width="90"
        height={Math.max(2, y(d.lowerUm) - y(d.upperUm))}
      />
      <text className="figure" x="250" y={y(d.upperUm) + 5}>
        {l.highMm.toFixed(3)}
      </text>
      <text className="figure" x="250" y={y(d.lowerUm) + 5}>
        {l.lowMm.toFixed(3)}
      </text>
    </Sheet>
  );
}

/** Two rings in section, one in the other. */
function Rings({
  outside,
  seat,
  bore,
  label,
  note,
}: {
  outside: number;
  seat: number;
  bore: number;
  label: string;
  note: string;
}) {
  const marks = useMarks();
  const scale = 116 / (outside / 2);
  const [o, s, b] = [outside, seat, bore].map((d) => (d / 2) * scale) as [number, number, number];
  const ring = (r1: number, r2: number) =>
    `M170 ${130 - r1}A${r1} ${r1} 0 1 1 169.9 ${130 - r1}Z${r2 > 0 ? `M170 ${130 - r2}A${r2} ${r2} 0 1 0 170.1 ${130 - r2}Z` : ''}`;
  return (
    <Sheet label={label}>
      <Defs id={marks.id} />
      <path className="out" fill={marks.fill('support')} fillRule="evenodd" d={ring(o, s)} />
      <path className="out" fill={marks.fill('pusher')} fillRule="evenodd" d={ring(s, b)} />
      <path className="centre-line-thin" d="M40 130H300M170 4V256" />
      <text className="strong" x="0" y="22">
        {note}
      </text>
    </Sheet>
  );
}

function Screw({ a }: { a: Asked }) {
  const [pitch, flank] = [a.number('pitch'), a.number('flank')];
  const scale = 70 / Math.max(flank, 1);
  const [r, p] = [(flank / 2) * scale, Math.max(6, pitch * scale)];
  const turns = Math.floor(200 / p);
  return (
    <Sheet label={`Screw of ${flank} mm flank diameter, pitch ${pitch} mm`}>
      <path className="out f-sheet" d={`M60 ${130 - r}H260V${130 + r}H60Z`} />
      {Array.from({ length: turns }, (_, i) => (
        <path
          key={i}
          className="thin"
          d={`M${60 + i * p} ${130 + r}L${60 + (i + 0.5) * p} ${130 - r}`}
        />
      ))}
      <path className="hex" d={`M30 ${130 - 1.5 * r}H60V${130 + 1.5 * r}H30Z`} />
      <path className="centre-line-thin" d="M10 130H330" />
      <path className="f-blue" d="M316 130l-26 -12v24Z" />
    </Sheet>
  );
}

function Wheel({ a }: { a: Asked }) {
  const t = tyre(a.word('tyre'));
  const r = 112;
  const rim = (r * Number(/(\d{2})\D*$/u.exec(a.word('tyre'))?.[1] ?? 15) * 25.4) / t.diameterMm;
  return (
    <Sheet label={`Tyre ${a.word('tyre')}, ${t.diameterMm.toFixed(0)} mm`}>
      <circle className="out f-paper" cx="170" cy="130" r={r} />
      <circle className="out f-sheet" cx="170" cy="130" r={rim} />
      <path className="out" d="M30 242H310" />
      <path className="centre-line-thin" d="M40 130H300M170 6V254" />
    </Sheet>
  );
}

function Balls({ a }: { a: Asked }) {
  const n = Math.min(60, Math.max(3, a.number('balls')));
  const scale = 84 / (a.number('pitchMm') / 2);
  const ball = (a.number('ballMm') / 2) * scale;
  return (
    <Sheet label={`${n} balls of ${a.number('ballMm')} mm`}>
      <circle className="out f-paper" cx="170" cy="130" r={84 + ball + 14} />
      <circle className="out f-sheet" cx="170" cy="130" r={84 + ball} />
      {Array.from({ length: n }, (_, i) => (
        <circle
          key={i}
          className="out f-paper"
          cx={170 + 84 * Math.sin((2 * Math.PI * i) / n)}
          cy={130 - 84 * Math.cos((2 * Math.PI * i) / n)}
          r={ball}
        />
      ))}
      <circle className="out f-sheet" cx="170" cy="130" r={Math.max(4, 84 - ball)} />
      <circle className="out f-paper" cx="170" cy="130" r={Math.max(2, 70 - ball)} />
      <path className="centre-line-thin" d="M40 130H300M170 4V256" />
    </Sheet>
  );
}

function Dial({ a }: { a: Asked }) {
  const mm = screwOf(a).movementMm ?? a.number('movement');
  const hand = (mm / 0.5) * 360;
  return (
    <Sheet label={`The dial moves by ${mm.toFixed(3)} mm`}>
      <circle className="out f-sheet" cx="170" cy="130" r="108" />
      {Array.from({ length: 50 }, (_, i) => (
        <path
          key={i}
          className={i % 5 === 0 ? 'out' : 'thin'}
          d={`M${170 + 96 * Math.sin(rad(i * 7.2))} ${130 - 96 * Math.cos(rad(i * 7.2))}L${170 + 106 * Math.sin(rad(i * 7.2))} ${130 - 106 * Math.cos(rad(i * 7.2))}`}
        />
      ))}
      {Array.from({ length: 5 }, (_, i) => (
        <text
          key={i}
          className="figure"
          x={170 + 78 * Math.sin(rad(i * 72))}
          y={136 - 78 * Math.cos(rad(i * 72))}
          textAnchor="middle"
        >
          {(i * 0.1).toFixed(1)}
        </text>
      ))}
      <path
        className="turn-arrow"
        d={`M170 130L${170 + 92 * Math.sin(rad(hand))} ${130 - 92 * Math.cos(rad(hand))}`}
      />
      <circle className="f-blue" cx="170" cy="130" r="7" />
    </Sheet>
  );
}

/** Places of the lock on one line of end play, the window on it. */
function LockPlaces({ a }: { a: Asked }) {
  const [low, high] = [a.number('low'), a.number('high')];
  const { places: every, safe, stepDeg } = lockOf(a);
  const places = every.filter((p) => p === safe || Math.abs(p.turnDeg) <= 2 * stepDeg);
  const all = [low, high, ...places.map((p) => p.playMm)];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const x = (mm: number) => 20 + ((mm - least) / (most - least)) * 300;
  return (
    <Sheet label={safe ? `Lock at ${safe.playMm.toFixed(3)} mm` : 'No place of the lock is inside'}>
      <rect className="expected-fill" x={x(low)} y="60" width={x(high) - x(low)} height="120" />
      <path className="out" d="M20 120H320" />
      {places.map((p) => (
        <g key={p.turnDeg} className={p === safe ? 'read-place now' : ''}>
          <path className="out" d={`M${x(p.playMm)} 100v40`} />
          {p === safe && <circle className="f-blue" cx={x(p.playMm)} cy="120" r="9" />}
          <text className="figure" x={x(p.playMm)} y="160" textAnchor="middle">
            {p.playMm.toFixed(2)}
          </text>
          <text className="cap" x={x(p.playMm)} y="92" textAnchor="middle">
            {p.turnDeg.toFixed(0)}°
          </text>
        </g>
      ))}
      <text className="cap" x="20" y="206">
        end play in mm; the band is the window
      </text>
    </Sheet>
  );
}

/** Two taper rows and the lines of their cups. */
function TaperPair({ a }: { a: Asked }) {
  const [r, cup, apart] = [a.number('radius'), a.number('cup'), a.number('apart')];
  const scale = Math.min(120 / Math.max(apart, 1), 80 / Math.max(r, 1));
  const back = a.word('mounted') === 'back-to-back';
  const row = (side: 1 | -1) => {
    const [x, y] = [170 + (side * apart * scale) / 2, 130 - r * scale];
    const lean = Math.tan((cup * Math.PI) / 180) * 46 * (back ? -side : side);
    return `M${x - 23} ${y + lean / 2}L${x + 23} ${y - lean / 2}`;
  };
  return (
    <Sheet label={`Two rows ${apart} mm apart, ${back ? 'back to back' : 'face to face'}`}>
      <path className="centre-line-thin" d="M10 130H330" />
      {[1, -1].map((side) => (
        <g key={side}>
          <path className="weight-line" d={row(side as 1 | -1)} />
          <path
            className="weight-line"
            d={row(side as 1 | -1)}
            transform="matrix(1 0 0 -1 0 260)"
          />
        </g>
      ))}
      <path
        className="thin"
        d={`M${170 - (apart * scale) / 2} 226v14M${170 + (apart * scale) / 2} 226v14M${170 - (apart * scale) / 2} 233H${170 + (apart * scale) / 2}`}
      />
      <text className="figure" x="170" y="254" textAnchor="middle">
        {both(apart, 'length', 0).value} mm
      </text>
    </Sheet>
  );
}

function Bars({ a }: { a: Asked }) {
  return (
    <Rings
      outside={1.7 * a.number('hex')}
      seat={a.number('hex')}
      bore={0.62 * a.number('hex')}
      label={`Nut on ${a.word('thread')}`}
      note={a.word('thread')}
    />
  );
}

/** The drawing of each calculation, from what was asked. */
export const drawings: Readonly<Record<string, (p: { a: Asked }) => ReactNode>> = {
  'tool-setting': ({ a }) => (
    <HowItStands
      lengthMm={a.number('length')}
      through={{ offsetMm: a.number('offset'), offsetAngleDeg: a.orZero('angle') }}
      setNm={undefined}
    />
  ),
  'body-weight': BodyOnBar,
  clamp: Bars,
  'angle-marks': AngleMarks,
  castle: ({ a }) => {
    const { turn, way } = nextSlotOf(a);
    return (
      <CastleNut
        slots={a.number('slots')}
        holeEnds={a.number('holes')}
        pastDeg={turn.backDeg}
        way={way}
      />
    );
  },
  'end-play': Dial,
  'lock-place': LockPlaces,
  'warm-play': TaperPair,
  tolerance: Zone,
  'press-force': ({ a }) => (
    <Rings
      outside={a.number('outside')}
      seat={a.number('diameter')}
      bore={a.orZero('bore')}
      label="Two parts, one pressed into the other"
      note={`⌀ ${both(a.number('diameter'), 'length', 1).value} mm`}
    />
  ),
  growth: ({ a }) => (
    <Rings
      outside={1.25 * a.number('diameter')}
      seat={a.number('diameter')}
      bore={0}
      label="The part at both temperatures"
      note={`${a.number('from').toFixed(0)} → ${a.number('to').toFixed(0)} °C`}
    />
  ),
  'screw-tool': Screw,
  tyre: Wheel,
  orders: Balls,
};
