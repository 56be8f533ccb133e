import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sentence } from '../rules/index.ts';
import {
  beginsAgain,
  judgeStage,
  judgeWrench,
  mayGoUnmeasured,
  orderFault,
  type Procedure,
  procedureDone,
  procedureInShort,
  snugOf,
  type Stage,
  stageUnit,
  stageWindow,
  standOnBarM,
  unitSigns,
  walkProcedure,
  type Wrench,
  wrenchesFor,
  wrenchSetting,
} from './index.ts';

const stage = (id: string, kind: Stage['kind'], more: Partial<Stage> = {}): Stage => ({
  id,
  kind,
  text: id,
  why: '',
  wheel: 'air',
  ...more,
});
const base = stage('base', 'torque', { value: 120, tolerance: 6 });
const turns = stage('turns', 'turn-hub', { value: 5 });
const angle = stage('angle', 'angle', { value: 60, tolerance: 5 });
const lock = stage('lock', 'lock');
const p: Procedure = {
  id: 'p',
  name: 'p',
  fastener: 'nut',
  stretch: false,
  singleUse: true,
  thread: 'dry',
  hexMm: 32,
  source: 'made up',
  stages: [base, turns, angle, lock],
};

it('an angle is counted from the last torque before it', () => {
  expect([snugOf(p, base), snugOf(p, turns), snugOf(p, angle)]).toEqual([120, 120, 120]);
  const again = stage('again', 'torque', { value: 70 });
  const twice = {
    ...p,
    stages: [base, turns, again, angle, stage('last', 'torque', { value: 9 })],
  };
  expect([snugOf(twice, base), snugOf(twice, angle)]).toEqual([120, 70]);
  expect(snugOf({ ...p, stages: [angle, base] }, angle)).toBeUndefined();
});

