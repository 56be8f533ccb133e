export * from './schedule.ts';
export * from './scheduler.ts';
export * from './task.ts';
export * from './work.ts';
export * from './quote.ts';
