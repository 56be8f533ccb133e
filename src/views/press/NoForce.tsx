import { type Setup, seatToleranceMm } from '../../core/press/index.ts';
import type { Scene } from '../../ui/section/scene.ts';

/** Blows have no gauge: only where it has to stand in the end. */
export function NoForce({
  setup,
  y,
  scene,
}: {
  setup: Setup;
  y: (mm: number) => number;
  scene: Scene;
}) {
  const [x0, at] = [640, y(scene.leadHome)];
  return (
    <g>
      {setup.requirement.fitting && (
        <>
          <path className="projection at-seat" d={`M520 ${at}H${x0}`} />
          <text x={x0} y={at - 10}>
            Home at{' '}
            <tspan className="figure">
              {setup.requirement.travelMm.toFixed(1)} ± {seatToleranceMm} mm
            </tspan>
          </text>
        </>
      )}
      <text className="cap" x={x0} y={at + 22}>
        By hammer: no force is read.
      </text>
      <text className="cap" x={x0} y={at + 42}>
        A press would take {setup.forceKn.low.toFixed(0)}–{setup.forceKn.high.toFixed(0)} kN.
      </text>
    </g>
  );
}
