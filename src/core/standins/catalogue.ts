import { families, type Family, type FamilyCode, itemsOf, usualRings } from '../families/index.ts';
import { type CataloguePart, type PartKind, sizeInWords } from '../matching/index.ts';
import type { Consumable, ConsumableSize } from '../schemas/workshop.ts';
import { random } from './cars.ts';

/** Made-up makers, and the letter their numbers begin with. */
const makers = [
  ['Norvane', 'N'],
  ['Tessaly Works', 'T'],
  ['Harrowgate Ring', 'H'],
  ['Ovenmere', 'O'],
  ['Quillfen', 'Q'],
] as const;

const kindLetter: Record<PartKind, string> = {
  'ring-set': 'R',
  cartridge: 'C',
  'hub-unit': 'U',
  'ball-set': 'B',
  'taper-set': 'K',
  'axle-roller': 'A',
  'axle-bearing': 'X',
  needle: 'E',
};
/** Diameter of what rolls over the room between the rings, where it is not that of a ball. */
const ballShare: Partial<Record<PartKind, number>> = { needle: 0.32, 'axle-roller': 0.34 };
const rollingOf: Partial<Record<PartKind, CataloguePart['rolling']>> = {
  'taper-set': 'taper',
  needle: 'needle',
  'axle-roller': 'cylindrical',
};
const angleDeg: Partial<Record<PartKind, number>> = {
  'axle-roller': 0,
  needle: 0,
  'taper-set': 14,
};
const sealsOf: Partial<Record<PartKind, CataloguePart['seals']>> = {
  'taper-set': { inboard: 'open', outboard: 'open' },
  'axle-roller': { inboard: 'open', outboard: 'open' },
  needle: { inboard: 'contact', outboard: 'open' },
  'axle-bearing': { inboard: 'contact', outboard: 'shield' },
};
const round = (x: number, step: number) => Math.round(x / step) * step;

/** Rows of one size: what the rolling elements and rings of this kind come to. Consistent by construction. */
function partOf(family: Family, r: () => number, n: number): CataloguePart {
  const usual = usualRings[family.code];
  const { kind } = family;
  const boreMm = round(usual.boreMm * (0.72 + 0.6 * r()), 1);
  const wall = (usual.outerMm - usual.boreMm) * (0.88 + 0.28 * r());
  const outerMm = round(boreMm + wall, 1);
  const widthMm = round(usual.widthMm * (0.85 + 0.3 * r()), 1);
  const pitchMm = (outerMm + boreMm) / 2;
  const ballMm = round((outerMm - boreMm) * (ballShare[kind] ?? 0.3), 0.125);
  const balls = Math.max(
    7,
    Math.floor((Math.PI * pitchMm) / (ballMm * (kind === 'needle' ? 1.1 : 1.3))),
  );
  const double = kind === 'ring-set' || kind === 'cartridge' || kind === 'hub-unit';
  const magnetic = double && r() < 0.72;
  const [maker, letter] = makers[Math.floor(r() * makers.length)]!;
  const taperShaft = kind === 'axle-bearing' && r() < 0.4;
  const rolling = rollingOf[kind] ?? (taperShaft ? 'taper' : 'ball');
  const studs = r() < 0.45 ? 4 : 5;
  const bolts = r() < 0.3 ? 3 : 4;
  return {
    number: `${letter}${kindLetter[kind]}${boreMm}${outerMm}-${String(n).padStart(3, '0')}`,
    maker,
    kind,
    rolling,
    bearing: {
      outerMm,
      boreMm,
      widthMm,
      innerWidthMm: widthMm,
      outerFaceInnerMm: Number((outerMm - (outerMm - boreMm) * 0.24).toFixed(1)),
      innerFaceOuterMm: Number(
        (boreMm + (outerMm - boreMm) * (kind === 'needle' ? 0.06 : 0.32)).toFixed(1),
      ),
      balls,
      ballMm,
      pitchMm,
      contactAngleDeg: angleDeg[kind] ?? (double ? 35 : 25),
      staticRatingKn: Number((0.0115 * (double ? 2 : 1) * balls * ballMm ** 2).toFixed(1)),
      encoder: magnetic
        ? { kind: 'magnetic', pairs: [40, 43, 44, 48, 52][Math.floor(r() * 5)]! }
        : { kind: 'none', pairs: 0 },
    },
    seals: sealsOf[kind] ?? { inboard: 'contact', outboard: 'contact' },
    spacer: kind === 'ball-set' ? 'separate' : 'none',
    ...(kind === 'hub-unit' || kind === 'cartridge'
      ? {
          flange: {
            bolts,
            boltCircleMm: round(outerMm + 30 + 10 * r(), 0.5),
            pilotMm: outerMm,
            studs,
            studLengthMm: 40,
          },
          splines: {
            count: [25, 26, 28, 30, 32, 36][Math.floor(r() * 6)]!,
            majorMm: round(boreMm * 0.8, 0.5),
          },
        }
      : {}),
    ...(kind === 'taper-set'
      ? { partner: `${letter}P${boreMm}${outerMm}-${String(n).padStart(3, '0')}` }
      : {}),
    stock: Math.floor(4 * r()),
    priceMinor: 1400 + Math.round(60 * outerMm * (double ? 1.4 : 0.7) * (0.8 + 0.5 * r())),
    currency: 'EUR',
    leadDays: r() < 0.5 ? 1 : 3 + Math.floor(6 * r()),
    snapRingIncluded: kind === 'ring-set' && r() < 0.6,
  };
}

