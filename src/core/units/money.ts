const formatOf = (currency: string) =>
  new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'code' });

/** Whether a text can be a currency's code, three letters. */
export const isCurrency = (code: string | undefined): code is string =>
  code !== undefined && /^[A-Z]{3}$/u.test(code);

/** How many minor units one unit of a currency has: 100 of most, 1 of some. ISO 4217, by the runtime’s own table. */
export const minorPerUnit = (currency: string): number =>
  10 ** (formatOf(currency).resolvedOptions().maximumFractionDigits ?? 2);

/** "EUR 266.25": minor units as they are read. */
export const moneyInWords = (minor: number, currency: string): string =>
  formatOf(currency).format(minor / minorPerUnit(currency));

/** An amount as it is typed, in minor units; undefined for what is none. */
export function readMoney(text: string, currency: string): number | undefined {
  const plain = text.trim().replaceAll(/[\s']/gu, '').replace(',', '.');
  if (!/^\d+(?:\.\d+)?$/u.test(plain)) return undefined;
  return Math.round(Number(plain) * minorPerUnit(currency));
}
