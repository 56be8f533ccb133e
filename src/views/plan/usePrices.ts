import { readMoney } from '../../core/units/index.ts';
import { useDraftOf } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';

type Typed = Record<string, string>;
const isTyped = (x: unknown): x is Typed =>
  typeof x === 'object' && x !== null && Object.values(x).every((v) => typeof v === 'string');

/** Prices that nobody has on record, typed here by what they are for. */
export function usePrices(currency: string | undefined) {
  const { job } = useJob().view;
  const [typed = {}, setTyped] = useDraftOf(`${job.id}:quote:prices`, isTyped);
  return {
    text: (id: string) => typed[id] ?? '',
    minor: (id: string) => (currency ? readMoney(typed[id] ?? '', currency) : undefined),
    set: (id: string, price: string) => setTyped({ ...typed, [id]: price }),
  };
}
export type Prices = ReturnType<typeof usePrices>;
