import { moodNow, MoodSchema, offers, setMood } from '../offers.ts';
import { PartNumbersSchema } from '../parts.ts';
import { ramStream } from '../ram.ts';
import { playStream } from '../play.ts';
import { runoutStream } from '../runout.ts';
import { standInsOn } from '../shop.ts';
import { indicatorStream } from '../streams.ts';
import { heavy } from '../heavy/pool.ts';
import { TakeSchema } from '../wheel-speed.ts';

import { wrenchStream } from '../wrench.ts';
import { route, type Route } from './route.ts';

/** Devices and outside services, and their stand-ins. */
export const devicesRoutes: readonly Route[] = [
  route(
    'GET',
    '/api/jobs/{id}/ram/{operation}/{setting}',
    'Readings of the stand-in ram for a stroke (server-sent events); setting: good, cocked, galling, worn or rusted, “+drop-out” for a loose lead',
    {},
    async ({ params }) => {
      await standInsOn();
      return ramStream(params.id, params.operation, params.setting);
    },
  ),
  route(
    'GET',
    '/api/jobs/{id}/wrench/{stage}/{setting}/{gain}',
    'Readings of the stand-in wrench for a stage (server-sent events); setting: good, ratchet, short, too-far, slips, cross-threaded, yields, silent; gain: torque at the nut over what the wrench shows, 1 straight on it',
    {},
    async ({ params }) => {
      await standInsOn();
      return wrenchStream(params.id, params.stage, params.setting, params.gain);
    },
  ),
  route(
    'GET',
    '/api/devices/indicator/{nominal}',
    'Readings of the stand-in indicator until it settles (server-sent events)',
    {},
    async ({ params }) => {
      await standInsOn();
      return indicatorStream(params.nominal);
    },
  ),
  route(
    'GET',
    '/api/jobs/{id}/runout/{face}/{deg}/{turned}',
    'Reading of the stand-in indicator on hub or disc, the hub turned clockwise by degrees, the disc by holes on it (server-sent events)',
    {},
    async ({ params }) => {
      await standInsOn();
      return runoutStream(params.id, params.face, params.deg, params.turned);
    },
  ),
  route(
    'GET',
    '/api/jobs/{id}/play/{end}/{turned}',
    'Reading of the stand-in dial on an adjusted hub, pushed or pulled, the nut turned by degrees since its first reading (server-sent events)',
    {},
    async ({ params }) => {
      await standInsOn();
      return playStream(params.id, params.end, params.turned);
    },
  ),
  route(
    'POST',
    '/api/parts-service/offers',
    'Price, stock and lead time from the parts service; `down` says why there is none',
    { body: PartNumbersSchema },
    ({ body }) => offers(body),
  ),
  route(
    'GET',
    '/api/parts-service/mood',
    'How the stand-in service behaves; null when a real one is set',
    {},
    () => moodNow(),
  ),
  route(
    'PUT',
    '/api/parts-service/mood',
    'Make the stand-in service slow or let it fail',
    { body: MoodSchema },
    ({ body }) => setMood(body),
  ),
  route(
    'POST',
    '/api/devices/wheel-speed/take',
    'A short recording of the four wheel-speed signals, from the stand-in reader',
    { body: TakeSchema },
    async ({ body, request }) => {
      await standInsOn();
      const taken = await heavy('take', body, { signal: request.signal });
      return new Response(taken, { headers: { 'content-type': 'application/json' } });
    },
  ),
];
