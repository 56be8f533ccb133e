import {
  both as bothSystems,
  type BothSystems,
  type Dimension,
  type UnitSystem,
} from '../core/units/index.ts';

/** What the server renders with: set by the layout of each page from the shop's settings. */
let rendered: UnitSystem = 'metric';
export const renderUnits = (system: UnitSystem): void => {
  rendered = system;
};

const systemHere = (): UnitSystem => {
  if (typeof document === 'undefined') return rendered;
  return document.documentElement.dataset['units'] === 'inch' ? 'inch' : 'metric';
};

/** A figure in both systems, the one first that this shop reads first. */
export const both = (value: number, dimension: Dimension, decimals?: number): BothSystems =>
  bothSystems(value, dimension, decimals, systemHere());
