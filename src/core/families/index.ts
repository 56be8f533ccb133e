export * from './families.data.ts';
export * from './items.data.ts';
export * from './identify.ts';
export * from './shapes.ts';
export * from './p1.data.ts';
export * from './steps.ts';
