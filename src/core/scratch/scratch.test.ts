import { describe, expect, it } from 'vitest';
import { calculators, scratch } from './index.ts';

const of = (id: string) => calculators.find((c) => c.id === id)!;
const work = (id: string, typed: Record<string, string>) => {
  const out = scratch(of(id), typed);
  if (!out.done) throw new Error(JSON.stringify(out));
  return out.results;
};
const main = (id: string, typed: Record<string, string>) => {
  const [r] = work(id, typed).filter((x) => x.main);
  return r && ('value' in r ? r.value : r.text);
};

describe('the quick page', () => {
  it.each([
    // Machinery's Handbook, T·L/(L + E), from memory.
    ['tool-setting', { wanted: '100', length: '400', offset: '100' }, 80],
    // Common practice, no published source: 340 lbf·ft and 200 lbf make 1.70 ft.
    ['body-weight', { torque: '340 lb·ft', weight: '200 lbf', bar: '1200' }, 1.7 * 304.8],
    // Geometry: a quarter turn of a metre.
    ['angle-marks', { angle: '90', length: '1000' }, (Math.PI / 2) * 1000],
    // Geometry, 360/lcm: six slots and one through hole line up every 60°.
    ['castle', { slots: '6', holes: '2', past: '20', holds: 'clamp' }, 40],
    ['castle', { slots: '6', holes: '2', past: '20', holds: 'end-play' }, 20],
    // Geometry of a screw.
    ['end-play', { pitch: '1.5', angle: '12' }, 0.05],
    ['end-play', { pitch: '0.05 in', movement: '0.001 in' }, 7.2],
    // Worked by hand: 30 mm, 15°, 60 mm apart, aluminium 60 K warmer: strain 23e-6·60.
    [
      'warm-play',
      {
        radius: '30',
        cup: '15',
        apart: '60',
        hub: 'aluminium',
        warmer: '60',
        spindle: '60',
        mounted: 'back-to-back',
      },
      0.108,
    ],
    // ISO 286-1: 76 P7 is −21/−51 µm.
    ['tolerance', { size: '76', class: 'P7' }, 75.979],
    // Handbook figure: steel of 76 mm from 20 °C to −18 °C shrinks 0.035 mm.
    ['growth', { diameter: '76', material: 'steel', from: '20', to: '-18' }, 0.0347],
  ] as const)('%s %# comes out as published', (id, typed, value) => {
    expect(main(id, typed)).toBeCloseTo(value, 3);
  });
  it('says rates and bands in words', () => {
    // Geometry: 195/65R15 is 634.5 mm, rolls 1933.5 mm at 0.97; 100 km/h are 14.37 turns a second.
    expect(main('tyre', { tyre: '195/65R15', speed: '100' })).toBe('14.37 times a second');
    // The same lever back: 77.6 at the wrench are 90 at the nut.
    const back = work('tool-setting', { wanted: '90', length: '400', offset: '64', shown: '77.6' });
    expect(back[1]).toMatchObject({ value: expect.closeTo(90, 1) });
    const wet = work('clamp', { thread: 'M22 × 1.5', torque: '200', hex: '32', grade: '8.8' });
    const kn = wet.flatMap((r) => ('value' in r ? [r.value] : []));
    expect(kn[0]).toBeLessThan(kn[1]!);
    expect(kn[1]).toBeLessThan(kn[2]!);
    expect(
      main('orders', { balls: '10', ballMm: '8', pitchMm: '40', angleDeg: '0', turns: 'inner' }),
    ).toBe('4.000');
  });
  it('names the field that cannot be, and asks for what is open', () => {
    const faults = (id: string, typed: Record<string, string>) => {
      const out = scratch(of(id), typed);
      return out.done ? [] : [...out.open, ...Object.keys(out.faults)];
    };
    expect(faults('tool-setting', { wanted: '100' })).toEqual(['length', 'offset']);
    expect(faults('tool-setting', { wanted: 'much', length: '1', offset: '1' })).toEqual([
      'wanted',
    ]);
    expect(faults('clamp', { thread: 'M23', torque: '1', hex: '30' })).toEqual(['thread']);
    expect(faults('clamp', { thread: 'M22 × 1.5', torque: '1', hex: '20' })).toEqual(['hex']);
    expect(faults('clamp', { thread: 'M22 × 1.5', torque: '1', hex: '32', grade: '7.7' })).toEqual([
      'grade',
    ]);
    expect(faults('castle', { slots: '2', holes: '2', past: '0', holds: 'clamp' })).toEqual([
      'slots',
    ]);
    expect(faults('castle', { slots: '6', holes: '2', past: '0', holds: 'love' })).toEqual([
      'holds',
    ]);
    expect(faults('tolerance', { size: '76', class: 'ZZ9' })).toEqual(['class']);
    expect(faults('end-play', { pitch: '1.5' })).toEqual(['angle']);
    expect(
      faults('body-weight', { torque: '10', weight: '80 kgf', bar: '1200', barWeight: '5 kgf' }),
    ).toEqual(['barWeight']);
    expect(faults('angle-marks', { angle: '-5', length: '1' })).toEqual(['angle']);
  });
  it.each(calculators)('$id says what it rests on, and no field twice', (c) => {
    expect(c.source).not.toBe('');
    expect(new Set(c.fields.map((f) => f.id)).size).toBe(c.fields.length);
    // Nothing typed: every field that is needed is asked for, none is made up.
    const out = scratch(c, {});
    expect(out).toEqual({
      done: false,
      open: c.fields.filter((f) => !f.optional).map((f) => f.id),
      faults: {},
    });
  });
});
