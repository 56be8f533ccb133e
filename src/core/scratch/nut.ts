import { type Material, materials } from '../fits/index.ts';
import {
  angleForMm,
  type BarWay,
  barWay,
  castleStepDeg,
  type CastleTurn,
  castleTurn,
  type CastleWay,
  castleWay,
  clampBars,
  clampOfAngleN,
  endPlayMm,
  faceDiameterMm,
  handTravelMm,
  type LockPlace,
  lockPlaces,
  neverLinesUp,
  platesStiffness,
  readGrade,
  readThread,
  safePlace,
  stressAreaMm2,
  type Thread,
  warmShiftMm,
  wrenchSetting,
} from '../torque/index.ts';
import { fixed } from '../units/index.ts';
import type { Asked, Calculator, ScratchResult } from './calculator.ts';
import { figure, main, materialNames, text } from './results.ts';

/** Nut, bolt and what turns them. */

export const toolSetting: Calculator = {
  id: 'tool-setting',
  name: 'What to set',
  fields: [
    { id: 'wanted', label: 'Torque at the nut', kind: 'torque' },
    { id: 'length', label: 'Wrench, square to grip', kind: 'length' },
    { id: 'offset', label: 'Offset, square to square', kind: 'length' },
    { id: 'angle', label: 'Its angle, 0° straight on', kind: 'angle', optional: true },
    { id: 'shown', label: 'or read at the wrench', kind: 'torque', optional: true },
  ],
  work: (a) => {
    const set = (nm: number) =>
      wrenchSetting(nm, a.number('length'), a.number('offset'), a.orZero('angle'));
    return [
      main(figure('set at the wrench', set(a.number('wanted')), 'torque', 1)),
      ...(a.has('shown')
        ? [figure('at the nut, by what was read', a.number('shown') / set(1), 'torque', 1)]
        : []),
    ];
  },
  source: 'Machinery’s Handbook, T·L/(L + E cos θ), from memory',
  caution: 'Hand on the mark of the grip. A click without movement says only “at least”.',
};

/** Where somebody stands on the bar, as result and drawing have it. */
export function standOf(a: Asked): BarWay {
  const weightN = 1000 * a.number('weight');
  if (!(weightN > 0)) throw new RangeError('weight: must be more than 0');
  const way = barWay(a.number('torque'), weightN, {
    lengthM: a.number('bar') / 1000,
    weightN: 1000 * a.orZero('barWeight'),
    slopeDeg: a.orZero('slope'),
  });
  if (!way) throw new RangeError('barWeight: the bar alone gives more than this torque');
  return way;
}

export const bodyWeight: Calculator = {
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
    const way = standOf(a);
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

export const clamp: Calculator = {
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
    const grade = a.has('grade') ? readGrade(a.word('grade'), thread.series) : undefined;
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

export const angleMarks: Calculator = {
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
  if (neverLinesUp(slots, holes))
    throw new RangeError('slots: an odd number never lines up with both ends of a through hole');
  return [slots, holes];
}

/** The next slot and the way to it. */
export function nextSlotOf(a: Asked): { turn: CastleTurn; way: CastleWay } {
  const turn = castleTurn(...castleOf(a), a.number('past'));
  return { turn, way: castleWay(turn, a.word('holds') === 'clamp' ? 'clamp' : 'end-play') };
}

export const castle: Calculator = {
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
    const { turn, way } = nextSlotOf(a);
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

/** What the nut moves along its axis, and the turn for a movement; each where it is asked. */
export function screwOf(a: Asked): { movementMm?: number; angleDeg?: number } {
  const pitch = a.number('pitch');
  if (!a.has('angle') && !a.has('movement'))
    throw new RangeError('angle: type an angle, or a movement');
  return {
    ...(a.has('angle') ? { movementMm: endPlayMm(pitch, a.number('angle')) } : {}),
    ...(a.has('movement') ? { angleDeg: angleForMm(pitch, a.number('movement')) } : {}),
  };
}

export const endPlay: Calculator = {
  id: 'end-play',
  name: 'End play by angle',
  fields: [
    { id: 'pitch', label: 'Pitch of the thread', kind: 'length' },
    { id: 'angle', label: 'Angle of the nut', kind: 'angle', optional: true },
    { id: 'movement', label: 'or movement wanted', kind: 'length', optional: true },
  ],
  work: (a) => {
    const { movementMm, angleDeg } = screwOf(a);
    return [
      ...(movementMm === undefined ? [] : [main(figure('moves by', movementMm, 'length', 3))]),
      ...(angleDeg === undefined ? [] : [main(figure('turn by', angleDeg, 'angle', 1))]),
    ];
  },
  source: 'geometry of a screw',
};

/** Places of the lock, and the one to take. */
export function lockOf(a: Asked): {
  places: LockPlace[];
  safe: LockPlace | undefined;
  stepDeg: number;
} {
  const window = { lowMm: a.number('low'), highMm: a.number('high') };
  if (!(window.highMm > window.lowMm)) throw new RangeError('high: more than the least');
  const stepDeg = castleStepDeg(...castleOf(a));
  const nut = { pitchMm: a.number('pitch'), stepDeg, pastDeg: a.number('past') };
  const places = lockPlaces(a.number('play'), nut, window);
  return { places, safe: safePlace(places), stepDeg };
}

export const lockPlace: Calculator = {
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
    const { places, safe, stepDeg } = lockOf(a);
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
  source: 'geometry of a screw; the place furthest from both limits is common practice',
  caution: 'For a pair that is set by its nut. A nut that clamps is never loosened to a slot.',
};

export const warmPlay: Calculator = {
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
