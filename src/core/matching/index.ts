export * from './part.ts';
export * from './measure.ts';
export * from './compare.ts';
export * from './search.ts';
