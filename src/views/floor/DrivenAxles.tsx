import type { Layout } from '../../core/diagnosis/index.ts';

const driven: Record<Layout, { front: boolean; rear: boolean; solid: boolean }> = {
  front: { front: true, rear: false, solid: false },
  rear: { front: false, rear: true, solid: false },
  all: { front: true, rear: true, solid: false },
  'solid-rear': { front: false, rear: true, solid: true },
};

/** The car from above: driven axles are drawn through, a solid one as a tube. */
export function DrivenAxles({ layout }: { layout: Layout }) {
  const { front, rear, solid } = driven[layout];
  const axle = (y: number, on: boolean) =>
    on ? <path className="lit-line" d={`M9 ${y}H31`} /> : null;
  return (
    <svg width="40" height="56" viewBox="0 0 40 56" aria-hidden="true" className="drawing axles">
      <rect className="out" x="13" y="3" width="14" height="50" rx="5" />
      {[12, 44].flatMap((y) =>
        [5, 31].map((x) => (
          <rect key={`${x}-${y}`} className="out" x={x} y={y - 5} width="4" height="10" />
        )),
      )}
      {axle(12, front)}
      {axle(44, rear)}
      {solid && <rect className="out" x="9" y="41" width="22" height="6" />}
    </svg>
  );
}
