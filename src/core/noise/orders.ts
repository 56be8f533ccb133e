/** A rolling bearing's geometry for its orders. */
export interface BearingGeometry {
  balls: number;
  ballMm: number;
  pitchMm: number;
  angleDeg: number;
  /** Which ring turns with the wheel. */
  rotating: 'inner' | 'outer';
}

export interface BearingOrders {
  ftf: number;
  bpfo: number;
  bpfi: number;
  bsf: number;
}

/**
 * Orders of wheel turning at which a damaged cage, outer ring, inner ring or ball repeats; rolling without slip.
 * Where the outer ring turns only the cage order changes. Throws RangeError naming the field.
 */
export function bearingOrders(g: BearingGeometry): BearingOrders {
  if (!(Number.isInteger(g.balls) && g.balls >= 3))
    throw new RangeError('balls: a whole number from 3 is needed');
  if (!(g.ballMm > 0 && g.ballMm < g.pitchMm))
    throw new RangeError(
      `ballMm: ${g.ballMm} mm must be more than 0 and smaller than the pitch circle, ${g.pitchMm} mm`,
    );
  if (g.balls * g.ballMm > Math.PI * g.pitchMm)
    throw new RangeError(
      `balls: ${g.balls} balls of ${g.ballMm} mm overlap on a pitch circle of ${g.pitchMm} mm`,
    );
  if (!(g.angleDeg >= 0 && g.angleDeg < 90)) throw new RangeError('angleDeg: from 0 to below 90°');
  const c = (g.ballMm / g.pitchMm) * Math.cos((g.angleDeg * Math.PI) / 180);
  return {
    ftf: (1 + (g.rotating === 'inner' ? -c : c)) / 2,
    bpfo: (g.balls / 2) * (1 - c),
    bpfi: (g.balls / 2) * (1 + c),
    bsf: (g.pitchMm / (2 * g.ballMm)) * (1 - c * c),
  };
}

export interface Tyre {
  diameterMm: number;
  circumferenceMm: number;
}

/** Rolling over nominal circumference (common practice, editable). */
export const rollingFactor = 0.97;

/** Nominal diameter and rolling circumference from a size such as 195/65R15. Throws RangeError. */
export function tyre(size: string, factor = rollingFactor): Tyre {
  const found = /^\s*(\d{3})\s*\/\s*(\d{2,3})\s*Z?[RD-]?\s*(\d{2})\s*[A-Z0-9 ]*$/iu.exec(size);
  if (!found) throw new RangeError(`tyre: “${size}” is not a tyre size such as 195/65R15`);
  const [width, aspect, rim] = found.slice(1).map(Number) as [number, number, number];
  if (width < 105 || width > 405 || aspect < 20 || aspect > 95 || rim < 10 || rim > 26)
    throw new RangeError(`tyre: “${size}” is outside what road tyres are made in`);
  const diameterMm = rim * 25.4 + (2 * width * aspect) / 100;
  return { diameterMm, circumferenceMm: Math.PI * diameterMm * factor };
}

/** Turns of the wheel a second. Throws RangeError at no speed. */
export function wheelHz(speedKmh: number, circumferenceMm: number): number {
  if (!(speedKmh > 0 && speedKmh <= 250))
    throw new RangeError(
      `speedKmh: ${speedKmh} km/h gives no wheel order; a speed over 0 up to 250 is needed`,
    );
  return speedKmh / 3.6 / (circumferenceMm / 1000);
}
