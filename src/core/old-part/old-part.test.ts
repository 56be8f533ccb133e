import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  apartDeg,
  atBallPitch,
  causes,
  causeIds,
  dentGapMm,
  inLoadZone,
  lookIds,
  openQuestions,
  looks,
  type Mark,
  placeInWords,
  standingRing,
  weighCauses,
} from './index.ts';

const bearing = { balls: 13, pitchMm: 58, ballMm: 11.5, contactAngleDeg: 35 };
const mark = (more: Partial<Mark> & Pick<Mark, 'look'>): Mark => ({
  on: 'outer',
  severity: 2,
  ...more,
});
const likeliest = (marks: Mark[], known: Parameters<typeof weighCauses>[1] = {}) =>
  weighCauses(marks, { family: 'P1', balls: 13, ...known })[0]?.cause;

describe('marks of the balls', () => {
  it('stand as far apart as the balls did', () => {
    // Geometry, recomputed: π·D/Z of the two tracks.
    expect(dentGapMm(bearing, 'inner')).toBeCloseTo(11.74, 2);
    expect(dentGapMm(bearing, 'outer')).toBeCloseTo(16.29, 2);
    expect([27.7, 29.1, 24].map((deg) => atBallPitch(deg, 13))).toEqual([true, true, false]);
  });
  it('lie in the load zone or outside it, the short way round', () => {
    expect(apartDeg(350, 10)).toBe(20);
    expect([0, 64, 66, 180, 300].map((d) => inLoadZone(d, 'outer'))).toEqual([
      true,
      true,
      false,
      false,
      true,
    ]);
    expect([0, 180].map((d) => inLoadZone(d, 'inner'))).toEqual([false, true]);
    expect([standingRing('P1'), standingRing('T2'), standingRing(undefined)]).toEqual([
      'outer',
      'inner',
      'outer',
    ]);
  });
});

describe('looks', () => {
  it('each have a rival that is another, and a question', () => {
    for (const id of lookIds) {
      expect(looks[id].rival).not.toBe(id);
      expect(looks[id].ask).toMatch(/\?$/u);
      expect(looks[id].on.length).toBeGreaterThan(0);
    }
    expect(causeIds.reduce((s, c) => s + causes[c].prior, 0)).toBeCloseTo(1, 9);
  });
});

