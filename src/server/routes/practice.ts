import {
  AnswerSchema,
  answerPractice,
  helpPractice,
  HelpSchema,
  jobAsExercise,
  PastJobSchema,
  practiceOf,
  sharePractice,
  ShareSchema,
} from '../practice.ts';
import { route, type Route } from './route.ts';

/** Practice: what is open, answered, helped and shown; past jobs as exercises. */
export const practiceRoutes: readonly Route[] = [
  route(
    'GET',
    '/api/practice/{byId}',
    'The exercise to do now, and where its learner stands',
    {},
    ({ params }) => practiceOf(params.byId),
  ),
  route(
    'POST',
    '/api/practice/{byId}/answers',
    'Answer the open exercise; says what it was worth and why',
    { body: AnswerSchema },
    ({ params, body }) => answerPractice(params.byId, body),
  ),
  route(
    'POST',
    '/api/practice/{byId}/help',
    'Rule out one wrong answer of the open exercise',
    { body: HelpSchema },
    ({ params, body }) => helpPractice(params.byId, body),
  ),
  route(
    'POST',
    '/api/practice/{byId}/share',
    'Let the others see how one stands, or not',
    { body: ShareSchema },
    ({ params, body }) => sharePractice(params.byId, body),
  ),
  route(
    'POST',
    '/api/jobs/{id}/exercise',
    'Make a job that ended an exercise, its people and unit taken out (lead, PIN)',
    { body: PastJobSchema },
    ({ params, body }) => jobAsExercise(params.id, body),
  ),
];
