export * from './wav.ts';
export * from './orders.ts';
export * from './spectra.ts';
export * from './analyse.ts';