describe('a stage', () => {
  it.each([
    ['torque', base, 'torque', 'N·m', { low: 114, high: 126 }],
    [
      'a bare torque',
      stage('x', 'torque', { value: 90 }),
      'torque',
      'N·m',
      { low: 85.5, high: 94.5, ours: true },
    ],
    ['turns of the hub, which may be more', turns, 'turns', 'turns', { low: 5, high: Infinity }],
    ['an angle', angle, 'angle', '°', { low: 55, high: 65 }],
    [
      'backing off',
      stage('x', 'back-off', { value: 180 }),
      'angle',
      '°',
      { low: 175, high: 185, ours: true },
    ],
    ['a lock, which is seen', lock, undefined, '', undefined],
  ] as const)('of %s has its unit and its window', (_what, s, unit, sign, window) => {
    expect([stageUnit(s), unitSigns[s.kind]]).toEqual([unit, sign]);
    expect(stageWindow(s)).toEqual(window && { ours: false, ...window });
  });

  it.each([
    [base, 113.9, 'check', 'torque.below'],
    [base, 114, 'good', 'torque.in-window'],
    [base, 126, 'good', 'torque.in-window'],
    [base, 126.1, 'stop', 'torque.over'],
    [base, undefined, 'stop', 'torque.no-reading'],
    [turns, 40, 'good', 'torque.in-window'],
    [lock, undefined, 'good', 'torque.locked'],
  ] as const)('%# is judged at both ends of its window', (s, actual, status, rule) =>
    expect(judgeStage(p, s, { actual })).toMatchObject({ status, rule, source: 'made up' }),
  );

  // Common practice, no published source: what is turned back too far is turned on, and no thread is spoilt by it.
  it('of a turn back or of the hub says how far to turn, and begins nothing again', () => {
    const back = stage('back', 'back-off', { value: 180, tolerance: 10 });
    const say = (s: Stage, actual: number) => {
      const v = judgeStage({ ...p, stretch: true }, s, { actual });
      return `${v.status}: ${sentence(v)}`;
    };
    expect(say(back, 140)).toMatch(/^check: Turn it back by 30° more/u);
    expect(say(back, 220)).toMatch(/^check: .*turn it on by 30°/u);
    expect(say(turns, 4)).toMatch(/^check: Turn the hub once more/u);
    const on = walkProcedure({ ...p, stages: [base, back, lock] }, [
      { stageId: 'base', actual: 120 },
      { stageId: 'back', actual: 220 },
    ]);
    expect(on).toMatchObject({ current: 1, restart: false });
  });

  it('that a wrench saw spoilt is Stop at any figure, and the walk goes back to the first stage', () => {
    for (const pull of ['slipped', 'cross-threaded', 'yielding'] as const) {
      expect(judgeStage(p, angle, { actual: 60, pull }).status).toBe('stop');
      const readings = [
        { stageId: 'base', actual: 120 },
        { stageId: 'turns', actual: 5 },
        { stageId: 'angle', actual: 60, pull },
      ];
      expect(walkProcedure(p, readings)).toMatchObject({ current: 0, restart: true });
    }
    expect(judgeStage(p, base, { actual: 120, pull: 'slipped' }).status).toBe('good');
    expect(judgeStage(p, angle, { actual: 60, pull: 'let-go' }).status).toBe('good');
  });

  it('of a wait is said done, of a drag is a limit, of a recheck a torque', () => {
    const say = (s: Stage, reading: object) => judgeStage(p, s, reading).rule;
    const wait = stage('w', 'wait', { value: 10 });
    expect(stageWindow(wait)).toBeUndefined();
    expect(say(wait, { asSaid: true })).toBe('torque.waited');
    const drag = stage('d', 'drag', { value: 2 });
    expect([0, 2, 2.1].map((actual) => say(drag, { actual }))).toEqual([
      'torque.in-window',
      'torque.in-window',
      'torque.drag-over',
    ]);
    const between = stage('d', 'drag', { value: 2, tolerance: 1 });
    expect(sentence(judgeStage(p, between, { actual: 0.95 }))).toMatch(/^0\.05 N·m too little/u);
    expect(sentence(judgeStage(p, between, { actual: 3.12 }))).toMatch(/^0\.12 N·m too much/u);
    const recheck = stage('r', 'recheck', { value: 100 });
    expect([90, 100].map((actual) => say(recheck, { actual }))).toEqual([
      'torque.below',
      'torque.in-window',
    ]);
    // A wrench that reads no less than 10 N·m does not keep a drag from being read.
    expect(wrenchesFor(drag, [{ id: 'w', name: 'w', type: 'click', maxNm: 200 }], '')).toHaveLength(
      1,
    );
  });
  it('of an end play is too tight or too loose, never a pull too far', () => {
    const play = stage('e', 'end-play', { value: 0.05, tolerance: 0.03 });
    for (const stretch of [false, true]) {
      const say = (actual: number) => judgeStage({ ...p, stretch }, play, { actual });
      expect(say(0.01)).toMatchObject({ rule: 'adjust.tight', min: 0.02, max: 0.08, unit: 'mm' });
      expect([0.02, 0.08].map((mm) => say(mm).status)).toEqual(['good', 'good']);
      expect(say(0.09).rule).toBe('adjust.loose');
    }
    const most = stage('e', 'end-play', { value: 0.05 });
    expect(stageWindow(most)).toEqual({ low: 0, high: 0.05, ours: false });
  });
  it('is held against a window that is said to be ours where none is printed', () => {
    const source = (s: Stage) => judgeStage(p, s, { actual: s.value ?? 0 }).source;
    expect(source(base)).toBe('made up');
    expect(source(stage('x', 'torque', { value: 90 }))).toMatch(
      /^made up; window .*none is printed$/u,
    );
  });
  it('goes without a gauge where a mark or the eye tells it, and nowhere else', () => {
    const kinds = [
      'back-off',
      'angle',
      'turn-hub',
      'wait',
      'torque',
      'recheck',
      'drag',
      'end-play',
    ] as const;
    const may = kinds.filter((kind) => mayGoUnmeasured(stage('x', kind, { value: 3 })));
    expect(may).toEqual(['back-off', 'angle', 'turn-hub', 'wait']);
    expect(mayGoUnmeasured(lock)).toBe(false);
    // What was read all the same is held against its window.
    expect(judgeStage(p, angle, { actual: 80, asSaid: true }).rule).toBe('torque.over');
  });
  it('says by how much, in whole figures', () => {
    for (const s of [turns, angle])
      expect(sentence(judgeStage(p, s, { asSaid: true }))).toBe('Done as said, not measured.');
    expect(judgeStage(p, base, { asSaid: true }).rule).toBe('torque.no-reading');
    expect(sentence(judgeStage(p, base, { actual: 100 }))).toMatch(/^Below the window by 14:/u);
    expect(sentence(judgeStage(p, base, { actual: 140 }))).toMatch(/^Over by 14: slacken/u);
    const stretch = { ...p, stretch: true };
    expect(sentence(judgeStage(stretch, base, { actual: 140 }))).toMatch(
      /^Over by 14 on a stretch.*spoilt/u,
    );
  });
});

