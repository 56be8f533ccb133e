import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dragFault, dragInWords, dragNm } from './index.ts';

describe('drag by a spring scale', () => {
  it('is force by arm, less the seal, and the first movement is not read', () => {
    // Statics, worked by hand: 8 N at 57 mm are 0.456 N·m. Common practice for the first reading, no published source.
    expect(dragNm({ forcesN: [18, 8], radiusMm: 57 })).toBe(0.456);
    expect(dragNm({ forcesN: [18, 10, 10], radiusMm: 57, sealNm: 0.2 })).toBe(0.37);
    expect(() => dragNm({ forcesN: [18], radiusMm: 57 })).toThrow(/forcesN/u);
    expect(() => dragNm({ forcesN: [18, 8], radiusMm: 0 })).toThrow(/radiusMm/u);
  });
  it('does not hang on what started it, and grows with force and arm', () => {
    const force = fc.integer({ min: 1, max: 500 });
    fc.assert(
      fc.property(
        force,
        force,
        fc.array(force, { minLength: 1, maxLength: 8 }),
        force,
        (a, b, rest, arm) => {
          const read = dragNm({ forcesN: [a, ...rest], radiusMm: arm });
          expect(dragNm({ forcesN: [b, ...rest], radiusMm: arm })).toBe(read);
          expect(dragNm({ forcesN: [a, ...rest.map((f) => 2 * f)], radiusMm: arm })).toBeCloseTo(
            2 * read,
            2,
          );
          expect(dragNm({ forcesN: [a, ...rest], radiusMm: 3 * arm })).toBeCloseTo(3 * read, 2);
        },
      ),
    );
  });
  it('is refused where the readings give none', () => {
    expect(dragFault({ forcesN: [18], radiusMm: 57 })?.rule).toBe('torque.drag-once');
    expect(dragFault({ forcesN: [18, 8], radiusMm: 57, sealNm: 0.5 })?.rule).toBe(
      'torque.drag-seal',
    );
    expect(dragFault({ forcesN: [18, 8], radiusMm: 57, sealNm: 0.4 })).toBeUndefined();
  });
  it('stands on the card as it was read', () => {
    expect(dragInWords({ forcesN: [18, 8, 9], radiusMm: 57, sealNm: 0.1 })).toBe(
      'first 18 N, then 8, 9 N at 57 mm, seal 0.1 N·m',
    );
  });
});
