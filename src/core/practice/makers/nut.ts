import { type Maker } from '../exercise.ts';
import { practice, shuffled } from './draw.ts';

interface NutStage {
  id: string;
  text: string;
  why: string;
  skipped: string;
}

/** A made-up procedure of a nut that is pulled, let go, pulled again and turned; figures from the seed. */
function stagesOf(r: () => number): NutStage[] {
  const step = (n: number) => 10 * Math.round(n / 10);
  const [seat, base, angle] = [
    step(90 + 60 * r()),
    step(40 + 50 * r()),
    15 * Math.round(2 + 3 * r()),
  ];
  return [
    {
      id: 'seat',
      text: `${seat} N·m in the air, the hub turning`,
      why: 'The rollers find their tracks only while they turn.',
      skipped:
        'Rollers that were not turned stand crooked: the play is wrong after the first bend.',
    },
    {
      id: 'loosen',
      text: 'loosened by half a turn',
      why: 'It seated; what it took to seat is no setting.',
      skipped: 'Added to the seating torque the angle overloads the bearing.',
    },
    {
      id: 'base',
      text: `${base} N·m again, from slack`,
      why: 'The angle counts from here: every joint begins it alike.',
      skipped: 'An angle from an unknown torque is an unknown clamp.',
    },
    {
      id: 'angle',
      text: `${angle}° more, in one pull, by the disc`,
      why: 'The angle sets the stretch; torque would set the friction.',
      skipped: 'Without its angle the nut holds by friction alone and works loose.',
    },
    {
      id: 'lock',
      text: 'locked: collar staked into the groove',
      why: 'A nut of this kind is held by its collar.',
      skipped: 'Not staked it turns off on the road.',
    },
  ];
}

/** Mistakes that stand near each stage. */
const slips: readonly { id: string; text: string }[] = [
  { id: 'gun', text: 'run down by the impact gun' },
  { id: 'ground', text: 'the angle pulled with the wheel on the ground' },
  { id: 'again', text: 'the same torque once more, to be sure' },
  { id: 'back', text: 'loosened to the nearest slot' },
  { id: 'used', text: 'the old nut, with threadlocker' },
];

/** Walks a nut: what comes next, among its own stages and the usual slips; the harder, the more of them. */
export const nut: Maker = (r, level) => {
  const stages = stagesOf(r);
  const at = Math.floor(r() * stages.length);
  const next = stages[at]!;
  const others = [
    ...shuffled(
      stages.filter((s) => s !== next),
      r,
    ).slice(0, Math.max(1, level - 2)),
    ...shuffled(slips, r).slice(0, 2),
  ];
  return {
    ask:
      at === 0 ? 'A new nut, by hand until it seats. What first?' : 'What comes next on this nut?',
    picture: {
      of: 'told',
      title: at === 0 ? 'Nothing pulled yet' : `${at} of ${stages.length} stages done`,
      lines: stages.slice(0, at).map((s) => s.text),
    },
    options: shuffled([next, ...others], r).map(({ id, text }) => ({ id, text })),
    answer: next.id,
    because: next.why,
    source: practice,
    otherwise: next.skipped,
    hard: { value: others.length, unit: 'to choose from besides' },
  };
};
