import { families, familyByCode, type FamilyCode, walks, walkSteps } from '../families/index.ts';
import { causes, type CauseId, type Mark, weighCauses } from '../old-part/index.ts';
import { castleTurn, castleWay, lockPlaces, safePlace, wrenchSetting } from '../torque/index.ts';
import { sentence } from '../rules/index.ts';
import { drawer, judgeLaid, type LaidStack, practiceStrokes } from './bench.ts';
import { random } from '../standins/cars.ts';
import type { Exercise, Maker, PracticeOption } from './exercise.ts';

const practice = 'common practice, no published source';

const pickOne = <T>(list: readonly T[], r: () => number): T => list[Math.floor(r() * list.length)]!;
const shuffled = <T>(list: readonly T[], r: () => number): T[] =>
  list
    .map((x) => ({ x, at: r() }))
    .sort((a, b) => a.at - b.at)
    .map(({ x }) => x);
const between = (low: number, high: number, r: () => number) => low + (high - low) * r();

/** Which kind of bearing is it, by its section: the harder, the nearer of kin the others. */
const family: Maker = (r, level) => {
  const right = pickOne(families, r);
  const kin = families.filter((f) => f.code !== right.code && f.code[0] === right.code[0]);
  const far = families.filter((f) => f.code[0] !== right.code[0]);
  const wanted = Math.min(kin.length, Math.max(0, level - 2));
  const others = [...shuffled(kin, r).slice(0, wanted), ...shuffled(far, r)].slice(0, 3);
  return {
    ask: 'Which kind of wheel bearing is this?',
    picture: { of: 'section', code: right.code },
    options: shuffled([right, ...others], r).map((f) => ({ id: f.code, text: f.name })),
    answer: right.code,
    because: right.seen,
    source: practice,
    otherwise: `It comes out like this: ${right.out} Another way ruins it.`,
    hard: { value: wanted, unit: 'near of kin' },
  };
};

const allRound = (look: Mark['look'], gapDeg: number): Mark => ({
  on: 'outer',
  row: 'outboard',
  look,
  severity: 2,
  round: true,
  gapDeg,
});
const atOne = (look: Mark['look'], atDeg: number): Mark => ({
  on: 'outer',
  row: 'outboard',
  look,
  severity: 2,
  atDeg,
});

/** Marks that each cause leaves; the further from the middle of its place, the harder. */
const leaves: Partial<Record<CauseId, (off: number, pitch: number) => Mark[]>> = {
  'through-balls': (_off, pitch) => [allRound('dents', pitch)],
  kerb: (off) => [atOne('dents', off % 360), atOne('dents', (off + 340) % 360)],
  seat: (off) => [atOne('spall-below', 180 + off)],
  parked: (_off, pitch) => [allRound('shaken', pitch)],
  water: (off) => [atOne('rust', off), atOne('rust', off + 90)],
  current: (_off, pitch) => [allRound('current', pitch / 3)],
};

const raceway: Maker = (r, level) => {
  const balls = pickOne([11, 12, 13], r);
  const ids = Object.keys(leaves) as CauseId[];
  const made = pickOne(ids, r);
  const off = Math.round(between(-8, 8, r) * level);
  const marks = (leaves[made]?.((off + 360) % 360, 360 / balls) ?? []).map((m) => ({
    ...m,
    ...(m.atDeg === undefined ? {} : { atDeg: (m.atDeg + 360) % 360 }),
  }));
  const [first] = weighCauses(marks, { family: 'P1', balls });
  const answer = first?.cause ?? made;
  const others = shuffled(
    ids.filter((c) => c !== answer),
    r,
  ).slice(0, 3);
  return {
    ask: 'What killed this bearing?',
    picture: { of: 'rings', family: 'P1', balls, marks },
    options: shuffled([answer, ...others], r).map((c) => ({ id: c, text: causes[c].name })),
    answer,
    because: first?.reasons.join(' ') ?? '',
    source: 'looks of ISO 15243 (from memory); weights are our judgement',
    otherwise: `The next one dies of it too, unless: ${causes[answer].advice[0]}`,
    hard: { value: Math.abs(off), unit: '° off the middle' },
  };
};

