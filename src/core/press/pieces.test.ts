import { describe, expect, it } from 'vitest';
import { exampleSetups, nearSizes, piece } from '../../../tests/example.ts';
import { plainPress, plainStroke } from '../../../tests/plain-stroke.ts';
import fc from 'fast-check';
import { contactsAt, contactKey, type End, meetsAlone } from './contacts.ts';
import {
  type Adapter,
  adapterFaults,
  backMm,
  bearingInnerMm,
  footHollowMm,
  footOf,
  headOf,
  hollowMm,
  openBehind,
} from './kit.ts';
import {
  forcePaths,
  judgeStack,
  type PartNode,
  type Press,
  pressFaults,
  readGauge,
  type Requirement,
  type Setup,
  type Stack,
  type Touch,
  traceFault,
  thinned,
} from './index.ts';
import { keptSample } from './trace.ts';

const sleeve = piece('sleeve', 80, 60, 40);
const cup = { ...sleeve, recessMm: 25 };
const disc = piece('disc', 80, 0, 15);
const shells: Adapter = piece('shells', 156, 74, 40, { shape: 'half-shells', recessMm: 35 });

// Geometry of a piece, from its own figures.
describe('a piece of the kit', () => {
  it.each<[string, Adapter, hollow: number, open: boolean, back: number]>([
    ['sleeve, hollow right through', sleeve, 40, true, 60],
    ['cup, hollow to its floor', cup, 25, false, 60],
    ['disc', disc, 0, false, 0],
    ['half-shells, hollow behind their lip, as wide as their walls leave', shells, 40, true, 140],
    ['half-shells without a lip', { ...shells, recessMm: undefined } as never, 40, true, 74],
  ])('%s', (_what, a, hollow, open, back) =>
    expect([hollowMm(a), openBehind(a), backMm(a)]).toEqual([hollow, open, back]),
  );
  it('bears on its rim alone where its hollow is deeper than what stands proud', () => {
    expect([0, 24.9, 25, 30].map((proud) => bearingInnerMm(cup, proud))).toEqual([60, 60, 0, 0]);
    expect(bearingInnerMm(disc, 0)).toBe(0);
  });
  it('has more reach with a piece on it that follows it in, and is no deeper', () => {
    expect(headOf(sleeve, undefined, 90)).toEqual(sleeve);
    expect(headOf(sleeve, disc, 79.9)).toEqual(sleeve);
    expect(headOf(sleeve, disc, 80)).toEqual({ ...sleeve, heightMm: 55, recessMm: 40 });
    expect(headOf(disc, { ...disc, heightMm: 5 }, 80)).toEqual({ ...disc, heightMm: 20 });
    expect(headOf(shells, disc, 80)).toEqual({ ...shells, heightMm: 55 });
  });
  it('is higher on a piece under it, and deeper where the work passes that one too', () => {
    expect(footOf(sleeve, undefined, 50)).toEqual(sleeve);
    const under = piece('under', 90, 50, 30);
    expect(footHollowMm(sleeve, under, 50)).toBe(70);
    expect(footHollowMm(sleeve, under, 50.1)).toBe(40);
    expect(footHollowMm(cup, under, 50)).toBe(25);
    // Open right through: no floor is left. Else as deep as it was; a solid one stays solid.
    expect(footOf(sleeve, under, 50)).toEqual({ ...sleeve, heightMm: 70 });
    expect(footOf(sleeve, under, 50.1)).toEqual({ ...sleeve, heightMm: 70, recessMm: 40 });
    expect(footOf(cup, under, 50)).toEqual({ ...cup, heightMm: 70 });
    expect(footOf(disc, under, 50)).toEqual({ ...disc, heightMm: 45 });
  });
  it.each<[string, Partial<Adapter>, string[]]>([
    ['sound', {}, []],
    ['sound, solid', { innerMm: 0 }, []],
    ['no outside', { outerMm: 0, innerMm: -1 }, ['outerMm', 'innerMm']],
    ['no height', { heightMm: 0 }, ['heightMm']],
    ['carries nothing', { ratingKn: 0 }, ['ratingKn']],
    ['inside less than nothing', { innerMm: -0.1 }, ['innerMm']],
    ['no wall', { innerMm: 80 }, ['innerMm']],
    ['thin wall', { innerMm: 79.9 }, []],
    ['hollow to no depth', { recessMm: 0 }, ['recessMm']],
    ['hollow as deep as it is high', { recessMm: 40 }, ['recessMm']],
    ['nearly so', { recessMm: 39.9 }, []],
    ['nose of nothing', { pilotMm: 0 }, ['pilotMm']],
    ['nose as wide as itself', { pilotMm: 80 }, ['pilotMm']],
    ['nose', { pilotMm: 79.9 }, []],
  ])('with figures that cannot be is told, by field: %s', (_what, change, fields) => {
    const faults = adapterFaults({ ...sleeve, ...change });
    expect(faults.map((f) => f.field)).toEqual(fields);
    for (const f of faults) expect(f.reason).toMatch(/must be|cannot be/u);
  });
});

