import { type Adapter, roles } from '../../../core/press/index.ts';
import { rx } from '../BearingHalf.tsx';
import { Driver } from './Driver.tsx';
import { bedOpening, type Frame, guessedLine, rect, silhouette } from './frame.ts';

/** Left of the axis: what the eye sees; a housing covers what is in it. */
export function Outside({ f }: { f: Frame }) {
  const { scene: s, stack, y, at, setup } = f;
  const { bodies } = setup.requirement.picture;
  const seen = bodies.filter((b) => b.lining !== 'none');
  const etch = (a: Adapter, z0: number, z1: number) =>
    (z1 - z0) * at.u > 20 && (a.outerMm / 2) * at.u > 60 ? (
      <text
        className="etch"
        x={rx(at, -a.outerMm / 4)}
        y={(y(z0) + y(z1)) / 2 + 5}
        textAnchor="middle"
      >
        {a.innerMm ? `${a.outerMm} × ${a.innerMm}` : `Ø ${a.outerMm}`}
      </text>
    ) : null;
  const inside = seen.some((b) => b.houses)
    ? Math.min(...seen.filter((b) => b.houses).flatMap((b) => b.edge.map(([, z]) => z)))
    : Infinity;
  const outside = Math.max(
    ...seen.filter((b) => b.houses).flatMap((b) => b.edge.map(([, z]) => z)),
    -Infinity,
  );
  return (
    <g>
      <Driver f={f} side={-1} />
      {seen
        .filter((b) => !b.houses)
        .map((b) => (
          <path
            key={b.key}
            className={`out f-sheet${guessedLine(f, b.key)}`}
            d={silhouette(f, b)}
          />
        ))}
      {(setup.requirement.drawn ? (['support', 'riser'] as const) : roles).map((role) => {
        const a = stack[role];
        const z = s.at[role];
        return (
          a &&
          z && (
            <path
              key={role}
              className="out f-kit"
              d={rect(f, a.outerMm / 2, z[0], z[1], a.shape === 'legs' ? a.innerMm / 2 : 0)}
            />
          )
        );
      })}
      {seen
        .filter((b) => b.houses)
        .map((b) => (
          <path
            key={b.key}
            className={`out f-paper${guessedLine(f, b.key)}`}
            d={silhouette(f, b)}
          />
        ))}
      <path className="out f-paper" d={rect(f, s.radius + 6, s.bed, s.bed + 8, bedOpening(f))} />
      {s.at.pusher &&
        !setup.requirement.drawn &&
        etch(
          stack.pusher,
          s.at.pusher[0],
          Math.min(s.at.pusher[1], setup.requirement.drawn ? s.at.pusher[1] : inside),
        )}
      {stack.support &&
        s.at.support &&
        stack.support.shape !== 'legs' &&
        etch(stack.support, Math.max(s.at.support[0], outside), s.at.support[1])}
    </g>
  );
}
