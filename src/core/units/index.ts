export * from './format.ts';
export * from './quantity.ts';
