import { type Judgement, reasonsOf, type Role } from '../../core/press/index.ts';
import { rx } from './BearingHalf.tsx';
import type { Frame } from './cutaway/frame.ts';
import type { Point } from './primitives.tsx';

/** Height of the face that the reason speaks of: the working face of a pusher, the middle of a spacer. */
function faceOf(role: Role, [top, foot]: readonly [number, number], drawn: boolean): number {
  if (role === 'pusher' && !drawn) return foot;
  return role === 'cap' ? (top + foot) / 2 : top;
}

/** Why a piece is wrong, at the place where it is wrong: a few words on a leader, the whole sentence is in the call. */
export function Whys({ f, judgement }: { f: Frame; judgement: Judgement }) {
  const { scene: s, stack, at, y } = f;
  const seen = new Set<string>();
  const list = reasonsOf(judgement, stack)
    .filter((w) => !seen.has(w.role) && seen.add(w.role))
    .slice(0, 3);
  return (
    <g>
      {list.map((w, i) => {
        const z = s.at[w.role];
        if (!z) return null;
        const face = faceOf(w.role, z, f.setup.requirement.drawn === true);
        const from: Point = [rx(at, w.radiusMm), y(face)];
        const yy = Math.min(560, Math.max(56 + 46 * i, y(face) + (w.role === 'pusher' ? -26 : 30)));
        const lines = wrap(w.text, 24);
        return (
          <g key={w.role} className={`why ${w.status}`}>
            <circle className="why-point" cx={from[0]} cy={from[1]} r="7" />
            <path className="why-line" d={`M${from[0]} ${from[1]}L284 ${yy + 4}`} />
            <rect
              className="why-box"
              x="84"
              y={yy - 17}
              width="200"
              height={lines.length * 19 + 9}
            />
            {lines.map((t, k) => (
              <text key={t} className="why-text" x="92" y={yy + k * 19}>
                {t}
              </text>
            ))}
          </g>
        );
      })}
    </g>
  );
}

function wrap(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < most)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
