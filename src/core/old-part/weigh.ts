import type { Exposure } from '../diagnosis/history.ts';
import type { Happening } from '../diagnosis/complaint.ts';
import { fixed } from '../units/index.ts';
import { type CauseId, causeIds, causes } from './causes.data.ts';
import { atBallPitch, inLoadZone, standingRing } from './geometry.ts';
import type { FamilyCode } from '../families/index.ts';
import type { Mark } from './mark.ts';

/** What is known of the bearing and of its life besides its marks. */
export interface Known {
  family?: FamilyCode | undefined;
  balls?: number | undefined;
  /** Km since it was fitted, and whether a workshop fitted it. */
  ranKm?: number | undefined;
  fittedAgain?: boolean | undefined;
  /** The seat as it was measured or felt on this job. */
  seatBad?: boolean | undefined;
  exposure?: readonly Exposure[] | undefined;
  /** What the driver told of what happened before. */
  happened?: readonly Happening[] | undefined;
}

/** One reason for or against a cause, in logarithms of the odds. Our judgement. */
interface Reason {
  cause: CauseId;
  weight: number;
  text: string;
}

export interface WeighedCause {
  cause: CauseId;
  name: string;
  probability: number;
  /** For it and against it, the weightiest first. */
  reasons: string[];
  advice: readonly string[];
}

/** A mark as geometry sees it. */
interface Seen extends Mark {
  /** On the ring that stands still: inside its loaded arc, outside it, or all round. */
  zone?: 'in' | 'out' | 'round' | undefined;
  /** As far apart as the balls; undefined where nobody counted. */
  atPitch?: boolean | undefined;
}

function seenAs(m: Mark, known: Known): Seen {
  const atPitch =
    m.gapDeg !== undefined && known.balls !== undefined
      ? atBallPitch(m.gapDeg, known.balls)
      : undefined;
  return { ...m, atPitch, zone: zoneOf(m, known.family) };
}

function zoneOf(m: Mark, family: FamilyCode | undefined): Seen['zone'] {
  // Without a family nobody knows which of the rings stands.
  if (family === undefined) return undefined;
  const standing = standingRing(family);
  if (m.on !== standing) return undefined;
  if (m.round) return 'round';
  if (m.atDeg === undefined) return undefined;
  return inLoadZone(m.atDeg, standing) ? 'in' : 'out';
}

type Rule = (m: Seen) => readonly Reason[];
const because = (cause: CauseId, weight: number, text: string): Reason => ({ cause, weight, text });

/** Where dents stand, as far as somebody said it: a ring that turns has no load zone. */
function dentsAt(m: Seen): Reason[] {
  if (m.zone === 'in')
    return [
      because('kerb', 1.6, 'Dents in the load zone only: a blow from the road.'),
      because('through-balls', -2, 'A press would mark the whole ring, not the load zone only.'),
    ];
  if (m.zone === 'out')
    return [because('kerb', -1, 'Dents outside the load zone: the road does not strike there.')];
  if (!m.round) return [];
  return [
    because('through-balls', 1.5, 'Dents all round: every ball was loaded at once.'),
    because('kerb', -1, 'A blow from the road marks a part of the ring, not all of it.'),
  ];
}

/** What each look says for and against the causes, with where it stands. */
const byLook: Record<Mark['look'], Rule> = {
  dents: (m) => {
    if (m.atPitch === false)
      return [because('dirt', 0.6, 'Dents that do not stand at the pitch of the balls.')];
    return [
      ...(m.atPitch
        ? [
            because('through-balls', 1.5, 'Dents at the pitch of the balls: the balls made them.'),
            because('kerb', 1, 'Dents at the pitch of the balls: the balls made them.'),
          ]
        : [
            because('through-balls', 0.8, 'A dent with a rim: something pressed a ball into it.'),
            because('kerb', 0.8, 'A dent with a rim: something pressed a ball into it.'),
          ]),
      ...dentsAt(m),
    ];
  },
  shaken: (m) => {
    if (m.atPitch === false)
      return [because('current', 0.6, 'Hollows that do not stand at the pitch of the balls.')];
    return [
      m.atPitch
        ? because('parked', 3, 'Hollows at ball pitch, lines worn away: shaken while it stood.')
        : because('parked', 2.4, 'Hollows with the lines worn away: shaken while it stood.'),
      because('through-balls', -1, 'The floors are worn, not pressed.'),
    ];
  },
  'spall-below': (m) => {
    if (m.zone === 'out')
      return [because('seat', 2.4, 'A flake outside the load zone: the ring was pinched there.')];
    if (m.zone === 'round')
      return [because('tight', 1.8, 'Flaked all round a ring that stands: loaded all round.')];
    return [
      m.zone === 'in'
        ? because('age', 1.8, 'A flake from below in the load zone: the end of a long life.')
        : because('age', 1.2, 'A flake from below: the metal was tired.'),
      because('kerb', 0.5, 'A flake may begin at a dent.'),
      because('through-balls', 0.4, 'A flake may begin at a dent.'),
    ];
  },
  'spall-surface': (m) => [
    because('dry', 1.4, 'Flaking from the surface: the film was too thin.'),
    because('dirt', 0.8, 'Particles break the film.'),
    ...(m.zone === 'round' ? [because('tight', 0.8, 'All round a ring that stands.')] : []),
  ],
  'wear-even': () => [
    because('dirt', 1.6, 'Even wear: something fine was in the grease.'),
    because('water', 0.5, 'Washed-out grease wears evenly.'),
  ],
  'wear-torn': () => [
    because('dry', 1.8, 'Torn streaks: metal on metal.'),
    because('tight', 0.7, 'Too much load tears the film.'),
  ],
  rust: (m) => [
    because(
      'water',
      m.on === 'seal' ? 2 : 2.6,
      m.on === 'seal' ? 'Rust under the seal.' : 'Etched spots: water stood in it.',
    ),
  ],
  fretting: () => [because('loose', 2.6, 'Red-brown powder on the fit: the ring crept.')],
  current: (m) =>
    m.atPitch
      ? [because('parked', 0.8, 'Ripples at the pitch of the balls are no current.')]
      : [because('current', 3.6, 'Washboard or pin-pricks: current passed through it.')],
  particles: () => [because('dirt', 2.4, 'Small dents at no pitch: particles rolled over.')],
  'broken-forced': () => [
    because('kerb', 1.6, 'A coarse break: one blow.'),
    because('through-balls', 0.6, 'A press breaks it so too.'),
  ],
  'broken-fatigue': () => [
    because('loose', 1.2, 'Beach lines: it bent at every turn.'),
    because('age', 0.5, 'Beach lines: many turns.'),
  ],
  heat: () => [
    because('tight', 2, 'Coloured metal: it ran hot.'),
    because('dry', 1.4, 'Coloured metal: dry metal runs hot.'),
  ],
};

