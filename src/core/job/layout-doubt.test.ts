import { expect, it } from 'vitest';
import demo from '../../../demo-data/workshop.json' with { type: 'json' };
import { corners } from '../corner.ts';
import type { Layout } from '../diagnosis/index.ts';
import { familyByCode } from '../families/index.ts';
import { sentence } from '../rules/index.ts';
import { layoutDoubt } from './index.ts';

it('a family that cannot stand at a corner is told, and only then', () => {
  // Common practice, no published source.
  expect(layoutDoubt('A3', 'front', 'LR')?.status).toBe('check');
  expect(sentence(layoutDoubt('A3', 'front', 'LR')!)).toMatch(
    /driven solid axle.*left rear.*front-wheel drive/u,
  );
  expect(layoutDoubt('T2', 'front', 'LF')?.rule).toBe('match.layout');
  expect(layoutDoubt('P3L', 'all', 'RR')?.rule).toBe('match.layout');
  expect(layoutDoubt('A1', 'rear', 'LR')?.rule).toBe('match.layout');
  expect(layoutDoubt('A1', 'all', 'LF')).toBeUndefined();
  expect(layoutDoubt('P1', 'solid-rear', 'LR')).toBeUndefined();
  for (const u of demo.units)
    for (const corner of corners) {
      const code = familyByCode(
        (u.corners as Record<string, { family?: string }>)[corner]?.family,
      )?.code;
      expect(layoutDoubt(code, u.layout as Layout, corner), `${u.id} ${corner}`).toBeUndefined();
    }
});
