export * from './arithmetic.ts';
export * from './procedure.ts';
