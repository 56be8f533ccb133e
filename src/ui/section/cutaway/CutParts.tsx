import { type Body, type Role, roles } from '../../../core/press/index.ts';
import { rx } from '../BearingHalf.tsx';
import { pieceCut } from '../pieceCut.ts';
import { type Lining, type Point, poly } from '../primitives.tsx';
import { Driver } from './Driver.tsx';
import { bedOpening, type Frame, guessedLine, outline } from './frame.ts';

/** Wire is black; what is not cut is drawn whole. */
function fillOf(b: Body): string {
  if (b.key === 'snap-ring') return ' f-ink';
  return b.lining === 'none' ? ' f-sheet thin2' : '';
}

/** The parts of the work right of the axis, cut. */
export function Bodies({ f, houses }: { f: Frame; houses: boolean }) {
  return (
    <g>
      {f.setup.requirement.picture.bodies
        .filter((b) => (b.houses ?? false) === houses)
        .map((b) => (
          <path
            key={b.key}
            className={`out${fillOf(b)}${guessedLine(f, b.key)}`}
            {...(b.lining === 'none' ? {} : { fill: f.marks.fill(b.lining) })}
            d={outline(f, b)}
          />
        ))}
    </g>
  );
}

const linings: Record<Role, Lining> = {
  cap: 'cap',
  pusher: 'pusher',
  support: 'support',
  riser: 'cap',
};

export function Pieces({ f }: { f: Frame }) {
  const { scene: s, stack, setup, at, y, marks } = f;
  const drawn = setup.requirement.drawn ?? false;
  const opening = bedOpening(f);
  return (
    <g>
      <Driver f={f} side={1} />
      {roles.map((role) => {
        const a = stack[role];
        const z = s.at[role];
        return (
          a &&
          z && (
            <path
              key={role}
              className="out"
              fill={marks.fill(linings[role])}
              d={poly(
                pieceCut(a, z[0], z[1], role === 'cap' || (role === 'pusher' && !drawn)).map(
                  ([r, v]): Point => [rx(at, r), y(v)],
                ),
              )}
            />
          )
        );
      })}
      <path
        className="out"
        fill={marks.fill('bed')}
        d={poly(
          (
            [
              [opening, s.bed],
              [s.radius + 6, s.bed],
              [s.radius + 6, s.bed + 8],
              [opening, s.bed + 8],
            ] as Point[]
          ).map(([r, z]): Point => [rx(at, r), y(z)]),
        )}
      />
    </g>
  );
}
