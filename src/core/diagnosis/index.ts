export * from './belief.ts';
export * from './complaint.ts';
export * from './history.ts';
export * from './judge.ts';
export * from './likelihood-tables.ts';
export type { SecondFault } from './second.ts';
export * from './suspects.ts';
export { tests } from './tests.data.ts';
export * from './tests.ts';
