import { type Operation, operationNames } from '../press/operations.ts';
import { a1Steps } from './a1.data.ts';
import { a2Steps } from './a2.data.ts';
import { a3Steps } from './a3.data.ts';
import { b2Steps } from './b2.data.ts';
import type { FactId } from './facts.data.ts';
import type { FamilyCode } from './families.data.ts';
import { type SchoolId, schools } from './schools.data.ts';
import { n1Steps } from './n1.data.ts';
import { p1Steps } from './p1.data.ts';
import { p2Steps } from './p2.data.ts';
import { p3Steps } from './p3.data.ts';
import { p3lSteps } from './p3l.data.ts';
import type { Step } from './steps.ts';
import { t2Steps } from './t2.data.ts';

/** The way on a question of school by which a task is done. */
export interface Way {
  school: SchoolId;
  option: string;
}

/** One tab of the press stations, in the order of the metal. `way`: done only where the job goes this way. */
export type Task = { id: string; name: string; way?: Way } & (
  | { kind: 'strip' | 'old' | 'seats' | 'verdict' | 'encoder' }
  | {
      kind: 'stroke';
      operation: Operation;
      /** Done only where the need arises. */ spare?: boolean;
    }
  | {
      kind: 'facts';
      title: string;
      facts: readonly FactId[];
      /** With what is seen here the new part is in its place, though nothing was pressed. */
      home?: true;
    }
);

/** How a family is walked: strip and rebuild, and what is pressed between. */
export interface Walk {
  steps: readonly Step[];
  out: readonly Task[];
  in: readonly Task[];
}

const strip: Task = { id: 'strip', name: 'Strip', kind: 'strip' };
const old: Task = { id: 'old', name: 'Old part', kind: 'old' };
const seats: Task = { id: 'seats', name: 'Seats', kind: 'seats' };
const verdict: Task = { id: 'seats', name: 'Seats', kind: 'verdict' };
const encoder: Task = { id: 'encoder', name: 'Encoder', kind: 'encoder' };
const stroke = (id: string, name: string, operation: Operation): Task => ({
  id,
  name,
  kind: 'stroke',
  operation,
});
const see = (id: string, name: string, title: string, ...facts: FactId[]): Task => ({
  id,
  name,
  kind: 'facts',
  title,
  facts,
});
const home = (t: Task): Task => (t.kind === 'facts' ? { ...t, home: true } : t);
const by = (way: Way, t: Task): Task => ({ ...t, way });
const twoStrokes: Way = { school: 'collar', option: 'two' };
const oneStroke: Way = { school: 'collar', option: 'one' };
const turn = (...more: FactId[]) =>
  see('turn', 'Turn', 'Does it turn as it should?', 'turns-smoothly', ...more);

const onOil: Way = { school: 'feed', option: 'oil' };
/** A hub that its axle's oil feeds from now on: all of it, or it stays on grease. */
const axleOil = see(
  'oil',
  'Axle oil',
  'Before oil feeds it',
  'oil-parts',
  'tube-clean',
  'breather-clear',
  'oil-filmed',
  'hub-oil-measured',
);

/** Two taper rows in a hub: only the cups are pressed; the cones slide on, and the nut sets them. */
const cupsInHub: Omit<Walk, 'steps'> = {
  out: [strip, see('cups', 'Cups', 'Out, side to side from behind', 'cups-driven-out'), old, seats],
  in: [
    verdict,
    stroke('outer', 'Outer cup', 'outer-cup-in'),
    stroke('inner', 'Inner cup', 'inner-cup-in'),
    see('home', 'Home', 'Are both cups home?', 'cups-home'),
    see(
      'cones',
      'Cones, seal',
      'What goes in before the hub goes on',
      'spindle-good',
      'cones-packed',
      'hub-seal-in',
    ),
  ],
};

