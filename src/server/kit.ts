import { strokesLeftOut } from '../core/families/index.ts';
import { type Person, usualWay } from '../core/job/index.ts';
import {
  type Adapter,
  setupFor,
  bestPurchase,
  hammer,
  operationNames,
  operations,
  type Press,
  solve,
  workFrom,
} from '../core/press/index.ts';
import { listRecords } from '../db/records.ts';
import { shopOfJob, shopTitle } from './shop.ts';
import { partIndex } from './parts.ts';
import { people } from './people.ts';
import { store } from './store.ts';

/** Strokes of the fleet that this kit cannot set up, and the one new piece that would open most of them. */
export async function kitGaps() {
  const { db } = await store();
  const shop = await shopOfJob(db);
  const [units, adapters, presses, index] = [
    await listRecords(db, 'units'),
    await listRecords(db, 'adapters'),
    (await listRecords(db, 'presses')).filter((p) => !p.retired),
    await partIndex(db),
  ];
  const list = units.flatMap((u) =>
    Object.entries(u.corners).flatMap(([corner, c]) => {
      const part = c?.partNumber ? index.byNumber.get(c.partNumber) : undefined;
      const work = workFrom(c?.family, c, part?.bearing, c?.sensorSide);
      if (!work) return [];
      const others = strokesLeftOut(work.family, (id) => usualWay({ ctx: { shop } }, id));
      return operations.flatMap((o) => {
        if (others.includes(o)) return [];
        const setups = [...presses, hammer]
          .flatMap((p) => setupFor(o, work, p) ?? [])
          .filter((b) => b.press !== hammer || b.requirement.hammer.allowed);
        return setups.length > 0
          ? [{ label: `${u.fleetNo} ${corner}: ${operationNames[o].toLowerCase()}`, setups }]
          : [];
      });
    }),
  );
  // A stroke is open when no tool of the shop sets it up; what to buy is looked for on the strongest.
  const open = list
    .filter((x) => x.setups.every((b) => solve(adapters, b, 1).solutions.length === 0))
    .map((x) => ({
      label: x.label,
      setup:
        [...x.setups]
          .sort((a, b) => b.press.capacityKn - a.press.capacityKn)
          .find((b) => b.press !== hammer) ?? x.setups[0]!,
    }));
  const buy = bestPurchase(
    adapters,
    open.map((x) => x.setup),
  );
  return {
    all: list.length,
    open: open.map((x) => x.label),
    purchase: buy ? { piece: buy.piece, opens: buy.solves.map((i) => open[i]!.label) } : null,
  };
}

/** What the kit screen shows. */
export async function kitView(): Promise<{
  shop: string;
  pieces: Adapter[];
  presses: Press[];
  people: Person[];
}> {
  const { db } = await store();
  return {
    shop: await shopTitle(),
    pieces: await listRecords(db, 'adapters'),
    presses: await listRecords(db, 'presses'),
    people: await people(),
  };
}
