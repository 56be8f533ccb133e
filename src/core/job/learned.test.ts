import { describe, expect, it } from 'vitest';
import { context, event, job } from '../../../tests/job-example.ts';
import { learnedOn } from './index.ts';

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
