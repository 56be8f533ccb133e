export * from './catalogue-part.ts';
export * from './compare.ts';
export * from './consumables.ts';
export * from './measure.ts';
export * from './search.ts';
export * from './to-order.ts';
