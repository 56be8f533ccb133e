import { describe, expect, it } from 'vitest';
import { exampleSetups, exampleTools, exampleWorks, piece } from '../../../tests/example.ts';
import {
  type Adapter,
  adapterFaults,
  type Setup,
  setupFor,
  footOf,
  hammer,
  headOf,
  hollowMm,
  judgeStack,
  type Operation,
  type Press,
  pressFaults,
  reasonsOf,
  seatsOf,
  solve,
  type Stack,
  staticAxialKn,
  workFrom,
} from './index.ts';

const [press, , ram, screw] = exampleTools as [Press, Press, Press, Press];
const setup = (operation: Operation, tool: Press = press): Setup =>
  exampleSetups()
    .map((x) => x.setup)
    .find((b) => b.requirement.operation === operation && b.press.id === tool.id)!;
const rules = (s: Stack, b: Setup) =>
  judgeStack(s, b)
    .verdicts.filter((v) => v.status !== 'good')
    .map((v) => v.rule);

const shells = (more: Partial<Adapter> = {}) =>
  piece('shells', 156, 74, 40, { shape: 'half-shells', recessMm: 35, ...more });
const bored = (id: string, outerMm: number) => piece(id, outerMm, 21, 20);
const bell = piece('bell', 194, 160, 115);

// What must hold for each stroke: common practice, no published source.
describe('cartridge', () => {
  const drawn = (s: Partial<Stack>, tool = screw) =>
    rules(
      {
        cap: bored('plate', 160),
        pusher: shells(),
        support: bell,
        riser: bored('foot', 200),
        ...s,
      },
      setup('cartridge-out', tool),
    );
  it('is drawn by half-shells on the shoulder of the outer ring, into a receiver round them', () =>
    expect(drawn({})).toEqual([]));
  it.each([
    [
      'a whole ring, which does not get behind the flange',
      { pusher: piece('ring', 156, 74, 40) },
      'press.shape',
    ],
    [
      'shells that would pull by the flange',
      { pusher: shells({ outerMm: 140 }) },
      'press.round-flange',
    ],
    ['a lip too thick for the relief', { pusher: shells({ recessMm: 30 }) }, 'press.lip'],
    [
      'a receiver too shallow for shells and plate',
      { support: { ...bell, heightMm: 90 } },
      'press.drawn-in',
    ],
    [
      'a receiver that does not pass round the shells',
      { support: { ...bell, innerMm: 150 } },
      'press.round-pusher',
    ],
  ])('refuses %s', (_what, s, rule) => expect(drawn(s)).toContain(rule));
  it('is no stroke for a press, which only pushes, and is one for a hollow ram', () => {
    expect(drawn({}, press)).toContain('press.draws');
    expect(drawn({}, ram)).not.toContain('press.draws');
  });
  it('goes in on a plate that is clear of the inner ring', () =>
    expect(
      rules(
        {
          cap: bored('plate', 160),
          pusher: shells({ recessMm: 32 }),
          support: piece('plate', 150, 40, 20),
          riser: bored('foot', 90),
        },
        setup('cartridge-in', screw),
      ),
    ).toContain('press.clear-inner'));
});

describe('axle shaft', () => {
  const on = (s: Partial<Stack>) =>
    rules(
      {
        pusher: piece('long', 53, 41, 290),
        cap: piece('disc', 60, 0, 15),
        support: piece('block', 90, 0, 40),
        ...s,
      },
      setup('shaft-bearing-on'),
    );
  it('takes its bearing by the inner ring, on a block inside the studs', () =>
    expect(on({})).toEqual([]));
  it.each([
    [
      'a sleeve that reaches the outer ring: the balls carry it',
      { pusher: piece('wide', 76, 41, 290) },
      'press.through-balls',
    ],
    [
      'a sleeve that meets the end of the shaft',
      { pusher: piece('short', 53, 41, 200) },
      'press.over-end',
    ],
    ['a support on the studs', { support: piece('plate', 140, 0, 40) }, 'press.inside-studs'],
    [
      'a block so low that the studs stand on the bed',
      { support: piece('low', 90, 0, 20) },
      'press.studs-clear',
    ],
  ])('refuses %s', (_what, s, rule) => expect(on(s)).toContain(rule));
  it('lets its bearing go on a split plate, raised until shaft and flange drop free', () => {
    const off = (riser?: Adapter, shape: Adapter['shape'] = 'split-plate') =>
      rules(
        {
          pusher: piece('mandrel', 36, 0, 40),
          support: piece('plate', 200, 47, 25, { shape }),
          ...(riser ? { riser } : {}),
        },
        setup('shaft-bearing-off'),
      );
    expect(off()).toContain('press.drop');
    expect(off(piece('legs', 220, 160, 110))).toEqual([]);
    expect(off(piece('legs', 220, 160, 110), 'plate')).toContain('press.shape');
    // A closed plate under it lends height but no way out.
    expect(off(piece('block', 220, 60, 110))).toContain('press.drop');
  });
});

