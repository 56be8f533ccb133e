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
import { fixed } from '../units/index.ts';
import { bearingOrders, tyre, wheelHz } from '../noise/index.ts';
import { greased, screwForceKn } from '../press/screw.ts';
import {
  angleForMm,
  barWay,
  castleStepDeg,
  castleTurn,
  castleWay,
  clampBars,
  clampOfAngleN,
  endPlayMm,
  faceDiameterMm,
  handTravelMm,
  lockPlaces,
  platesStiffness,
  readGrade,
  readThread,
  safePlace,
  stressAreaMm2,
  type Thread,
  warmShiftMm,
  wrenchSetting,
} from '../torque/index.ts';
import type { Asked, Calculator, ScratchResult } from './calculator.ts';

const materialNames = Object.keys(materials) as Material[];
const figure = (
  what: string,
  value: number,
  dimension: 'length' | 'torque' | 'force' | 'angle' | 'speed' | 'ratio' | 'count' | 'share',
  decimals?: number,
): ScratchResult => ({ what, value, dimension, ...(decimals === undefined ? {} : { decimals }) });
const main = (r: ScratchResult): ScratchResult => ({ ...r, main: true });
const text = (what: string, words: string): ScratchResult => ({ what, text: words });

const toolSetting: Calculator = {
  id: 'tool-setting',
  name: 'What to set',
  fields: [
    { id: 'wanted', label: 'Torque at the nut', kind: 'torque' },
    { id: 'length', label: 'Wrench, square to grip', kind: 'length' },
    { id: 'offset', label: 'Offset, square to square', kind: 'length' },
    { id: 'angle', label: 'Its angle, 0° straight on', kind: 'angle', optional: true },
  ],
  work: (a) => [
    main(
      figure(
        'set',
        wrenchSetting(
          a.number('wanted'),
          a.number('length'),
          a.number('offset'),
          a.orZero('angle'),
        ),
        'torque',
        1,
      ),
    ),
  ],
  source: 'Machinery’s Handbook, T·L/(L + E cos θ), from memory',
  caution: 'Hand on the mark of the grip. A click without movement says only “at least”.',
};

const bodyWeight: Calculator = {
  id: 'body-weight',
  name: 'Body on a bar',
  fields: [
    { id: 'torque', label: 'Torque at the nut', kind: 'torque' },
    { id: 'weight', label: 'Who stands on it, as 80 kgf', kind: 'force' },
    { id: 'bar', label: 'Length of the bar', kind: 'length' },
    { id: 'barWeight', label: 'Its own weight, as 4 kgf', kind: 'force', optional: true },
    { id: 'slope', label: 'Slope from level', kind: 'angle', optional: true },
  ],
  work: (a) => {
    const weightN = 1000 * a.number('weight');
    if (!(weightN > 0)) throw new RangeError('weight: must be more than 0');
    const way = barWay(a.number('torque'), weightN, {
      lengthM: a.number('bar') / 1000,
      weightN: 1000 * a.orZero('barWeight'),
      slopeDeg: a.orZero('slope'),
    });
    if (!way) throw new RangeError('barWeight: the bar alone gives more than this torque');
    return [
      main(figure('stand from the nut', 1000 * way.standM, 'length', 0)),
      text('bar', way.reaches ? 'long enough' : 'too short for it'),
    ];
  },
  source: 'statics; common practice, no published source',
  caution: 'A stop-gap: ±10 % at best. Hold on to something, and check again with a wrench.',
};

/** What an angle past snug adds, by the stiffness of bolt and plates; below yield only. */
function angleLines(a: Asked, thread: Thread): ScratchResult[] {
  if (!a.has('angle')) return [];
  if (!a.has('grip')) throw new RangeError('grip: type the thickness that is clamped');
  const grip = a.number('grip');
  if (!(grip > 0)) throw new RangeError('grip: must be more than 0');
  const plates = platesStiffness(thread.diameterMm, grip);
  const bolt = (stressAreaMm2(thread) * materials.steel.eMpa) / grip;
  const extra = clampOfAngleN(a.number('angle'), thread.pitchMm, 1 / plates + 1 / bolt);
  return [figure('the angle adds, below yield', extra / 1000, 'force', 1)];
}

