import { cornerNames, corners, type Corner } from '../parts.ts';

export type Layout = 'front' | 'rear' | 'all' | 'solid-rear';
export const layoutNames: Record<Layout, string> = {
  front: 'front-wheel drive', rear: 'rear-wheel drive', all: 'all-wheel drive', 'solid-rear': 'rear-wheel drive, solid axle',
};

export type SuspectKind = 'bearing' | 'tyre' | 'cv' | 'brake' | 'sensor' | 'engine';
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
export const sideOf = (c: Corner): 'left' | 'right' => (c === 'LF' || c === 'LR' ? 'left' : 'right');

/** All suspects that this layout can have. Priors are ours and sum to one. */
export function suspectsFor(layout: Layout): Suspect[] {
  const driven: Axle[] = layout === 'front' ? ['front'] : layout === 'all' ? ['front', 'rear'] : layout === 'rear' ? ['rear'] : [];
  const list: Suspect[] = [
    ...corners.map((corner): Suspect => ({ id: `bearing-${corner}`, kind: 'bearing', corner, axle: axleOf(corner), name: `${cornerNames[corner]} wheel bearing`, prior: axleOf(corner) === 'front' ? 0.12 : 0.09 })),
    ...corners.map((corner): Suspect => ({ id: `brake-${corner}`, kind: 'brake', corner, axle: axleOf(corner), name: `${cornerNames[corner]} brake dragging`, prior: 0.03 })),
    ...(['front', 'rear'] as const).map((axle): Suspect => ({ id: `tyre-${axle}`, kind: 'tyre', axle, name: `Tyre noise, ${axle}`, prior: 0.14 })),
    ...driven.map((axle): Suspect => ({ id: `cv-${axle}`, kind: 'cv', axle, name: `CV joint, ${axle}`, prior: 0.07 })),
    { id: 'sensor', kind: 'sensor', name: 'Sensor or encoder only', prior: 0.04 },
    { id: 'engine', kind: 'engine', name: 'Engine, exhaust or gearbox', prior: 0.08 },
  ];
  const sum = list.reduce((a, s) => a + s.prior, 0);
  return list.map((s) => ({ ...s, prior: s.prior / sum }));
}

export type Place = 'car' | Axle | Corner;

/** How a suspect stands to the place a test was made at; tables are keyed by `kind:relation`, then `kind`, then `rest`. */
export function relation(s: Suspect, place: Place): string {
  if (place === 'front' || place === 'rear') {
    if (s.axle !== place) return `${s.kind}:away`;
    return s.corner ? `${s.kind}:${sideOf(s.corner)}` : `${s.kind}:here`;
  }
  if (place === 'car') return s.corner ? `${s.kind}:${sideOf(s.corner)}` : s.kind;
  if (s.corner) return `${s.kind}:${s.corner === place ? 'here' : s.axle === axleOf(place) ? 'across' : 'away'}`;
  return s.axle === axleOf(place) ? `${s.kind}:here` : s.kind;
}
