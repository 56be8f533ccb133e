import { type Static, Type } from '@sinclair/typebox';
import { familyByCode } from '../core/families/index.ts';
import { familyNamed, type JobContext, type JobState } from '../core/job/index.ts';
import {
  type CataloguePart,
  dimensions,
  type Found,
  hasSize,
  indexParts,
  meanOf,
  type PartIndex,
  partKinds,
  searchParts,
  toBuy,
  toOrder,
  type ToOrder,
} from '../core/matching/index.ts';
import { closed, Id, oneOf } from '../core/schemas/common.ts';
import { type Consumable, ConsumableSizeSchema } from '../core/schemas/workshop.ts';
import type { Db } from '../db/open.ts';
import { listRecords } from '../db/records.ts';
import { store } from './store.ts';

let kept: Promise<PartIndex> | undefined;

/** The catalogue laid out for search; made once and again after an import. */
export function partIndex(db: Db): Promise<PartIndex> {
  kept ??= listRecords(db, 'parts').then(indexParts);
  kept.catch(() => {
    kept = undefined;
  });
  return kept;
}
export const forgetParts = (): void => {
  kept = undefined;
};

const Size = Type.Number({ exclusiveMinimum: 0, maximum: 2000 });
export const PartSearchSchema = closed({
  sizes: Type.Optional(
    Type.Partial(
      closed(
        Object.fromEntries(dimensions.map((d) => [d, Size])) as Record<
          (typeof dimensions)[number],
          typeof Size
        >,
      ),
    ),
  ),
  toleranceMm: Type.Optional(Type.Number({ minimum: 0, maximum: 50 })),
  kind: Type.Optional(oneOf(partKinds)),
  text: Type.Optional(Type.String({ maxLength: 60 })),
  most: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
});
export const findParts = async (b: Static<typeof PartSearchSchema>): Promise<Found> =>
  searchParts(await partIndex((await store()).db), b);
export const PartNumbersSchema = closed({ numbers: Type.Array(Id, { minItems: 1, maxItems: 40 }) });

export const ConsumableSearchSchema = closed({
  items: Type.Array(Id, { minItems: 1, maxItems: 20 }),
  /** Sizes that an item must have; one without is found in any size. */
  sizes: Type.Optional(Type.Record(Id, ConsumableSizeSchema)),
});

/** Consumables for each item that have the size asked for, those in stock first and cheapest of them. */
export async function consumablesFor({
  items,
  sizes = {},
}: Static<typeof ConsumableSearchSchema>): Promise<Record<string, Consumable[]>> {
  const all = await listRecords((await store()).db, 'consumables');
  return Object.fromEntries(
    items.map((item) => [
      item,
      all
        .filter((c) => c.item === item && hasSize(c, sizes[item] ?? {}))
        .sort((a, b) => Number(b.stock > 0) - Number(a.stock > 0) || a.priceMinor - b.priceMinor)
        .slice(0, 3),
    ]),
  );
}

/** How far round what was read, or round the part on record, candidates are taken, mm. */
const nearMm = 1.2;

/** The few parts a job can have to do with: named on the unit, chosen, entered by hand, or near what was read. */
export async function partsOfJob(
  db: Db,
  ctx: Pick<JobContext, 'unit' | 'corner'>,
  state: JobState,
  chosen: string | undefined,
): Promise<CataloguePart[]> {
  const index = await partIndex(db);
  const record = ctx.corner === 'unknown' ? undefined : ctx.unit.corners[ctx.corner];
  const named = record?.partNumber ? index.byNumber.get(record.partNumber) : undefined;
  const kind = familyByCode(familyNamed(record, state))?.kind ?? 'ring-set';
  const read = Object.fromEntries(
    Object.entries(state.oldReadings).map(([d, list]) => [d, meanOf(list)!]),
  );
  const onRecord = named && { outerMm: named.bearing.outerMm, boreMm: named.bearing.boreMm };
  const sizes = Object.keys(read).length > 0 ? read : onRecord;
  const near = sizes
    ? searchParts(index, { sizes, toleranceMm: nearMm, kind, most: 24 }).parts
    : searchParts(index, { kind, most: 24 }).parts;
  const numbers = [chosen, ...Object.values(ctx.unit.corners).map((c) => c?.partNumber)];
  const own = numbers.flatMap((n) => (n ? (index.byNumber.get(n) ?? []) : []));
  return [
    ...new Map(
      [...(state.handPart ? [state.handPart] : []), ...own, ...near].map((p) => [p.number, p]),
    ).values(),
  ];
}

/** What ran out of what this shop fits and uses up, to be ordered. */
export async function ordersDue(): Promise<{ parts: ToOrder[]; consumables: Consumable[] }> {
  const { db } = await store();
  const fitted = (await listRecords(db, 'lives')).flatMap((l) => (l.job && l.part ? [l.part] : []));
  return {
    parts: toOrder([...(await partIndex(db)).byNumber.values()], fitted),
    consumables: toBuy(await listRecords(db, 'consumables')),
  };
}
