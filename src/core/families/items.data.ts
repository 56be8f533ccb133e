import type { FamilyCode } from './families.data.ts';
import { walks } from './walk.data.ts';

/** What a job uses up: the step that stops without it, and how much. Common practice, no published source. */
export interface Item {
  id: string;
  name: string;
  singleUse: boolean;
  blocks: string;
  blocksText: string;
  /** In words; the maker's figure comes first where it has one. */
  quantity?: string;
  /** What it is used up by besides its step of the rebuild: a stroke, a thing seen, or the centre nut. */
  usedBy: readonly string[];
}

/** The centre nut among what uses an item up. */
export const byNut = 'nut';

const one = (
  id: string,
  name: string,
  blocks: string,
  blocksText: string,
  ...usedBy: string[]
): Item => ({ id, name, singleUse: true, blocks, blocksText, usedBy });
const some = (
  id: string,
  name: string,
  blocks: string,
  blocksText: string,
  quantity: string,
): Item => ({ id, name, singleUse: false, blocks, blocksText, quantity, usedBy: [] });

const axleNut = one('axle-nut', 'Axle nut', 'shaft', 'Axle nut', byNut);
const pinchBolt = one('pinch-bolts', 'Pinch bolt', 'lower', 'Lower joint');
const splitPin = one('split-pin', 'Split pin', 'steering', 'Steering joint');
const bearing = one('bearing', 'Bearing', 'bearing-in', 'Bearing in');
const seatOil = some('seat-oil', 'Seat oil', 'bearing-in', 'Bearing in', '5 ml');
const hubSeal = one('hub-seal', 'Hub seal', 'hub-on', 'Hub on', 'hub-seal-in');
const wheelGrease = (quantity: string) =>
  some('wheel-grease', 'Wheel-bearing grease', 'pack', 'Packing', quantity);
const gearOil = some(
  'gear-oil',
  'Gear oil',
  'level',
  'Oil level',
  'to the level, as the maker says',
);
const brakeFluid = some(
  'brake-fluid',
  'Brake fluid',
  'bleed',
  'Bleeding',
  '0.5 l, the line is opened',
);

const byFamily: Record<FamilyCode, readonly Item[]> = {
  P1: [
    axleNut,
    bearing,
    one('snap-ring', 'Snap ring', 'snap-ring', 'Snap ring', 'snap-ring-fitted'),
    pinchBolt,
    splitPin,
    seatOil,
  ],
  P2: [
    axleNut,
    one('bearing', 'Cartridge', 'cartridge-in', 'Cartridge in'),
    one('plate-bolts', 'Lower joint bolts', 'lower', 'Lower joint'),
    splitPin,
    some('seat-paste', 'High-pressure paste', 'cartridge-in', 'Cartridge in', 'a thin film'),
  ],
  P3: [
    axleNut,
    one('bearing', 'Hub unit', 'unit-on', 'Unit on'),
    one('hub-bolts', 'Hub bolts', 'unit-on', 'Unit on'),
    some('pilot-film', 'Anti-corrosion film', 'unit-on', 'Unit on', 'a thin film on the pilot'),
  ],
  P3L: [
    one('bearing', 'Hub unit', 'unit-on', 'Unit on'),
    one('vacuum-o-ring', 'Vacuum O-ring', 'unit-on', 'Unit on', 'unit-seated'),
    one('lock-ring', 'Lock ring', 'locking-hub', 'Locking hub'),
    one('shaft-snap-ring', 'Shaft snap ring', 'locking-hub', 'Locking hub'),
    some('threadlocker', 'Threadlocker', 'unit-on', 'Unit on', 'a drop on each stud'),
    wheelGrease('for the needle bearing'),
  ],
  B2: [
    axleNut,
    one('bearing', 'Two ball bearings', 'bearing-in', 'Bearings in'),
    one('dust-rings', 'Dust rings', 'dust-rings', 'Dust rings', 'dust-rings'),
    wheelGrease('60 g'),
    brakeFluid,
  ],
  T2: [
    one('bearing', 'Cones and cups', 'cups-in', 'Cups in'),
    hubSeal,
    one('split-pin', 'Split pin', 'lock', 'Locking', byNut),
    wheelGrease('60 g'),
    one('grease-cap', 'Grease cap', 'cap', 'Cap'),
  ],
  A1: [
    one('bearing', 'Axle bearing', 'bearing-in', 'Bearing in'),
    one('axle-seal', 'Axle seal', 'seal-in', 'Seal in', 'seal-in'),
    one('cover-gasket', 'Cover gasket', 'cover', 'Cover'),
    gearOil,
  ],
  A2: [
    one('bearing', 'Axle bearing', 'bearing-in', 'Bearing on'),
    one(
      'press-ring',
      'Press ring',
      'press-ring',
      'Press ring',
      'press-ring-on',
      'bearing-and-ring-on',
    ),
    one('axle-seal', 'Axle seal', 'bearing-in', 'Bearing on', 'axle-seal-on'),
    one('flange-nuts', 'Retainer nuts', 'shaft-in', 'Shaft in'),
    gearOil,
  ],
  A3: [
    one('bearing', 'Cones and cups', 'cups-in', 'Cups in'),
    hubSeal,
    one('lock-screws', 'Lock screws', 'lock', 'Locking', byNut),
    one('shaft-gasket', 'Shaft gasket', 'shaft-in', 'Shaft in'),
    gearOil,
  ],
  N1: [
    one('bearing', 'Needle bearing', 'bearing-in', 'Bearing in'),
    one('stub-seal', 'Stub seal', 'seal-in', 'Seal in', 'seal-in'),
    wheelGrease('into the needles'),
  ],
};

/** Everything that must lie on the bench for a job of this family, in the order it goes on. */
export const itemsOf = (code: FamilyCode | undefined): readonly Item[] =>
  code ? byFamily[code] : [];
/** Items that are used up by some things done: strokes, things seen, steps of the rebuild, the centre nut. */
export function usedUpBy(code: FamilyCode, done: readonly string[]): Item[] {
  const bySteps = walks[code].steps
    .filter((s) => s.back && done.includes(s.id))
    .map((s) => s.single);
  return byFamily[code].filter(
    (i) =>
      i.usedBy.some((u) => done.includes(u)) ||
      // The step only runs the nut on by hand.
      (bySteps.includes(i.id) && !i.usedBy.includes(byNut)),
  );
}
/** Every item of any family by its id, for a name. */
export const itemName = (id: string): string =>
  Object.values(byFamily)
    .flat()
    .find((i) => i.id === id)?.name ?? id;