/** A near-twin of a part: the same to the eye, wrong in one point. */
function trap(p: CataloguePart, r: () => number, n: number): CataloguePart {
  const number = `${p.number.slice(0, -4)}-${String(n).padStart(3, '0')}`;
  const { encoder } = p.bearing;
  const twists: CataloguePart[] = [
    {
      ...p,
      number,
      bearing: {
        ...p.bearing,
        widthMm: Number((p.bearing.widthMm + 0.1).toFixed(1)),
        innerWidthMm: Number((p.bearing.widthMm + 0.1).toFixed(1)),
      },
    },
    {
      ...p,
      number,
      bearing: {
        ...p.bearing,
        staticRatingKn: Number((p.bearing.staticRatingKn * 0.82).toFixed(1)),
      },
    },
    ...(encoder.kind === 'magnetic'
      ? [
          {
            ...p,
            number,
            bearing: { ...p.bearing, encoder: { ...encoder, pairs: encoder.pairs * 2 } },
          },
          { ...p, number, bearing: { ...p.bearing, encoder: { kind: 'none' as const, pairs: 0 } } },
        ]
      : []),
    ...(p.rolling === 'taper' || (p.kind === 'axle-bearing' && p.rolling === 'ball')
      ? [{ ...p, number, rolling: 'cylindrical' as const }]
      : []),
    ...(p.spacer === 'separate' ? [{ ...p, number, spacer: 'built-in' as const }] : []),
    ...(p.seals && p.seals.inboard !== p.seals.outboard
      ? [{ ...p, number, seals: { inboard: p.seals.outboard, outboard: p.seals.inboard } }]
      : []),
  ];
  return twists[Math.floor(r() * twists.length)]!;
}

const share: Record<FamilyCode, number> = {
  P1: 0.3,
  P2: 0.1,
  P3: 0.2,
  P3L: 0.04,
  B2: 0.06,
  T2: 0.1,
  A1: 0.06,
  A2: 0.07,
  A3: 0.04,
  N1: 0.03,
};

/** A made-up catalogue of all families; every fifth part is a near-twin of the one before it. Numbers are unique. */
export function madeUpParts(count: number, seed: number): CataloguePart[] {
  const r = random(seed);
  const list: CataloguePart[] = [];
  for (let n = 0; list.length < count; n++) {
    let at = r();
    const family = families.find((f) => (at -= share[f.code]) < 0) ?? families[0]!;
    const part = n % 5 === 4 ? trap(list.at(-1)!, r, n) : partOf(family, r, n);
    list.push(part);
  }
  return list;
}

const sealSizes = (list: readonly (readonly [number, number, number])[]): ConsumableSize[] =>
  list.map(([innerMm, outerMm, widthMm]) => ({ innerMm, outerMm, widthMm }));
const nut = (
  threadMm: number,
  hand: 'right' | 'left' = 'right',
  lock: ConsumableSize['lock'] = 'stake',
): ConsumableSize => ({ threadMm, pitchMm: 1.5, hand, lock });
/** Sizes that the made-up makers stock, by item; the n-th piece of an item has the n-th of them. */
const stockSizes: Readonly<Record<string, readonly ConsumableSize[]>> = {
  'axle-nut': [nut(20), nut(22), nut(24), nut(22, 'left'), nut(20, 'right', 'split-pin')],
  'snap-ring': [64, 68, 72, 76, 80, 84, 88].map((outerMm) => ({ outerMm })),
  'press-ring': [
    { innerMm: 31, widthMm: 14 },
    { innerMm: 38, widthMm: 16 },
    { innerMm: 40, widthMm: 16 },
  ],
  'axle-seal': sealSizes([
    [38, 72, 9],
    [42, 70, 10],
    [46, 76, 9],
    [46, 72, 9],
  ]),
  'stub-seal': sealSizes([
    [30, 44, 7],
    [32, 45, 7],
  ]),
};
const amounts: Readonly<Record<string, string>> = {
  'gear-oil': '1 l',
  'wheel-grease': '400 g',
  'brake-fluid': '0.5 l',
  'seat-oil': '50 ml',
  'seat-paste': '100 g',
};

/** What the jobs use up, from the same makers. */
export function madeUpConsumables(each: number, seed: number): Consumable[] {
  const r = random(seed);
  const items = [...new Set(families.flatMap((f) => itemsOf(f.code).map((i) => i.id)))].filter(
    (id) => id !== 'bearing',
  );
  return items.flatMap((item) =>
    Array.from({ length: stockSizes[item]?.length ?? each }, (_, n): Consumable => {
      const size = stockSizes[item]?.[n];
      const [maker, letter] = makers[Math.floor(r() * makers.length)]!;
      return {
        number: `${letter}-${item}-${n + 1}`,
        maker,
        item,
        sizeText: size ? sizeInWords(size) : (amounts[item] ?? `size ${n + 1}`),
        ...(size ? { size } : {}),
        stock: Math.floor(9 * r()),
        priceMinor: 90 + Math.floor(1800 * r()),
        currency: 'EUR',
        leadDays: 1 + Math.floor(4 * r()),
      };
    }),
  );
}
