import { describe, expect, it } from 'vitest';
import { piece } from '../../../tests/example.ts';
import { plainPress, plainStroke } from '../../../tests/plain-stroke.ts';
import { yieldMpa } from '../fits/index.ts';
import { type RuleId, sentence } from '../rules/index.ts';
import type { Verdict } from '../verdict.ts';
import {
  type Adapter,
  hammer,
  judgeStack,
  type Press,
  type Requirement,
  type Setup,
  type Stack,
} from './index.ts';

const thread = { pitchMm: 2, flankMm: 20, threadDeg: 60, threadFriction: 0.12, faceFriction: 0.12 };
const screw = (rodMm: number, ramMm = 50): Partial<Press> => ({
  kind: 'screw',
  ramMm,
  screw: { ...thread, faceMm: 30, rodMm },
});
const pieces = {
  cap: piece('cap', 70, 0, 10),
  pusher: piece('pusher', 75, 62, 30),
  support: piece('support', 100, 72, 60),
  riser: piece('riser', 96, 72, 33),
};

/** What is other than in the stack that is right: pieces by place (null: left out), press, stroke, force. */
interface Change {
  cap?: Partial<Adapter> | null;
  pusher?: Partial<Adapter>;
  support?: Partial<Adapter> | null;
  /** The stack has none unless said. */
  riser?: Partial<Adapter>;
  press?: Partial<Press>;
  r?: Partial<Requirement>;
  kn?: number;
}
function judged({ press: tool = {}, r = {}, kn = 40, ...c }: Change): Verdict[] {
  const of = (role: 'cap' | 'support', change: Partial<Adapter> | null = {}) =>
    change && { [role]: { ...pieces[role], ...change } };
  const stack: Stack = {
    ...of('cap', c.cap),
    pusher: { ...pieces.pusher, ...c.pusher },
    ...of('support', c.support),
    ...(c.riser ? { riser: { ...pieces.riser, ...c.riser } } : {}),
  };
  const setup: Setup = {
    requirement: { ...plainStroke, ...r },
    press: { ...plainPress, ...tool },
    forceKn: { low: kn / 2, likely: (3 * kn) / 4, high: kn },
  };
  return judgeStack(stack, setup).verdicts;
}

const need = (more: Partial<Requirement['pusher']>) => ({
  pusher: { ...plainStroke.pusher, ...more },
});
const onFoot = (more: Partial<Requirement['pusher']>) => ({
  support: { ...plainStroke.support, ...more },
});
const drawn = { r: { drawn: true }, press: { kind: 'ram' as const } };
/** The receiver of what is drawn: open right through, round the pusher. */
const receiver = { outerMm: 110, innerMm: 80, heightMm: 83 };
const ringMm2 = (Math.PI / 4) * (75 ** 2 - 62 ** 2);
/** Force at which the pusher's face bears all that it may, kN. */
const mostKn = (0.6 * yieldMpa.steel * ringMm2) / 1000;
const near = (x: number): number => expect.closeTo(x, 6) as number;

