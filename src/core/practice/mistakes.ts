import {
  type Body,
  type BodyRole,
  box,
  type FamilyCode,
  type RingSizes,
  sectionOf,
  shape,
  taper,
  usualRings,
} from '../families/index.ts';

/** Mistakes as they hide in a section: how each looks, and what it comes to on the road. Common practice, no published source. */
export interface Mistake {
  name: string;
  /** Bodies with the mistake in them; `mm` is how far it shows. */
  drawn: (right: readonly Body[], ring: RingSizes, mm: number) => Body[];
  /** The same once the car was driven, or the tool was pulled. */
  comes: (wrong: readonly Body[], ring: RingSizes, mm: number) => Body[];
  hurt: readonly BodyRole[];
  why: string;
  otherwise: string;
}

const shifted = (b: Body, dz: number): Body =>
  'ball' in b
    ? { ...b, ball: { ...b.ball, z: b.ball.z + dz } }
    : { ...b, points: b.points.map(([z, r]) => [z + dz, r] as const) };
const middle = (b: Body): number => {
  if ('ball' in b) return b.ball.z;
  const zs = b.points.map(([z]) => z);
  return (Math.min(...zs) + Math.max(...zs)) / 2;
};
/** Bodies of some roles moved along the axis. */
const moved = (
  bodies: readonly Body[],
  roles: readonly BodyRole[],
  dz: number,
  which: (b: Body) => boolean = () => true,
): Body[] => bodies.map((b) => (roles.includes(b.role) && which(b) ? shifted(b, dz) : b));
const without = (bodies: readonly Body[], role: BodyRole) => bodies.filter((b) => b.role !== role);

const bearing = ['outer', 'inner', 'ball', 'seal'] as const satisfies readonly BodyRole[];
/** Everything that turns with the wheel and can leave with it. */
const turning = [...bearing, 'hub', 'shaft', 'nut'] as const satisfies readonly BodyRole[];

/** The magnet ring in one face of a double-row bearing. */
const encoderAt = ({ outerMm, boreMm, widthMm: b }: RingSizes, side: 'outboard' | 'inboard') => {
  const mid = (outerMm + boreMm) / 4;
  const [z0, z1] = side === 'inboard' ? [b - 0.3, b + 1.9] : [-1.9, 0.3];
  return box('encoder', z0, z1, mid - 5, mid + 4);
};
/** The sensor looks at the inboard face. */
const sensorOf = ({ outerMm, boreMm, widthMm: b }: RingSizes): Body => {
  const mid = (outerMm + boreMm) / 4;
  return {
    ...shape('sensor', [b + 3, mid - 4], [b + 16, mid - 4], [b + 16, mid + 4], [b + 3, mid + 4]),
    side: 1,
  };
};
/** Jaws that pull: round the shoulder of the outer ring, or, by mistake, behind the wheel flange. */
const jaws = (z: number, r0: number, r1: number): Body =>
  shape('puller', [z, r0], [z + 3, r0], [z + 3, r1], [z - 42, r1], [z - 42, r1 - 5], [z, r1 - 5]);

/** What a section of this family shows besides, so that the mistake can be told from what is right. */
const besides: Partial<Record<FamilyCode, (ring: RingSizes) => Body[]>> = {
  P1: (ring) => [encoderAt(ring, 'inboard'), sensorOf(ring)],
  P2: ({ outerMm }) => [jaws(-5.4, outerMm / 2 - 1, outerMm / 2 + 36)],
};