describe('a press, a ram or a screw', () => {
  const rod = {
    pitchMm: 2,
    flankMm: 20,
    threadDeg: 60,
    threadFriction: 0.12,
    faceFriction: 0.12,
    faceMm: 30,
    rodMm: 20,
  };
  it.each<[string, Partial<Press>, string[]]>([
    ['sound', {}, []],
    ['a stroke as long as its daylight', { strokeMm: 200 }, []],
    ['a stroke longer than that', { strokeMm: 200.1 }, ['strokeMm']],
    ['a screw without its thread', { kind: 'screw' }, ['screw']],
    ['a screw', { kind: 'screw', screw: rod }, []],
    ['a press with a thread', { kind: 'press', screw: rod }, ['kind']],
    [
      'a thread as thick as its pitch',
      { kind: 'screw', screw: { ...rod, pitchMm: 20 } },
      ['screw.flankMm'],
    ],
    ['a washer no wider than the screw', { kind: 'screw', screw: rod, ramMm: 20 }, ['ramMm']],
    ['a washer just wider', { kind: 'screw', screw: rod, ramMm: 20.1 }, []],
  ])('with figures that cannot be is told, by field: %s', (_what, change, fields) => {
    const faults = pressFaults({ ...plainPress, ...change });
    expect(faults.map((f) => f.field)).toEqual(fields);
    for (const f of faults) expect(f.reason).toMatch(/\.$/u);
  });
  it('says its force in bar by its piston, and in nothing that only looks like bar', () => {
    const ram: Press = { ...plainPress, pistonMm: 50 };
    // 100 bar = 10 MPa on 1,963.5 mm²: 19.63 kN.
    for (const text of ['100 bar', ' 100bar ', '100.0 BAR', '100,00 bar'])
      expect(readGauge(text, ram)).toMatchObject({
        ok: true,
        by: 'piston',
        typed: text.trim(),
        forceKn: expect.closeTo(19.635, 3) as number,
      });
    for (const text of ['p 100 bar', '100 bars', '1.2.3 bar', '100. bar', 'bar'])
      expect(readGauge(text, ram).ok, text).toBe(false);
  });
});

/** Contacts of one end of a stack with these faces of the work. */
const meet = (end: End, s: Partial<Stack>, touches: Omit<Touch, 'role'>[], drawn = false) =>
  contactsAt(end, s, {
    ...plainStroke,
    touches: touches.map((t) => ({ ...t, role: end })),
    ...(drawn ? { drawn } : {}),
  }).map((list) => list.map((c) => c.join(' on ')));
const face = (node: PartNode, innerMm: number, outerMm: number, proudMm = 0) => ({
  node,
  innerMm,
  outerMm,
  proudMm,
});
/** A face of which the height above the others lies somewhere in a span. */
const somewhere = (node: PartNode, innerMm: number, outerMm: number, low: number, high: number) => {
  const exact = (mm: number) => ({ low: mm, high: mm });
  return {
    ...face(node, innerMm, outerMm, (low + high) / 2),
    reach: { innerMm: exact(innerMm), outerMm: exact(outerMm), proudMm: { low, high } },
  };
};

