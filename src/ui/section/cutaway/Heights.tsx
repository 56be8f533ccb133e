import type { Adapter, Role } from '../../../core/press/index.ts';
import { rx } from '../BearingHalf.tsx';
import { Dim } from '../primitives.tsx';
import type { Frame } from './frame.ts';

/** Heights of the pieces on the left. */
export function Heights({ f }: { f: Frame }) {
  const { scene: s, stack, at, y, marks } = f;
  // The upper ones keep clear of the buttons beside the drawing.
  const x = (a: Adapter) => Math.max(a === stack.pusher ? 96 : 34, rx(at, -a.outerMm / 2) - 20);
  return (
    <g>
      {(
        (f.setup.requirement.drawn
          ? ['support', 'riser']
          : ['pusher', 'support', 'riser']) as Role[]
      ).map((role) => {
        const a = stack[role];
        const z = s.at[role];
        return (
          a &&
          z && (
            <Dim
              key={role}
              marks={marks}
              from={[x(a), y(z[0])]}
              to={[x(a), y(z[1])]}
              text={String(a.heightMm)}
            />
          )
        );
      })}
    </g>
  );
}
