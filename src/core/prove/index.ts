export * from './checks.ts';
export * from './runout.ts';
