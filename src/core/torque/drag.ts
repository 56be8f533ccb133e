import { type Said, saying } from '../rules/index.ts';

/** Drag of a hub as a spring scale reads it on an arm. */
export interface DragRead {
  /** Newtons; the first of them is what it took to start the hub, and is not read. */
  forcesN: readonly number[];
  /** From the middle of the hub to where the scale pulls, mm. */
  radiusMm: number;
  /** What the seal drags alone, N·m, where it was read before. */
  sealNm?: number | undefined;
}

/** Drag of a preloaded pair, N·m: the mean of what keeps it turning, less the seal's own. Statics. Throws RangeError. */
export function dragNm({ forcesN, radiusMm, sealNm = 0 }: DragRead): number {
  const [, ...turning] = forcesN;
  if (turning.length === 0)
    throw new RangeError('forcesN: the first movement and at least one reading after it');
  if (!(radiusMm > 0)) throw new RangeError('radiusMm: over 0 mm');
  const mean = turning.reduce((a, f) => a + f, 0) / turning.length;
  return Number(((mean * radiusMm) / 1000 - sealNm).toFixed(3));
}

/** Why the readings give no drag; undefined where they do. */
export function dragFault(read: DragRead): Said | undefined {
  if (read.forcesN.length < 2) return saying('torque.drag-once', 'refuses');
  const nm = dragNm(read);
  return nm < 0
    ? saying('torque.drag-seal', 'refuses', { with: { seal: read.sealNm ?? 0 } })
    : undefined;
}

/** How the tool of a drag that a scale read is named on record. */
export const springScale = 'spring-scale';

/** "first 18 N, then 10, 10 N at 57 mm, seal 0.2 N·m" */
export function dragInWords({ forcesN, radiusMm, sealNm }: DragRead): string {
  const [first, ...turning] = forcesN;
  const seal = sealNm === undefined ? '' : `, seal ${sealNm} N·m`;
  return `first ${first} N, then ${turning.join(', ')} N at ${radiusMm} mm${seal}`;
}
