import { type CataloguePart, meanOf, type OldPart } from '../../core/matching/index.ts';

const centre = 220;

/** A flange from behind: bolt circle, pilot and studs of the new part in blue, what was read of the old one dashed over it. */
export function FlangeOver({
  part,
  old,
  lit,
}: {
  part: CataloguePart;
  old: OldPart['readings'];
  lit: string | undefined;
}) {
  const f = part.flange;
  if (!f)
    return (
      <p className="note big">
        The catalogue does not say what the flange of {part.number} is like.
      </p>
    );
  const read = {
    circle: meanOf(old.boltCircleMm),
    pilot: meanOf(old.pilotMm),
    bolts: meanOf(old.boltCount),
    studs: meanOf(old.studCount),
    splines: meanOf(old.splineCount),
  };
  const u = 300 / Math.max(f.boltCircleMm + 34, (read.circle ?? 0) + 34);
  const at = (n: number, i: number, d: number) => ({
    cx: centre + (d / 2) * u * Math.sin((2 * Math.PI * i) / n),
    cy: centre - (d / 2) * u * Math.cos((2 * Math.PI * i) / n),
  });
  const holes = (n: number, d: number, cls: string, r: number) =>
    Array.from({ length: n }, (_, i) => <circle key={i} className={cls} {...at(n, i, d)} r={r} />);
  return (
    <svg
      className="drawing old-over-new"
      viewBox="0 0 540 440"
      role="img"
      aria-label={`Flange of ${part.number}: ${f.bolts} bolts on ${f.boltCircleMm} mm, pilot ${f.pilotMm} mm`}
    >
      <path
        className="out f-sheet thin2"
        d={flangeOutline(f.bolts, (f.boltCircleMm / 2 + 12) * u)}
        transform={`translate(${centre} ${centre})`}
      />
      <circle
        className={`new-line${lit === 'pilotMm' ? ' lit-line' : ''}`}
        cx={centre}
        cy={centre}
        r={(f.pilotMm / 2) * u}
      />
      <circle className="centre-line-thin" cx={centre} cy={centre} r={(f.boltCircleMm / 2) * u} />
      {holes(f.bolts, f.boltCircleMm, 'new-line', 6 * u)}
      {part.splines && (
        <circle
          className="splines"
          cx={centre}
          cy={centre}
          r={(part.splines.majorMm / 2) * u}
          pathLength={100}
          strokeDasharray={`${50 / part.splines.count} ${50 / part.splines.count}`}
        />
      )}
      <path
        className="centre-line-thin"
        d={`M${centre - 190} ${centre}H${centre + 190}M${centre} ${centre - 190}V${centre + 190}`}
      />
      {read.pilot !== undefined && (
        <circle className="old-line" cx={centre} cy={centre} r={(read.pilot / 2) * u} />
      )}
      {read.circle !== undefined &&
        holes(Math.max(1, Math.round(read.bolts ?? f.bolts)), read.circle, 'old-line', 5 * u)}
      <text className="strong" x="4" y="18">
        From behind
      </text>
      {[
        ['pilot', read.pilot?.toFixed(2), f.pilotMm],
        ['bolt circle', read.circle?.toFixed(2), f.boltCircleMm],
        ['bolts', read.bolts, f.bolts],
        ['studs', read.studs, f.studs],
        ['splines', read.splines, part.splines?.count],
      ].map(([name, o, n], i) => (
        <g key={name}>
          <text x="424" y={300 + 26 * i}>
            {name}
          </text>
          <text className="figure strong" x="540" y={300 + 26 * i} textAnchor="end">
            {o ?? '?'} / {n ?? '?'}
          </text>
        </g>
      ))}
      <text className="cap" x="540" y="274" textAnchor="end">
        old / new
      </text>
    </svg>
  );
}

/** Lobes round the bolts. */
function flangeOutline(n: number, r: number): string {
  const points = Array.from({ length: 120 }, (_, i) => {
    const a = (2 * Math.PI * i) / 120;
    const k = r * (0.88 + 0.12 * Math.cos(n * a));
    return `${(k * Math.sin(a)).toFixed(1)} ${(-k * Math.cos(a)).toFixed(1)}`;
  });
  return `M${points.join('L')}Z`;
}
