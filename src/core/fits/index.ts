export * from './iso286.ts';
export * from './pressure.ts';
export * from './seat.ts';
export * from './chain.ts';
export * from './service.ts';
export * from './damage.ts';