/** Each rule: what is still right, the least that is wrong, and what is then said. */
const limits: [RuleId, right: Change[], wrong: Change, says: Partial<Verdict>][] = [
  // One piece.
  [
    'kit.retired',
    [{}],
    { pusher: { retired: 'a crack' } },
    { status: 'stop', role: 'pusher', part: 'pusher', with: { why: 'a crack' } },
  ],
  [
    'kit.chrome',
    [{ support: { material: 'chrome' } }],
    { pusher: { material: 'chrome' } },
    { role: 'pusher' },
  ],
  [
    'kit.chrome',
    [{ riser: { material: 'chrome' } }],
    { cap: { material: 'chrome' } },
    { role: 'cap' },
  ],
  ['kit.wood', [{ support: { material: 'wood' } }], { cap: { material: 'wood' } }, { role: 'cap' }],
  ['kit.wood', [], { pusher: { material: 'wood' } }, { role: 'pusher', part: 'pusher' }],
  [
    'kit.rating',
    [{ pusher: { ratingKn: 40 } }],
    { pusher: { ratingKn: 39.9 } },
    { role: 'pusher', value: 39.9, min: 40, unit: 'kN' },
  ],
  ['kit.rating', [{ riser: { ratingKn: 40 } }], { riser: { ratingKn: 39 } }, { role: 'riser' }],
  [
    'press.split',
    [
      {
        pusher: { shape: 'half-shells', recessMm: 25 },
        r: need({ shapes: { only: ['half-shells'], why: 'It is behind a flange.' } }),
      },
    ],
    { pusher: { shape: 'split-plate' } },
    { role: 'pusher' },
  ],
  ['press.split', [], { pusher: { shape: 'half-shells' } }, { status: 'stop' }],
  [
    'press.shape',
    [
      {
        support: { shape: 'split-plate' },
        r: onFoot({ shapes: { only: ['split-plate', 'half-shells'], why: 'why' } }),
      },
    ],
    { r: onFoot({ shapes: { only: ['split-plate', 'half-shells'], why: 'It is in the way.' } }) },
    {
      role: 'support',
      part: 'support',
      with: { shapes: 'split plate or half shells', why: 'It is in the way.' },
    },
  ],
  [
    'press.pressure',
    [{ kn: 0.9999 * mostKn }],
    { kn: 1.0001 * mostKn },
    {
      role: 'pusher',
      unit: 'MPa',
      max: near(0.6 * yieldMpa.steel),
      value: near(1.0001 * 0.6 * yieldMpa.steel),
    },
  ],
  // What does not bear enough is said to, not that it presses too hard.
  ['press.pressure', [{ kn: 400, pusher: { innerMm: 71.2 } }], { kn: 400 }, { part: 'pusher' }],
  [
    'press.contact',
    [
      { pusher: { innerMm: 71 } },
      { pusher: { outerMm: 66 } },
      // Its difference has dust: 3.9999…
      { pusher: { outerMm: 75.1, innerMm: 71.1 } },
    ],
    { pusher: { innerMm: 71.2 } },
    {
      status: 'stop',
      role: 'pusher',
      value: near(1.9),
      min: 2,
      unit: 'mm',
      with: { face: 'outer ring' },
    },
  ],
  // A recess counts as open only if it is deeper than what stands proud in it.
  [
    'press.contact',
    [{ pusher: { recessMm: 4.1, innerMm: 74 }, r: need({ proudMm: 4.1 }) }],
    { pusher: { recessMm: 4.2, innerMm: 74 }, r: need({ proudMm: 4.1 }) },
    { value: near(0.5) },
  ],
  [
    'press.overhang',
    [
      { support: { outerMm: 120, innerMm: 100 } },
      { support: { outerMm: 110, innerMm: 80 } },
      { support: { outerMm: 122, innerMm: 106 } },
      { pusher: { outerMm: 90, innerMm: 66 } },
      {
        support: { outerMm: 122, innerMm: 100, shape: 'split-plate' },
        r: onFoot({ shapes: { only: ['split-plate'], why: 'why' } }),
      },
    ],
    { support: { outerMm: 122, innerMm: 100 } },
    {
      status: 'check',
      role: 'support',
      value: 110,
      with: { face: 'back face', wall: '11.0', contact: '5.0' },
    },
  ],
  [
    'press.pilot',
    [30, 30.5].map((pilotMm) => ({
      pusher: { pilotMm },
      r: need({ pilot: { min: 30, max: 30.5, in: 'bore' } }),
    })),
    { pusher: { pilotMm: 30.6 }, r: need({ pilot: { min: 30, max: 30.5, in: 'bore' } }) },
    { role: 'pusher', part: 'pusher', value: 30.6, min: 30, max: 30.5, with: { bore: 'bore' } },
  ],
  [
    'press.pilot',
    [{}],
    { pusher: { pilotMm: 29.9 }, r: need({ pilot: { min: 30, max: 30.5, in: 'bore' } }) },
    { value: 29.9 },
  ],
  [
    'press.pilot',
    [],
    { r: need({ pilot: { min: 30, max: 30.5, in: 'bore' } }) },
    { status: 'check' },
  ],
  // A window of a piece, either way.
  [
    'press.over-end',
    [{ r: need({ windows: [{ measure: 'outerMm', min: 75, max: 75, rule: 'press.over-end' }] }) }],
    {
      r: need({
        windows: [{ measure: 'outerMm', min: 75.1, rule: 'press.over-end', what: 'end' }],
      }),
    },
    {
      role: 'pusher',
      part: 'pusher',
      value: 75,
      min: 75.1,
      unit: 'mm',
      with: { measure: 'outerMm', what: 'end' },
    },
  ],
  [
    'press.over-end',
    [],
    { r: need({ windows: [{ measure: 'hollowMm', max: 29.9, rule: 'press.over-end' }] }) },
    { value: 30, max: 29.9, with: { measure: 'hollowMm', what: '' } },
  ],
  // The spacer on the pusher.
  [
    'press.bridge',
    [
      { cap: null, pusher: { innerMm: 44 } },
      { cap: null, pusher: { innerMm: 44, recessMm: 5 } },
    ],
    { cap: null, pusher: { innerMm: 44.1 } },
    {
      role: 'pusher',
      part: 'pusher',
      value: 44.1,
      max: 44,
      unit: 'mm',
      with: { nose: 'ram', lay: 'solid disc', ram: '50.0', pusher: 'pusher' },
    },
  ],
  [
    'press.bridge',
    [],
    { cap: null, press: screw(20) },
    { with: { nose: 'washer', lay: 'bored plate', ram: '50.0', pusher: 'pusher' } },
  ],
  [
    'press.cap-solid',
    [{}, { cap: { innerMm: 21 }, press: screw(20) }],
    { cap: { innerMm: 1 } },
    { role: 'cap', part: 'cap' },
  ],
  ['press.cap-solid', [], { cap: { innerMm: 45 }, press: screw(20) }, { role: 'cap' }],
  [
    'press.cap-wide',
    [{ cap: { outerMm: 68 } }, { cap: { outerMm: 50 }, pusher: { recessMm: 5 } }],
    { cap: { outerMm: 67.9 } },
    { role: 'cap', value: 67.9, min: 68, unit: 'mm' },
  ],
  [
    'press.cap-follow',
    [
      { cap: { outerMm: 76.6 }, r: { followMm: 30 } },
      { cap: { outerMm: 76.5 }, r: { followMm: 30.1 } },
    ],
    { cap: { outerMm: 76.6 }, r: { followMm: 30.1 } },
    { role: 'cap', part: 'cap', value: 76.6, unit: 'mm' },
  ],
  [
    'press.cap-spare',
    [
      {},
      {
        pusher: { innerMm: 40 },
        r: need({ windows: [{ measure: 'heightMm', min: 30.1, rule: 'press.over-end' }] }),
      },
    ],
    {
      pusher: { innerMm: 40 },
      r: need({
        windows: [
          { measure: 'heightMm', min: 30, rule: 'press.over-end' },
          { measure: 'outerMm', min: 90, rule: 'press.over-end' },
          { measure: 'heightMm', max: 20, rule: 'press.over-end' },
        ],
      }),
    },
    { role: 'cap', part: 'cap' },
  ],
  // What stands under the support.
  [
    'press.riser-carries',
    [{ riser: { outerMm: 90, innerMm: 84 } }, { riser: { outerMm: 78, innerMm: 60 } }],
    { riser: { outerMm: 90, innerMm: 84.2 } },
    {
      role: 'riser',
      part: 'riser',
      value: near(2.9),
      min: 3,
      unit: 'mm',
      with: { support: 'support' },
    },
  ],
  ['press.riser-carries', [], { riser: { outerMm: 77.9, innerMm: 60 } }, { value: near(2.95) }],
  [
    'press.riser-carries',
    [{ riser: { outerMm: 70, innerMm: 60 }, support: { recessMm: 10 } }],
    { riser: { outerMm: 130, innerMm: 95 } },
    { value: near(2.5) },
  ],
  [
    'press.riser-spare',
    [
      {},
      {
        riser: {},
        r: onFoot({ windows: [{ measure: 'heightMm', min: 60.1, rule: 'press.over-end' }] }),
      },
    ],
    {
      riser: {},
      r: onFoot({ windows: [{ measure: 'heightMm', min: 60, rule: 'press.over-end' }] }),
    },
    { role: 'riser', part: 'riser' },
  ],
  // Another piece does not make it narrower.
  [
    'press.riser-spare',
    [],
    {
      riser: {},
      r: onFoot({ windows: [{ measure: 'outerMm', min: 101, rule: 'press.over-end' }] }),
    },
    { role: 'riser' },
  ],
  [
    'press.foot-bridge',
    [{ press: screw(20, 78), cap: { innerMm: 21 } }, {}],
    { press: screw(20, 77.9) },
    { role: 'support', part: 'support', value: 72, max: near(71.9), with: { ram: '77.9' } },
  ],
  [
    'press.foot-bridge',
    [{ press: screw(20), riser: { innerMm: 44 } }],
    { press: screw(20), riser: { innerMm: 44.1 } },
    { role: 'riser', part: 'riser', value: 44.1 },
  ],
  ['press.no-support', [{}], { support: null }, { with: { face: 'back face' } }],
  ['press.one-piece-twice', [{ riser: {} }], { riser: { id: 'cap' } }, { status: 'stop' }],
  // The press.
  [
    'press.stroke',
    [{ press: { strokeMm: 40 } }],
    { press: { strokeMm: 39.9 } },
    { part: 'The press', value: 39.9, min: 40, unit: 'mm' },
  ],
  [
    'press.daylight',
    [
      { press: { daylightMm: 150 } },
      { press: { daylightMm: 150.3 }, cap: { heightMm: 10.1 }, pusher: { heightMm: 30.2 } },
    ],
    { press: { daylightMm: 149.9 } },
    { part: 'The press', value: 150, max: 149.9, unit: 'mm' },
  ],
  // What is drawn stands in its receiver.
  [
    'press.daylight',
    [{ ...drawn, support: receiver, press: { kind: 'ram', daylightMm: 133 } }],
    { ...drawn, support: receiver, press: { kind: 'ram', daylightMm: 132.9 } },
    { value: 133 },
  ],
  [
    'press.capacity',
    [{ press: { capacityKn: 40 } }],
    { press: { capacityKn: 39.9 } },
    { part: 'The press', value: 40, max: 39.9, unit: 'kN' },
  ],
  [
    'press.rod-work',
    [{ press: screw(29.5) }],
    { press: screw(29.6) },
    { part: 'The press', value: 30, min: near(30.1), unit: 'mm', with: { rod: '29.6' } },
  ],
  [
    'press.rod-piece',
    [{ press: screw(20), cap: { innerMm: 20.5 } }],
    { press: screw(20), cap: { innerMm: 20.4 } },
    { role: 'cap', part: 'cap', value: 20.4, min: 20.5, unit: 'mm', with: { rod: '20.0' } },
  ],
  [
    'press.rod-piece',
    [],
    { press: screw(20), cap: { innerMm: 30 }, support: { recessMm: 10 } },
    { role: 'support', value: 72 },
  ],
  // What is drawn.
  ['press.draws', [{ ...drawn, support: receiver }], { r: { drawn: true } }, { part: 'The press' }],
  [
    'press.drawn-in',
    [
      { ...drawn, support: receiver },
      { ...drawn, support: { ...receiver, heightMm: 50 }, riser: { innerMm: 75.5 } },
    ],
    { ...drawn, support: { ...receiver, heightMm: 82.9 } },
    {
      role: 'support',
      part: 'support',
      value: 82.9,
      min: 83,
      unit: 'mm',
      with: { pieces: 'pusher with cap' },
    },
  ],
  [
    'press.drawn-in',
    [{ ...drawn, cap: null, pusher: { innerMm: 40 }, support: { ...receiver, heightMm: 73 } }],
    { ...drawn, support: { ...receiver, heightMm: 50 }, riser: { innerMm: 75.4 } },
    { value: 50 },
  ],
  // A wide spacer has to go into the receiver as well, and the work out of it.
  [
    'press.drawn-in',
    [],
    {
      ...drawn,
      cap: { outerMm: 78 },
      support: { ...receiver, heightMm: 50 },
      riser: { innerMm: 78 },
    },
    { value: 50 },
  ],
  [
    'press.drawn-in',
    [],
    {
      press: { kind: 'ram' },
      r: { drawn: true, riserMm: 90 },
      support: { ...receiver, heightMm: 50 },
      riser: { innerMm: 80 },
    },
    { value: 50 },
  ],
  [
    'press.round-pusher',
    [{ ...drawn, support: { ...receiver, innerMm: 75.5 } }],
    { ...drawn, support: { ...receiver, innerMm: 75.4 } },
    {
      role: 'support',
      value: 75.4,
      min: 75.5,
      unit: 'mm',
      with: { pusher: 'pusher', outside: '75.0' },
    },
  ],
  [
    'press.riser-spare',
    [
      { ...drawn, support: { ...receiver, heightMm: 82.9 }, riser: {} },
      {
        ...drawn,
        support: receiver,
        riser: {},
        r: {
          drawn: true,
          ...onFoot({ windows: [{ measure: 'heightMm', min: 84, rule: 'press.over-end' }] }),
        },
      },
      { r: { drawn: true }, press: screw(20), support: receiver, riser: {} },
    ],
    { ...drawn, support: receiver, riser: {} },
    { role: 'riser', part: 'riser' },
  ],
  // Blows.
  ['press.no-hammer', [{}], { press: hammer }, { with: { word: 'A blow dents it.' } }],
  [
    'press.old-ring-drives',
    [
      {
        press: hammer,
        pusher: { shape: 'old-ring' },
        r: { hammer: { allowed: true, text: 'Evenly.' } },
      },
      { press: hammer, r: { hammer: { allowed: true, text: 'Evenly.' }, carries: 'inner ring' } },
    ],
    { press: hammer, r: { hammer: { allowed: true, text: 'Evenly.' } } },
    { role: 'pusher', part: 'pusher' },
  ],
  [
    'press.hammer',
    [{ press: hammer }],
    { press: hammer, r: { hammer: { allowed: true, text: 'Evenly.' } } },
    { with: { word: 'Evenly.' } },
  ],
];

// Limits of pieces, press and tool: engineering judgement, as docs/rules.md says beside each; the figures are sums by hand.
describe('a stack at its limits', () => {
  it('begins from one that is right', () =>
    expect(judged({}).map((v) => v.status)).toEqual(['good']));
  it.each(limits)('%s', (rule, right, wrong, says) => {
    for (const change of right)
      expect(
        judged(change).map((v) => v.rule),
        JSON.stringify(change),
      ).not.toContain(rule);
    const said = judged(wrong).find((v) => v.rule === rule);
    expect(said).toMatchObject({ rule, ...says });
    expect(sentence(said!)).not.toMatch(/undefined|NaN|\{/u);
  });
});
