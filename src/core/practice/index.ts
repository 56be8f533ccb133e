export * from './exercise.ts';
export * from './learner.ts';
export * from './makers.ts';
export * from './past.ts';
export * from './picture.ts';
export * from './view.ts';
export {
  judgeLaid,
  type LaidStack,
  type PracticeKit,
  practiceSetup,
  practiceStrokes,
} from './bench.ts';
export { layGiven, relaid, whereWrong } from './makers/lay.ts';
export * from './nut-walk.ts';
