import type { Bearing } from '../corner-record.ts';
import { materials } from '../corner-record.ts';
import type { FamilyCode } from '../families/families.data.ts';
import type { Figure, Known } from './figures.ts';

/** Figures of each family in the order of reach. What rests on which: found by varying each one, held by a property test. */

const metals: Record<(typeof materials)[number], string> = {
  steel: 'steel',
  'grey-iron': 'grey iron',
  'ductile-iron': 'ductile iron',
  aluminium: 'aluminium',
};
const metalOptions = materials.map((id) => ({ id, name: metals[id] }));
const sides = [
  { id: 'outboard', name: 'wheel side' },
  { id: 'inboard', name: 'car side' },
] as const;

/** Usual classes of a wheel bearing's seats: general bearing practice, not the maker's. */
const usual = 'usual class, general bearing practice';
const usualBore = (path: string) => (_b: Bearing, known: Known) => {
  const metal = known(path);
  if (metal === undefined) return undefined;
  return { value: metal === 'aluminium' ? 'R7' : 'P7', from: usual };
};
const outside = (b: Bearing) => ({ value: b.outerMm, from: 'the ring’s outside' });
const bore = (b: Bearing) => ({ value: b.boreMm, from: 'the ring’s bore' });
const always = (value: string) => () => ({ value, from: usual });

const p1: readonly Figure[] = [
  {
    path: 'knuckle.material',
    name: 'Metal of the knuckle',
    how: 'A magnet holds on iron and steel. A casting with a rough skin is iron.',
    options: metalOptions,
    needs: ['bearing-out', 'bearing-in'],
    seat: true,
    outline: () => 'ductile-iron',
  },
  {
    path: 'knuckle.snapRingSide',
    name: 'Snap ring on the',
    how: 'Look for the groove: from this side the bearing goes in and comes out.',
    options: sides,
    needs: ['hub-out', 'bearing-out', 'bearing-in', 'hub-in'],
    outline: () => 'outboard',
  },
  {
    path: 'knuckle.bossDepthMm',
    name: 'Knuckle, whole depth at the bore',
    how: 'Caliper over both faces of the boss, beside the bore.',
    needs: ['hub-out', 'bearing-out', 'bearing-in', 'hub-in'],
    outline: (b) => b.widthMm + 12,
  },
  {
    path: 'knuckle.wheelSideReachMm',
    name: 'Arms, across',
    how: 'Ruler over the arms and bosses that reach to the wheel side: what the knuckle stands on.',
    needs: ['hub-out'],
    outline: (b) => b.outerMm * 2.5,
  },
  {
    path: 'hub.boreMm',
    name: 'Hub, splines across',
    how: 'Caliper in the hub over the major diameter, or its plain bore.',
    needs: ['hub-out', 'hub-in'],
    seat: true,
    outline: (b) => b.boreMm * 0.65,
  },
  {
    path: 'hub.flangeMm',
    name: 'Wheel flange, across',
    how: 'Caliper or ruler over the flange.',
    needs: ['hub-out', 'hub-in'],
    outline: (b) => b.outerMm * 1.75,
  },
  {
    path: 'hub.overhangMm',
    name: 'Flange face, how far off the knuckle',
    how: 'Depth rod from the flange’s outer face to the knuckle’s wheel side.',
    needs: ['hub-out', 'hub-in'],
    outline: () => 28,
  },
  {
    path: 'hub.journalLengthMm',
    name: 'Hub journal, length',
    how: 'Inner rings’ width, and what of the journal stands proud of them.',
    needs: ['hub-out', 'hub-in'],
    seat: true,
    outline: (b) => b.innerWidthMm + 7,
  },
  {
    path: 'knuckle.seatDepthMm',
    name: 'Face to shoulder',
    how: 'Depth rod from the snap-ring face to the ring, and the ring’s width with it.',
    needs: ['bearing-out', 'bearing-in', 'hub-in'],
    seat: true,
    outline: (b) => b.widthMm + 4.5,
  },
  {
    path: 'knuckle.shoulderMm',
    name: 'Opening in the shoulder',
    how: 'Caliper in the opening behind the bearing.',
    needs: ['bearing-out', 'bearing-in', 'hub-in'],
    outline: (b) => b.outerMm - 8,
  },
  {
    path: 'knuckle.bossOuterMm',
    name: 'Boss, across, on the snap-ring face',
    how: 'Caliper over the solid metal round the bore.',
    needs: ['bearing-out', 'bearing-in'],
    seat: true,
    outline: (b) => b.outerMm + 26,
  },
  {
    path: 'knuckle.farFaceOuterMm',
    name: 'Boss, across, on the other face',
    how: 'Caliper over the solid metal round the opening.',
    needs: ['bearing-in', 'hub-in'],
    outline: (b) => b.outerMm + 34,
  },
  {
    path: 'hub.insideStudsMm',
    name: 'Flange, flat inside the studs',
    how: 'Caliper from stud to stud, inside.',
    needs: ['hub-in'],
    outline: (b) => b.outerMm + 12,
  },
  {
    path: 'knuckle.boreMm',
    name: 'Knuckle bore',
    how: 'It follows from the ring.',
    needs: ['hub-out', 'bearing-out', 'bearing-in', 'hub-in'],
    seat: true,
    derive: outside,
    outline: (b) => b.outerMm,
  },
  {
    path: 'knuckle.boreClass',
    name: 'Class of the bore',
    how: 'It follows from the metal.',
    needs: ['bearing-out', 'bearing-in'],
    seat: true,
    derive: usualBore('knuckle.material'),
    outline: () => 'P7',
  },
  {
    path: 'hub.journalMm',
    name: 'Hub journal',
    how: 'It follows from the ring.',
    needs: ['hub-out', 'hub-in'],
    seat: true,
    derive: bore,
    outline: (b) => b.boreMm,
  },
  {
    path: 'hub.journalClass',
    name: 'Class of the journal',
    how: 'The usual one.',
    needs: ['hub-out', 'hub-in'],
    seat: true,
    derive: always('m6'),
    outline: () => 'm6',
  },
  ...[
    ['knuckle.grooveFromFaceMm', 'Groove, from the face', 2],
    ['knuckle.grooveWidthMm', 'Groove, width', 2.4],
    ['hub.flangeThickMm', 'Flange, thickness', 9],
    ['hub.studs', 'Studs', 5],
  ].map(([path, name, typical]) => onlyDrawn(String(path), String(name), () => Number(typical))),
  onlyDrawn('knuckle.grooveMm', 'Groove, across', (b) => b.outerMm + 3.6),
  onlyDrawn('hub.studCircleMm', 'Stud circle', (b) => b.outerMm + 32),
];

