export * from './due.ts';
export * from './grease.ts';
export * from './serviced.ts';
