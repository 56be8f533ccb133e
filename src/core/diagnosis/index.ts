export * from './suspects.ts';
export * from './tests.ts';
export { tests } from './tests.data.ts';
export * from './complaint.ts';
export * from './judge.ts';
export * from './model.ts';
export type { SecondFault } from './second.ts';
export type { Contradiction } from './contradiction.ts';
