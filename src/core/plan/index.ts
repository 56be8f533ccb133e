export * from './schedule.ts';
