import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { rulesInMarkdown } from '../../../scripts/rules-markdown.ts';
import { verdict } from '../verdict.ts';
import { ruleHref } from './address.ts';
import { foundIn } from './found.ts';
import { limitOf, ruleGroups, ruleIds, ruleOfOverride, saying, sentence } from './index.ts';

describe('rules', () => {
  it('have an id each: none takes the place of another', () =>
    expect(ruleGroups.flatMap((g) => Object.keys(g.rules)).sort()).toEqual([...ruleIds].sort()));
  it('stand in docs/rules.md as they are (npm run rules writes it)', () =>
    expect(readFileSync('docs/rules.md', 'utf8')).toBe(rulesInMarkdown()));
  it('speak only at the level they have', () => {
    expect(() => saying('press.path', 'stop')).toThrow(/^rule: press\.path never stop/u);
    expect(() => verdict('job.signed')).toThrow(/^rule: job\.signed/u);
  });
  it('write a limit from the figures alone', () => {
    const band = { rule: 'stroke.easy', min: 3, max: 9, unit: 'kN' } as const;
    const most = { rule: 'press.capacity', max: 196, unit: 'kN' } as const;
    const least = { rule: 'kit.rating', min: 11.75, unit: 'kN' } as const;
    expect([band, most, least, { rule: 'press.path' } as const].map(limitOf)).toEqual([
      '3.0–9.0 kN',
      'at most 196.0 kN',
      'at least 11.8 kN',
      undefined,
    ]);
  });
  it('are found again from what an override names', () =>
    expect(
      ['seat.bore', 'match.open-item:nut', 'torque.unchecked', 'x'].map(ruleOfOverride),
    ).toEqual(['seat.stop', 'match.open-item', 'torque.unchecked', undefined]));
});

describe('a verdict in an address', () => {
  const said = { rule: 'kit.rating', part: 'Ring 75', value: 4, min: 11.8, unit: 'kN' } as const;
  const at = { what: 'Job 2026-0001, Press in', href: '/jobs/01-ab/press-in' };
  const read = (href: string) =>
    foundIn(Object.fromEntries(new URL(href, 'http://x').searchParams));
  it('is read as it was written', () => expect(read(ruleHref(said, at))).toEqual({ said, at }));
  it.each([
    ['no rule of ours', { found: JSON.stringify({ rule: 'x' }) }],
    ['no JSON', { found: '{' }],
    ['a field too many', { found: JSON.stringify({ ...said, html: '<b>' }) }],
  ])('with %s says nothing', (_what, query) => expect(foundIn(query)).toEqual({}));
  it('leads to no other address than a job’s', () =>
    expect(read(ruleHref(said, { what: 'x', href: 'javascript:alert(1)' })).at).toBeUndefined());
  it('says the same sentence there', () =>
    expect(sentence(read(ruleHref(said)).said!)).toBe(
      'Ring 75 is rated 4.0 kN; this stroke may need 11.8 kN.',
    ));
});