export const walks: Readonly<Record<FamilyCode, Walk>> = {
  P1: {
    steps: p1Steps,
    out: [
      strip,
      stroke('hub', 'Hub', 'hub-out'),
      see('ring', 'Ring', 'Rings off before the next stroke', 'inner-ring-off', 'snap-ring-out'),
      stroke('bearing', 'Bearing', 'bearing-out'),
      old,
      seats,
    ],
    in: [
      verdict,
      encoder,
      stroke('bearing', 'Bearing', 'bearing-in'),
      see(
        'ring',
        'Snap ring',
        'What goes in before the hub',
        'groove-clear',
        'snap-ring-fitted',
        'shield-on',
      ),
      stroke('hub', 'Hub', 'hub-in'),
      turn('no-gap'),
    ],
  },
  P2: {
    steps: p2Steps,
    out: [
      strip,
      see('shells', 'Shells', 'What pulls, and on what?', 'shells-behind'),
      stroke('cartridge', 'Cartridge', 'cartridge-out'),
      old,
      seats,
    ],
    in: [
      verdict,
      encoder,
      see('true', 'True', 'Clean to metal, and true', 'seat-clean', 'aligned'),
      stroke('cartridge', 'Cartridge', 'cartridge-in'),
      turn('clip-heard'),
    ],
  },
  P3: {
    steps: p3Steps,
    out: [strip, see('unit', 'Unit', 'The rust bond', 'bond-broken'), old],
    in: [
      see('seat', 'Seat', 'What the unit stands on', 'pilot-clean', 'face-flat'),
      home(see('on', 'Unit on', 'On its seat by hand', 'pilot-filmed', 'unit-seated')),
      turn(),
    ],
  },
  P3L: {
    steps: p3lSteps,
    out: [
      strip,
      see('washers', 'Washers', 'As an earlier hand left them', 'washers-laid'),
      see('unit', 'Unit', 'The rust bond', 'bond-broken'),
      old,
    ],
    in: [
      see('seat', 'Seat', 'What the unit stands on', 'pilot-clean', 'face-flat'),
      see('pack', 'Pack', 'Before it goes on', 'needle-good', 'needle-packed', 'o-ring-greased'),
      home(see('on', 'Unit on', 'On its seat by hand', 'unit-seated')),
      turn(),
    ],
  },
  T2: { steps: t2Steps, ...cupsInHub },
  A1: {
    steps: a1Steps,
    out: [strip, see('shell', 'Shell', 'Out of the tube', 'shell-drawn', 'track-good'), old, seats],
    in: [
      verdict,
      see('oil', 'Oil', 'Before the driver', 'shell-oiled', 'lip-oiled'),
      stroke('bearing', 'Bearing', 'shell-in'),
      stroke('seal', 'Seal', 'seal-in'),
      turn('note-changed'),
    ],
  },
  A2: {
    steps: a2Steps,
    out: [
      strip,
      see('ring', 'Ring', 'Before the ram', 'collar-off', 'guard-on'),
      stroke('bearing', 'Bearing', 'shaft-bearing-off'),
      old,
      seats,
    ],
    in: [
      verdict,
      see(
        'plate',
        'Plate, seal',
        'What goes on before the bearing',
        'shaft-good',
        'retainer-on',
        'axle-seal-on',
      ),
      by(twoStrokes, stroke('bearing', 'Bearing', 'shaft-bearing-on')),
      by(twoStrokes, stroke('ring', 'Press ring', 'press-ring-on')),
      by(oneStroke, stroke('both', 'Bearing, ring', 'bearing-and-ring-on')),
      turn('ring-to-bearing'),
    ],
  },
  A3: { steps: a3Steps, out: cupsInHub.out, in: [...cupsInHub.in, by(onOil, axleOil)] },
  B2: {
    steps: b2Steps,
    out: [
      strip,
      see('rings', 'Bearings', 'Out, one side at a time', 'rings-driven-out'),
      old,
      seats,
    ],
    in: [
      verdict,
      see('pack', 'Pack', 'Grease before steel', 'packed'),
      stroke('outer', 'Outer', 'first-ring-in'),
      see('spacer', 'Spacer', 'What goes in between', 'spacer-in'),
      stroke('inner', 'Inner', 'second-ring-in'),
      turn('dust-rings'),
    ],
  },
  N1: {
    steps: n1Steps,
    out: [
      strip,
      see('shell', 'Shell', 'Out of the stub', 'shell-held-back', 'shell-drawn'),
      old,
      seats,
    ],
    in: [
      verdict,
      see('oil', 'Oil', 'Before the clamp', 'lip-oiled', 'shell-oiled', 'track-good'),
      stroke('seal', 'Seal', 'seal-in'),
      stroke('bearing', 'Bearing', 'shell-in'),
      turn(),
    ],
  },
};

/** A walk by the ways that are gone on questions of school. */
export function walkBy(walk: Walk, wayOf: (id: SchoolId) => string | undefined): Walk {
  const gone = ({ way }: Task) => !way || wayOf(way.school) === way.option;
  return { ...walk, out: walk.out.filter(gone), in: walk.in.filter(gone) };
}

/** The strokes of one station, in order. */
export const strokesIn = (tasks: readonly Task[]): Operation[] =>
  tasks.flatMap((t) => (t.kind === 'stroke' ? [t.operation] : []));

/** Strokes that a family has, and that these ways on questions of school leave out. */
export function strokesLeftOut(
  code: FamilyCode,
  wayOf: (id: SchoolId) => string | undefined,
): Operation[] {
  const gone = (w: Walk) => strokesIn([...w.out, ...w.in]);
  const made = gone(walkBy(walks[code], wayOf));
  return gone(walks[code]).filter((o) => !made.includes(o));
}

/** Whether anything is pressed or measured for a press: a unit that is bolted on needs no dimensions of the parts. */
export const isPressed = ({ out, in: into }: Walk): boolean =>
  [...out, ...into].some((t) => t.kind === 'stroke' || t.kind === 'seats');

/** What is asked for only by one way on a question of school. */
export const factsOfWay = (way: Way): FactId[] => [
  ...new Set(
    Object.values(walks)
      .flatMap((w) => [...w.out, ...w.in])
      .filter((t) => t.way?.school === way.school && t.way.option === way.option)
      .flatMap((t) => (t.kind === 'facts' ? t.facts : [])),
  ),
];

/** The strokes of a family in a sentence. */
export function strokesInWords(code: FamilyCode): string {
  const { out, in: into } = walkBy(walks[code], (id) => schools[id].options[0]?.id);
  const list = [...strokesIn(out), ...strokesIn(into)];
  return list.length > 0
    ? list.map((o) => operationNames[o].replace('Press ', '')).join(', ')
    : 'Nothing is pressed.';
}