// Geometry: what has the least way to go meets first, and what would meet later stays in the air.
describe('what a stack meets', () => {
  it('is the face that stands out furthest, and every other within a twentieth of it', () => {
    const ring = face('outer', 60, 76);
    expect(meet('pusher', { pusher: sleeve }, [ring])).toEqual([['pusher on outer']]);
    const both = (proud: number) =>
      meet('pusher', { pusher: disc }, [ring, face('inner', 30, 50, proud)]);
    expect(both(0.05)).toEqual([['pusher on outer', 'pusher on inner']]);
    expect(both(-0.05)).toEqual([['pusher on outer', 'pusher on inner']]);
    expect(both(0.06)).toEqual([['pusher on inner']]);
    expect(both(-0.06)).toEqual([['pusher on outer']]);
  });
  it('needs more than a tenth of a millimetre to bear on', () => {
    const edge = (outerMm: number) =>
      meet('pusher', { pusher: piece('p', outerMm, 40, 20) }, [face('outer', 60, 76)]);
    expect(edge(60.2)).toEqual([[]]);
    expect(edge(60.3)).toEqual([['pusher on outer']]);
  });
  it('may be the floor of a cup, or what lies on an open piece, each where it lies', () => {
    const shaft = (proud: number) => face('shaft', 0, 40, proud);
    const ring = face('outer', 60, 76);
    expect(meet('pusher', { pusher: cup }, [ring, shaft(24)])).toEqual([['pusher on outer']]);
    expect(meet('pusher', { pusher: cup }, [ring, shaft(26)])).toEqual([['pusher on shaft']]);
    const capped = { pusher: sleeve, cap: disc };
    expect(meet('pusher', capped, [ring, shaft(39)])).toEqual([['pusher on outer']]);
    expect(meet('pusher', capped, [ring, shaft(41)])).toEqual([['cap on shaft']]);
    // Through an open sleeve nothing is met.
    expect(meet('pusher', { pusher: sleeve }, [ring, shaft(90)])).toEqual([['pusher on outer']]);
    expect(meet('pusher', capped, [ring, shaft(41)], true)).toEqual([['pusher on outer']]);
  });
  it('under the support is the piece there, and below it the bed', () => {
    const back = face('knuckle', 65, 110);
    const hub = (proud: number) => face('hub', 0, 30, proud);
    const riser = piece('riser', 90, 20, 30);
    const low = (proud: number, s: Partial<Stack>) => meet('support', s, [back, hub(proud)]);
    expect(low(39, { support: sleeve })).toEqual([['support on knuckle']]);
    expect(low(41, { support: sleeve })).toEqual([['bed on hub']]);
    expect(low(41, { support: sleeve, riser })).toEqual([['riser on hub']]);
    expect(low(71, { support: sleeve, riser: piece('open', 90, 40, 30) })).toEqual([
      ['bed on hub'],
    ]);
    expect(low(69, { support: sleeve, riser: piece('open', 90, 40, 30) })).toEqual([
      ['support on knuckle'],
    ]);
    expect(meet('support', {}, [back])).toEqual([[]]);
  });
  it('is every list that an unknown height can make, and none in which nothing is met', () => {
    const ring = face('outer', 60, 76);
    const lists = (low: number, high: number) =>
      meet('pusher', { pusher: disc }, [ring, somewhere('inner', 30, 50, low, high)]);
    expect(lists(-2, -1)).toEqual([['pusher on outer']]);
    expect(lists(1, 2)).toEqual([['pusher on inner']]);
    expect(lists(-1, 1)).toEqual([
      ['pusher on outer'],
      ['pusher on inner'],
      ['pusher on outer', 'pusher on inner'],
    ]);
    // Behind it at the furthest within a twentieth: the ring is always met.
    expect(lists(-1, 0.05)).toEqual([['pusher on outer'], ['pusher on outer', 'pusher on inner']]);
  });
  it('is a piece alone, where it surely meets before anything behind it can', () => {
    const ring: Touch = { role: 'pusher', ...face('outer', 60, 76) };
    const alone = (shaft: Omit<Touch, 'role'>, more: Partial<Requirement> = {}) =>
      meetsAlone('pusher', sleeve, {
        ...plainStroke,
        touches: [ring, { role: 'pusher', ...shaft }],
        ...more,
      });
    expect([39.9, 39.94, 39.96, 41].map((mm) => alone(face('shaft', 0, 40, mm)))).toEqual([
      true,
      true,
      false,
      false,
    ]);
    expect(alone(somewhere('shaft', 0, 40, -1, 39.9))).toBe(true);
    expect(alone(somewhere('shaft', 0, 40, -1, 40))).toBe(false);
    // What is drawn hangs on a screw.
    expect(alone(face('shaft', 0, 40, 41), { drawn: true })).toBe(true);
    // It meets nothing itself, or not for sure.
    expect(alone(face('shaft', 0, 40), { touches: [] })).toBe(false);
    expect(
      meetsAlone('pusher', sleeve, {
        ...plainStroke,
        touches: [
          {
            ...ring,
            reach: { ...somewhere('outer', 60, 76, 0, 0).reach, innerMm: { low: 70, high: 80 } },
          },
        ],
      }),
    ).toBe(false);
  });
  // A law, whatever the stroke: then no piece behind it changes what is met.
  it('is then the same whatever stands behind it', () => {
    const setups = exampleSetups().map((x) => x.setup);
    const sizes = fc
      .constantFrom(...setups)
      .chain((setup) =>
        fc.tuple(
          fc.constant(setup),
          fc.constantFrom(...nearSizes(setup)),
          fc.constantFrom(...nearSizes(setup)),
        ),
      );
    let held = 0;
    fc.assert(
      fc.property(sizes, ([{ requirement: r }, [o, i, h, shape], [o2, i2, h2, shape2]]) => {
        const [front, behind] = [
          piece('a', o, i, h, { shape }),
          piece('b', o2, i2, h2, { shape: shape2 }),
        ];
        if (meetsAlone('pusher', front, r)) {
          held += 1;
          expect(contactKey('pusher', { pusher: front, cap: behind }, r)).toBe(
            contactKey('pusher', { pusher: front }, r),
          );
        }
        if (meetsAlone('support', front, r))
          expect(contactKey('support', { support: front, riser: behind }, r)).toBe(
            contactKey('support', { support: front }, r),
          );
      }),
      { numRuns: 400 },
    );
    expect(held).toBeGreaterThan(40);
  });
  it('is kept apart by its key', () => {
    const key = (touches: Touch[]) =>
      contactKey('pusher', { pusher: disc }, { ...plainStroke, touches });
    const ring: Touch = { role: 'pusher', ...face('outer', 60, 76) };
    expect(key([ring, { role: 'pusher', ...face('inner', 30, 50) }])).toBe(
      'pusher-outer pusher-inner',
    );
    expect(key([ring, { role: 'pusher', ...somewhere('inner', 30, 50, -1, 1) }])).toBe(
      'pusher-outer/pusher-inner/pusher-outer pusher-inner',
    );
  });
});

