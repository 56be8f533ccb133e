import { itGrade, materials, frictions as seatFrictions } from '../fits/index.ts';
import { keysOf } from '../keys-of.ts';
import { checksOf } from '../prove/index.ts';
import {
  crossPatterns,
  frictions,
  grades,
  metricPitches,
  stressAreaMm2,
  strengths,
  unifiedThreads,
} from '../torque/index.ts';
import { fixed } from '../units/index.ts';

/** Reference figures as the calculations use them: each stands once, in its own table, and is written out here. */
export interface FigureTable {
  id: string;
  title: string;
  lines: readonly string[];
  source: string;
}

const area = (diameterMm: number, pitchMm: number, series: 'metric' | 'unified') =>
  fixed(stressAreaMm2({ name: '', listed: true, diameterMm, pitchMm, series }), 1);

const metric: FigureTable = {
  id: 'threads-metric',
  title: 'Metric threads: pitches, coarse first, and stress area',
  lines: Object.entries(metricPitches).map(
    ([d, pitches]) =>
      `M${d}: ${pitches.map((p) => `${p} mm (${area(Number(d), p, 'metric')} mm²)`).join(', ')}`,
  ),
  source: 'ISO 261, ISO 898-1 (from memory)',
};

const unified: FigureTable = {
  id: 'threads-unified',
  title: 'Unified threads: threads per inch, UNC and UNF, and stress area',
  lines: unifiedThreads.map(({ name, inch, unc, unf }) => {
    const of = (n: number) => `${n} (${area(inch * 25.4, 25.4 / n, 'unified')} mm²)`;
    return `${name} in: ${of(unc)}, ${of(unf)}`;
  }),
  source: 'ASME B1.1 (from memory)',
};

const strength: FigureTable = {
  id: 'grades',
  title: 'Grades of bolts: proof and yield, MPa',
  lines: grades.map(
    (g) =>
      `${g}: ${strengths[g]
        .map(
          ({ upToMm, proofMpa, yieldMpa }) =>
            `${Number.isFinite(upToMm) ? `to ${fixed(upToMm)} mm ` : ''}${fixed(proofMpa)} / ${fixed(yieldMpa)}`,
        )
        .join('; ')}`,
  ),
  source: 'ISO 898-1, SAE J429 (from memory)',
};

const band = ({ low, likely, high }: { low: number; likely: number; high: number }) =>
  `${low}, ${likely}, ${high}`;

const rubbing: FigureTable = {
  id: 'friction',
  title: 'Friction: least, likely, most',
  lines: [
    ...Object.entries(frictions).map(([state, f]) => `Thread, ${state}: ${f.join(', ')}`),
    ...keysOf(seatFrictions).flatMap((metal) =>
      Object.entries(seatFrictions[metal]).map(
        ([film, f]) => `Press seat in ${metal.replace('-', ' ')}, ${film}: ${band(f)}`,
      ),
    ),
  ],
  source: 'our judgement, within VDI 2230 classes (from memory)',
};

const circles: FigureTable = {
  id: 'circles',
  title: 'Order round a circle of bolts',
  lines: Object.entries(crossPatterns).map(([n, order]) => `${n}: ${order.join('-')}`),
  source: 'common practice, no published source',
};

const sizes = [25, 40, 65, 100, 150];
const grade: FigureTable = {
  id: 'it-grades',
  title: 'Width of tolerance grades, µm',
  lines: [5, 6, 7, 8].map(
    (g) => `IT${g}: ${sizes.map((s) => `${fixed(itGrade(s, g))} at ${s} mm`).join(', ')}`,
  ),
  source: 'ISO 286-1',
};

const metals: FigureTable = {
  id: 'metals',
  title: 'Metals of housings: stiffness and growth with heat',
  lines: Object.entries(materials).map(
    ([m, { eMpa, alphaPerK }]) =>
      `${m}: ${fixed(eMpa / 1000)} GPa, ${fixed(alphaPerK * 1e6, 1)} µm a metre and kelvin`,
  ),
  source: 'handbook values (from memory)',
};

const limits: FigureTable = {
  id: 'limits',
  title: 'Limits of the checks at Prove, where the maker prints none',
  lines: checksOf(undefined).flatMap(({ text, numeric }) =>
    numeric ? [`${text}: at most ${numeric.max} ${numeric.unit} (${numeric.limitSource})`] : [],
  ),
  source: 'our judgement; the maker’s figure comes first',
};

export const figureTables: readonly FigureTable[] = [
  metric,
  unified,
  strength,
  rubbing,
  circles,
  grade,
  metals,
  limits,
];
