import { type Corner, cornerNames, corners } from '../corner.ts';

export type Layout = 'front' | 'rear' | 'all' | 'solid-rear';
export const layoutNames: Record<Layout, string> = {
  front: 'front-wheel drive',
  rear: 'rear-wheel drive',
  all: 'all-wheel drive',
  'solid-rear': 'rear-wheel drive, solid axle',
};

export type SuspectKind =
  | 'bearing'
  | 'brake'
  | 'joint'
  | 'nut'
  | 'sensor'
  | 'seal'
  | 'tyre'
  | 'cv'
  | 'ujoint'
  | 'final'
  | 'gearbox'
  | 'engine'
  | 'nothing';
export type Axle = 'front' | 'rear';

export interface Suspect {
  id: string;
  kind: SuspectKind;
  name: string;
  corner?: Corner;
  axle?: Axle;
  /** Share before anything is known (engineering judgement). */
  prior: number;
}

export const axleOf = (c: Corner): Axle => (c === 'LF' || c === 'RF' ? 'front' : 'rear');
export const sideOf = (c: Corner): 'left' | 'right' =>
  c === 'LF' || c === 'LR' ? 'left' : 'right';

/** Kinds that sit at a corner: name after the corner, and share before anything is known, front and rear (engineering judgement). */
const atCorner: readonly {
  kind: SuspectKind;
  name: string;
  front: number;
  rear: number;
  layouts?: readonly Layout[];
}[] = [
  { kind: 'bearing', name: 'wheel bearing', front: 0.105, rear: 0.075 },
  { kind: 'brake', name: 'brake drag or shield', front: 0.026, rear: 0.022 },
  { kind: 'joint', name: 'suspension joint', front: 0.02, rear: 0.008 },
  { kind: 'nut', name: 'loose axle or wheel nuts', front: 0.005, rear: 0.004 },
  { kind: 'sensor', name: 'sensor or encoder only', front: 0.009, rear: 0.007 },
  { kind: 'seal', name: 'axle seal', front: 0, rear: 0.012, layouts: ['solid-rear'] },
];

const driven: Record<Layout, readonly Axle[]> = {
  front: ['front'],
  rear: ['rear'],
  all: ['front', 'rear'],
  'solid-rear': [],
};

/** All suspects that this layout can have. Shares are ours and sum to one. */
export function suspectsFor(layout: Layout): Suspect[] {
  const propshaft = layout !== 'front';
  const list: Suspect[] = [
    ...atCorner.flatMap((k) =>
      corners.map((corner): Suspect => ({
        id: `${k.kind}-${corner}`,
        kind: k.kind,
        corner,
        axle: axleOf(corner),
        name: `${cornerNames[corner]} ${k.name}`,
        prior: k.layouts && !k.layouts.includes(layout) ? 0 : k[axleOf(corner)],
      })),
    ),
    ...(['front', 'rear'] as const).map((axle): Suspect => ({
      id: `tyre-${axle}`,
      kind: 'tyre',
      axle,
      name: `Tyre noise, ${axle}`,
      prior: 0.13,
    })),
    ...driven[layout].map((axle): Suspect => ({
      id: `cv-${axle}`,
      kind: 'cv',
      axle,
      name: `CV joint, ${axle}`,
      prior: 0.06,
    })),
    ...(propshaft
      ? [
          {
            id: 'ujoint',
            kind: 'ujoint',
            name: 'Universal joint or propshaft',
            prior: 0.035,
          } as const,
          {
            id: 'final',
            kind: 'final',
            name: 'Ring and pinion or carrier bearing',
            prior: 0.045,
          } as const,
        ]
      : []),
    { id: 'gearbox', kind: 'gearbox', name: 'Gearbox bearing', prior: 0.03 },
    { id: 'engine', kind: 'engine', name: 'Engine or exhaust', prior: 0.05 },
    { id: 'nothing', kind: 'nothing', name: 'Nothing wrong', prior: 0.05 },
  ];
  const real = list.filter((s) => s.prior > 0);
  const sum = real.reduce((a, s) => a + s.prior, 0);
  return real.map((s) => ({ ...s, prior: s.prior / sum }));
}

export const places = ['car', 'front', 'rear', ...corners] as const;
export type Place = (typeof places)[number];

/** How a suspect stands to the place a test was made at; tables are keyed by `kind:relation`, then `kind`, then `rest`. */
export function relation(s: Suspect, place: Place): string {
  if (place === 'front' || place === 'rear') {
    if (s.axle !== place) return `${s.kind}:away`;
    return s.corner ? `${s.kind}:${sideOf(s.corner)}` : `${s.kind}:here`;
  }
  if (place === 'car') return s.corner ? `${s.kind}:${sideOf(s.corner)}` : s.kind;
  if (s.corner === place) return `${s.kind}:here`;
  if (s.corner) return `${s.kind}:${s.axle === axleOf(place) ? 'across' : 'away'}`;
  return s.axle === axleOf(place) ? `${s.kind}:here` : s.kind;
}
