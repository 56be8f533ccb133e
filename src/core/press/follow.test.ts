import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleSetup, exampleWork, measuredFits } from '../../../tests/example.ts';
import { faultsOf, madeUpStroke, type RamFault, rightCall, tuningRange } from '../standins/ram.ts';
import { manners, readInManner } from '../standins/manners.ts';
import {
  endsStroke,
  follower,
  type LiveCall,
  type StrokeCall,
  thinned,
  traceCall,
  traceFault,
  type TraceSample,
  typedCall,
} from './index.ts';

const setup = exampleSetup('bearing-in', exampleWork, measuredFits);

/** Pumps until the follower says to release; every call on the way. */
function press(
  fault: RamFault,
  seed: number,
  on = setup,
): { calls: StrokeCall[]; last: LiveCall; seatMm: number } {
  const stroke = madeUpStroke(on, fault, seed, tuningRange);
  const follow = follower(on);
  const calls: StrokeCall[] = [];
  let last: LiveCall | undefined;
  for (const s of stroke.samples()) {
    last = follow(s);
    if (calls.at(-1) !== last.call) calls.push(last.call);
    if (endsStroke(last.call)) break;
  }
  return { calls, last: last!, seatMm: stroke.seatMm };
}

describe('following a stroke', () => {
  it.each(faultsOf(true))('calls %s what it is', (fault) => {
    for (let seed = 1; seed <= 12; seed++)
      expect(press(fault, seed).calls, `seed ${seed}`).toContain(rightCall(fault, true));
  });
  it.each(['hub-out', 'bearing-out'] as const)(
    'follows %s until it is free, or says that it is stuck or galls',
    (operation) => {
      const off = exampleSetup(operation);
      for (const fault of faultsOf(false))
        for (let seed = 1; seed <= 12; seed++) {
          const { calls } = press(fault, seed, off);
          expect(calls.at(-1), `${fault} ${seed}`).toBe(rightCall(fault, false));
          if (fault === 'good') expect(calls).toEqual(['waiting', 'square', 'free']);
        }
    },
  );
  it('says starting square before anything else of a sound stroke, and ends within half a millimetre of the true seat', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { calls, last, seatMm } = press('good', seed);
      expect(calls).toEqual(['waiting', 'square', 'seated']);
      expect(Math.abs(last.travelMm - seatMm)).toBeLessThan(0.5);
    }
  });
  it('calls a cocked start before 5 mm', () => {
    for (let seed = 20; seed < 40; seed++)
      expect(press('cocked', seed).last.travelMm).toBeLessThan(5);
  });
  it('never gets milder after Stop, whatever comes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            travelMm: fc.double({ min: 0, max: 50, noNaN: true }),
            forceKn: fc.double({ min: 0, max: 90, noNaN: true }),
          }),
          { minLength: 1, maxLength: 60 },
        ),
        (list) => {
          const follow = follower(setup);
          let stopped: StrokeCall | undefined;
          list.forEach((s, i) => {
            const { call } = follow({ ...s, ms: i * 20 });
            if (stopped)
              expect(stopped === 'seated' ? ['seated', 'past'] : [stopped]).toContain(call);
            if (endsStroke(call) && call !== stopped) stopped = call;
          });
        },
      ),
    );
  });
  it.each(['good', 'galling', 'worn'] as const)(
    'calls %s the same when it is read by eye',
    (fault) => {
      for (let seed = 1; seed <= 8; seed++) {
        const stroke = madeUpStroke(setup, fault, seed, tuningRange);
        const typed = readInManner(stroke, 'typed', seed).map(({ ms: _when, ...r }) => r);
        expect(typedCall(typed.slice(0, 4), setup)).toBeUndefined();
        const calls = typed.map((_, i) => typedCall(typed.slice(0, i + 1), setup)?.call);
        expect(calls, `seed ${seed}`).toContain(rightCall(fault, true));
      }
    },
  );
  it('says past the stop when pumping goes on', () => {
    const follow = follower(setup);
    const travel = setup.requirement.travelMm;
    const at = (travelMm: number, forceKn: number, ms: number) =>
      follow({ travelMm, forceKn, ms }).call;
    for (let i = 0; i <= travel * 10; i++)
      at(i / 10, setup.forceKn.likely * (i / 10 / travel), i * 20);
    expect([
      at(travel + 0.05, setup.forceKn.likely + 6, 10_000),
      at(travel + 0.8, setup.forceKn.likely + 40, 10_020),
    ]).toEqual(['seated', 'past']);
  });
  it('refuses time that runs backwards, live and as a file, and figures that cannot be', () => {
    const follow = follower(setup);
    follow({ ms: 40, travelMm: 1, forceKn: 0.2 });
    expect(() => follow({ ms: 20, travelMm: 1, forceKn: 0.2 })).toThrow(
      /^ms: time runs backwards/u,
    );
    const s = (ms: number, forceKn = 1): TraceSample => ({ ms, travelMm: 1, forceKn });
    expect(traceFault([s(0), s(20), s(10)])?.field).toBe('samples.2.ms');
    expect(traceFault([s(0), s(20, -4)])?.field).toBe('samples.1');
    expect(traceFault([s(0), s(20)])).toBeUndefined();
  });
  it.each(manners)('calls a stroke the same when it is %s', (manner) => {
    for (const on of [setup, exampleSetup('hub-in', exampleWork, measuredFits)])
      for (const fault of ['good', 'debris', 'worn'] as const)
        for (let seed = 1; seed <= 6; seed++) {
          const samples = readInManner(madeUpStroke(on, fault, seed, tuningRange), manner, seed);
          const follow = follower(on);
          const calls = samples.map((s) => follow(s).call);
          const at = `${on.requirement.operation} ${fault} ${seed}`;
          expect(calls, at).toContain(rightCall(fault, true));
          for (const bad of ['cocked', 'galling'] as const) expect(calls, at).not.toContain(bad);
          expect(traceCall(samples, on), at).toBe(calls.at(-1));
        }
  });
  it('keeps the peaks when it thins', () => {
    const samples = Array.from({ length: 400 }, (_, i): TraceSample => ({
      ms: i * 20,
      travelMm: i / 100,
      forceKn: i === 200 ? 30 : 2,
    }));
    expect(Math.max(...thinned(samples).map((p) => p.forceKn))).toBe(30);
    expect(thinned(samples).length).toBeLessThanOrEqual(17);
  });
});