describe('the walk of a procedure', () => {
  const sound = [
    { stageId: 'base', actual: 120 },
    { stageId: 'turns', actual: 6 },
    { stageId: 'angle', actual: 60 },
    { stageId: 'lock' },
  ];
  it('stands at the first stage that is not good, whatever was read', () =>
    fc.assert(
      fc.property(fc.nat({ max: 4 }), (done) => {
        const walk = walkProcedure(p, sound.slice(0, done));
        expect(walk).toMatchObject({ current: done, restart: false });
        expect(procedureDone(p, sound.slice(0, done))).toBe(done === 4);
      }),
    ));
  it('passes over readings of stages it does not have', () =>
    expect(walkProcedure(p, [{ stageId: 'other', actual: 1 }])).toMatchObject({ current: 0 }));
  it('lets a stage be read again, holds back what comes after an open one, and begins anew after one that was over', () => {
    const over = walkProcedure(p, [...sound.slice(0, 2), { stageId: 'angle', actual: 90 }]);
    expect(orderFault(p, walkProcedure(p, sound.slice(0, 2)), 'base')).toBeUndefined();
    expect(orderFault(p, walkProcedure(p, []), 'lock')).toMatchObject({
      rule: 'torque.order',
      part: 'base',
      with: { stage: 1 },
    });
    expect(orderFault(p, over, 'turns')).toMatchObject({ with: { restart: 'yes' } });
    expect(orderFault(p, over, 'base')).toBeUndefined();
    expect(orderFault(p, walkProcedure(p, sound), 'angle')).toMatchObject({
      rule: 'torque.again',
      part: 'angle',
    });
    expect(orderFault(p, over, 'other')).toMatchObject({ rule: 'torque.no-stage', part: 'other' });
  });
  it('counts nothing behind a stage that is read again: a nut slackened after the last stage is not done', () => {
    const slackened = [...sound, { stageId: 'base', actual: 120 }];
    expect(procedureDone(p, slackened)).toBe(false);
    expect(walkProcedure(p, slackened).current).toBe(1);
  });
  it('stays to be begun again until its first stage is read, whatever else is put down', () => {
    const over = [...sound.slice(0, 2), { stageId: 'angle', actual: 90 }];
    const on = walkProcedure(p, [...over, { stageId: 'turns', actual: 6 }]);
    expect(on).toMatchObject({ current: 0, restart: true });
    expect(orderFault(p, on, 'angle')).toMatchObject({
      rule: 'torque.order',
      with: { restart: 'yes' },
    });
    expect(walkProcedure(p, [...over, sound[0]!])).toMatchObject({ current: 1, restart: false });
    // Below its window it is no restart: it is pulled on.
    const below = walkProcedure(p, [...sound.slice(0, 2), { stageId: 'angle', actual: 40 }]);
    expect(below).toMatchObject({ current: 2, restart: false });
  });
  it('begins anew with its first stage on a nut that was taken up before, and with no other', () => {
    const after = (n: number) => walkProcedure(p, sound.slice(0, n));
    expect([0, 1, 4].map((n) => beginsAgain(p, after(n), 'base'))).toEqual([false, true, true]);
    expect(beginsAgain(p, after(2), 'turns')).toBe(false);
    const spoilt = walkProcedure(p, [{ stageId: 'base', actual: 140 }]);
    expect(beginsAgain(p, spoilt, 'base')).toBe(true);
  });
  it('is named by its last two figures', () => {
    const back = stage('back', 'back-off', { value: 180 });
    const last = stage('last', 'torque', { value: 70 });
    expect(procedureInShort({ ...p, stages: [base, back, last, angle, lock] })).toBe(
      '70 N·m + 60°',
    );
  });
});

describe('tools', () => {
  const wrench = (id: string, more: Partial<Wrench> = {}): Wrench => ({
    id,
    name: id,
    type: 'click',
    minNm: 20,
    maxNm: 200,
    ...more,
  });
  const today = '2026-01-02';
  // ISO 6789-1: a tool is used from 20 % to 100 % of its largest value.
  it.each([
    [39.9, 'check'],
    [40, 'good'],
    [200, 'good'],
    [200.1, 'stop'],
  ])('at %d N·m a wrench of 200 is %s', (nm, status) =>
    expect(judgeWrench(wrench('w'), nm, today)[0]!.status).toBe(status),
  );
  it('cannot be set under their own least, nor be trusted from the day after their calibration ran out', () => {
    expect(judgeWrench(wrench('w', { minNm: 60 }), 50, today)[0]!.status).toBe('stop');
    const due = (calibrationDue: string) =>
      judgeWrench(wrench('w', { calibrationDue }), 120, today);
    expect([due('2026-01-02'), due('2026-01-01')].map((v) => v[0]!.rule)).toEqual([
      'wrench.good',
      'wrench.calibration',
    ]);
  });
  it('come for a torque with those first that can be trusted, for an angle without a scale or digital', () => {
    const small = wrench('small', { maxNm: 60 });
    const bar: Wrench = { id: 'bar', name: 'bar', type: 'hand' };
    const digital = wrench('digital', { type: 'digital', maxNm: 300 });
    const all = [small, bar, digital];
    expect(wrenchesFor(base, all, today).map((w) => w.id)).toEqual(['digital', 'small']);
    expect(wrenchesFor(angle, all, today).map((w) => w.id)).toEqual(['bar', 'digital']);
    // A lock is made by hand before anything else; a play has its own dial.
    const punch: Wrench = { id: 'punch', name: 'punch', type: 'hand' };
    const gauge: Wrench = { id: 'gauge', name: 'gauge', type: 'angle-gauge' };
    expect(wrenchesFor(lock, [small, gauge, punch], today).map((w) => w.id)).toEqual([
      'punch',
      'gauge',
    ]);
    const play = stage('e', 'end-play', { value: 0.05 });
    expect(wrenchesFor(play, all, today)).toEqual(all);
  });
  it('name the field of a length or a weight that cannot be', () => {
    expect(() => wrenchSetting(100, 0, 50)).toThrow(/^wrenchMm: /u);
    expect(() => standOnBarM(100, 0)).toThrow(/^weightN: /u);
  });
});
