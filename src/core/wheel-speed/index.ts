export { pulses, toneOf } from './pulses.ts';
export * from './read.ts';
export * from './strip.ts';
export * from './table.ts';
