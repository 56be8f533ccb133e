/** Why a PIN is too easily guessed; undefined when it is not. Common practice, no published source. */
export function weakPin(pin: string): string | undefined {
  if (!/^\d{4,8}$/u.test(pin)) return 'A PIN has 4 to 8 digits.';
  if (/^(\d)\1+$/u.test(pin)) return 'All digits are the same: anybody tries that first.';
  const steps = [...pin].slice(1).map((d, i) => Number(d) - Number(pin[i]));
  if (steps.every((s) => s === 1) || steps.every((s) => s === -1))
    return 'The digits run in order: anybody tries that first.';
  return undefined;
}