function onlyDrawn(path: string, name: string, outline: Figure['outline']): Figure {
  return { path, name, how: 'Only drawn.', needs: [], outline };
}

/** A bore with its stop, of whatever carries it. */
function housingFigures(
  at: 'housing' | 'far',
  what: string,
  needs: Figure['needs'],
  outline: { depth: number; wall: number; shoulder: (b: Bearing) => number },
  also: Figure['needs'] = [],
): Figure[] {
  const both = [...needs, ...also];
  return [
    {
      path: `${at}.material`,
      name: `Metal of the ${what}`,
      how: 'A magnet holds on iron and steel. A casting with a rough skin is iron.',
      options: metalOptions,
      needs: both,
      seat: true,
      outline: () => 'steel',
    },
    {
      path: `${at}.outerMm`,
      name: `${capital(what)}, across, round the bore`,
      how: 'Caliper over the solid metal.',
      needs: both,
      seat: true,
      outline: (b) => b.outerMm + outline.wall,
    },
    {
      path: `${at}.depthMm`,
      name: `${capital(what)}, whole depth`,
      how: 'Caliper or depth rod along the axis.',
      needs: both,
      outline: (b) => b.widthMm + outline.depth + 10,
    },
    {
      path: `${at}.seatDepthMm`,
      name: 'Face to where the part stops',
      how: 'Depth rod from the face it goes in by to the stop, or to the old part and its width with it.',
      needs,
      seat: true,
      outline: (b) => b.widthMm + outline.depth,
    },
    {
      path: `${at}.shoulderMm`,
      name: 'Opening beyond the stop',
      how: 'Caliper in the opening behind.',
      needs: both,
      outline: outline.shoulder,
    },
    {
      path: `${at}.boreMm`,
      name: 'Bore',
      how: 'It follows from the part.',
      needs,
      seat: true,
      derive: outside,
      outline: (b) => b.outerMm,
    },
    {
      path: `${at}.boreClass`,
      name: 'Class of the bore',
      how: 'It follows from the metal.',
      needs,
      seat: true,
      derive: usualBore(`${at}.material`),
      outline: () => 'P7',
    },
  ];
}
const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1);

