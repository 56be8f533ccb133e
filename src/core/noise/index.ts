export * from './analyse.ts';
export * from './orders.ts';
export * from './spectra.ts';
export * from './wav.ts';