export const mistakes = {
  'encoder-reversed': {
    name: 'the encoder faces away from its sensor',
    drawn: (right, ring) => [...without(right, 'encoder'), encoderAt(ring, 'outboard')],
    comes: (wrong, ring) => {
      const mid = (ring.outerMm + ring.boreMm) / 4;
      return [...wrong, { ...box('air-gap', 0.6, ring.widthMm + 2.8, mid - 1, mid + 1), side: 1 }];
    },
    hurt: ['sensor', 'air-gap'],
    why: 'The sensor has to look at the magnet ring across a millimetre, not across the bearing.',
    otherwise:
      'No signal, the lamp comes on, and pressed out again the new bearing is lost: one shot only.',
  },
  'snap-ring-missing': {
    name: 'the snap ring or clip is missing',
    drawn: (right) => without(right, 'clip'),
    comes: (wrong) => moved(wrong, [...turning, 'encoder'], -7),
    hurt: ['outer'],
    why: 'Nothing but friction holds the bearing in its bore: the groove stands empty.',
    otherwise: 'In bends it walks out of the knuckle, the wheel with it.',
  },
  'inner-ring-left': {
    name: 'the old inner ring is still on the hub',
    drawn: (right, ring, mm) => [
      ...moved(right, ['hub', 'nut', 'shaft'], -mm),
      box('press-ring', -mm + 0.2, -0.2, ring.boreMm / 2, ring.boreMm / 2 + 6),
    ],
    comes: (wrong, _ring, mm) => moved(wrong, ['inner'], -mm / 2, (b) => middle(b) < 18),
    hurt: ['press-ring', 'ball'],
    why: 'The hub does not reach the new bearing: the old ring stands between flange and inner ring.',
    otherwise:
      'The nut draws on a ring too many: the wheel stands out, and the rings are not clamped as they should be.',
  },
  'pulled-by-flange': {
    name: 'it is pulled by its wheel flange',
    drawn: (right, { outerMm }) => [
      ...without(right, 'puller'),
      jaws(-9.6, outerMm / 2 + 8, outerMm / 2 + 36),
    ],
    comes: (wrong) =>
      moved(wrong, ['hub', 'puller', 'inner'], -16, (b) => b.role !== 'inner' || middle(b) < 22),
    hurt: ['ball', 'inner'],
    why: 'The force runs through the balls: the jaws have to stand behind the shoulder of the outer ring.',
    otherwise: 'Hub and one inner ring come off, the cartridge stays in its bore.',
  },
  'spacer-missing': {
    name: 'the spacer is missing',
    drawn: (right) => without(right, 'spacer'),
    comes: (wrong, { widthMm: b }) =>
      moved(moved(wrong, ['nut'], 5), ['inner'], 5, (x) => middle(x) < b),
    hurt: ['ball', 'inner'],
    why: 'The nut clamps inner rings against a spacer that is not there.',
    otherwise: 'It draws the inner rings together across the balls: dented before the first metre.',
  },
  'plate-behind': {
    name: 'the retainer plate sits behind the bearing',
    drawn: (right, { widthMm: b }) => moved(moved(right, ['plate'], b + 10.3), ['press-ring'], 5.6),
    comes: (wrong) => moved(wrong, [...bearing, 'press-ring', 'shaft'], -12),
    hurt: ['plate', 'press-ring'],
    why: 'Plate first, then seal, bearing and press ring: behind the bearing it holds nothing in the housing.',
    otherwise: 'The shaft leaves the axle with its wheel, and the ring has to come off to mend it.',
  },
  'cone-turned': {
    name: 'the outer bearing sits the wrong way round',
    drawn: (right, ring) => [
      ...right.filter((b) => !isOuterBearing(b, ring)),
      ...taper(ring, 0, 1),
    ],
    comes: (wrong) => moved(wrong, ['nut'], 3),
    hurt: ['ball'],
    why: 'The small ends of a pair face each other: turned, nothing carries the wheel outwards.',
    otherwise: 'The cone comes out of its cup with the first push, and no nut can set it.',
  },
  'cup-off-shoulder': {
    name: 'the outer cup does not stand on its shoulder',
    drawn: (right, ring, mm) =>
      moved(right, ['outer', 'inner', 'ball', 'nut'], -mm, (b) =>
        b.role === 'nut' ? true : isOuterBearing(b, ring),
      ),
    comes: (wrong, ring, mm) => moved(wrong, ['outer'], mm, (b) => isOuterBearing(b, ring)),
    hurt: ['outer', 'ball'],
    why: 'There is daylight between cup and shoulder: the pair was set against a cup that still moves.',
    otherwise: 'It creeps home on the road, and the end play that was set is gone with it.',
  },
  'short-of-home': {
    name: 'the bearing is short of its shoulder',
    drawn: (right, _ring, mm) => moved(without(right, 'clip'), [...turning, 'encoder'], -mm),
    comes: (wrong, ring, mm) => [
      ...moved(wrong, [...turning, 'encoder'], mm),
      ...sectionOf('P1', ring).bodies.filter((b) => b.role === 'clip'),
    ],
    hurt: ['outer', 'clip'],
    why: 'The ring does not touch the shoulder, and the groove is half covered: no snap ring goes in.',
    otherwise:
      'It is pushed home by the first bend; the snap ring that was forced in is no longer in its groove.',
  },
  'not-on-its-seat': {
    name: 'the unit does not lie on its seat',
    drawn: (right, _ring, mm) => moved(right, [...turning, 'locking', 'clip'], -mm),
    comes: (wrong, _ring, mm) =>
      wrong.map((b) => {
        const sides = ([...turning, 'locking', 'clip'] as BodyRole[]).includes(b.role);
        return sides ? shifted(b, mm / 2) : b;
      }),
    hurt: ['outer', 'bolt'],
    why: 'Rust or a burr holds the flange off: the bolts clamp on air.',
    otherwise: 'It settles, the bolts are loose after the first bends, and the disc runs out.',
  },
  'seal-missing': {
    name: 'the seal is missing',
    drawn: (right) => without(right, 'seal'),
    comes: (wrong) => [...wrong],
    hurt: ['ball'],
    why: 'The place of the lip stands open.',
    otherwise: 'Grease or oil leaves, water and dirt come in: it runs dry within a season.',
  },
} as const satisfies Record<string, Mistake>;
export type MistakeId = keyof typeof mistakes;