describe('shells, seals and single rings', () => {
  it('a shell is driven by its marked end, guided by a nose, never on the bore', () => {
    const b = setup('shell-in', hammer);
    expect(rules({ pusher: piece('driver', 63.5, 0, 45, { pilotMm: 40.5 }) }, b)).toEqual([
      'press.hammer',
    ]);
    expect(rules({ pusher: piece('driver', 63.5, 0, 45) }, b)).toContain('press.pilot');
    expect(rules({ pusher: piece('driver', 66, 0, 45) }, b)).toContain('press.lands-on-bore');
  });
  it('a flush seal takes a driver wider than its bore, one at a depth a narrower', () => {
    const seal = (outerMm: number, family: string) =>
      rules(
        { pusher: piece('disc', outerMm, 0, 12), support: piece('s', 60, 40, 20) },
        exampleSetups().find((x) => x.label === `${family} seal-in p`)!.setup,
      );
    expect([
      seal(70, 'A1').includes('press.seal-flush'),
      seal(76, 'A1').includes('press.seal-flush'),
    ]).toEqual([true, false]);
    expect([
      seal(44, 'N1').includes('press.lands-on-bore'),
      seal(43, 'N1').includes('press.lands-on-bore'),
    ]).toEqual([true, false]);
  });
  it('a ball bearing goes in by its outer ring, with a hammer only on the old ring, a cup never by its taper', () => {
    const support = piece('s', 84, 54, 20);
    expect(rules({ pusher: piece('flat', 61, 0, 40), support }, setup('first-ring-in'))).toContain(
      'press.through-balls',
    );
    const blow = (shape: Adapter['shape']) =>
      rules(
        { pusher: piece('ring', 61.6, 54.4, 20, { shape }), support },
        setup('first-ring-in', hammer),
      );
    expect([blow('sleeve'), blow('old-ring')]).toEqual([
      ['press.old-ring-drives', 'press.hammer'],
      ['press.hammer'],
    ]);
    expect(
      rules({ pusher: piece('narrow', 58, 46, 40), support }, setup('outer-cup-in')),
    ).toContain('press.outer-ring-only');
    expect(
      rules(
        { pusher: piece('f', 80, 0, 25), support: piece('i', 52, 41, 60) },
        setup('hub-in', hammer),
      ),
    ).toContain('press.no-hammer');
  });
  it('a stud comes out into a deep socket beside it, chrome or not, and never one that meets the bearing', () => {
    const out = (outerMm: number, material: Adapter['material'] = 'steel') =>
      rules(
        { pusher: piece('m', 12, 0, 30), support: piece('socket', outerMm, 24, 60, { material }) },
        setup('stud-out'),
      );
    expect(out(36)).toEqual([]);
    expect(out(36, 'chrome')).toEqual([]);
    expect(out(48)).toContain('press.stud-room');
  });
});

