export * from './kit.ts';
export * from './operation.ts';
export * from './stack.ts';
export * from './force-path.ts';
export * from './solve.ts';
export * from './stroke.ts';
export * from './follow.ts';
