export * from './calculator.ts';
export * from './calculators.ts';
export { limitsOf } from './fit.ts';
export { lockOf, nextSlotOf, screwOf, standOf } from './nut.ts';
