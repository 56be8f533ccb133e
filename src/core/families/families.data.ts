import type { Rolling } from '../corner-record.ts';
import type { PartKind } from '../matching/index.ts';

/** Kinds of wheel bearing by what can be seen. Facts of the trade, common practice, no published source. */
export const familyCodes = ['P1', 'P2', 'P3', 'P3L', 'B2', 'T2', 'A1', 'A2', 'A3', 'N1'] as const;
export type FamilyCode = (typeof familyCodes)[number];

export interface Family {
  code: FamilyCode;
  name: string;
  seen: string;
  out: string;
  /** How its bearing is built and sold. */
  kind: PartKind;
  /** What may roll here. */
  rolls: Rolls;
  /** Which ring must grip, and which slides by design. */
  grips: string;
  /** Which ring turns with the wheel: a hub on a fixed spindle or tube carries the outer one round. */
  turns: 'inner' | 'outer';
  routes: readonly Route[];
}

/** What may roll in the place of a family, and why nothing else. */
export interface Rolls {
  only: readonly Rolling[];
  why: string;
}

/** The bearing holds its wheel sideways by itself: straight rollers let it wander out. */
const takesSideLoad = (...only: Rolling[]): Rolls => ({
  only,
  why: 'the bearing alone holds the wheel sideways, and what is built otherwise lets it wander out',
});
const onTheShaft: Rolls = {
  only: ['cylindrical', 'needle'],
  why: 'the shaft itself is the inner track',
};

/** A way to do the job. Risk in a sentence is engineering judgement. */
export interface Route {
  id: 'bench' | 'on-car' | 'sent-out' | 'whole-knuckle';
  name: string;
  risk: string;
  /** Checking the alignment afterwards, min; 0 where nothing is disturbed (common practice, no published source). */
  alignmentMin: number;
  /** Walked here to the end; the others are noted and worked elsewhere. */
  walked: boolean;
}
export type RouteId = Route['id'];

const alignment = 45;
const bench = (risk: string, alignmentMin = 0): Route => ({
  id: 'bench',
  name: 'Bench press',
  risk,
  alignmentMin,
  walked: true,
});
const onCar = (name: string, risk: string): Route => ({
  id: 'on-car',
  name,
  risk,
  alignmentMin: 0,
  walked: true,
});
const sentOut: Route = {
  id: 'sent-out',
  name: 'Sent out',
  risk: 'The car stands overnight; no reading of the stroke.',
  alignmentMin: alignment,
  walked: false,
};

