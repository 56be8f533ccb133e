import { type Static, Type } from '@sinclair/typebox';
import { closed, Mm, oneOf } from '../core/schemas/common.ts';
import { signalFaults } from '../core/standins/wheel-speed.ts';
import { readSignals, type Traces } from '../core/wheel-speed/index.ts';
import { samplesPerSecond, standInReader } from '../devices/wheel-speed.ts';
import { named } from './compute.ts';
import { invalid } from './problem.ts';

/** Most samples of one wheel in a recording: half a minute of a fast reader. */
const mostSamples = 120_000;

const CornerId = oneOf(['LF', 'RF', 'LR', 'RR'] as const);
const SensorId = oneOf(['active', 'coil'] as const);
const Volts = Type.Array(Type.Number({ minimum: -1000, maximum: 1000 }), { maxItems: mostSamples });
const Count = Type.Integer({ minimum: 1, maximum: 200 });

export const TakeSchema = closed({
  kmh: Type.Number({ exclusiveMinimum: 0, maximum: 250 }),
  sensor: SensorId,
  seconds: Type.Number({ minimum: 0.5, maximum: 20 }),
  pairs: Count,
  circumferenceMm: Type.Number({ minimum: 500, maximum: 5000 }),
  fault: oneOf(signalFaults),
  corner: CornerId,
  seed: Type.Optional(Type.Integer({ minimum: 0 })),
});
/** Takes a recording from the stand-in; a real reader goes behind the same port. */
export async function takeSignals({
  fault,
  corner,
  seed,
  ...request
}: Static<typeof TakeSchema>): Promise<Traces> {
  const most = mostSamples / samplesPerSecond(request);
  if (request.seconds > most)
    throw invalid([
      {
        field: 'seconds',
        reason: `At this speed with so many pulses a recording holds at most ${most.toFixed(1)} s.`,
      },
    ]);
  return standInReader(fault, corner, seed ?? Date.now() % 1_000_000).take(request);
}

export const SignalsSchema = closed({
  sampleRate: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 }),
  kmh: Type.Number({ minimum: 0, maximum: 400 }),
  sensor: SensorId,
  circumferenceMm: Mm(),
  volts: closed({ LF: Volts, RF: Volts, LR: Volts, RR: Volts }),
  perTurn: Type.Optional(Type.Partial(closed({ LF: Count, RF: Count, LR: Count, RR: Count }))),
});
export const signals = ({ circumferenceMm, perTurn, ...traces }: Static<typeof SignalsSchema>) =>
  named(() => ({ wheels: readSignals(traces, circumferenceMm, perTurn) }));