/** Of the outer one of a taper pair. */
function isOuterBearing(b: Body, { widthMm }: RingSizes): boolean {
  return ['outer', 'inner', 'ball'].includes(b.role) && middle(b) < widthMm + 1;
}

/** Mistakes that can hide in each family's section. */
export const mistakesOf: Partial<Record<FamilyCode, readonly MistakeId[]>> = {
  P1: ['encoder-reversed', 'snap-ring-missing', 'inner-ring-left', 'short-of-home'],
  // The jaws stand in every section of it: they tell nothing by being there.
  P2: ['pulled-by-flange', 'snap-ring-missing', 'seal-missing'],
  P3: ['not-on-its-seat'],
  P3L: ['not-on-its-seat'],
  B2: ['spacer-missing', 'seal-missing'],
  T2: ['cone-turned', 'cup-off-shoulder', 'seal-missing'],
  A1: ['seal-missing'],
  A2: ['plate-behind', 'seal-missing'],
  A3: ['cone-turned', 'cup-off-shoulder', 'seal-missing'],
  N1: ['seal-missing'],
};

/** A family as it should be, with what its mistakes are told by. */
export const rightBodies = (code: FamilyCode): Body[] => [
  ...sectionOf(code).bodies,
  ...(besides[code]?.(usualRings[code]) ?? []),
];

/** The section with the mistake in it, and what it comes to. Throws RangeError for one that this family has not. */
export function withMistake(
  code: FamilyCode,
  id: MistakeId,
  mm: number,
): { wrong: Body[]; comes: Body[] } {
  if (!mistakesOf[code]?.includes(id))
    throw new RangeError(`mistake: ${id} is none of family ${code}`);
  const ring = usualRings[code];
  const m: Mistake = mistakes[id];
  const wrong = m.drawn(rightBodies(code), ring, mm);
  return { wrong, comes: m.comes(wrong, ring, mm) };
}