export const families: readonly Family[] = [
  {
    code: 'P1',
    name: 'Pressed-in bearing',
    seen: 'Hub and bearing are separate; a snap ring or plate holds the outer ring in the knuckle.',
    out: 'Hub pressed out, snap ring, outer ring pressed out.',
    kind: 'ring-set',
    rolls: takesSideLoad('ball', 'taper'),
    grips: 'Both rings are tight: outer in the knuckle, inner on the hub.',
    turns: 'inner',
    routes: [
      onCar('On the car', 'Needs a portable screw tool of this size.'),
      bench('Square and easy to see; alignment to be checked.', alignment),
      sentOut,
      {
        id: 'whole-knuckle',
        name: 'Whole knuckle',
        risk: 'Dearest; right when the bore is worn.',
        alignmentMin: alignment,
        walked: false,
      },
    ],
  },
  {
    code: 'P2',
    name: 'Flanged cartridge with clip',
    seen: 'Hub and bearing are one part, no bolts; a spring clip on the outer ring.',
    out: 'Pulled towards the wheel with half-shells on the outer ring; never through the flange.',
    kind: 'cartridge',
    rolls: takesSideLoad('ball', 'taper'),
    grips: 'The outer ring is tight in the knuckle; a clip holds it.',
    turns: 'inner',
    routes: [
      onCar('On the car, half-shells', 'Force on the outer ring’s shoulder only.'),
      bench('When it will not move on the car.', alignment),
      sentOut,
    ],
  },
  {
    code: 'P3',
    name: 'Bolt-on hub unit',
    seen: 'Three or four bolts from behind.',
    out: 'Bolts out, rust bond broken, lifted off.',
    kind: 'hub-unit',
    rolls: takesSideLoad('ball', 'taper'),
    grips: 'Nothing is pressed: the unit is bolted on a pilot.',
    turns: 'inner',
    routes: [onCar('On the car', 'The rust bond decides the time.')],
  },
  {
    code: 'P3L',
    name: 'Bolt-on unit with locking hub',
    seen: 'As a bolt-on unit, with a locking hub and a vacuum seal.',
    out: 'Locking hub, snap ring, washers, nuts, unit.',
    kind: 'hub-unit',
    rolls: takesSideLoad('ball', 'taper'),
    grips: 'Nothing is pressed; the order of the washers decides.',
    turns: 'inner',
    routes: [onCar('On the car', 'The vacuum seal is tested at the end.')],
  },
  {
    code: 'B2',
    name: 'Two ball bearings with spacer',
    seen: 'Older light car: drum or disc hub, separate drive flange.',
    out: 'Driven out one side at a time.',
    kind: 'ball-set',
    rolls: takesSideLoad('ball'),
    grips: 'Inner rings tight on the journal, outer rings tight in the hub.',
    turns: 'inner',
    routes: [
      bench('Each ring on its own.'),
      onCar('By hand, old ring as driver', 'Blows start a ring crooked.'),
    ],
  },
  {
    code: 'T2',
    name: 'Two taper rollers, adjustable',
    seen: 'Castle or lock nut, no snap ring, packed with grease.',
    out: 'Nut off, hub slides off, cups driven out.',
    kind: 'taper-set',
    rolls: takesSideLoad('taper'),
    grips: 'Cups tight in the hub; cones slide on the spindle by hand, by design.',
    turns: 'outer',
    routes: [onCar('On the car', 'The cups are driven in the hub, on the bench or in place.')],
  },
  {
    code: 'A1',
    name: 'Axle bearing in the housing',
    seen: 'Solid axle; seal in the tube, bearing stays when the shaft is out.',
    out: 'Seal levered out, bearing drawn with an expanding puller.',
    kind: 'axle-roller',
    rolls: onTheShaft,
    grips: 'The thin shell is tight in the tube; the shaft is its inner track.',
    turns: 'inner',
    routes: [
      onCar('On the car, puller and slide hammer', 'The bore is not seen while it is driven.'),
    ],
  },
  {
    code: 'A2',
    name: 'Axle bearing with press ring',
    seen: 'Retainer plate on the flange; bearing comes with the shaft.',
    out: 'Press ring split, bearing pressed off.',
    kind: 'axle-bearing',
    rolls: takesSideLoad('ball', 'taper'),
    grips: 'Inner ring tight on the shaft; the outer slides in the housing.',
    turns: 'inner',
    routes: [bench('Plate and seal on first, right way round.'), sentOut],
  },
  {
    code: 'A3',
    name: 'Full-floating axle hub',
    seen: 'Shaft flange bolted to the hub with studs and cone washers.',
    out: 'Shaft out, lock screws, nut, hub.',
    kind: 'taper-set',
    rolls: takesSideLoad('taper'),
    grips: 'Cups tight in the hub; cones slide on the tube by design.',
    turns: 'outer',
    routes: [onCar('On the car', 'The hub is heavy: a stand or a second hand.')],
  },
  {
    code: 'N1',
    name: 'Needle bearing in a stub axle',
    seen: 'Plastic cage, very thin shell.',
    out: 'Driven out with a cranked drift.',
    kind: 'needle',
    rolls: onTheShaft,
    grips: 'The thin shell is tight in its bore.',
    turns: 'inner',
    routes: [
      onCar('On the car, clamp', 'Even, gentle force; a blow dents the shell.'),
      bench('When the stub is off.'),
    ],
  },
];

/** A family by its code: there is one for each code, and none for another word. */
export function familyByCode(code: FamilyCode): Family;
export function familyByCode(code: string | undefined): Family | undefined;
export function familyByCode(code: string | undefined): Family | undefined {
  return families.find((f) => f.code === code);
}