/** What the job knows besides. */
function byLife(known: Known): Reason[] {
  const { ranKm, exposure = [], happened = [] } = known;
  const km = ranKm === undefined ? '' : `${fixed(ranKm)} km`;
  const early = ranKm !== undefined && ranKm < 10_000 && known.fittedAgain === true;
  return [
    ...(early
      ? [
          because('through-balls', 1.2, `Fitted only ${km} ago: a fault of fitting comes first.`),
          because('age', -2.5, `It ran ${km}: not of age.`),
          because('dirt', 0.5, `Fitted only ${km} ago.`),
        ]
      : []),
    ...(ranKm !== undefined && ranKm > 120_000 ? [because('age', 1.2, `It ran ${km}.`)] : []),
    ...(known.seatBad
      ? [because('seat', 1.6, 'The seat was read out of its limits on this job.')]
      : []),
    ...(known.seatBad === false
      ? [because('seat', -1.5, 'The seat was read good on this job.')]
      : []),
    ...(exposure.includes('deep-water') || happened.includes('water')
      ? [because('water', 0.9, 'It went through deep water.')]
      : []),
    ...(exposure.includes('salt') || happened.includes('salt')
      ? [because('water', 0.5, 'It runs on salted roads.')]
      : []),
    ...(happened.includes('kerb') ? [because('kerb', 1.2, 'The driver told of a kerb.')] : []),
    ...(exposure.includes('rough-roads') ? [because('kerb', 0.4, 'It runs on rough roads.')] : []),
    ...(exposure.includes('towing') || happened.includes('towing')
      ? [because('tight', 0.3, 'It tows heavy loads: it runs hotter.')]
      : []),
  ];
}

/** What it says where several marks say the same: the second half, the third a third. */
const again = (n: number) => 1 / n;

/**
 * Causes of a dead bearing by its marks, their places and what is known of its life, the likeliest first. Chances are
 * odds that grow with each reason: our judgement.
 */
export function weighCauses(marks: readonly Mark[], known: Known): WeighedCause[] {
  const seen = marks.map((m) => seenAs(m, known));
  const found = seen.flatMap((m) =>
    byLook[m.look](m).map((r) => ({ ...r, weight: (r.weight * (1 + m.severity)) / 3 })),
  );
  const counted = new Map<string, number>();
  const odds = new Map(causeIds.map((id) => [id, Math.log(causes[id].prior)]));
  const reasons = [...found, ...(marks.length > 0 ? byLife(known) : [])];
  for (const r of reasons) {
    const n = (counted.get(r.cause + r.text) ?? 0) + 1;
    counted.set(r.cause + r.text, n);
    odds.set(r.cause, (odds.get(r.cause) ?? 0) + r.weight * again(n));
  }
  const sum = [...odds.values()].reduce((s, x) => s + Math.exp(x), 0);
  return causeIds
    .map((cause) => ({
      cause,
      name: causes[cause].name,
      probability: Math.exp(odds.get(cause) ?? 0) / sum,
      reasons: [
        ...new Set(
          reasons
            .filter((r) => r.cause === cause)
            .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
            .map((r) => r.text),
        ),
      ],
      advice: causes[cause].advice,
    }))
    .sort((a, b) => b.probability - a.probability);
}

/** What a mark on the standing ring says of where it stands; undefined on the other, or where no angle was read. */
export function placeInWords(m: Mark, family: FamilyCode | undefined): string | undefined {
  const zone = zoneOf(m, family);
  if (zone === 'round') return 'all round the standing ring';
  if (zone === undefined) return m.round ? 'all round' : undefined;
  return zone === 'in' ? 'in the load zone' : 'outside the load zone';
}

const byPitch: readonly Mark['look'][] = ['dents', 'shaken', 'current'];
const byZone: readonly Mark['look'][] = ['dents', 'spall-below', 'spall-surface'];

/** What would tell more of a mark and was not entered, asked in the order in which it tells. */
export function openQuestions(m: Mark, known: Pick<Known, 'family' | 'balls'>): string[] {
  const ring = m.on === 'outer' || m.on === 'inner';
  if (!ring) return [];
  const stands = known.family !== undefined && m.on === standingRing(known.family);
  const where = m.round !== true && m.atDeg === undefined;
  return [
    ...(byPitch.includes(m.look) && m.gapDeg === undefined
      ? ['How far is it from one to the next?']
      : []),
    ...(byPitch.includes(m.look) && m.gapDeg !== undefined && known.balls === undefined
      ? ['How many balls has the row?']
      : []),
    ...(byZone.includes(m.look) && stands && where ? ['Where on the ring, or all round?'] : []),
  ];
}
