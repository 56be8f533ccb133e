export * from './reminders.ts';
export * from './checks.ts';
export * from './play-limit.ts';
export * from './runout.ts';
export * from './kept-trace.ts';
