import type { Bearing } from '../../core/corner-record.ts';
import { type Marks, type Point, poly } from './primitives.tsx';

export interface Half {
  /** Place of the axis and drawing units per mm. */
  ax: number;
  u: number;
  /** −1 draws the half left of the axis. */
  dir?: 1 | -1;
}

export const rx = ({ ax, u, dir = 1 }: Half, radiusMm: number): number => ax + dir * radiusMm * u;

/** Where the balls stand: centre radius, radius and height of the two rows from the upper face, mm. */
export function rows(b: Bearing) {
  const r = b.ballMm / 2;
  const off = Math.min(b.widthMm * 0.25, b.widthMm / 2 - r * 0.75);
  return { pc: b.pitchMm / 2, r, z: [b.widthMm / 2 - off, b.widthMm / 2 + off] as const };
}

/** One half of a double-row bearing in section: rings, balls with contact lines, seals, encoder. */
export function BearingHalf({
  b,
  at,
  top,
  marks,
  encoderUp,
  wrong,
  innerOnly,
  lit,
  missingInner,
}: {
  b: Bearing;
  at: Half;
  top: number;
  marks: Marks;
  encoderUp?: boolean | undefined;
  wrong?: boolean;
  innerOnly?: boolean;
  lit?: boolean;
  missingInner?: 'upper' | 'lower';
}) {
  const { pc, r, z } = rows(b);
  const Z = (mm: number) => top + mm * at.u;
  const X = (mm: number) => rx(at, mm);
  const R = r * 1.03;
  const arc = (mm: number) => Math.sqrt(Math.max(0, R * R - (mm - pc) ** 2));
  const outerLand = b.outerFaceInnerMm / 2;
  const midOuter = pc + 0.45 * r;
  const innerLand = b.innerFaceOuterMm / 2;
  const midInner = pc - 0.78 * r;
  const B = b.widthMm;
  const c = Math.min(1.2, (b.outerMm - b.outerFaceInnerMm) / 8);
  /** The track leaves the face land above the ball's middle and meets the middle land below it. */
  const track = (zc: number, from: number, to: number, flip: 1 | -1): Point[] => {
    let a0 = Math.atan2(-arc(from), from - pc);
    let a1 = Math.atan2(arc(to), to - pc);
    if (from < pc) {
      a0 = a0 - 2 * Math.PI * Number(a0 > 0);
      a1 = a1 - 2 * Math.PI * Number(a1 > 0);
    }
    return Array.from({ length: 9 }, (_, i) => {
      const a = a0 + ((a1 - a0) * i) / 8;
      return [X(pc + R * Math.cos(a)), Z(zc + flip * R * Math.sin(a))] as Point;
    });
  };
  const outer: Point[] = [
    [X(b.outerMm / 2 - c), Z(0)],
    [X(b.outerMm / 2), Z(c)],
    [X(b.outerMm / 2), Z(B - c)],
    [X(b.outerMm / 2 - c), Z(B)],
    [X(outerLand), Z(B)],
    ...track(z[1], outerLand, midOuter, -1),
    ...track(z[0], outerLand, midOuter, 1).reverse(),
    [X(outerLand), Z(0)],
  ];
  const innerHalf = (zc: number, face: number, flip: 1 | -1): Point[] => [
    [X(b.boreMm / 2 + c), Z(face)],
    [X(innerLand), Z(face)],
    ...track(zc, innerLand, midInner, flip),
    [X(midInner), Z(B / 2)],
    [X(b.boreMm / 2), Z(B / 2)],
    [X(b.boreMm / 2), Z(face + flip * c)],
  ];
  const sealAt = (face: number, flip: 1 | -1, isEncoder: boolean) => {
    const zs = Z(face + flip * 0.5);
    const ze = Z(face + flip * (isEncoder ? 2.4 : 1.7));
    return (
      <rect
        key={face}
        className={isEncoder ? `encoder${wrong ? ' wrong' : ''}` : 'seal'}
        x={Math.min(X(innerLand + 0.4), X(outerLand - 0.4))}
        width={Math.abs(X(outerLand - 0.4) - X(innerLand + 0.4))}
        y={Math.min(zs, ze)}
        height={Math.abs(ze - zs)}
      />
    );
  };
  const hasEncoder = b.encoder.kind !== 'none' && encoderUp !== undefined;
  return (
    <g>
      {!innerOnly && (
        <path className={`out${lit ? ' lit' : ''}`} fill={marks.fill('outer')} d={poly(outer)} />
      )}
      {missingInner !== 'upper' && (
        <path className="out" fill={marks.fill('inner')} d={poly(innerHalf(z[0], 0, 1))} />
      )}
      {missingInner !== 'lower' && (
        <path className="out" fill={marks.fill('inner')} d={poly(innerHalf(z[1], B, -1))} />
      )}
      {sealAt(0, 1, hasEncoder && encoderUp === true)}
      {sealAt(B, -1, hasEncoder && encoderUp === false)}
      {z.map((zc, i) => (
        <g key={zc}>
          <circle className="ball" cx={X(pc)} cy={Z(zc)} r={r * at.u} />
          <path className="ball-centre" d={`M${X(pc) - 5} ${Z(zc)}h10M${X(pc)} ${Z(zc) - 5}v10`} />
          <path
            className="contact-angle"
            d={`M${X(pc - 1.25 * r * Math.cos(0.61))} ${Z(zc + (i === 0 ? -1 : 1) * 1.25 * r * Math.sin(0.61))}L${X(pc + 1.25 * r * Math.cos(0.61))} ${Z(zc + (i === 0 ? 1 : -1) * 1.25 * r * Math.sin(0.61))}`}
          />
        </g>
      ))}
    </g>
  );
}
