/** The ear on stand-in recordings whose truth is known: right families, false alarms, confusion table. */
import {
  analyse,
  type BearingGeometry,
  type Finding,
  type RingSize,
  type Settings,
} from '../../src/core/noise/index.ts';
import { random } from '../../src/core/standins/cars.ts';
import { type Disturbance, disturbances } from '../../src/core/standins/disturbances.ts';
import { type MadeUpDrive, type MadeUpFault, record } from '../../src/core/standins/microphone.ts';

/** Hidden parameters are drawn from one range for tuning and from another, not looked at, for reporting. */
export const ranges = {
  tuning: {
    balls: [10, 12],
    ballMm: [10, 12],
    pitchMm: [54, 60],
    angleDeg: [30, 36],
    kmh: [55, 80],
    ringHz: [2600, 4200],
    decay: [700, 1200],
    circumferenceMm: [1850, 1980],
    axleRatio: [3.4, 3.9],
  },
  report: {
    balls: [12, 15],
    ballMm: [9, 11.5],
    pitchMm: [58, 68],
    angleDeg: [34, 42],
    kmh: [70, 115],
    ringHz: [1700, 5600],
    decay: [450, 1700],
    circumferenceMm: [1750, 2200],
    axleRatio: [3.6, 4.6],
  },
} as const;

const faults: readonly MadeUpFault[] = ['outer-ring', 'inner-ring', 'ball', 'tyre', 'driveline'];

export function drawDrive(
  range: keyof typeof ranges,
  fault: MadeUpFault,
  seed: number,
): MadeUpDrive {
  const r = random(seed * 7919 + 13);
  const x = (k: keyof (typeof ranges)['report']) => {
    const [a, b] = ranges[range][k];
    return a + (b - a) * r();
  };
  return {
    fault,
    seed,
    seconds: 15,
    sampleRate: 16_000,
    circumferenceMm: x('circumferenceMm'),
    axleRatio: x('axleRatio'),
    bearing: {
      balls: Math.round(x('balls')),
      ballMm: x('ballMm'),
      pitchMm: x('pitchMm'),
      angleDeg: x('angleDeg'),
      rotating: 'inner',
    },
    speeds: [{ atS: 0, kmh: x('kmh') }],
    faultDb: -6 + 9 * r(),
    ringHz: x('ringHz'),
    decay: x('decay'),
    slip: 0.01,
  };
}

/** What a technician knows of a drive: its speed to 1 %. */
function asKnown(d: MadeUpDrive): Settings {
  const r = random(d.seed + 99);
  return {
    speeds: d.speeds.map((m) => ({ ...m, kmh: m.kmh * (1 + 0.01 * (2 * r() - 1)) })),
    circumferenceMm: d.circumferenceMm,
    axleRatio: d.axleRatio,
    bearing: d.bearing,
  };
}

export function hear(d: MadeUpDrive): { finding: Finding; best: number } {
  const a = analyse(record(d), asKnown(d));
  return { finding: a.finding, best: a.scores[0]!.db };
}

/** How many of a hundred recordings of each noise of a sound car are called bearing or driveline, worst kind first. */
export function falseKinds(each: number, seed: number): { kind: Disturbance; called: number }[] {
  return disturbances
    .map((beside) => {
      let called = 0;
      for (let i = 0; i < each; i++) {
        const { finding } = hear({ ...drawDrive('report', 'nothing', seed + i), beside });
        if (finding !== 'nothing' && finding !== 'tyre' && finding !== 'cannot-tell') called += 1;
      }
      return { kind: beside, called: (100 * called) / each };
    })
    .sort((a, b) => b.called - a.called);
}

export function confusion(
  range: keyof typeof ranges,
  faulty: number,
  healthy: number,
  seed: number,
) {
  const table = new Map<string, number>();
  const note = (truth: Finding, said: Finding) =>
    table.set(`${truth}>${said}`, (table.get(`${truth}>${said}`) ?? 0) + 1);
  const scores: { truth: Finding; best: number }[] = [];
  for (let i = 0; i < faulty + healthy; i++) {
    const truth = i < faulty ? faults[i % faults.length]! : 'nothing';
    const { finding, best } = hear(drawDrive(range, truth, seed + i));
    note(truth, finding);
    scores.push({ truth, best });
  }
  const right = faults.reduce((a, f) => a + (table.get(`${f}>${f}`) ?? 0), 0) / faulty;
  const alarms = 1 - (table.get('nothing>nothing') ?? 0) / healthy;
  const all: readonly Finding[] = [...faults, 'nothing'];
  const text = [
    `${'truth'.padEnd(12)}${all.map((f) => f.padStart(12)).join('')}`,
    ...all.map(
      (t) =>
        `${t.padEnd(12)}${all.map((s) => String(table.get(`${t}>${s}`) ?? 0).padStart(12)).join('')}`,
    ),
  ].join('\n');
  return { right: 100 * right, alarms: 100 * alarms, text, scores };
}

/** A bearing of which only the rings are known: size, and within it ball, row and angle as wheel bearings have them. */
function drawBySize(seed: number): { rings: RingSize; bearing: BearingGeometry } {
  const r = random(seed * 104_729 + 7);
  const between = (a: number, b: number) => a + (b - a) * r();
  const boreMm = between(32, 48);
  const outerMm = boreMm + between(30, 42);
  const pitchMm = (outerMm + boreMm) / 2;
  const ballMm = (outerMm - boreMm) * between(0.29, 0.34);
  const balls = Math.round(((Math.PI * pitchMm) / ballMm) * between(0.78, 0.92));
  return {
    rings: { boreMm, outerMm },
    bearing: { balls, ballMm, pitchMm, angleDeg: between(30, 40), rotating: 'inner' },
  };
}

const ofBearing: readonly Finding[] = ['outer-ring', 'inner-ring', 'ball'];

/** By ring size alone: bearings heard as bearings, sound cars and other noises called one, silences told as clear; each in %. */
export function bySize(range: keyof typeof ranges, each: number, seed: number) {
  const share = (truth: MadeUpFault, beside: Disturbance | undefined, as: readonly Finding[]) => {
    let n = 0;
    for (let i = 0; i < each; i++) {
      const { rings, bearing } = drawBySize(seed + i);
      const d = { ...drawDrive(range, truth, seed + i), bearing, ...(beside ? { beside } : {}) };
      const { bearing: _unknown, ...known } = asKnown(d);
      if (as.includes(analyse(record(d), { ...known, rings }).finding)) n += 1;
    }
    return (100 * n) / each;
  };
  return {
    heard: (['outer-ring', 'inner-ring', 'ball'] as const).map((f) =>
      share(f, undefined, ofBearing),
    ),
    alarms: (['nothing', 'tyre', 'driveline'] as const).map((f) => share(f, undefined, ofBearing)),
    beside: disturbances.map((k) => share('nothing', k, ofBearing)),
    cleared: share('outer-ring', undefined, ['nothing']),
  };
}
