export * from './calculator.ts';
export * from './calculators.ts';
