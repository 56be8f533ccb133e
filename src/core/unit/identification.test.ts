import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { identificationSlip } from './identification.ts';

// ISO 3779 (characters) and 49 CFR 565.15 (check digit), from memory; made-up numbers only.
describe('an identification number', () => {
  it.each([
    ['1'.repeat(17), undefined],
    ['', undefined],
    [`${'1'.repeat(8)} ${'1'.repeat(9)}`, undefined],
    ['1'.repeat(16), '16 characters: it has 17.'],
    [`O${'1'.repeat(16)}`, '“O” never stands in one'],
    [`1111111121111111${1}`, 'The ninth character should be 1'],
    // Elsewhere the ninth place is the maker's own.
    ['ZZZ11111211111111', undefined],
  ])('%s', (typed, said) =>
    said === undefined
      ? expect(identificationSlip(typed)).toBeUndefined()
      : expect(identificationSlip(typed)).toContain(said),
  );
  it('tells every slip of one digit where the check digit is used', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 16 }), fc.integer({ min: 2, max: 9 }), (at, digit) => {
        if (at === 0 && digit > 5) return;
        const typed = [...'1'.repeat(17)];
        typed[at] = String(digit);
        // Weights from 2 to 10 have no factor in common with 11: no single slip cancels.
        expect(identificationSlip(typed.join(''))).toContain('ninth');
      }),
    );
  });
});
