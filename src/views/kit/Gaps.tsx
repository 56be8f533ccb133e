import type { Adapter } from '../../core/press/index.ts';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { useFetched } from '../shell/useFetched.ts';

interface GapList {
  all: number;
  open: string[];
  purchase: { piece: Adapter; opens: string[] } | null;
}

/** What this kit cannot set up on the fleet, and the one piece to turn, borrow or buy. */
export function Gaps({ count }: { count: number }) {
  const { value: gaps, failed } = useFetched<GapList>('/api/kit/gaps', undefined, count);
  if (failed)
    return (
      <section>
        <h2>Gaps on this fleet</h2>
        <TryAgain what="Not worked out" failed={failed} />
      </section>
    );
  if (!gaps) return null;
  const { piece, opens } = gaps.purchase ?? {};
  return (
    <section>
      <h2>Gaps on this fleet</h2>
      <p className="note">
        <b className="num">
          {gaps.all - gaps.open.length} of {gaps.all}
        </b>{' '}
        strokes can be set up with this kit.
      </p>
      {gaps.open.length > 0 && (
        <ul>
          {gaps.open.slice(0, 4).map((g) => (
            <li key={g} className="cap">
              {g}
            </li>
          ))}
        </ul>
      )}
      {piece && opens && (
        <p className="note mt-1">
          One piece would open {opens.length}:{' '}
          <b className="num">
            {piece.outerMm} × {piece.innerMm || 'solid'} × {piece.heightMm} mm
          </b>
          , {piece.shape}, {piece.ratingKn} kN.
        </p>
      )}
    </section>
  );
}