/** Which way does the castle nut go, and how far: the harder, the nearer the two ways. */
const castle: Maker = (r, level) => {
  const slots = pickOne([6, 8, 10], r);
  const holeEnds = pickOne([2, 4], r);
  const holds = pickOne(['clamp', 'end-play'] as const, r);
  const step = castleTurn(slots, holeEnds, 0).stepDeg;
  const aside = (0.5 - level / 12) * step;
  const pastDeg = Math.round(step / 2 + (r() < 0.5 ? -1 : 1) * aside);
  const turn = castleTurn(slots, holeEnds, pastDeg);
  const right = castleWay(turn, holds);
  const words = (way: 'tighten' | 'loosen', deg: number): PracticeOption => ({
    id: `${way} ${deg.toFixed(0)}`,
    text: `${way} by ${deg.toFixed(0)}°`,
  });
  const options = [
    words('tighten', turn.onDeg),
    words('loosen', turn.backDeg),
    words('tighten', turn.onDeg + step),
    words('loosen', turn.backDeg + step),
  ];
  return {
    ask:
      holds === 'clamp'
        ? 'This nut clamps. The pin does not go through: what now?'
        : 'This nut sets end play. The pin does not go through: what now?',
    picture: { of: 'castle', slots, holeEnds, pastDeg },
    options: shuffled(options, r),
    answer: words(right.way, right.deg).id,
    because:
      holds === 'clamp'
        ? 'A nut that clamps goes on to the next slot, never back: loosened it has lost its torque.'
        : 'A nut that sets end play goes back to the last slot, never on: tightened it is a preload.',
    source: practice,
    otherwise:
      holds === 'clamp'
        ? 'Loosened to the slot, the rings are no longer clamped: the bearing creeps and comes apart.'
        : 'Tightened to the slot, the rollers are preloaded: it runs hot and seizes.',
    hard: {
      value: Math.round(Math.abs(turn.onDeg - turn.backDeg)),
      unit: '° between the two ways',
    },
  };
};

/** Which place of the lock: the harder, the nearer the edge of the window. */
const adjust: Maker = (r, level) => {
  const window = { lowMm: 0.025, highMm: 0.127 };
  const pitchMm = pickOne([1.5, 2], r);
  const stepDeg = pickOne([12, 15, 20, 30], r);
  const pastDeg = Math.round(between(2, stepDeg - 2, r));
  const margin = 0.03 / level;
  const edge = pickOne([window.lowMm, window.highMm], r);
  const playMm = Number(
    (edge + (r() < 0.5 ? -1 : 1) * margin + (pitchMm * pastDeg) / 360).toFixed(3),
  );
  const places = lockPlaces(playMm, { pitchMm, stepDeg, pastDeg }, window, 2);
  const safe = safePlace(places);
  const text = (turnDeg: number) =>
    `${turnDeg >= 0 ? 'tighten' : 'loosen'} ${Math.abs(turnDeg).toFixed(0)}°`;
  const id = (turnDeg: number) => turnDeg.toFixed(1);
  return {
    ask: `${playMm.toFixed(3)} mm of end play are read; ${window.lowMm} to ${window.highMm} mm are asked. Where is it locked?`,
    picture: { of: 'places', places, window, playMm, figures: level < 3 },
    options: [
      ...places.map((p) => ({ id: id(p.turnDeg), text: text(p.turnDeg) })),
      { id: 'none', text: 'in none of them: another washer' },
    ],
    answer: safe ? id(safe.turnDeg) : 'none',
    because: safe
      ? 'Of the places inside the window the looser one.'
      : 'None leaves a play inside the window: another washer or the other face of the nut, never tighter.',
    source: practice,
    otherwise: 'Tighter than asked it runs hot and seizes, looser it hammers the cups.',
    hard: { value: Number(margin.toFixed(3)), unit: 'mm from the edge of the window' },
  };
};

/** What is set on the wrench through an offset: the harder, the smaller the difference. */
const offset: Maker = (r, level) => {
  const lengthMm = pickOne([320, 400, 500, 620], r);
  const offsetMm = Math.round(between(40, 160, r) / level) + 20;
  const offsetAngleDeg = pickOne([0, 30, 45, 60, 90, 180], r);
  const wanted = pickOne([80, 100, 120, 180, 220], r);
  const set = (mm: number, deg: number) => wrenchSetting(wanted, lengthMm, mm, deg);
  const right = set(offsetMm, offsetAngleDeg);
  const id = (nm: number) => nm.toFixed(1);
  const all = [
    right,
    wanted,
    set(offsetMm, 180 - offsetAngleDeg),
    set(offsetMm, 0),
    set(2 * offsetMm, offsetAngleDeg),
  ];
  const values = [...new Set(all.map(id))];
  return {
    ask: `${wanted} N·m at the nut, the offset as drawn: what is set?`,
    picture: { of: 'offset', lengthMm, through: { offsetMm, offsetAngleDeg } },
    options: shuffled(values.slice(0, 4), r).map((v) => ({ id: v, text: `${v} N·m` })),
    answer: id(right),
    because: `${wanted} × ${lengthMm}/(${lengthMm} + ${offsetMm} × cos ${offsetAngleDeg}°) = ${id(right)} N·m.`,
    source: 'Machinery’s Handbook, T·L/(L + E cos θ), from memory',
    otherwise: `Set to ${wanted} N·m, the nut gets ${((wanted * wanted) / right).toFixed(0)} N·m.`,
    hard: { value: Number(Math.abs(right - wanted).toFixed(1)), unit: 'N·m apart' },
  };
};

