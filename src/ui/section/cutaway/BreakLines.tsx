import { rx } from '../BearingHalf.tsx';
import type { Frame } from './frame.ts';

/** Where a stretch is left out: two thin wavy lines over everything. */
export function BreakLines({ f, cut }: { f: Frame; cut: readonly [number, number] }) {
  const r = Math.max(f.stack.pusher.outerMm / 2, 20) + 6;
  const w = r * f.at.u;
  const wave = (y: number) => `M${rx(f.at, -r)} ${y}q${w / 2} 5 ${w} 0t${w} 0`;
  const [a, b] = [f.y(cut[0]), f.y(cut[1])];
  return (
    <g>
      <rect className="break-gap" x={rx(f.at, -r)} y={a} width={2 * w} height={b - a} />
      <path className="thin" d={wave(a)} />
      <path className="thin" d={wave(b)} />
    </g>
  );
}
