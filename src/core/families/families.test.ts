import { describe, expect, it } from 'vitest';
import { p1Steps, walkSteps } from './index.ts';
import { schedule } from '../plan/index.ts';

describe('steps', () => {
  it('rebuild is the strip turned round, with its own words', () => {
    const strip = walkSteps(p1Steps, 'strip').map((s) => s.id);
    const rebuild = walkSteps(p1Steps, 'rebuild');
    expect(rebuild.map((s) => s.id)).toEqual(strip.filter((id) => rebuild.some((s) => s.id === id)).reverse());
    expect(rebuild[0]!.id).toBe('shield');
    for (const s of rebuild) expect(s.text).not.toBe(p1Steps.find((x) => x.id === s.id)!.out.text);
  });
  it('every figure asked for is one that a unit can hold', () => {
    expect(walkSteps(p1Steps, 'rebuild').flatMap((s) => s.fastener ?? [])).toEqual(['strut', 'lower-joint', 'steering-joint', 'calliper-bracket']);
  });
});

describe('schedule', () => {
  it('lets the freezer run beside the strip, so that a chill costs nothing', () => {
    expect(schedule({ chill: true, soak: true }).endMin).toBe(schedule({ chill: false, soak: true }).endMin);
  });
  it('never has the hands in two places', () => {
    const hands = schedule({ chill: true, soak: true }).bars.filter((b) => b.handsOn);
    hands.slice(1).forEach((b, i) => expect(b.startMin).toBeGreaterThanOrEqual(hands[i]!.endMin));
  });
});
