export * from './class-faults.ts';
export * from './chain.ts';
export * from './damage.ts';
export * from './felt-seat.ts';
export * from './grip.ts';
export * from './iso286.ts';
export * from './pressure.ts';
export * from './seat.ts';