const clamp: Calculator = {
  id: 'clamp',
  name: 'Clamp',
  fields: [
    { id: 'thread', label: 'Thread, as M22 × 1.5', kind: 'word' },
    { id: 'torque', label: 'Torque', kind: 'torque' },
    { id: 'hex', label: 'Hex across the flats', kind: 'length' },
    { id: 'grade', label: 'Grade, as 10.9', kind: 'word', optional: true },
    { id: 'angle', label: 'Then an angle', kind: 'angle', optional: true },
    { id: 'grip', label: 'Thickness that is clamped', kind: 'length', optional: true },
  ],
  work: (a) => {
    const read = readThread(a.word('thread'));
    if (!read.ok) throw new RangeError(`thread: ${read.reason}`);
    const { thread } = read;
    if (a.number('hex') <= thread.diameterMm)
      throw new RangeError('hex: wider than the thread is thick');
    const grade = a.has('grade') ? readGrade(a.word('grade')) : undefined;
    if (a.has('grade') && !grade) throw new RangeError('grade: not a grade in the tables');
    const face = faceDiameterMm(a.number('hex'), thread.diameterMm);
    const states = ['dry', 'oiled', 'greased'] as const;
    const { bars, proofN } = clampBars(a.number('torque'), thread, face, states, grade);
    return [
      ...bars.map((b, i): ScratchResult => {
        const r = figure(`${b.state}, likely`, b.likelyN / 1000, 'force', 1);
        return i === 0 ? main(r) : r;
      }),
      ...bars.map((b) =>
        text(
          `${b.state}, from to`,
          `${(b.lowN / 1000).toFixed(0)}–${(b.highN / 1000).toFixed(0)} kN`,
        ),
      ),
      ...(proofN === undefined ? [] : [figure('proof load', proofN / 1000, 'force', 1)]),
      ...angleLines(a, thread),
    ];
  },
  source: 'Motosh’s form; VDI 2230; ISO 898-1, all from memory',
  caution:
    'Friction of our judgement. The maker’s torque stands; this says what a wet thread does to it.',
};

const angleMarks: Calculator = {
  id: 'angle-marks',
  name: 'Angle by marks',
  fields: [
    { id: 'angle', label: 'Angle to turn', kind: 'angle' },
    { id: 'length', label: 'Bar, nut to hand', kind: 'length' },
  ],
  work: (a) => {
    const deg = a.number('angle');
    if (!(deg > 0)) throw new RangeError('angle: must be more than 0°');
    return [
      main(figure('the hand goes round', handTravelMm(deg, a.number('length')), 'length', 0)),
      text('flats of a hex, 60° each', (deg / 60).toFixed(2)),
      text('points of a 12-point, 30° each', (deg / 30).toFixed(2)),
    ];
  },
  source: 'geometry',
};

/** Slots and hole ends of a castle nut, as counted. */
function castleOf(a: Asked): [slots: number, holes: number] {
  const [slots, holes] = [a.number('slots'), a.number('holes')];
  if (!Number.isInteger(slots) || slots < 3 || slots > 24)
    throw new RangeError('slots: a whole number from 3 to 24');
  if (!Number.isInteger(holes) || holes < 1 || holes > 12)
    throw new RangeError('holes: a whole number from 1 to 12');
  return [slots, holes];
}

const castle: Calculator = {
  id: 'castle',
  name: 'Castle nut',
  fields: [
    { id: 'slots', label: 'Slots in the nut', kind: 'count' },
    { id: 'holes', label: 'Ends of holes in the shaft', kind: 'count' },
    { id: 'past', label: 'Stands past the last slot by', kind: 'angle' },
    { id: 'holds', label: 'What it holds', kind: ['clamp', 'end-play'] },
    { id: 'pitch', label: 'Pitch of the thread', kind: 'length', optional: true },
  ],
  work: (a) => {
    const [slots, holes] = castleOf(a);
    const turn = castleTurn(slots, holes, a.number('past'));
    const way = castleWay(turn, a.word('holds') === 'clamp' ? 'clamp' : 'end-play');
    return [
      main(figure(way.way, way.deg, 'angle', 0)),
      figure('a slot lines up every', turn.stepDeg, 'angle', 0),
      ...(a.has('pitch')
        ? [figure('along its axis', endPlayMm(a.number('pitch'), way.deg), 'length', 3)]
        : []),
    ];
  },
  source: 'geometry, 360°/lcm of slots and hole ends',
  caution:
    'One that clamps is tightened to the next slot, never loosened. One that sets end play is loosened, never tightened past its window.',
};

