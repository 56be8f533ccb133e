import { expect, it } from 'vitest';
import { calculators } from '../../core/scratch/index.ts';
import { drawings } from './drawings.tsx';

it('every calculation has its drawing', () => {
  expect(Object.keys(drawings).sort()).toEqual(calculators.map((c) => c.id).sort());
});
