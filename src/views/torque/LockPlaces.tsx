import type { AdjustNow } from '../../core/job/index.ts';
import { type Hand, turnWords } from '../../core/torque/index.ts';
import { VerdictWord } from '../../ui/Marks.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { both } from '../../ui/units.ts';

/** What each place leaves, with its call. */
export function LockPlaces({ now, hand }: { now: AdjustNow; hand: Hand }) {
  const { adjusted } = now;
  if (!adjusted) return null;
  return (
    <ol className="adjust-places">
      {adjusted.places.map((p) => {
        const b = both(p.playMm, 'length', 3);
        const taken = p.name === adjusted.safe?.name;
        return (
          <li key={p.name} className={taken ? 'now' : ''}>
            <b className="num">{p.name}</b>
            <p>
              <b className="num">{b.value} mm</b> <span className="num">{b.other}</span>
              <span>
                {turnWords(p.turnDeg < 0 ? 'loosen' : 'tighten', hand)}{' '}
                {Math.abs(p.turnDeg).toFixed(1)}°. <RuleLink said={p.verdict} />
              </span>
            </p>
            <VerdictWord status={p.verdict.status} size={22} />
          </li>
        );
      })}
    </ol>
  );
}
