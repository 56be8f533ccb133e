import { describe, expect, it } from 'vitest';
import { exampleWork, exampleWorks } from '../../../tests/example.ts';
import type { CornerRecord } from '../corner-record.ts';
import { builtAlike, misfits, seatsOf, type Work, workFrom } from './index.ts';

/** A corner as it would stand on record with the bodies of these parts. */
const recordOf = ({ bearing: _bearing, ...bodies }: Work): CornerRecord => ({
  source: 'made up',
  ...bodies,
});
const bodiesOf: Record<Work['family'], (keyof CornerRecord)[]> = {
  P1: ['knuckle', 'hub'],
  P2: ['cartridge', 'housing'],
  A1: ['housing'],
  N1: ['housing'],
  A2: ['shaft'],
  B2: ['housing'],
  T2: ['housing'],
  A3: ['housing'],
};
const sideOf = (w: Work) => ('encoderSide' in w ? w.encoderSide : undefined);

describe('the parts of a stroke, from the record and the part', () => {
  it.each(exampleWorks.map((w) => [w.family, w] as const))('%s', (family, w) => {
    const record = recordOf(w);
    expect(workFrom(family, record, w.bearing, sideOf(w))).toEqual(w);
    // A body that is not on record is never made up.
    for (const body of bodiesOf[family]) {
      const { [body]: _gone, ...rest } = record;
      expect(workFrom(family, rest as CornerRecord, w.bearing), body).toBeUndefined();
    }
    expect(workFrom(family, record, undefined)).toBeUndefined();
    expect(workFrom(family, undefined, w.bearing)).toBeUndefined();
    expect(workFrom('N9', record, w.bearing)).toBeUndefined();
  });
  it('takes the other end for like the first where only one is on record', () => {
    const w = exampleWorks.find((x) => x.family === 'B2')!;
    const { far: _far, ...one } = recordOf(w);
    expect(workFrom('B2', one as CornerRecord, w.bearing)).toMatchObject({
      far: (w as Extract<Work, { far: object }>).housing,
    });
  });
  it('is not made with a part that does not go on it, both figures named', () => {
    const { bearing } = exampleWork;
    const record = recordOf(exampleWork);
    expect(misfits('P1', record, bearing)).toEqual([]);
    const wide = { ...bearing, outerMm: 78, boreMm: 42 };
    expect(misfits('P1', record, wide)).toEqual([
      { what: 'bore', recordMm: 40, partMm: 42 },
      { what: 'outside', recordMm: 76, partMm: 78 },
    ]);
    expect(workFrom('P1', record, wide)).toBeUndefined();
    // A family that nobody named, and a corner of which nothing stands there, say nothing against it.
    expect([misfits(undefined, record, wide), misfits('P1', undefined, wide)]).toEqual([[], []]);
  });
  it.each(exampleWorks.map((w) => [w.family, w] as const))(
    'lends its figures to a corner built alike: %s',
    (family, w) => {
      const record = recordOf(w);
      expect(builtAlike(record, family, w.bearing)).toBe(true);
      expect(builtAlike(record, 'P3', w.bearing)).toBe(false);
      expect(builtAlike({ family, source: 'made up' } as CornerRecord, family, w.bearing)).toBe(
        false,
      );
    },
  );
  it('lends none to a corner of another size', () =>
    expect(builtAlike(recordOf(exampleWork), 'P1', { boreMm: 42, outerMm: 76 })).toBe(false));
});

// What lies in a bore grips, and no more; a journal as far as the ring is wide. Geometry.
describe('the seats that are measured', () => {
  const { bearing, knuckle, hub } = exampleWork;
  it('are as long as ring and seat lie in one another', () => {
    const at = (seatDepthMm: number, journalLengthMm: number) =>
      seatsOf({
        ...exampleWork,
        knuckle: { ...knuckle, seatDepthMm },
        hub: { ...hub, journalLengthMm },
      });
    const [b, j] = [bearing.widthMm, bearing.innerWidthMm];
    expect(at(b + 4, j + 7)).toMatchObject({
      bore: { lengthMm: b, fromMm: 4, nominalMm: bearing.outerMm, part: 'knuckle' },
      journal: { lengthMm: j, fromMm: 0, nominalMm: bearing.boreMm, part: 'hub' },
    });
    expect(at(b - 4, j - 7)).toMatchObject({
      bore: { lengthMm: b - 4, fromMm: 0 },
      journal: { lengthMm: j - 7 },
    });
  });
  it.each(exampleWorks.map((w) => [w.family, w] as const))(
    'are made to the table of their kind of bearing: %s',
    (family, w) => {
      const taper = family === 'T2' || family === 'A3';
      for (const seat of Object.values(seatsOf(w)))
        expect(seat.series).toBe(taper ? 'taper' : 'radial');
    },
  );
  it('name the part that carries them', () => {
    const named = exampleWorks.map((w) => [w.family, Object.values(seatsOf(w)).map((x) => x.part)]);
    expect(Object.fromEntries(named)).toEqual({
      P1: ['knuckle', 'hub'],
      P2: ['knuckle'],
      A1: ['axle tube'],
      N1: ['stub axle'],
      A2: ['axle shaft'],
      B2: ['hub', 'axle shaft'],
      T2: ['hub'],
    });
  });
});
