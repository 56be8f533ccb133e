export * from './iso286.ts';
export * from './pressure.ts';
export * from './seat.ts';
