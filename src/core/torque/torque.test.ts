import { describe, expect, it } from 'vitest';
import { sentence } from '../rules/index.ts';
import { LBF_FT, LBF_N } from '../units/index.ts';
import {
  castleStepDeg,
  judgeWrench,
  orderFault,
  type Procedure,
  procedureDone,
  standOnBarM,
  walkProcedure,
  wrenchSetting,
} from './index.ts';

describe('torque arithmetic', () => {
  it('stands body weight at the right place', () => {
    // 340 lbf·ft on 200 lbf = 1.70 ft; common practice, no published source
    expect(standOnBarM(340 * LBF_FT, 200 * LBF_N) / 0.3048).toBeCloseTo(1.7, 9);
    expect(standOnBarM(461, 80 * 9.80665)).toBeCloseTo(0.588, 3);
  });
  it('sets the wrench for an extension', () => {
    expect(wrenchSetting(100, 400, 100)).toBeCloseTo(80, 9); // Machinery's Handbook, T L/(L+E) (memory)
    expect(wrenchSetting(120, 500, 150, 57)).toBeCloseTo(103.1, 1);
    expect(wrenchSetting(100, 400, 100, 90)).toBeCloseTo(100, 9);
    expect(() => wrenchSetting(100, 400, 500, 180)).toThrow(/^offsetMm: /u);
  });
  it('steps a castle nut', () => {
    // geometry, 360/lcm
    expect([castleStepDeg(6, 2), castleStepDeg(6, 4)]).toEqual([60, 30]);
  });
});

const p: Procedure = {
  id: 'p',
  name: 'p',
  fastener: 'nut',
  stretch: false,
  singleUse: true,
  thread: 'dry',
  hexMm: 32,
  source: 'made up',
  stages: [
    { id: 'a', kind: 'torque', value: 120, tolerance: 6, text: 'Seat', why: '', wheel: 'air' },
    { id: 'b', kind: 'turn-hub', value: 5, text: 'Turn', why: '', wheel: 'air' },
    { id: 'c', kind: 'angle', value: 60, tolerance: 5, text: 'Angle', why: '', wheel: 'air' },
    { id: 'd', kind: 'lock', text: 'Stake', why: '', wheel: 'air' },
  ],
};

describe('procedure', () => {
  it('takes the stages in order only', () => {
    expect(sentence(orderFault(p, walkProcedure(p, []), 'c')!)).toMatch(/stage 1/u);
    expect(orderFault(p, walkProcedure(p, [{ stageId: 'a', actual: 121 }]), 'b')).toBeUndefined();
  });
  it('stays at a stage that is below its window', () =>
    expect(walkProcedure(p, [{ stageId: 'a', actual: 100 }])).toMatchObject({
      current: 0,
      restart: false,
    }));
  it('begins again after an over-tightened stage and forgets nothing', () => {
    const readings = [
      { stageId: 'a', actual: 121 },
      { stageId: 'b', actual: 5 },
      { stageId: 'c', actual: 90 },
    ];
    expect(walkProcedure(p, readings)).toMatchObject({ current: 0, restart: true });
    expect(
      procedureDone(p, [
        ...readings,
        { stageId: 'a', actual: 120 },
        { stageId: 'b', actual: 6 },
        { stageId: 'c', actual: 60 },
        { stageId: 'd' },
      ]),
    ).toBe(true);
  });
  it('spoils a stretch fastener that went over', () =>
    expect(
      walkProcedure({ ...p, stretch: true }, [{ stageId: 'a', actual: 140 }]).verdicts[0]?.rule,
    ).toBe('torque.over-stretch'));
  it('knows which wrench can do it', () => {
    // ISO 6789-1: 20 % to 100 % of the largest value
    const wrench = {
      id: 'w',
      name: 'W',
      type: 'click' as const,
      minNm: 20,
      maxNm: 200,
      calibrationDue: '2026-01-01',
    };
    expect(judgeWrench(wrench, 120, '2025-06-01').map((v) => v.status)).toEqual(['good']);
    expect(judgeWrench({ id: 'b', name: 'Bar', type: 'hand' }, 30, '2025-06-01')[0]).toMatchObject({
      status: 'stop',
      rule: 'wrench.none',
    });
    expect(judgeWrench(wrench, 30, '2025-06-01')[0]).toMatchObject({
      status: 'check',
      rule: 'wrench.range',
    });
    expect(judgeWrench(wrench, 250, '2026-06-01').map((v) => v.rule)).toEqual([
      'wrench.range',
      'wrench.calibration',
    ]);
  });
});
