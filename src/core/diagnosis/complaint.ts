import { type Static, Type } from '@sinclair/typebox';
import { JobCornerId } from '../corner.ts';
import { closed, Maybe, oneOf } from '../schemas/common.ts';
import { relation, sideOf, type Suspect } from './suspects.ts';

export const sounds = ['roar', 'whirr', 'chirp', 'grind', 'click', 'knock'] as const;
export type Sound = (typeof sounds)[number];
export const lamps = ['abs', 'brake', 'none'] as const;
export const happenings = ['tyres', 'kerb', 'water', 'towing', 'salt', 'bearing-before'] as const;
export type Happening = (typeof happenings)[number];
export const happeningNames: Record<Happening, string> = {
  tyres: 'tyres changed',
  kerb: 'kerb strike',
  water: 'deep water',
  towing: 'heavy towing',
  salt: 'salt',
  'bearing-before': 'bearing done before',
};

const Speed = Maybe(Type.Number({ minimum: 0, maximum: 250 }));

/** What the driver says. Every part may be unknown. */
export const ComplaintSchema = closed({
  corner: JobCornerId,
  sound: Maybe(oneOf(sounds)),
  startsKmh: Speed,
  peaksKmh: Speed,
  goneKmh: Speed,
  bend: Maybe(oneOf(['left', 'right', 'same'] as const)),
  heat: Maybe(oneOf(['cold', 'warm'] as const)),
  lamps: Type.Array(oneOf(lamps), { uniqueItems: true, maxItems: 3 }),
  history: Type.Array(oneOf(happenings), { uniqueItems: true, maxItems: 6 }),
});
export type Complaint = Static<typeof ComplaintSchema>;

export interface Clue {
  label: string;
  /** What it speaks for, in short words. */
  points: string;
  weight: (s: Suspect) => number;
  /** The test that asks the same: once it was made, the driver's word is not counted beside it. */
  test?: string;
}

const soundWeights: Record<Sound, Partial<Record<Suspect['kind'], number>>> = {
  roar: { bearing: 3, tyre: 3, cv: 0.4, brake: 0.5, sensor: 0.2 },
  whirr: { bearing: 2.4, tyre: 1.4, engine: 1.6, sensor: 0.2 },
  chirp: { bearing: 1.6, brake: 2.2, tyre: 0.3, sensor: 0.2 },
  grind: { bearing: 2.4, brake: 2.6, tyre: 0.4, sensor: 0.2 },
  click: { cv: 5, bearing: 0.7, tyre: 0.5, sensor: 0.2 },
  knock: { cv: 2.2, bearing: 0.7, tyre: 0.4, sensor: 0.2 },
};

const byKind = (w: Partial<Record<Suspect['kind'], number>>) => (s: Suspect) => w[s.kind] ?? 1;

/** The driver's words as clues, each a weight on the suspects (engineering judgement, weaker than any test). */
export function clues(c: Complaint): Clue[] {
  const out: Clue[] = [];
  const { corner } = c;
  if (corner !== 'unknown')
    out.push({
      label: `Heard at ${corner}`,
      points: `${corner}`,
      weight: (s) =>
        (({ here: 3, across: 1.2 }) as Record<string, number>)[
          relation(s, corner).split(':')[1] ?? ''
        ] ?? 0.8,
    });
  if (c.sound)
    out.push({
      label: c.sound[0]!.toUpperCase() + c.sound.slice(1),
      points: strongest(soundWeights[c.sound]),
      // Somebody heard something: nothing wrong is that much less likely.
      weight: byKind({ nothing: 0.6, ...soundWeights[c.sound] }),
    });
  if (c.bend === 'same')
    out.push({
      label: 'Same in both bends',
      test: 'bend',
      points: 'tyre',
      weight: byKind({ bearing: 0.7, tyre: 1.3 }),
    });
  else if (c.bend) {
    const loaded = c.bend === 'left' ? 'right' : 'left';
    out.push({
      label: `Louder bending ${c.bend}`,
      test: 'bend',
      points: `${loaded} side`,
      weight: (s) => {
        if (s.kind !== 'bearing' || !s.corner) return 0.8;
        return sideOf(s.corner) === loaded ? 2 : 0.6;
      },
    });
  }
  if (c.heat === 'warm')
    out.push({
      label: 'Only after a drive',
      points: 'brake, bearing',
      weight: byKind({ brake: 2.4, bearing: 1.4, tyre: 0.6 }),
    });
  if (c.lamps.includes('abs'))
    out.push({
      label: 'ABS lamp',
      points: 'sensor, bearing',
      weight: byKind({ sensor: 8, bearing: 1.6, nothing: 0.3 }),
    });
  if (c.lamps.includes('brake'))
    out.push({ label: 'Brake lamp', points: 'brake', weight: byKind({ brake: 3, nothing: 0.5 }) });
  if (c.lamps.includes('none'))
    out.push({ label: 'No lamps', points: 'not the sensor', weight: byKind({ sensor: 0.3 }) });
  if (c.goneKmh !== undefined && c.goneKmh <= 130)
    out.push({
      label: `Gone above ${Math.round(c.goneKmh)} km/h`,
      points: 'less a tyre',
      weight: byKind({ tyre: 0.7 }),
    });
  for (const h of c.history) out.push(happeningClue(h, corner));
  return out;
}

function happeningClue(h: Happening, corner: Complaint['corner']): Clue {
  const label = happeningNames[h][0]!.toUpperCase() + happeningNames[h].slice(1);
  switch (h) {
    case 'tyres':
      return { label, points: 'tyre', weight: byKind({ tyre: 1.8 }) };
    case 'kerb':
      return { label, points: 'bearing', weight: byKind({ bearing: 1.6 }) };
    case 'water':
      return { label, points: 'bearing', weight: byKind({ bearing: 1.6, brake: 1.2 }) };
    case 'towing':
      return {
        label,
        points: 'rear bearing',
        weight: (s) => (s.kind === 'bearing' && s.axle === 'rear' ? 1.6 : 1),
      };
    case 'salt':
      return { label, points: 'brake, bearing', weight: byKind({ brake: 1.4, bearing: 1.2 }) };
    case 'bearing-before':
      return {
        label,
        points: 'that bearing again',
        weight: (s) => (s.kind === 'bearing' && s.corner === corner ? 1.7 : 1),
      };
  }
}

const strongest = (w: Partial<Record<Suspect['kind'], number>>) =>
  Object.entries(w)
    .filter(([, x]) => x > 1)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 2)
    .map(([k]) => (k === 'cv' ? 'CV joint' : k))
    .join(', ');

/** "Roar above 60 km/h": the complaint in a few words. */
export function complaintInShort(c: Complaint | undefined): string {
  if (!c) return 'New job';
  const what = c.sound ? c.sound[0]!.toUpperCase() + c.sound.slice(1) : 'Complaint';
  if (c.startsKmh !== undefined && c.startsKmh > 0)
    return `${what} above ${Math.round(c.startsKmh)} km/h`;
  return c.lamps.includes('abs') ? `${what}, ABS lamp` : what;
}
