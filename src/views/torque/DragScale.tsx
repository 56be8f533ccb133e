import { both } from '../../ui/units.ts';

/** A spring scale pulling square to its arm at the stud on the right of the hub, with what it shows. */
export function DragScale({
  hub,
  stud,
  forceN,
  radiusMm,
}: {
  hub: readonly [number, number];
  stud: readonly [number, number];
  forceN: number | undefined;
  radiusMm: number | undefined;
}) {
  const [x, y] = stud;
  const arm = radiusMm === undefined ? undefined : both(radiusMm, 'length', 0);
  const pull = forceN === undefined ? undefined : both(forceN, 'pull');
  // The hand of the scale goes down its tube: full at 30 N.
  const hand = Math.min(1, (forceN ?? 0) / 30) * 60;
  return (
    <g className="drag-scale">
      <path className="way" d={`M${hub[0]} ${hub[1]}H${x}`} />
      <path className="out" d={`M${x} ${y}V${y + 48}`} />
      <path className="out f-sheet" d={`M${x - 13} ${y + 48}h26v88h-26Z`} />
      {[0, 1, 2, 3, 4, 5, 6].map((i) => (
        <path key={i} className="thin" d={`M${x + 3} ${y + 58 + i * 10}h10`} />
      ))}
      <path className="way" d={`M${x - 13} ${y + 58 + hand}h26`} />
      <circle className="out f-paper" cx={x} cy={y + 146} r="9" />
      <path className="f-blue" d={`M${x} ${y + 176}l-7 -16h14Z`} />
      {arm && (
        <text className="cap" x={(hub[0] + x) / 2 + 30} y={hub[1] - 8} textAnchor="middle">
          {arm.value} mm
        </text>
      )}
      {pull && (
        <text className="strong" x={x + 24} y={y + 100}>
          {pull.value} N
        </text>
      )}
    </g>
  );
}
