/** Kinds of wheel bearing by what can be seen. Facts of the trade, common practice, no published source. */
export interface Family {
  code: string;
  name: string;
  seen: string;
  out: string;
  /** The one route this version can walk to the end. */
  walked: boolean;
}

export const families: readonly Family[] = [
  { code: 'P1', name: 'Pressed-in bearing', seen: 'Hub and bearing are separate; a snap ring or plate holds the outer ring in the knuckle.', out: 'Hub pressed out, snap ring, outer ring pressed out.', walked: true },
  { code: 'P2', name: 'Flanged cartridge with clip', seen: 'Hub and bearing are one part, no bolts; a spring clip on the outer ring.', out: 'Pulled towards the wheel with half-shells.', walked: false },
  { code: 'P3', name: 'Bolt-on hub unit', seen: 'Three or four bolts from behind.', out: 'Bolts out, rust bond broken, lifted off.', walked: false },
  { code: 'P3L', name: 'Bolt-on unit with locking hub', seen: 'As a bolt-on unit, with a locking hub and a vacuum seal.', out: 'Locking hub, snap ring, washers, nuts, unit.', walked: false },
  { code: 'B2', name: 'Two ball bearings with spacer', seen: 'Older light car: drum or disc hub, separate drive flange.', out: 'Driven out one side at a time.', walked: false },
  { code: 'T2', name: 'Two taper rollers, adjustable', seen: 'Castle or lock nut, no snap ring, packed with grease.', out: 'Nut off, hub slides off, cups driven out.', walked: false },
  { code: 'A1', name: 'Axle bearing in the housing', seen: 'Solid axle; seal in the tube, bearing stays when the shaft is out.', out: 'Seal levered out, bearing drawn.', walked: false },
  { code: 'A2', name: 'Axle bearing with press ring', seen: 'Retainer plate on the flange; bearing comes with the shaft.', out: 'Press ring split, bearing pressed off.', walked: false },
  { code: 'A3', name: 'Full-floating axle hub', seen: 'Shaft flange bolted to the hub with studs and cone washers.', out: 'Shaft out, lock screws, nut, hub.', walked: false },
  { code: 'N1', name: 'Needle bearing in a stub axle', seen: 'Plastic cage, very thin shell.', out: 'Driven out with a cranked drift.', walked: false },
];

export const familyByCode = (code: string): Family | undefined => families.find((f) => f.code === code);
