export * from './arithmetic.ts';
export * from './fastener.ts';
export * from './procedure.ts';
