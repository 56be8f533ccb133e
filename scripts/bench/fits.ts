import { drawChain, type FitChain } from '../../src/core/fits/index.ts';
import { hold, timed } from './hold.ts';

const chain: FitChain = {
  fit: {
    diameterMm: 76,
    outerDiameterMm: 102,
    innerBoreMm: 67,
    outerMaterial: 'ductile-iron',
    innerMaterial: 'steel',
  },
  lengthMm: 37,
  inside: { mean: 75.993, sd: 0.002 },
  outside: { mean: 75.96, sd: 0.0015 },
  roughness: { mean: 0.008, sd: 0.002 },
  friction: { mean: 0.095, sd: 0.012 },
  creepMm: 0,
};
/** A million draws of a fit. */
export const fits = (): void =>
  hold(
    'a million draws of a fit, warm, median of 7',
    timed(() => drawChain(chain, 1_000_000, 1), 7),
    300,
    'ms',
  );
