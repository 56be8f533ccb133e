import { type Static, Type } from '@sinclair/typebox';
import { closed, oneOf } from '../core/schemas/common.ts';
import {
  httpPartsService,
  type Mood,
  type Offer,
  ServiceDown,
  standInPartsService,
  type StandInService,
} from '../devices/parts-service.ts';
import { partIndex, type PartNumbersSchema } from './parts.ts';
import { Problem } from './problem.ts';
import { store } from './store.ts';

let standIn: Promise<StandInService> | undefined;

/** The stand-in's own prices: what the catalogue says, moved a little, so that it is seen where a figure comes from. */
async function fromCatalogue(numbers: readonly string[]): Promise<Offer[]> {
  const { byNumber } = await partIndex((await store()).db);
  return numbers.flatMap((n) => {
    const p = byNumber.get(n);
    return p
      ? [
          {
            number: n,
            priceMinor: Math.round(p.priceMinor * 1.04),
            currency: p.currency,
            stock: p.stock,
            leadDays: p.leadDays,
          },
        ]
      : [];
  });
}

const ownStandIn = () => (standIn ??= standInPartsService(fromCatalogue));
const serviceUrl = async () => process.env['PARTS_URL'] ?? (await ownStandIn()).url;

/** Offers of the parts service, or why there are none: the job goes on either way. */
export async function offers({
  numbers,
}: Static<typeof PartNumbersSchema>): Promise<{ offers: Offer[]; down: string | null }> {
  try {
    return { offers: await httpPartsService(await serviceUrl()).offers(numbers), down: null };
  } catch (e) {
    if (e instanceof ServiceDown) return { offers: [], down: e.message };
    throw e;
  }
}

export const MoodSchema = closed({
  latencyMs: Type.Integer({ minimum: 0, maximum: 20_000 }),
  fails: oneOf(['no', 'error', 'nonsense'] as const),
});
/** Makes the stand-in slow or broken, to see what the job does then. */
export async function setMood(mood: Static<typeof MoodSchema>): Promise<Mood> {
  if (process.env['PARTS_URL'])
    throw new Problem(
      409,
      'A real service is set',
      'PARTS_URL names a service of its own; only the stand-in can be made to fail.',
    );
  return ((await ownStandIn()).mood = mood);
}
export async function moodNow(): Promise<Mood | null> {
  return process.env['PARTS_URL'] ? null : (await ownStandIn()).mood;
}
