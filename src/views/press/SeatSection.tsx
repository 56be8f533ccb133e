import type { SeatKind } from '../../core/fits/index.ts';
import { chosenPart, familyCodeOf, seatName } from '../../core/job/index.ts';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { useJob } from '../shell/useJob.ts';

/** Where seats lie, in the section of the family: the rings that sit on them are marked. */
export function SeatSection({ kinds }: { kinds: readonly SeatKind[] }) {
  const { view } = useJob();
  const family = familyCodeOf(view);
  if (!family) return null;
  const names = kinds.map((k) => seatName(view, k).toLowerCase());
  return (
    <FamilySection
      code={family}
      ring={chosenPart(view)?.bearing}
      lit={kinds.map((k) => (k === 'bore' ? 'outer' : 'inner'))}
      label={`Section: the ${names.join(' and the ')}`}
    />
  );
}
