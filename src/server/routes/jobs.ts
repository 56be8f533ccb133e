import { Type } from '@sinclair/typebox';
import { JobCornerId } from '../../core/corner.ts';
import { JobCardSchema } from '../../core/card/index.ts';
import { closed, Id, oneOf, Uuid } from '../../core/schemas/common.ts';
import { choiceKeys, eventTypes } from '../../core/schemas/events.ts';
import { RawJobSchema } from '../../core/schemas/raw-job.ts';
import { answered } from '../answered.ts';
import { cardCsv, jobCard } from '../card.ts';
import { jobRecordAnew, jobView } from '../job-record.ts';
import { addEvent } from '../entries.ts';
import { setChoice, startJob } from '../jobs.ts';
import { keepPhoto, photo } from '../photos.ts';
import { quoteSettings } from '../quote.ts';
import { rawJob, TakeBackSchema, takeBack } from '../raw-job.ts';
import { visitOf } from '../visit.ts';
import { jobLessons } from '../tables.ts';

import { known, photoLimit, route, type Route, traceLimit } from './route.ts';

const EventSchema = closed({
  id: Uuid,
  type: oneOf(eventTypes),
  body: Type.Unknown({ description: 'By type, see components.schemas.event-…' }),
  byId: Id,
  pin: Type.Optional(Type.String({ maxLength: 12 })),
});
const ChoiceSchema = closed({
  id: Uuid,
  version: Type.Integer({ minimum: 0, description: 'Version that was seen; 0 for none' }),
  value: Type.Unknown(),
  byId: Id,
});
const JobSchema = closed({ id: Uuid, unitId: Id, corner: JobCornerId, byId: Id });

/** Jobs: their record, choices and card. */
export const jobsRoutes: readonly Route[] = [
  route('POST', '/api/jobs', 'Start a job', { body: JobSchema }, ({ body }) => startJob(body)),
  route('GET', '/api/jobs/{id}', 'One job as it stands', {}, ({ params }) => jobView(params.id)),
  route(
    'GET',
    '/api/jobs/{id}/visit',
    'Other corners of the same car with an open job',
    {},
    ({ params }) => visitOf(params.id),
  ),
  route(
    'GET',
    '/api/jobs/{id}/quote-basis',
    'Rate, tax and earlier minutes for a quote of this job',
    {},
    ({ params }) => quoteSettings(params.id),
  ),
  route(
    'POST',
    '/api/jobs/{id}/events',
    'Add one line to the record of a job',
    { body: EventSchema, limit: traceLimit },
    async ({ params, body, headers }) => answered(await addEvent(params.id, body), headers),
  ),
  route(
    'PUT',
    '/api/jobs/{id}/choices/{key}',
    'Change a choice; 409 with both values when it changed meanwhile',
    { body: ChoiceSchema },
    async ({ params, body, headers }) => {
      const key = known(choiceKeys, params.key, 'choice');
      return answered(await setChoice(params.id, key, body), headers);
    },
  ),
  route(
    'GET',
    '/api/jobs/{id}/raw',
    'The rows of a job as they were kept, and why it cannot be read if it cannot',
    { gives: RawJobSchema },
    ({ params }) => rawJob(params.id),
  ),
  route(
    'POST',
    '/api/jobs/{id}/take-back',
    'Take a choice back that no longer fits (lead, PIN); what was recorded stays',
    { body: TakeBackSchema },
    ({ params, body }) => takeBack(params.id, body),
  ),
  route(
    'POST',
    '/api/photos',
    'Keep a photo: JPEG, PNG or WebP by its bytes; kept upright and without what the camera noted',
    { takes: 'application/octet-stream', limit: photoLimit },
    ({ body }) => keepPhoto(body),
  ),
  route('GET', '/api/photos/{hash}', 'A photo, by its hash', {}, ({ params }) =>
    photo(params.hash),
  ),
  route(
    'GET',
    '/api/jobs/{id}/card.json',
    'Job card',
    { gives: JobCardSchema },
    async ({ params }) => jobCard(await jobRecordAnew(params.id)),
  ),
  route(
    'GET',
    '/api/jobs/{id}/card.csv',
    'Job card as lines',
    {},
    async ({ params }) =>
      new Response(cardCsv(jobCard(await jobRecordAnew(params.id))), {
        headers: {
          'content-type': 'text/csv; charset=utf-8',
          'content-disposition': 'attachment; filename="job-card.csv"',
        },
      }),
  ),
  route(
    'GET',
    '/api/jobs/{id}/lessons',
    'What a signed job taught the likelihood tables, before and after',
    {},
    ({ params }) => jobLessons(params.id),
  ),
];
