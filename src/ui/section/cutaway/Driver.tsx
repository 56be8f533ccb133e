import { rx } from '../BearingHalf.tsx';
import { axisX } from '../layout.ts';
import type { Frame } from './frame.ts';

/** What gives the force: the nose of a ram, the washer and rod of a screw, the face of a hammer. */
export function Driver({ f, side }: { f: Frame; side: 1 | -1 }) {
  const {
    setup: {
      press,
      requirement: { drawn },
    },
    scene: s,
    y,
    at,
  } = f;
  const x = (r: number) => rx(at, side * r);
  if (press.kind === 'screw' && press.screw) {
    const rod = press.screw.rodMm / 2;
    return (
      <g>
        <path
          className="out f-paper"
          d={`M${x(0)} ${y(drawn ? s.ramBottom - 14 : s.top - 6)}H${x(rod)}V${y(s.bed + 8)}H${x(0)}z`}
        />
        <path
          className="out f-paper"
          d={`M${x(rod)} ${y(s.ramBottom)}H${x(press.ramMm / 2)}V${y(s.ramBottom - 5)}H${x(rod)}z`}
        />
      </g>
    );
  }
  if (drawn)
    return (
      <path
        className="out f-paper"
        d={`M${x(0)} ${y(s.ramBottom - 12)}H${x(9)}V${y(s.bed + 8)}H${x(0)}z`}
      />
    );
  const r = press.kind === 'hammer' ? 16 : press.ramMm / 2;
  return (
    <path
      className="out f-paper"
      d={`M${axisX} ${y(s.ramBottom)}H${x(r)}V${y(s.top) + 6}q${(-side * r * at.u) / 2} ${side * 14} ${-side * r * at.u} 0z`}
    />
  );
}
