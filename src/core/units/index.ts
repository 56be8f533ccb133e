export * from './quantity.ts';
export * from './format.ts';
