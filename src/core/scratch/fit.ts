import {
  expansionMm,
  forceN,
  hoopMpa,
  limitsMm,
  type Material,
  materials,
  type PressFit,
  pressureMpa,
  tolerance,
} from '../fits/index.ts';
import { greased, screwForceBandKn } from '../press/screw.ts';
import { fixed } from '../units/index.ts';
import type { Asked, Calculator } from './calculator.ts';
import { figure, main, materialNames, text } from './results.ts';

/** Seats, press and warmth. */

/** Deviations of a class and the limits they make. */
export function limitsOf(a: Asked) {
  const deviations = tolerance(a.number('size'), a.word('class'));
  return { deviations, limits: limitsMm(a.number('size'), deviations) };
}

export const toleranceOf: Calculator = {
  id: 'tolerance',
  name: 'Tolerance',
  fields: [
    { id: 'size', label: 'Size', kind: 'length' },
    { id: 'class', label: 'Class, as P7 or k6', kind: 'word' },
  ],
  work: (a) => {
    const { limits, deviations: d } = limitsOf(a);
    return [
      main(figure('largest', limits.highMm, 'length', 3)),
      figure('smallest', limits.lowMm, 'length', 3),
      text('deviations', `${signed(d.upperUm)} / ${signed(d.lowerUm)} µm`),
    ];
  },
  source: 'ISO 286-1:2010',
};

const signed = (um: number) => `${um > 0 ? '+' : ''}${fixed(um)}`;

const fitOf = (a: Asked): PressFit => ({
  interferenceMm: a.number('interference'),
  diameterMm: a.number('diameter'),
  outerDiameterMm: a.number('outside'),
  innerBoreMm: a.orZero('bore'),
  outerMaterial: a.word('housing') as Material,
  innerMaterial: a.word('shaft') as Material,
});

export const pressForce: Calculator = {
  id: 'press-force',
  name: 'Press force',
  fields: [
    { id: 'diameter', label: 'Diameter of the seat', kind: 'length' },
    { id: 'interference', label: 'Interference, on diameter', kind: 'length' },
    { id: 'length', label: 'Length of the seat', kind: 'length' },
    { id: 'outside', label: 'Outside of the outer part', kind: 'length' },
    { id: 'bore', label: 'Bore of the inner part', kind: 'length', optional: true },
    { id: 'housing', label: 'Outer part of', kind: materialNames },
    { id: 'shaft', label: 'Inner part of', kind: materialNames },
    { id: 'friction', label: 'Friction, 0.1 oiled', kind: 'ratio' },
  ],
  work: (a) => {
    const fit = fitOf(a);
    const friction = a.number('friction');
    if (!(friction > 0 && friction <= 1)) throw new RangeError('friction: over 0, up to 1');
    const p = pressureMpa(fit);
    const hoop = hoopMpa(fit);
    return [
      main(
        figure('to press', forceN(p, friction, fit.diameterMm, a.number('length')) / 1000, 'force'),
      ),
      text('pressure', `${p.toFixed(1)} MPa`),
      text('outer part is drawn by', `${hoop.outerMpa.toFixed(0)} MPa`),
      text('inner part is squeezed by', `${Math.abs(hoop.innerMpa).toFixed(0)} MPa`),
    ];
  },
  source: 'Lamé, as in Shigley’s Mechanical Engineering Design',
};

export const screwTool: Calculator = {
  id: 'screw-tool',
  name: 'Screw tool',
  fields: [
    { id: 'torque', label: 'Torque on the screw', kind: 'torque' },
    { id: 'pitch', label: 'Pitch', kind: 'length' },
    { id: 'flank', label: 'Flank diameter', kind: 'length' },
    { id: 'flanks', label: 'Angle of the flanks, 60° or 30°', kind: 'angle' },
    { id: 'face', label: 'Face under the head, 0 with a thrust bearing', kind: 'length' },
  ],
  work: (a) => {
    const { low, likely, high } = screwForceBandKn(a.number('torque'), {
      pitchMm: a.number('pitch'),
      flankMm: a.number('flank'),
      threadDeg: a.number('flanks'),
      faceMm: a.number('face'),
      threadFriction: greased,
      faceFriction: greased,
    });
    return [
      main(figure('pulls with, likely', likely, 'force')),
      figure('at least', low, 'force'),
      figure('at most: the tool is rated by this', high, 'force'),
    ];
  },
  source:
    'thread formula, as in Shigley’s and ISO 16047; greased, friction 0.08 to 0.16, our judgement',
  caution: 'No force gauge: the torque tells it, and a dry thread tells it wrong.',
};

export const growth: Calculator = {
  id: 'growth',
  name: 'Hot and cold',
  fields: [
    { id: 'diameter', label: 'Diameter', kind: 'length' },
    { id: 'material', label: 'Material', kind: materialNames },
    { id: 'from', label: 'From', kind: 'temperature' },
    { id: 'to', label: 'To', kind: 'temperature' },
  ],
  work: (a) => {
    const { alphaPerK } = materials[a.word('material') as Material];
    const d = a.number('diameter');
    const grows = expansionMm(d, alphaPerK, a.number('to') - a.number('from'));
    return [
      main(figure(grows < 0 ? 'shrinks by' : 'grows by', Math.abs(grows), 'length', 3)),
      figure('is then', d + grows, 'length', 3),
    ];
  },
  source: 'Machinery’s Handbook, from memory',
  caution:
    'A sealed, greased bearing is not warmed above about 80 °C, and never by a flame; seals and encoder set the ceiling.',
};