describe('a screw tool', () => {
  it('goes through every piece and through the work, and its nut needs a plate', () => {
    const b = setup('bearing-in', screw);
    const stack: Stack = {
      cap: bored('top', 90),
      pusher: piece('ring', 75, 68, 30),
      support: piece('s', 110, 84, 20),
      riser: bored('foot', 120),
    };
    expect(rules(stack, b)).toEqual([]);
    expect(rules({ ...stack, cap: piece('solid', 90, 0, 12) }, b)).toContain('press.rod-piece');
    const { riser: _riser, ...open } = stack;
    expect(rules(open, b)).toContain('press.foot-bridge');
    expect(solve([], setup('shaft-bearing-on', screw)).missing[0]!.text).toContain(
      'does not go through',
    );
  });
  it('has figures that fit each other', () => {
    expect(pressFaults(screw)).toEqual([]);
    expect(pressFaults({ ...press, kind: 'screw' }).map((f) => f.field)).toEqual(['screw']);
    expect(pressFaults({ ...screw, ramMm: 18, strokeMm: 900 }).map((f) => f.field)).toEqual([
      'ramMm',
      'strokeMm',
    ]);
    expect(adapterFaults(piece('x', 40, 0, 20, { pilotMm: 44 })).map((f) => f.field)).toEqual([
      'pilotMm',
    ]);
  });
});

describe('spacers', () => {
  it('lend reach only where they follow, and depth only where the work passes', () => {
    const ring = piece('ring', 60, 50, 30);
    expect(headOf(ring, piece('slim', 40, 0, 25), 62)).toMatchObject({ heightMm: 55 });
    expect(hollowMm(headOf(ring, piece('slim', 40, 0, 25), 62))).toBe(30);
    expect(headOf(ring, piece('wide', 80, 0, 25), 62)).toBe(ring);
    expect(hollowMm(footOf(ring, piece('tube', 70, 52, 40), 50))).toBe(70);
    expect(hollowMm(footOf(ring, piece('narrow', 70, 40, 40), 50))).toBe(30);
  });
});

describe('reasons on the drawing', () => {
  it('name the piece, the fault and the diameter at which it is', () => {
    const b = setup('bearing-in');
    const stack: Stack = {
      cap: piece('disc', 74, 0, 12),
      pusher: piece('sleeve', 52, 44, 60),
      support: piece('support', 110, 84, 20),
    };
    expect(reasonsOf(judgeStack(stack, b), stack)).toContainEqual({
      role: 'pusher',
      status: 'stop',
      radiusMm: 22,
      text: 'rests on the inner ring at 44.0 mm',
    });
    const wide: Stack = { ...stack, pusher: piece('wide', 77, 68, 30) };
    expect(reasonsOf(judgeStack(wide, b), wide)[0]).toMatchObject({
      text: 'collides with the bore at 77.0 mm',
      radiusMm: 38.5,
    });
  });
});

describe('what goes back', () => {
  it('may not carry the force through its balls when it comes off either', () => {
    const stack: Stack = {
      pusher: piece('mandrel', 38, 0, 70),
      support: piece('legs', 200, 140, 100),
    };
    expect(judgeStack(stack, setup('hub-out')).status).toBe('good');
    expect(judgeStack(stack, { ...setup('hub-out'), usedAgain: true }).verdicts[0]).toMatchObject({
      status: 'stop',
      rule: 'press.through-balls',
    });
  });
  it('dents a single deep-groove row at twice its static rating: P0 = 0.5 Fa (ISO 76, memory)', () =>
    expect(staticAxialKn(19, 0, 1)).toBeCloseTo(38, 9));
});

describe('parts of a corner', () => {
  it('come from the record or not at all', () => {
    const w = exampleWorks[4]!;
    expect(w.family).toBe('A2');
    const record = {
      family: 'A2',
      shaft: 'shaft' in w ? w.shaft : undefined,
      source: 'made up',
    } as never;
    expect(workFrom('A2', record, w.bearing)).toMatchObject({ family: 'A2' });
    expect(workFrom('A2', { family: 'A2', source: 'made up' }, w.bearing)).toBeUndefined();
    expect(setupFor('hub-in', w, press)).toBeUndefined();
  });
  it('have the seats that must grip, and no others', () => {
    expect(exampleWorks.map((w) => `${w.family} ${Object.keys(seatsOf(w)).join(' ')}`)).toEqual([
      'P1 bore journal',
      'P2 bore',
      'A1 bore',
      'N1 bore',
      'A2 journal',
      'B2 bore journal',
      'T2 bore',
    ]);
  });
});