const cartridgeStrokes = ['cartridge-out', 'cartridge-in'] as const;
const length = (
  path: string,
  name: string,
  how: string,
  needs: Figure['needs'],
  outline: Figure['outline'],
): Figure => ({ path, name, how, needs, outline });

const p2: readonly Figure[] = [
  length(
    'cartridge.shoulderMm',
    'Shoulder of the outer ring, across',
    'Caliper over the shoulder.',
    cartridgeStrokes,
    (b) => b.outerMm + 10,
  ),
  length(
    'cartridge.shoulderThickMm',
    'Shoulder, thickness',
    'Caliper on the shoulder’s edge.',
    ['cartridge-out'],
    () => 5,
  ),
  length(
    'cartridge.neckMm',
    'Outer ring beside the shoulder, across',
    'Caliper on the ring behind the flange.',
    cartridgeStrokes,
    (b) => b.outerMm + 1,
  ),
  length(
    'cartridge.gapMm',
    'Room between shoulder and wheel flange',
    'Feeler or the inside jaws.',
    cartridgeStrokes,
    () => 9,
  ),
  length(
    'cartridge.reliefMm',
    'Room behind the shoulder',
    'How far the relief of the knuckle lets a half-shell reach in.',
    ['cartridge-out'],
    () => 6,
  ),
  length(
    'cartridge.flangeMm',
    'Wheel flange, across',
    'Caliper or ruler over the flange.',
    cartridgeStrokes,
    (b) => b.outerMm * 1.9,
  ),
  length(
    'cartridge.flangeThickMm',
    'Wheel flange, thickness',
    'Caliper on its edge.',
    ['cartridge-out'],
    () => 10,
  ),
  length(
    'cartridge.hubBoreMm',
    'Hub, splines across',
    'Caliper over the major diameter.',
    cartridgeStrokes,
    (b) => b.boreMm * 0.75,
  ),
  ...housingFigures('housing', 'knuckle', cartridgeStrokes, {
    depth: -7,
    wall: 110,
    shoulder: (b) => b.outerMm,
  }).map((f) =>
    // A cartridge goes through: nothing stops it behind.
    f.path === 'housing.shoulderMm' ? { ...f, needs: [] } : f,
  ),
];

const sealFigures = (needs: Figure['needs']): Figure[] => [
  length(
    'seal.outerMm',
    'Seal, outside',
    'Printed on the seal, or caliper on the new one.',
    needs,
    (b) => b.outerMm + 6,
  ),
  length(
    'seal.innerMm',
    'Seal, inside',
    'Printed on the seal, or the track on the shaft.',
    needs,
    (b) => b.boreMm + 1,
  ),
  length('seal.widthMm', 'Seal, width', 'Printed on the seal, or caliper.', needs, () => 9),
  length(
    'seal.depthMm',
    'How deep the seal sits',
    'Depth rod from the face to the old seal; 0 where it is flush.',
    needs,
    () => 0,
  ),
];

/** A shell in a bore with a seal before it. */
const shellAndSeal = (what: string, depth: number): readonly Figure[] => [
  ...sealFigures(['seal-in']),
  ...housingFigures(
    'housing',
    what,
    ['shell-in'],
    { depth, wall: 22, shoulder: (b) => b.outerMm - 8 },
    ['seal-in'],
  ),
];

