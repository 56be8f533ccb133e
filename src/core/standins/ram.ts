import { engagedShare, type Setup, type StrokeCall, type TraceSample } from '../press/index.ts';
import { normal, random } from './cars.ts';

export const ramFaults = ['good', 'cocked', 'galling', 'worn', 'debris', 'rusted'] as const;
export type RamFault = (typeof ramFaults)[number];
/** What a follower has to call a stroke of this kind. */
export const rightCall = (fault: RamFault, fitting: boolean): StrokeCall =>
  (
    ({
      good: fitting ? 'seated' : 'free',
      cocked: 'cocked',
      galling: 'galling',
      worn: 'easy',
      debris: 'short',
      rusted: 'stuck',
    }) as const
  )[fault];
const offFaults: ReadonlySet<RamFault> = new Set<RamFault>(['good', 'galling', 'rusted']);
/** What can go wrong with a part going on, and with one coming off. */
export const faultsOf = (fitting: boolean): RamFault[] =>
  ramFaults.filter((f) => (fitting ? f !== 'rusted' : offFaults.has(f)));

/** Range that the hidden parameters of a stroke are drawn from; tuning and report use different ones. */
export interface RamRange {
  /** Noise of gauge and of travel, r.m.s. */
  gaugeKn: number;
  travelMm: number;
  /** Stiffness of shoulder and of frame, kN/mm. */
  shoulder: readonly [number, number];
  frame: readonly [number, number];
  /** Share that the force falls in the rest of a pump. */
  rest: readonly [number, number];
  /** How far one pump goes, mm. */
  pump: readonly [number, number];
}

export const tuningRange: RamRange = {
  gaugeKn: 0.04,
  travelMm: 0.008,
  shoulder: [60, 200],
  frame: [80, 200],
  rest: [0.02, 0.05],
  pump: [0.9, 1.1],
};
export const reportRange: RamRange = {
  gaugeKn: 0.06,
  travelMm: 0.01,
  shoulder: [45, 260],
  frame: [60, 240],
  rest: [0.02, 0.07],
  pump: [0.8, 1.2],
};

/** A gauge without noise on a pump without rests. */
export const idealRange: RamRange = { ...tuningRange, gaugeKn: 0, travelMm: 0, rest: [0, 0] };

/** What a made-up stroke hides: what it truly is. */
export interface MadeUpStroke {
  fault: RamFault;
  /** Where the shoulder truly is, mm. */
  seatMm: number;
  /** Where what it comes to truly begins, mm: tilt, galling, else the shoulder. */
  beginsMm: number;
  /** Force just before the shoulder, kN. */
  fittingKn: number;
  /** One reading after another; ends when the ram is far beyond the shoulder. */
  samples: () => Generator<TraceSample>;
}

const hz = 60;
const between = (r: () => number, [lo, hi]: readonly [number, number]) => lo + (hi - lo) * r();

/**
 * A hand pump pressing a ring home: fit and friction drawn inside the expected band, tilt, galling or a worn seat by choice,
 * then the shoulder through the frame. Force is read between and during pumps, 60 times a second.
 */
