export * from './analyse.ts';
export * from './orders.ts';
export * from './ring-size.ts';
export * from './spectra.ts';
export * from './wav.ts';
