import { describe, expect, it } from 'vitest';
import { context, event, job } from '../../../tests/job-example.ts';
import { fastenerOn, fastenersLearned, figureOn, learnedOn, notAlike } from './index.ts';
import { sentence } from '../rules/index.ts';

const reach = event('figure-read', { path: 'knuckle.wheelSideReachMm', value: 190 });
const typed = event('procedure-entered', {
  procedure: {
    id: 'nut-07',
    name: 'n',
    fastener: 'nut',
    stretch: false,
    singleUse: true,
    thread: 'dry',
    hexMm: 32,
    stages: [{ id: 'a', kind: 'torque', text: 'pull', why: 'so', wheel: 'air', value: 120 }],
    source: 'book, page 12',
  },
});

describe('what a job learns', () => {
  it('is nothing where the record knew it all', () =>
    expect(learnedOn(job([]), '2026-0001')).toBeUndefined());
  it('stands beside what was known, which keeps its source', () => {
    const { corner, procedure } = learnedOn(job([reach]), '2026-0001')!;
    expect(corner.knuckle).toMatchObject({ wheelSideReachMm: 190, bossDepthMm: 49 });
    expect(corner.source).toBe('made up; read on job 2026-0001');
    expect([corner.outlined, procedure]).toEqual([undefined, undefined]);
  });
  it('never replaces the procedure of another unit, whatever id was typed', () => {
    const { corner, procedure } = learnedOn(job([typed]), '2026-0001')!;
    expect(procedure).toMatchObject({ id: 'job-2026-0001', source: 'book, page 12' });
    expect(corner.procedureId).toBe('job-2026-0001');
  });
  it('lists what was only drawn of a corner of which nothing was known', () => {
    const bare = context();
    bare.unit.corners = {};
    const named = event('family-named', { code: 'P1', probability: 0.9, answers: {} });
    const chosen = { match: { version: 1, value: { partNumber: 'A1' } } };
    const { corner } = learnedOn(job([named, reach], bare, chosen), '2026-0001')!;
    expect(corner).toMatchObject({ family: 'P1', source: 'read on job 2026-0001' });
    expect(corner.outlined).toContain('knuckle.bossDepthMm');
    expect(corner.outlined).not.toContain('knuckle.wheelSideReachMm');
  });
});

describe('what was taken over from another corner', () => {
  const bare = context();
  bare.unit.corners = {};
  const named = event('family-named', { code: 'P1', probability: 0.9, answers: {} });
  const chosen = { match: { version: 1, value: { partNumber: 'A1' } } };
  const lent = (path: string, value: number) =>
    event('figure-read', { path, value, takenFrom: '08 LF' });
  const both = [named, lent('knuckle.bossDepthMm', 49), lent('knuckle.shoulderMm', 68)];
  const read = (value: number) => event('figure-read', { path: 'knuckle.shoulderMm', value });

  it('stays so in the record until it is measured', () => {
    const learned = (more: ReturnType<typeof read>[]) =>
      learnedOn(job([...both, ...more], bare, chosen), 'x')!.corner.takenOver;
    expect(learned([])).toEqual(['knuckle.bossDepthMm', 'knuckle.shoulderMm']);
    expect(learned([read(68.2)])).toEqual(['knuckle.bossDepthMm']);
  });
  it('falls altogether where one measure contradicts it, with both figures', () => {
    const now = job([...both, read(66)], bare, chosen);
    expect(now.state.notAlike).toEqual({
      path: 'knuckle.shoulderMm',
      hereMm: 66,
      thereMm: 68,
      takenFrom: '08 LF',
    });
    expect(sentence(notAlike(now)!)).toContain('66.0 mm here, 68.0 mm at 08 LF');
    expect(figureOn(now, 'knuckle.bossDepthMm')).toBeUndefined();
    expect(figureOn(now, 'knuckle.shoulderMm')).toBe(66);
  });
});

describe('fasteners read on a job', () => {
  const wheelNuts = event('fastener-read', {
    fastenerId: 'wheel-nuts',
    fastener: { torqueNm: 120, source: 'plate in the door' },
    takenFrom: '08 LF',
  });
  it('stand before the record and go into it with the job behind their source', () => {
    const now = job([wheelNuts]);
    expect(fastenerOn(now, 'wheel-nuts')).toMatchObject({ name: 'Wheel nuts', torqueNm: 120 });
    expect(fastenerOn(now, 'strut')).toBeUndefined();
    expect(fastenersLearned(now, '2026-0001')).toEqual({
      'wheel-nuts': {
        name: 'Wheel nuts',
        torqueNm: 120,
        source: 'as 08 LF, not held against the manual here; plate in the door; job 2026-0001',
      },
    });
  });
});
