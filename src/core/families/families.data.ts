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
  /** Which ring must grip, and which slides by design. */
  grips: string;
  /** Strokes at the press or by hand, in order. */
  strokes: readonly string[];
  routes: readonly { id: 'bench' | 'on-car' | 'sent-out' | 'whole-knuckle'; name: string; risk: string }[];
  /** This version walks strip, strokes and rebuild to the end. */
  walked: boolean;
}

const bench = (risk: string) => ({ id: 'bench', name: 'Bench press', risk }) as const;
const onCar = (name: string, risk: string) => ({ id: 'on-car', name, risk }) as const;
const sentOut = { id: 'sent-out', name: 'Sent out', risk: 'The car stands overnight; no reading of the stroke.' } as const;

export const families: readonly Family[] = [
  { code: 'P1', name: 'Pressed-in bearing', seen: 'Hub and bearing are separate; a snap ring or plate holds the outer ring in the knuckle.', out: 'Hub pressed out, snap ring, outer ring pressed out.', kind: 'ring-set', grips: 'Both rings are tight: outer in the knuckle, inner on the hub.', strokes: ['hub out', 'bearing out', 'bearing in', 'hub in'], routes: [onCar('On the car', 'Needs a portable screw tool of this size.'), bench('Square and easy to see; alignment to be checked.'), sentOut, { id: 'whole-knuckle', name: 'Whole knuckle', risk: 'Dearest; right when the bore is worn.' }], walked: true },
  { code: 'P2', name: 'Flanged cartridge with clip', seen: 'Hub and bearing are one part, no bolts; a spring clip on the outer ring.', out: 'Pulled towards the wheel with half-shells on the outer ring; never through the flange.', kind: 'cartridge', grips: 'The outer ring is tight in the knuckle; a clip holds it.', strokes: ['cartridge out', 'cartridge in'], routes: [onCar('On the car, half-shells', 'Force on the outer ring’s shoulder only.'), bench('When it will not move on the car.'), sentOut], walked: false },
  { code: 'P3', name: 'Bolt-on hub unit', seen: 'Three or four bolts from behind.', out: 'Bolts out, rust bond broken, lifted off.', kind: 'hub-unit', grips: 'Nothing is pressed: the unit is bolted on a pilot.', strokes: [], routes: [onCar('On the car', 'The rust bond decides the time.')], walked: false },
  { code: 'P3L', name: 'Bolt-on unit with locking hub', seen: 'As a bolt-on unit, with a locking hub and a vacuum seal.', out: 'Locking hub, snap ring, washers, nuts, unit.', kind: 'hub-unit', grips: 'Nothing is pressed; the order of the washers decides.', strokes: [], routes: [onCar('On the car', 'The vacuum seal is tested at the end.')], walked: false },
  { code: 'B2', name: 'Two ball bearings with spacer', seen: 'Older light car: drum or disc hub, separate drive flange.', out: 'Driven out one side at a time.', kind: 'ball-set', grips: 'Inner rings tight on the journal, outer rings tight in the hub.', strokes: ['outer ball bearing in', 'inner ball bearing in'], routes: [bench('Each ring on its own.'), onCar('By hand, old ring as driver', 'Blows start a ring crooked.')], walked: false },
  { code: 'T2', name: 'Two taper rollers, adjustable', seen: 'Castle or lock nut, no snap ring, packed with grease.', out: 'Nut off, hub slides off, cups driven out.', kind: 'taper-set', grips: 'Cups tight in the hub; cones slide on the spindle by hand, by design.', strokes: ['cups in'], routes: [onCar('On the car', 'The cups are driven in the hub, on the bench or in place.')], walked: false },
  { code: 'A1', name: 'Axle bearing in the housing', seen: 'Solid axle; seal in the tube, bearing stays when the shaft is out.', out: 'Seal levered out, bearing drawn with an expanding puller.', kind: 'axle-roller', grips: 'The thin shell is tight in the tube; the shaft is its inner track.', strokes: ['bearing in', 'seal in'], routes: [onCar('On the car, puller and slide hammer', 'The bore is not seen while it is driven.')], walked: false },
  { code: 'A2', name: 'Axle bearing with press ring', seen: 'Retainer plate on the flange; bearing comes with the shaft.', out: 'Press ring split, bearing pressed off.', kind: 'axle-bearing', grips: 'Inner ring tight on the shaft; the outer slides in the housing.', strokes: ['bearing off', 'bearing on', 'press ring on'], routes: [bench('Plate and seal on first, right way round.'), sentOut], walked: false },
  { code: 'A3', name: 'Full-floating axle hub', seen: 'Shaft flange bolted to the hub with studs and cone washers.', out: 'Shaft out, lock screws, nut, hub.', kind: 'taper-set', grips: 'Cups tight in the hub; cones slide on the tube by design.', strokes: ['cups in'], routes: [onCar('On the car', 'The hub is heavy: a stand or a second hand.')], walked: false },
  { code: 'N1', name: 'Needle bearing in a stub axle', seen: 'Plastic cage, very thin shell.', out: 'Driven out with a cranked drift.', kind: 'needle', grips: 'The thin shell is tight in its bore.', strokes: ['seal in', 'needle bearing in'], routes: [onCar('On the car, clamp', 'Even, gentle force; a blow dents the shell.'), bench('When the stub is off.')], walked: false },
];

export const familyByCode = (code: string | undefined): Family | undefined => families.find((f) => f.code === code);