/** What comes next: the harder, the nearer the other steps. */
const order: Maker = (r, level) => {
  const code = pickOne(Object.keys(walks) as FamilyCode[], r);
  const steps = walkSteps(walks[code].steps, 'strip', 'bench');
  const at = Math.floor(r() * (steps.length - 2));
  const [now, next] = [steps[at]!, steps[at + 1]!];
  const later = steps.slice(at + 2);
  const others = (level > 2 ? later : shuffled(later, r)).slice(0, 3);
  return {
    ask: `${familyByCode(code)?.name}: what comes right after this?`,
    picture: { of: 'step', code, lit: now.lit ?? [], text: now.text },
    options: shuffled([next, ...others], r).map((s) => ({ id: s.id, text: s.text })),
    answer: next.id,
    because: next.why,
    source: practice,
    otherwise: `Skipped: ${next.why}`,
    hard: { value: others.length, unit: 'steps to choose from besides' },
  };
};

/** What a stack may come to, in short. */
const stackWords = {
  'press.path': 'press it: the force runs beside the balls',
  'press.through-balls': 'stop: the balls would carry it',
  'press.outer-ring-only': 'stop: the pusher reaches the seal and the inner ring',
  'press.inside-studs': 'stop: it stands on the wheel studs',
} as const;
type Outcome = keyof typeof stackWords;
const outcomes = Object.keys(stackWords) as Outcome[];

interface Laid extends LaidStack {
  outcome: Outcome;
  because: string;
}
/** Every stack of the drawer whose gravest word is one of these, judged once. */
const laidStacks = (): Laid[] =>
  (laid ??= practiceStrokes.flatMap((operation) =>
    drawer.flatMap((p) =>
      drawer.flatMap((s): Laid[] => {
        if (p === s) return [];
        const stack = { operation, pusherId: p.id, supportId: s.id };
        const { status, verdicts } = judgeLaid(stack);
        const gravest = verdicts.find((v) => v.status === status);
        const outcome = outcomes.find((o) => o === gravest?.rule);
        return outcome && gravest ? [{ ...stack, outcome, because: sentence(gravest) }] : [];
      }),
    ),
  ));
let laid: Laid[] | undefined;

/** May this be pressed? The harder, the more of a wrong stack is right. */
const stack: Maker = (r, level) => {
  const all = laidStacks();
  const good = all.filter((l) => l.outcome === 'press.path');
  const isNear = (l: Laid) =>
    good.some(
      (g) =>
        g.operation === l.operation && (g.pusherId === l.pusherId || g.supportId === l.supportId),
    );
  const bad = all.filter((l) => l.outcome !== 'press.path' && isNear(l) === level > 2);
  const { outcome, because, ...shown } = pickOne(r() < 0.4 ? good : bad, r);
  return {
    ask:
      shown.operation === 'hub-in'
        ? 'The hub goes into its new bearing. May it be pressed like this?'
        : 'The new bearing goes into its knuckle. May it be pressed like this?',
    picture: { of: 'stack', laid: shown },
    options: outcomes.map((o) => ({ id: o, text: stackWords[o] })),
    answer: outcome,
    because,
    source: 'geometry; contact by Hertz, ISO 76',
    otherwise:
      outcome === 'press.path'
        ? 'Nothing is hurt: the ring that sits tight takes the force.'
        : 'Dents that nobody sees at the bench are heard after some hundred kilometres.',
    hard: {
      value: level > 2 ? 1 : 2,
      unit: level > 2 ? 'piece may be wrong' : 'pieces may be wrong',
    },
  };
};

export const makers = {
  stack,
  family,
  raceway,
  castle,
  adjust,
  offset,
  order,
} as const satisfies Record<string, Maker>;
export type ExerciseKind = keyof typeof makers;
export const exerciseKinds = Object.keys(makers) as ExerciseKind[];
export const kindTitles: Record<ExerciseKind, string> = {
  stack: 'May it be pressed?',
  family: 'Name the family',
  raceway: 'Read the raceway',
  castle: 'Next castle slot',
  adjust: 'Adjust a taper pair',
  offset: 'Set the wrench',
  order: 'Order of the steps',
};

/** The same exercise from the same seed, on every tablet. */
export const exercise = (kind: ExerciseKind, seed: number, level: number): Exercise =>
  makers[kind](random(seed), level);