const shaftStrokes = ['shaft-bearing-off', 'shaft-bearing-on', 'press-ring-on'] as const;
const shaftOn = ['shaft-bearing-on', 'press-ring-on'] as const;
const a2: readonly Figure[] = [
  length(
    'shaft.reachMm',
    'Shoulder to the shaft’s end',
    'Rule along the shaft.',
    shaftStrokes,
    () => 300,
  ),
  length(
    'shaft.flangeFromShoulderMm',
    'Shoulder to the flange’s inner face',
    'Depth rod along the shaft.',
    shaftStrokes,
    () => 35,
  ),
  length(
    'shaft.flangeMm',
    'Wheel flange, across',
    'Caliper or ruler over the flange.',
    shaftStrokes,
    () => 150,
  ),
  length(
    'shaft.flangeThickMm',
    'Wheel flange, thickness',
    'Caliper on its edge.',
    shaftStrokes,
    () => 11,
  ),
  length(
    'shaft.studLengthMm',
    'Studs, how far they stand out',
    'Caliper from the flange’s face.',
    shaftStrokes,
    () => 34,
  ),
  length(
    'shaft.insideStudsMm',
    'Flange, flat inside the studs',
    'Caliper from stud to stud, inside.',
    shaftOn,
    () => 96,
  ),
  length(
    'shaft.shoulderMm',
    'Shoulder, across',
    'Caliper on the shaft behind the bearing.',
    ['shaft-bearing-off'],
    (b) => b.boreMm + 6,
  ),
  {
    ...length(
      'shaft.journalLengthMm',
      'Journal, from the shoulder',
      'Over bearing and ring together, and what stands proud of them.',
      shaftStrokes,
      (b) => b.widthMm + 18,
    ),
    seat: true,
  },
  length(
    'shaft.ring.outerMm',
    'Press ring, outside',
    'Caliper on the new ring.',
    ['press-ring-on'],
    (b) => b.boreMm + 18,
  ),
  length(
    'shaft.ring.widthMm',
    'Press ring, width',
    'Caliper on the new ring.',
    ['press-ring-on'],
    () => 16,
  ),
  length(
    'shaft.ring.lowMm',
    'Press ring, least interference',
    'From its fitting sheet, or journal less ring as measured.',
    ['press-ring-on'],
    () => 0.035,
  ),
  length(
    'shaft.ring.highMm',
    'Press ring, greatest interference',
    'From its fitting sheet, or journal less ring as measured.',
    ['press-ring-on'],
    () => 0.07,
  ),
  {
    path: 'shaft.journalMm',
    name: 'Journal',
    how: 'It follows from the ring.',
    needs: shaftStrokes,
    seat: true,
    derive: bore,
    outline: (b) => b.boreMm,
  },
  {
    path: 'shaft.journalClass',
    name: 'Class of the journal',
    how: 'The usual one.',
    needs: ['shaft-bearing-off', 'shaft-bearing-on'],
    seat: true,
    derive: always('m6'),
    outline: () => 'm6',
  },
  onlyDrawn('shaft.studs', 'Studs', () => 5),
];

const b2: readonly Figure[] = [
  ...housingFigures('housing', 'hub', ['first-ring-in'], {
    depth: 6,
    wall: 22,
    shoulder: (b) => b.outerMm - 9,
  }).map((f) =>
    // Both bores are cut in one setting: the class of the first is that of the second.
    f.path === 'housing.boreClass'
      ? { ...f, needs: ['first-ring-in', 'second-ring-in'] as const }
      : f,
  ),
  ...housingFigures('far', 'hub at its other end', ['second-ring-in'], {
    depth: 10,
    wall: 22,
    shoulder: (b) => b.outerMm - 9,
  }).map(({ seat: _seat, ...f }) => (f.path === 'far.boreClass' ? { ...f, needs: [] } : f)),
];

export const figuresOf: Partial<Record<FamilyCode, readonly Figure[]>> = {
  P1: p1,
  P2: p2,
  A1: [
    ...shellAndSeal('axle tube', 14),
    length(
      'housing.entry.depthMm',
      'Bore of the seal, depth',
      'Depth rod from the face to where the wider bore ends.',
      ['shell-in'],
      () => 12,
    ),
    {
      path: 'housing.entry.boreMm',
      name: 'Bore of the seal',
      how: 'It follows from the seal.',
      needs: [],
      derive: (_b, known) => {
        const value = known('seal.outerMm');
        return value === undefined ? undefined : { value, from: 'the seal’s outside' };
      },
      outline: (b) => b.outerMm + 6,
    },
  ],
  N1: shellAndSeal('stub axle', 2),
  A2: a2,
  B2: b2,
};
