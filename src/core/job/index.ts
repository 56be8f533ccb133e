export * from './stations.ts';
export * from './state.ts';
export * from './context.ts';
export * from './gates.ts';
export * from './interlocks.ts';
export * from './summary.ts';
export type * from './views.ts';