export function madeUpStroke(
  setup: Setup,
  fault: RamFault,
  seed: number,
  range: RamRange = reportRange,
): MadeUpStroke {
  if (!setup.requirement.fitting) return madeUpRemoval(setup, fault, seed, range);
  const r = random(seed);
  const { forceKn: full, requirement } = setup;
  const length = requirement.seat.lengthMm;
  const inBand = full.low + (full.high - full.low) * (0.05 + 0.9 * r());
  const ramp = fault === 'worn' ? full.low * (0.15 + 0.5 * r()) : inBand;
  const off = Math.max(-0.28, Math.min(0.28, 0.14 * normal(r)));
  // Something under the ring: it stands early, by more than a reading is off.
  const seatMm = requirement.travelMm + (fault === 'debris' ? -0.6 - 1.5 * r() ** 2 : off);
  const stiff = 1 / (1 / between(r, range.shoulder) + 1 / between(r, range.frame));
  const rest = between(r, range.rest);
  const pump = between(r, range.pump);
  const tilt = {
    at: 1 + 2.5 * r(),
    height: full.high * (0.35 + 0.65 * r()),
    width: 0.8 + r(),
    tooth: 0.35 + 0.4 * r(),
  };
  const gall = {
    from: length * (0.3 + 0.4 * r()),
    rise: full.high * (1.8 + 2.2 * r()),
    tooth: 1 + 1.6 * r(),
    drop: 0.25 + 0.2 * r(),
  };
  const forceAt = (x: number): number => {
    const base = ramp * engagedShare(setup, x);
    if (fault === 'cocked') {
      // Bites and slips until it is far askew.
      const bite =
        tilt.height * Math.exp(-(((x - tilt.at) / tilt.width) ** 2)) +
        (x > tilt.at ? 0.5 * tilt.height : 0);
      return base + bite * (0.75 + 0.25 * ((x / tilt.tooth) % 1));
    }
    if (fault === 'galling' && x > gall.from) {
      const grown = base + (gall.rise * (x - gall.from)) / length + 0.12 * full.high;
      return (
        grown *
        (1 -
          gall.drop *
            (1 - (((x - gall.from) / gall.tooth) % 1)) *
            Number(x - gall.from > gall.tooth))
      );
    }
    return base;
  };
  const begins = { cocked: Math.max(0, tilt.at - tilt.width), galling: gall.from };
  return {
    fault,
    seatMm,
    beginsMm: fault === 'cocked' || fault === 'galling' ? begins[fault] : seatMm,
    fittingKn: forceAt(seatMm - 0.01),
    samples: function* samples() {
      let ms = 0;
      let x = 0;
      for (let n = 0; n < 200; n++) {
        const stroke = 42 + Math.round(12 * r());
        for (let i = 0; i < stroke; i++) {
          x += pump / stroke;
          const over = Math.max(0, x - seatMm);
          // Oil and frame take up what the shoulder does not give.
          const travel = over > 0 ? seatMm + over * 0.35 : x;
          const force = forceAt(Math.min(x, seatMm)) + stiff * over;
          ms += 1000 / hz;
          yield {
            ms: Math.round(ms),
            travelMm: travel + range.travelMm * normal(r),
            forceKn: Math.max(0, force + range.gaugeKn * normal(r)),
          };
          if (over * stiff > 60) return;
        }
        const held = forceAt(Math.min(x, seatMm)) + stiff * Math.max(0, x - seatMm);
        for (let i = 0; i < 18; i++) {
          ms += 1000 / hz;
          yield {
            ms: Math.round(ms),
            travelMm: Math.min(x, seatMm) + range.travelMm * normal(r),
            forceKn: Math.max(0, held * (1 - (rest * (i + 1)) / 18) + range.gaugeKn * normal(r)),
          };
        }
      }
    },
  };
}

/** The same pump taking a part off: frame and oil give until it breaks away, then the force falls with what is still engaged. */
function madeUpRemoval(setup: Setup, fault: RamFault, seed: number, range: RamRange): MadeUpStroke {
  const { forceKn: full, requirement } = setup;
  const r = random(seed);
  const length = requirement.seat.lengthMm;
  const sliding = full.low + (full.high - full.low) * (0.05 + 0.85 * r());
  const breakKn =
    fault === 'rusted'
      ? full.high * (1.35 + r())
      : Math.min(full.high * 1.08, sliding * (1.05 + 0.25 * r()));
  const stiff = between(r, range.frame);
  const rest = between(r, range.rest);
  const pump = between(r, range.pump);
  const gall = {
    from: length * (0.25 + 0.3 * r()),
    rise: full.high * (1.6 + 1.6 * r()),
    tooth: 1 + r(),
  };
  const slides = (x: number) => {
    const base = sliding * engagedShare(setup, x);
    return fault === 'galling' && x > gall.from
      ? base +
          (gall.rise * (x - gall.from)) / length +
          0.15 * full.high +
          0.06 * full.high * (((x - gall.from) / gall.tooth) % 1)
      : base;
  };
  return {
    fault,
    seatMm: requirement.travelMm,
    beginsMm: fault === 'galling' ? gall.from : 0,
    fittingKn: breakKn,
    samples: function* samples() {
      let ms = 0;
      let travel = 0;
      let force = 0;
      const at = (f: number): TraceSample => ({
        ms: Math.round(ms),
        travelMm: travel + range.travelMm * normal(r),
        forceKn: Math.max(0, f + range.gaugeKn * normal(r)),
      });
      for (let n = 0; n < 300; n++) {
        const stroke = 42 + Math.round(12 * r());
        for (let i = 0; i < stroke; i++) {
          const step = pump / stroke;
          if (travel === 0 && force < breakKn) force += stiff * step * 0.25;
          else {
            travel += step;
            force = Math.max(slides(travel), force - stiff * step);
          }
          ms += 1000 / hz;
          yield at(force);
          if (travel > requirement.travelMm + 2 || force > breakKn + 60) return;
        }
        for (let i = 0; i < 18; i++) {
          ms += 1000 / hz;
          yield at(force * (1 - (rest * (i + 1)) / 18));
        }
        if (fault === 'rusted' && force >= breakKn) return;
      }
    },
  };
}
