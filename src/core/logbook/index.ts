export * from './enough.ts';
export * from './log-rank.ts';
export * from './survival.ts';
export * from './weibull.ts';
