export * from './format.ts';
export * from './quantity.ts';
export * from './money.ts';