describe('causes', () => {
  // Common practice, no published source.
  it('tell a press from a kerb by where the dents stand', () => {
    expect(likeliest([mark({ look: 'dents', round: true, gapDeg: 27.7 })])).toBe('through-balls');
    expect(likeliest([mark({ look: 'dents', atDeg: 10, gapDeg: 27.7 })])).toBe('kerb');
  });
  it('claim of a mark only what was entered, and ask for the rest', () => {
    const ring = fc.record(
      {
        on: fc.constantFrom('outer', 'inner', 'balls'),
        look: fc.constantFrom(...lookIds),
        severity: fc.constant(2),
        atDeg: fc.integer({ min: 0, max: 360 }),
        gapDeg: fc.constantFrom(27.7, 40),
        round: fc.boolean(),
      },
      { requiredKeys: ['on', 'look', 'severity'] },
    ) as fc.Arbitrary<Mark>;
    const families = fc.constantFrom('P1' as const, 'T2' as const, undefined);
    const counts = fc.constantFrom(13, undefined);
    fc.assert(
      fc.property(ring, families, counts, (m, family, balls) => {
        const said = weighCauses([m], { family, balls }).flatMap((c) => c.reasons);
        const claims = (words: RegExp) => said.some((t) => words.test(t));
        if (claims(/(?:at|not stand at) (?:the pitch of the balls|ball pitch)/u))
          expect([m.gapDeg !== undefined, balls !== undefined]).toEqual([true, true]);
        const stands = family !== undefined && m.on === standingRing(family);
        if (claims(/(?:in|outside) the load zone/u))
          expect([stands, m.atDeg !== undefined && m.round !== true]).toEqual([true, true]);
        if (claims(/all round/u)) expect(m.round).toBe(true);
        // What is asked is not known yet.
        for (const q of openQuestions(m, { family, balls })) {
          if (/next/u.test(q)) expect(m.gapDeg).toBeUndefined();
          if (/balls/u.test(q)) expect(balls).toBeUndefined();
          if (/Where/u.test(q)) expect([m.atDeg, m.round === true]).toEqual([undefined, false]);
        }
      }),
      { numRuns: 500 },
    );
    expect(openQuestions(mark({ look: 'dents' }), { family: 'P1', balls: 13 })).toHaveLength(2);
    expect(openQuestions(mark({ look: 'dents', gapDeg: 28 }), { family: 'P1' })[0]).toMatch(
      /balls/u,
    );
  });
  it('tell a pinched ring from its age by where it flaked', () => {
    expect(likeliest([mark({ look: 'spall-below', atDeg: 170 })])).toBe('seat');
    expect(likeliest([mark({ look: 'spall-below', atDeg: 5 })], { ranKm: 150_000 })).toBe('age');
    // The same place on the ring that turns says nothing of the load zone.
    expect(placeInWords(mark({ look: 'dents', on: 'inner', atDeg: 170 }), 'P1')).toBeUndefined();
    expect(placeInWords(mark({ look: 'dents', on: 'inner', atDeg: 170 }), 'T2')).toBe(
      'in the load zone',
    );
    expect(placeInWords(mark({ look: 'dents', round: true }), 'P1')).toMatch(/standing/u);
  });
  it.each([
    ['shaken', 'parked'],
    ['rust', 'water'],
    ['fretting', 'loose'],
    ['current', 'current'],
    ['particles', 'dirt'],
    ['heat', 'tight'],
    ['wear-torn', 'dry'],
  ] as const)('take %s for %s', (look, cause) => {
    expect(likeliest([mark({ look })])).toBe(cause);
  });
  it('take ripples at ball pitch for no current', () => {
    expect(likeliest([mark({ look: 'current', gapDeg: 27.7 })])).not.toBe('current');
  });
  it('weigh what the job knows, for and against', () => {
    const spall = [mark({ look: 'spall-below', atDeg: 170 })];
    const of = (known: Parameters<typeof weighCauses>[1]) =>
      weighCauses(spall, { family: 'P1', ...known }).find((c) => c.cause === 'seat')!;
    expect(of({ seatBad: true }).probability).toBeGreaterThan(of({}).probability);
    expect(of({ seatBad: false }).probability).toBeLessThan(of({}).probability);
    const early = weighCauses(spall, { ranKm: 4200, fittedAgain: true });
    expect(early.find((c) => c.cause === 'through-balls')?.reasons[0]).toMatch(/4\s200 km/u);
    expect(likeliest([mark({ look: 'wear-even' })])).toBe('dirt');
    expect(likeliest([mark({ look: 'wear-even' })], { exposure: ['deep-water'] })).toBe('water');
  });
  it('sum to one, whatever is seen, and a graver mark weighs more', () => {
    const any = fc.record({
      on: fc.constantFrom('outer', 'inner', 'balls', 'cage', 'seal', 'seat'),
      look: fc.constantFrom(...lookIds),
      severity: fc.integer({ min: 1, max: 3 }),
      atDeg: fc.integer({ min: 0, max: 360 }),
    }) as fc.Arbitrary<Mark>;
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), (marks) => {
        const all = weighCauses(marks, { family: 'P1', balls: 13 });
        expect(all.reduce((s, c) => s + c.probability, 0)).toBeCloseTo(1, 9);
      }),
    );
    const grave = (severity: number) =>
      weighCauses([mark({ look: 'rust', severity })], {}).find((c) => c.cause === 'water')!
        .probability;
    expect(grave(3)).toBeGreaterThan(grave(1));
  });
});
