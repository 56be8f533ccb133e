export * from './arithmetic.ts';
export * from './castle.ts';
export * from './clamp.ts';
export * from './fastener.ts';
export * from './procedure.ts';
export * from './pull.ts';
export * from './threads.data.ts';
export * from './threads.ts';
