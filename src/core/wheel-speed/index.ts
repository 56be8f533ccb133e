export * from './read.ts';
export * from './table.ts';
