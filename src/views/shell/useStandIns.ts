import type { ShopOfJob } from '../../core/schemas/shop.ts';
import { useJob } from './useJob.ts';

/** What simulated instruments are here: as good as real ones, practice, or not to be had. */
export type StandIns = 'as-real' | 'practice' | 'off';

export const standInsIn = ({ demo, standIns }: ShopOfJob): StandIns => {
  if (demo) return 'as-real';
  return standIns ? 'practice' : 'off';
};

export function useStandIns(): StandIns {
  const { shop } = useJob().view.ctx;
  return shop ? standInsIn(shop) : 'as-real';
}

/** What using one means, where it means anything. */
export const standInNote: Record<StandIns, string> = {
  'as-real': '',
  practice: 'Simulated: using it makes this job practice. Its card proves nothing.',
  off: '',
};
