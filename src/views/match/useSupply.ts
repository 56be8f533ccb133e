import { itemsOf } from '../../core/families/index.ts';
import { cornerRecord, familyCodeOf } from '../../core/job/index.ts';
import { type SizeNeeded, sizeNeeded } from '../../core/matching/index.ts';
import type { Consumable } from '../../core/schemas/workshop.ts';
import { useFetched } from '../shell/useFetched.ts';
import { useJob } from '../shell/useJob.ts';

/** What the shop can take for the items of this job: by the size its record gives, or any where size does not matter. */
export function useSupply() {
  const { view } = useJob();
  const items = itemsOf(familyCodeOf(view)).filter((i) => i.id !== 'bearing');
  const needed: Record<string, SizeNeeded> = Object.fromEntries(
    items.map((i) => [i.id, sizeNeeded(i, cornerRecord(view))]),
  );
  const wanted = items.filter((i) => needed[i.id]?.kind !== 'by-the-old-one').map((i) => i.id);
  const sizes = Object.fromEntries(
    Object.entries(needed).flatMap(([id, n]) => (n.kind === 'size' ? [[id, n.size]] : [])),
  );
  const { value: supply, failed } = useFetched<Record<string, Consumable[]>>(
    wanted.length > 0 ? '/api/consumables/search' : undefined,
    { items: wanted, sizes },
  );
  return { supply, failed, needed };
}