// A graph of contacts: the balls carry only where there is no other way, or where both rings are loaded at once.
describe('the way of the force', () => {
  const rings: Requirement = {
    ...plainStroke,
    row: { staticAxialKn: 80, ballMm: 10 },
    joins: [
      ['inner', 'balls'],
      ['balls', 'outer'],
      ['outer', 'knuckle'],
    ],
    touches: [
      { role: 'pusher', node: 'inner', innerMm: 30, outerMm: 50 },
      { role: 'pusher', node: 'outer', innerMm: 60, outerMm: 76 },
      { role: 'support', node: 'knuckle', innerMm: 70, outerMm: 110 },
    ],
  };
  const support = piece('support', 100, 72, 60);
  const judged = (pusher: Adapter, more: Partial<Setup> = {}, r: Partial<Requirement> = {}) =>
    judgeStack(
      { pusher, support },
      {
        requirement: { ...rings, ...r },
        press: plainPress,
        forceKn: { low: 20, likely: 30, high: 40 },
        ...more,
      },
    );
  const onOuter = piece('outer', 75, 62, 30);
  const onInner = piece('inner', 48, 32, 30);
  it('goes round the balls through the ring that sits in the body', () => {
    const { path } = judged(onOuter);
    expect(path).toMatchObject({ throughBalls: false });
    expect(path.nodes).toEqual(['ram', 'pusher', 'outer', 'knuckle', 'support', 'bed']);
    expect(path.verdicts).toMatchObject([
      { rule: 'press.path', part: 'outer ring', with: { rows: 1 } },
    ]);
    const bare = judged(onOuter, {}, { row: undefined } as never);
    expect(bare.path.verdicts).toMatchObject([{ with: { rows: 0 } }]);
  });
  it('through the balls of a new bearing is a dent, with its size', () => {
    const { path } = judged(onInner);
    expect(path.nodes).toEqual([
      'ram',
      'pusher',
      'inner',
      'balls',
      'outer',
      'knuckle',
      'support',
      'bed',
    ]);
    // ISO 76: 0.0001 of the ball at the rating, with the square of the load; the stress with its cube root.
    expect(path.verdicts).toMatchObject([
      {
        rule: 'press.through-balls',
        part: 'new bearing',
        value: 30,
        max: 0,
        unit: 'kN',
        with: { low: '20', high: '40', percent: 50, stress: '3334', dent: '0.3' },
      },
    ]);
    const lightly = judged(onInner, { forceKn: { low: 10, likely: 20, high: 24 } });
    expect(lightly.path.verdicts[0]).toMatchObject({ with: { percent: 30, dent: 'under 0.1' } });
  });
  it('loads both rings at once, and so the balls, where a plate lies on both', () => {
    const { path } = judged(disc);
    expect(path.throughBalls).toBe(true);
    expect(path.nodes).toContain('balls');
    expect(path.nodes).toContain('inner');
    expect(path.verdicts[0]).toMatchObject({ rule: 'press.through-balls' });
  });
  it('coming off scraps what it goes through, unless both rings move together or it goes back', () => {
    const r = { fitting: false };
    expect(judged(onInner, {}, r).path.verdicts).toMatchObject([{ rule: 'press.scrap' }]);
    expect(judged(disc, {}, r).path).toMatchObject({ throughBalls: false });
    expect(judged(disc, { usedAgain: true }, r).path).toMatchObject({ throughBalls: true });
    expect(judged(onInner, { usedAgain: true }, r).path.verdicts).toMatchObject([
      { rule: 'press.through-balls', part: 'bearing that goes back' },
    ]);
  });
  it('is none where nothing is met, and one for each list of contacts', () => {
    const { path } = judged(piece('thin', 58, 52, 30));
    expect([path.nodes, path.verdicts.map((v) => v.rule)]).toEqual([[], ['press.no-path']]);
    const unknown: Setup = {
      requirement: {
        ...rings,
        touches: [
          { role: 'pusher', ...somewhere('inner', 30, 50, -1, 1) },
          ...rings.touches.slice(1),
        ],
      },
      press: plainPress,
      forceKn: { low: 20, likely: 30, high: 40 },
    };
    expect(forcePaths({ pusher: disc, support }, unknown).map((p) => p.throughBalls)).toEqual([
      true,
      false,
      true,
    ]);
  });
  it('passes through every piece there is', () => {
    const s: Stack = {
      cap: disc,
      pusher: onOuter,
      support,
      riser: piece('riser', 96, 72, 33),
    };
    const setup = {
      requirement: rings,
      press: plainPress,
      forceKn: { low: 1, likely: 2, high: 3 },
    };
    expect(judgeStack(s, setup).path.nodes).toEqual([
      'ram',
      'cap',
      'pusher',
      'outer',
      'knuckle',
      'support',
      'riser',
      'bed',
    ]);
  });
});

