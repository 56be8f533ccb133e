import {
  clamp,
  ClampSchema,
  endPlayOf,
  EndPlaySchema,
  diagnosis,
  DiagnosisSchema,
  GeometrySchema,
  ordersOf,
  pressFit,
  PressFitSchema,
  screw,
  ScrewSchema,
  StackSolveSchema,
  SurvivalSchema,
  testList,
  ThreadSchema,
  threadSizes,
  toleranceOf,
  torqueTool,
  TorqueToolSchema,
  ToleranceSchema,
  tyreOf,
  TyreSchema,
  wrench,
  WrenchSchema,
} from '../compute.ts';
import { heavy } from '../heavy/pool.ts';
import { oneLarge } from '../one-large.ts';
import { sentRecording } from '../recording.ts';
import { SignalsSchema } from '../wheel-speed.ts';

import { recordingLimit, signalsLimit, route, type Route, traceLimit } from './route.ts';

/** The core, open to anybody who asks. */
export const computeRoutes: readonly Route[] = [
  route(
    'POST',
    '/api/compute/press-fit',
    'Pressure, force and stresses of a press fit (Lamé)',
    { body: PressFitSchema },
    ({ body }) => pressFit(body),
  ),
  route(
    'POST',
    '/api/compute/tolerance',
    'Deviations of an ISO 286 class',
    { body: ToleranceSchema },
    ({ body }) => toleranceOf(body),
  ),
  route(
    'POST',
    '/api/compute/wrench',
    'What to set on a wrench with an extension',
    { body: WrenchSchema },
    ({ body }) => wrench(body),
  ),
  route(
    'POST',
    '/api/compute/torque-tool',
    'What to set on a wrench with an offset adapter at an angle',
    { body: TorqueToolSchema },
    ({ body }) => torqueTool(body),
  ),
  route(
    'POST',
    '/api/compute/thread',
    'Stress area and pitch diameter of a thread: M22 × 1.5, 3/4-16',
    { body: ThreadSchema },
    ({ body }) => threadSizes(body),
  ),
  route(
    'POST',
    '/api/compute/end-play',
    'How far a nut goes along its axis for an angle',
    { body: EndPlaySchema },
    ({ body }) => endPlayOf(body),
  ),
  route(
    'POST',
    '/api/compute/clamp',
    'Clamp of a torque, and its share of the proof load of a grade',
    { body: ClampSchema },
    ({ body }) => clamp(body),
  ),
  route(
    'POST',
    '/api/compute/screw',
    'Force of a forcing screw from its torque, or torque for a force',
    { body: ScrewSchema },
    ({ body }) => screw(body),
  ),
  route(
    'POST',
    '/api/compute/stack',
    'Best stacks of a kit for one stroke, or the verdict on one laid by hand',
    { body: StackSolveSchema, limit: traceLimit },
    ({ body, request }) => heavy('stacks', body, { signal: request.signal }),
  ),
  route(
    'POST',
    '/api/compute/survival',
    'How long lives last: share still running, median, Weibull, and whether groups differ',
    { body: SurvivalSchema, limit: signalsLimit },
    ({ body, request }) => heavy('survival', body, { signal: request.signal }),
  ),
  route(
    'POST',
    '/api/compute/bearing-orders',
    'Orders of a rolling bearing',
    { body: GeometrySchema },
    ({ body }) => ordersOf(body),
  ),
  route(
    'POST',
    '/api/compute/tyre',
    'Nominal diameter and rolling circumference of a tyre',
    { body: TyreSchema },
    ({ body }) => tyreOf(body),
  ),
  route(
    'POST',
    '/api/compute/diagnosis',
    'Suspects with probabilities and the next best tests',
    { body: DiagnosisSchema },
    ({ body }) => diagnosis(body),
  ),
  route('GET', '/api/compute/tests', 'The tests, their results and where they are made', {}, () =>
    testList(),
  ),
  route(
    'POST',
    '/api/compute/wheel-speed',
    'Which wheel-speed signal is not like the others, and how',
    { body: SignalsSchema, limit: signalsLimit },
    ({ body, request }) => heavy('signals', body, { signal: request.signal }),
  ),
  route(
    'POST',
    '/api/compute/noise',
    'What repeats in a recording: multipart with `recording` (WAV) and `settings` (JSON: speedKmh, tyre, axleRatio, bearing)',
    { limit: recordingLimit, takes: 'multipart/form-data' },
    ({ request }) =>
      oneLarge(async () => {
        const { recording, settings } = await sentRecording(request, recordingLimit);
        const { signal } = request;
        return heavy('noise', { recording, settings }, { transfer: [recording], signal });
      }, request.signal),
  ),
];
