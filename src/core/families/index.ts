export * from './families.data.ts';
export * from './p1.data.ts';
export * from './steps.ts';
