/** How the hub is kept from turning while its nut is pulled, drawn on it: a bar across two studs, or the wheel on the ground. */
export function HubHeld({
  wheel,
  stud,
}: {
  wheel: 'air' | 'ground';
  /** Centres of the two studs that the bar goes by: over the first, under the second. */
  stud: readonly [readonly [number, number], readonly [number, number]] | undefined;
}) {
  if (wheel === 'ground')
    return (
      <g className="hub-held">
        <path className="out" d="M96 508H560" />
        <path
          className="ground-hatch"
          d="M100 520l12 -12M140 520l12 -12M180 520l12 -12M500 520l12 -12M540 520l12 -12"
        />
        <text className="cap" x="104" y="500">
          wheel on the ground, brake held
        </text>
      </g>
    );
  if (!stud) return null;
  const [over, under] = stud;
  const [a, b] = [
    { x: over[0], y: over[1] - 29 },
    { x: under[0], y: under[1] + 29 },
  ];
  const slope = (b.y - a.y) / (b.x - a.x);
  const at = (x: number) => `${x} ${(a.y + slope * (x - a.x)).toFixed(1)}`;
  const [from, to] = [a.x - 46, 556];
  return (
    <g className="hub-held">
      <path className="tool-bar" d={`M${at(from)}L${at(to)}`} strokeWidth="17" />
      <path className="tool-bar-core" d={`M${at(from)}L${at(to)}`} strokeWidth="14" />
      <text className="cap" x="0" y="500">
        hub held: bar across two studs,
      </text>
      <text className="cap" x="0" y="517">
        threads covered, end on the floor
      </text>
    </g>
  );
}
