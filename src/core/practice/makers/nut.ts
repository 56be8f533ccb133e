import { keysOf } from '../../keys-of.ts';
import type { Procedure, Stage } from '../../torque/index.ts';
import { type Maker } from '../exercise.ts';
import { nutEnd, nutSteps, slips } from '../nut-walk.ts';
import type { NutPicture } from '../picture.ts';
import { pickOne, practice, shuffled } from './draw.ts';

/** How far a pull may miss, either way, degrees and as a share of a torque; the harder, the less. */
const missDeg = [10, 8, 6, 5, 4] as const;
const missShare = [0.12, 0.1, 0.08, 0.06, 0.05] as const;
/** The hand, degrees a second. */
const hand = [8, 9, 10, 11, 12] as const;

const tens = (n: number) => 10 * Math.round(n / 10);

/** What the stages of a made-up procedure are made of. */
interface Miss {
  torque: (nm: number) => Pick<Stage, 'value' | 'tolerance'>;
  angle: (deg: number) => Pick<Stage, 'value' | 'tolerance'>;
}

const torque = (id: string, nm: number, miss: Miss, text: string, why: string): Stage => ({
  id,
  kind: 'torque',
  ...miss.torque(nm),
  text,
  why,
  wheel: 'air',
});
const seated = (nm: number, miss: Miss): Stage =>
  torque(
    'seat',
    nm,
    miss,
    `${nm} N·m, the hub turning`,
    'Rollers find their tracks only while they turn: else the play is wrong after the first bend.',
  );
const loosened: Stage = {
  id: 'loosen',
  kind: 'back-off',
  value: 180,
  text: 'loosened by half a turn',
  why: 'What it took to seat is no setting: left in, it overloads the bearing.',
  wheel: 'air',
};
const lock = (text: string): Stage => ({
  id: 'lock',
  kind: 'lock',
  text,
  why: 'Not locked it turns off on the road.',
  wheel: 'air',
});

/** Nuts of three kinds, figures from the seed: pulled and turned, torque alone, set by a second torque. */
const nuts: readonly ((r: () => number, miss: Miss) => Stage[])[] = [
  (r, miss) => {
    const base = tens(40 + 50 * r());
    const deg = 15 * Math.round(2 + 2 * r());
    return [
      seated(tens(90 + 50 * r()), miss),
      loosened,
      torque(
        'base',
        base,
        miss,
        `${base} N·m again, from slack`,
        'The angle counts from here: after an unknown torque it is an unknown clamp.',
      ),
      {
        id: 'angle',
        kind: 'angle',
        ...miss.angle(deg),
        text: `${deg}° more, in one pull`,
        why: 'The angle sets the stretch; without it the nut holds by friction and works loose.',
        wheel: 'air',
      },
      lock('collar staked into the groove'),
    ];
  },
  (r, miss) => {
    const full = tens(130 + 60 * r());
    const half = tens(full / 2);
    return [
      torque(
        'half',
        half,
        miss,
        `${half} N·m first`,
        'The rings come together evenly before they carry the whole clamp.',
      ),
      torque(
        'full',
        full,
        miss,
        `${full} N·m, the brake held`,
        'The nut is what holds the two inner rings together: below its torque they part.',
      ),
      lock('collar bent into the keyway'),
    ];
  },
  (r, miss) => {
    const light = tens(20 + 20 * r());
    return [
      seated(tens(60 + 40 * r()), miss),
      loosened,
      torque(
        'light',
        light,
        miss,
        `${light} N·m, the hub turning`,
        'This one sets the rollers; more would be preload, and it would run hot.',
      ),
      lock('locked in the plate'),
    ];
  },
];

function procedureOf(r: () => number, level: number): Procedure {
  const share = missShare[level - 1] ?? 0.05;
  const miss: Miss = {
    torque: (nm) => ({ value: nm, tolerance: Math.max(2, Math.round(share * nm)) }),
    angle: (deg) => ({ value: deg, tolerance: missDeg[level - 1] ?? 5 }),
  };
  return {
    id: 'practice',
    name: 'A nut to practise on',
    fastener: 'Centre nut',
    stretch: false,
    singleUse: true,
    thread: 'dry',
    hexMm: 32,
    stages: pickOne(nuts, r)(r, miss),
    source: 'made up to practise on',
  };
}

/** A nut walked through its stages with the stand-in wrench; the harder, the less a pull may miss and the more slips stand by. */
export const nut: Maker = (r, level) => {
  const procedure = procedureOf(r, level);
  const near = shuffled(keysOf(slips), r).slice(0, Math.min(4, level));
  const stages = procedure.stages.map(({ id, text }) => ({ id, text }));
  const picture: NutPicture = {
    of: 'nut',
    procedure,
    acts: shuffled([...stages, ...near.map((id) => ({ id, text: slips[id].text }))], r),
    seed: Math.floor(r() * 2 ** 31),
    handDegPerS: hand[level - 1] ?? 8,
  };
  return {
    ask: 'A new nut, run on by hand. Walk it through.',
    picture,
    source: `${practice}; judged as the torque station judges a nut`,
    hard: {
      value: Math.round(100 * (missShare[level - 1] ?? 0.05)),
      unit: '% that a pull may miss',
    },
    worth: (given) => {
      const end = nutEnd(procedure, nutSteps(given) ?? []);
      if (!end) return undefined;
      const { right, because, otherwise, stageId, actual } = end;
      return {
        right,
        because,
        otherwise,
        picture: { ...picture, ended: { stageId, actual } },
      };
    },
  };
};