const toleranceOf: Calculator = {
  id: 'tolerance',
  name: 'Tolerance',
  fields: [
    { id: 'size', label: 'Size', kind: 'length' },
    { id: 'class', label: 'Class, as P7 or k6', kind: 'word' },
  ],
  work: (a) => {
    const size = a.number('size');
    const d = tolerance(size, a.word('class'));
    const limits = limitsMm(size, d);
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

const pressForce: Calculator = {
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

const screwTool: Calculator = {
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
    const force = screwForceKn(a.number('torque'), {
      pitchMm: a.number('pitch'),
      flankMm: a.number('flank'),
      threadDeg: a.number('flanks'),
      faceMm: a.number('face'),
      threadFriction: greased,
      faceFriction: greased,
    });
    return [main(figure('pulls with', force, 'force'))];
  },
  source: 'thread formula, as in Shigley’s and ISO 16047; greased, friction 0.12',
  caution: 'No force gauge: the torque tells it, and a dry thread tells it wrong.',
};

const tyreOrders: Calculator = {
  id: 'tyre',
  name: 'Tyre and wheel',
  fields: [
    { id: 'tyre', label: 'Tyre, as 195/65R15', kind: 'word' },
    { id: 'speed', label: 'Speed', kind: 'speed' },
  ],
  work: (a) => {
    const t = tyre(a.word('tyre'));
    const hz = wheelHz(a.number('speed'), t.circumferenceMm);
    return [
      main(text('the wheel turns', `${hz.toFixed(2)} times a second`)),
      figure('rolls a turn', t.circumferenceMm, 'length', 0),
      figure('diameter', t.diameterMm, 'length', 0),
      text('turns a minute', (60 * hz).toFixed(0)),
    ];
  },
  source: 'size on the tyre; rolling 0.97 of nominal, common practice',
};

const orders: Calculator = {
  id: 'orders',
  name: 'Bearing orders',
  fields: [
    { id: 'balls', label: 'Balls in a row', kind: 'count' },
    { id: 'ballMm', label: 'Ball', kind: 'length' },
    { id: 'pitchMm', label: 'Pitch circle', kind: 'length' },
    { id: 'angleDeg', label: 'Contact angle', kind: 'angle' },
    { id: 'turns', label: 'Ring that turns', kind: ['inner', 'outer'] },
    { id: 'wheel', label: 'Turns of the wheel a second', kind: 'ratio', optional: true },
  ],
  work: (a) => {
    const o = bearingOrders({
      balls: a.number('balls'),
      ballMm: a.number('ballMm'),
      pitchMm: a.number('pitchMm'),
      angleDeg: a.number('angleDeg'),
      rotating: a.word('turns') === 'inner' ? 'inner' : 'outer',
    });
    const hz = (order: number) =>
      a.has('wheel') ? `, ${(order * a.number('wheel')).toFixed(1)} Hz` : '';
    const line = (what: string, order: number) => text(what, `${order.toFixed(3)}${hz(order)}`);
    return [
      main(line('outer ring', o.bpfo)),
      line('inner ring', o.bpfi),
      line('ball', o.bsf),
      line('cage', o.ftf),
    ];
  },
  source: 'kinematics of a bearing that rolls without slip',
};

const endPlay: Calculator = {
  id: 'end-play',
  name: 'End play by angle',
  fields: [
    { id: 'pitch', label: 'Pitch of the thread', kind: 'length' },
    { id: 'angle', label: 'Angle of the nut', kind: 'angle', optional: true },
    { id: 'movement', label: 'or movement wanted', kind: 'length', optional: true },
  ],
  work: (a) => {
    const pitch = a.number('pitch');
    if (!a.has('angle') && !a.has('movement'))
      throw new RangeError('angle: type an angle, or a movement');
    return [
      ...(a.has('angle')
        ? [main(figure('moves by', endPlayMm(pitch, a.number('angle')), 'length', 3))]
        : []),
      ...(a.has('movement')
        ? [main(figure('turn by', angleForMm(pitch, a.number('movement')), 'angle', 1))]
        : []),
    ];
  },
  source: 'geometry of a screw',
};

const lockPlace: Calculator = {
  id: 'lock-place',
  name: 'Where to lock',
  fields: [
    { id: 'play', label: 'End play as it stands', kind: 'length' },
    { id: 'low', label: 'Least that is allowed', kind: 'length' },
    { id: 'high', label: 'Most that is allowed', kind: 'length' },
    { id: 'pitch', label: 'Pitch of the thread', kind: 'length' },
    { id: 'slots', label: 'Slots in the nut', kind: 'count' },
    { id: 'holes', label: 'Ends of holes in the shaft', kind: 'count' },
    { id: 'past', label: 'Stands past the last slot by', kind: 'angle' },
  ],
  work: (a) => {
    const window = { lowMm: a.number('low'), highMm: a.number('high') };
    if (!(window.highMm > window.lowMm)) throw new RangeError('high: more than the least');
    const stepDeg = castleStepDeg(...castleOf(a));
    const nut = { pitchMm: a.number('pitch'), stepDeg, pastDeg: a.number('past') };
    const places = lockPlaces(a.number('play'), nut, window);
    const safe = safePlace(places);
    const turned = (deg: number) =>
      `${deg < 0 ? 'loosened' : 'tightened'} ${fixed(Math.abs(deg))}°`;
    return [
      safe
        ? main(text('lock', `${turned(safe.turnDeg)}: ${safe.playMm.toFixed(3)} mm`))
        : main(text('lock', 'nowhere here: other washer or face, never tighter')),
      ...places
        .filter((p) => Math.abs(p.turnDeg) <= 2 * stepDeg)
        .map((p) =>
          text(turned(p.turnDeg), `${p.playMm.toFixed(3)} mm${p.inWindow ? ', inside' : ''}`),
        ),
    ];
  },
  source: 'geometry of a screw; the looser place inside the window is common practice',
  caution: 'For a pair that is set by its nut. A nut that clamps is never loosened to a slot.',
};

const warmPlay: Calculator = {
  id: 'warm-play',
  name: 'End play when warm',
  fields: [
    { id: 'radius', label: 'Mean radius of the raceways', kind: 'length' },
    { id: 'cup', label: 'Half angle of the cups', kind: 'angle' },
    { id: 'apart', label: 'Rows apart', kind: 'length' },
    { id: 'hub', label: 'Hub of', kind: materialNames },
    { id: 'warmer', label: 'Hub warmer than at the setting by', kind: 'rise' },
    { id: 'spindle', label: 'Spindle warmer by', kind: 'rise' },
    { id: 'mounted', label: 'Mounted', kind: ['back-to-back', 'face-to-face'] },
  ],
  work: (a) => {
    const hub = materials[a.word('hub') as Material].alphaPerK * a.number('warmer');
    const strain = hub - materials.steel.alphaPerK * a.number('spindle');
    const row = { radiusMm: a.number('radius'), cupDeg: a.number('cup') };
    const mounted = a.word('mounted') === 'back-to-back' ? 'back-to-back' : 'face-to-face';
    const shift = warmShiftMm(strain, [row, row], a.number('apart'), mounted);
    return [
      main(figure(shift < 0 ? 'tighter by' : 'looser by', Math.abs(shift), 'length', 3)),
      text(
        'set it cold',
        shift < 0 ? 'looser by as much' : 'tighter by as much, inside the window',
      ),
    ];
  },
  source: 'geometry of two cones; upper bound, the steel cup follows the hub less',
};

const growth: Calculator = {
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

/** Every calculation of the quick page, in the order of the work. */
export const calculators: readonly Calculator[] = [
  toolSetting,
  bodyWeight,
  clamp,
  angleMarks,
  castle,
  endPlay,
  lockPlace,
  warmPlay,
  toleranceOf,
  pressForce,
  growth,
  screwTool,
  tyreOrders,
  orders,
];
