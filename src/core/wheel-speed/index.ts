export { pulses, toneOf } from './pulses.ts';
export * from './read.ts';
export * from './table.ts';
