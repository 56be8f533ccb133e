import { median } from '../median.ts';
import type { LifeRecord } from './life.ts';

/** What an hour costs here, and the tax on it; minor units of the currency. */
export interface Rates {
  currency: string;
  ratePerHourMinor: number;
  taxPercent?: number | undefined;
}

/** What hands, bearing and what else was taken by its number came to, tax and all, minor units. `workedMin`: hands on it, minutes. */
export const cameToMinor = (
  workedMin: number,
  partsMinor: readonly number[],
  { ratePerHourMinor, taxPercent = 0 }: Rates,
): number =>
  Math.round(
    partsMinor.reduce((sum, p) => sum + p, (workedMin / 60) * ratePerHourMinor) *
      (1 + taxPercent / 100),
  );

/** Jobs that had a customer's yes, against what their hands and parts came to. */
export interface AgainstQuote {
  of: number;
  /** Those that came to more than was agreed. */
  over: number;
  /** Middle of what it came to over what was agreed. */
  ratio: number;
}

/** Undefined while no job had an agreed sum. Sums of different currencies are held each against its own. */
export function againstQuote(lives: readonly LifeRecord[]): AgainstQuote | undefined {
  const ratios = lives.flatMap(({ money }) =>
    money ? [money.cameToMinor / money.agreedMinor] : [],
  );
  if (ratios.length === 0) return undefined;
  return { of: ratios.length, over: ratios.filter((x) => x > 1).length, ratio: median(ratios) };
}
