export * from './exercise.ts';
export * from './learner.ts';
export * from './makers.ts';
export * from './past.ts';
export * from './picture.ts';
export * from './view.ts';
export { judgeLaid, type LaidStack, practiceSetup, practiceStack } from './bench.ts';
export * from './nut-walk.ts';