describe('a trace that is read in', () => {
  const s = (ms: number, travelMm = 1, forceKn = 1) => ({ ms, travelMm, forceKn });
  it.each([
    ['one reading', [s(0)], 'samples'],
    ['time that runs backwards', [s(5), s(5), s(4)], 'samples.2.ms'],
    ['a pull', [s(0), s(1, 1, -0.1)], 'samples.1'],
    ['a force beyond any press', [s(0), s(1, 1, 2000)], 'samples.1'],
    ['too far back', [s(0, -5.1), s(1)], 'samples.0'],
    ['too far', [s(0), s(1, 600)], 'samples.1'],
    ['no figure', [s(0), s(1, 1, Number.NaN)], 'samples.1'],
  ])('is refused for %s, by field', (_what, samples, field) => {
    const fault = traceFault(samples);
    expect(fault?.field).toBe(field);
    expect(fault?.reason).toMatch(/^(A trace|Time runs|-?[\d.NaN]+ kN at)/u);
  });
  it('keeps what it says of force and way to a thousandth', () =>
    expect(keptSample(s(7, 1.23456, 2.34567))).toEqual({ ms: 7, travelMm: 1.235, forceKn: 2.346 }));
  it('is taken at its limits', () =>
    expect(traceFault([s(0, -5, 0), s(0, 599.9, 1999.9)])).toBeUndefined());
  it('is shown by the greatest force of each step, in the order of its way', () => {
    const steps = [s(0, 0.3, 2), s(1, 0.1, 1), s(2, 0.2, 3), s(3, 0.26, 1), s(4, 0.55, 0)];
    expect(thinned(steps)).toEqual([
      { travelMm: 0.2, forceKn: 3 },
      { travelMm: 0.3, forceKn: 2 },
      { travelMm: 0.55, forceKn: 0 },
    ]);
    expect(thinned(steps, 1)).toEqual([{ travelMm: 0.2, forceKn: 3 }]);
  });
});
