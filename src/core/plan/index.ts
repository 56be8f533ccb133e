export * from './schedule.ts';
export * from './routes.data.ts';
