import { type FamilyCode, familyCodes } from './families.data.ts';

export interface Answer {
  id: string;
  text: string;
  /** A family whose drawing shows this answer, and the bodies to light up in it. */
  picture: { code: FamilyCode; lit: readonly string[] };
}

export interface Question {
  id: string;
  text: string;
  answers: readonly Answer[];
  /** Chance of each answer under each family, in their order; sums to one. */
  chances: Readonly<Record<FamilyCode, readonly number[]>>;
}

const a = (id: string, text: string, code: FamilyCode, ...lit: string[]): Answer => ({
  id,
  text,
  picture: { code, lit },
});
/** Rows in the order of the family codes: P1 P2 P3 P3L B2 T2 A1 A2 A3 N1. */
const rows = (...list: readonly (readonly number[])[]) =>
  Object.fromEntries(familyCodes.map((c, i) => [c, list[i]!])) as unknown as Question['chances'];

/** What is seen, likeliest to tell first only by computation. Chances are engineering judgement, no published source. */
export const questions: readonly Question[] = [
  {
    id: 'axle',
    text: 'What carries the wheel?',
    answers: [
      a('knuckle', 'A knuckle or carrier', 'P1', 'knuckle'),
      a('spindle', 'A fixed spindle or stub axle', 'T2', 'spindle'),
      a('housing', 'A solid axle housing', 'A2', 'housing'),
    ],
    chances: rows(
      [0.96, 0.03, 0.01],
      [0.96, 0.03, 0.01],
      [0.86, 0.06, 0.08],
      [0.9, 0.04, 0.06],
      [0.4, 0.57, 0.03],
      [0.05, 0.93, 0.02],
      [0.01, 0.01, 0.98],
      [0.01, 0.01, 0.98],
      [0.01, 0.05, 0.94],
      [0.3, 0.68, 0.02],
    ),
  },
  {
    id: 'holds',
    text: 'What holds the bearing or the hub?',
    answers: [
      a('snap-ring', 'A snap ring or a plate in the bore', 'P1', 'clip'),
      a('clip', 'A spring clip on the outer ring, nothing to see', 'P2', 'clip'),
      a('bolts', 'Three or four bolts from behind', 'P3', 'bolt'),
      a('nut', 'A nut at the centre alone', 'T2', 'nut'),
      a('plate', 'A retainer plate on the flange', 'A2', 'plate'),
      a('shell', 'Nothing: a shell pressed into its bore', 'A1', 'outer'),
    ],
    chances: rows(
      [0.9, 0.04, 0.01, 0.03, 0.01, 0.01],
      [0.06, 0.85, 0.02, 0.05, 0.01, 0.01],
      [0.01, 0.01, 0.95, 0.01, 0.01, 0.01],
      [0.01, 0.01, 0.94, 0.02, 0.01, 0.01],
      [0.12, 0.01, 0.01, 0.72, 0.01, 0.13],
      [0.01, 0.01, 0.01, 0.95, 0.01, 0.01],
      [0.02, 0.01, 0.01, 0.01, 0.05, 0.9],
      [0.02, 0.01, 0.02, 0.01, 0.92, 0.02],
      [0.01, 0.01, 0.02, 0.94, 0.01, 0.01],
      [0.04, 0.01, 0.01, 0.03, 0.01, 0.9],
    ),
  },
  {
    id: 'one-piece',
    text: 'Are hub and bearing one piece?',
    answers: [
      a('one', 'One piece with the wheel flange', 'P3', 'hub', 'outer'),
      a('separate', 'Bearing and hub are separate', 'P1', 'outer', 'inner'),
    ],
    chances: rows(
      [0.03, 0.97],
      [0.96, 0.04],
      [0.97, 0.03],
      [0.97, 0.03],
      [0.03, 0.97],
      [0.03, 0.97],
      [0.02, 0.98],
      [0.03, 0.97],
      [0.03, 0.97],
      [0.02, 0.98],
    ),
  },
  {
    id: 'centre',
    text: 'What is at the centre of the wheel?',
    answers: [
      a('axle-nut', 'A large nut on a driven shaft', 'P1', 'nut'),
      a('cap', 'A cap, a castle or lock nut under it', 'T2', 'nut'),
      a('shaft-flange', 'A shaft flange bolted to the hub', 'A3', 'flange-bolt'),
      a('locking-hub', 'A locking hub', 'P3L', 'locking'),
      a('plain', 'Nothing: the flange is the shaft', 'A2', 'shaft'),
    ],
    chances: rows(
      [0.86, 0.08, 0.01, 0.01, 0.04],
      [0.86, 0.08, 0.01, 0.01, 0.04],
      [0.6, 0.24, 0.02, 0.02, 0.12],
      [0.04, 0.03, 0.02, 0.9, 0.01],
      [0.45, 0.5, 0.02, 0.01, 0.02],
      [0.02, 0.93, 0.02, 0.02, 0.01],
      [0.01, 0.01, 0.02, 0.01, 0.95],
      [0.01, 0.01, 0.02, 0.01, 0.95],
      [0.01, 0.04, 0.92, 0.02, 0.01],
      [0.25, 0.3, 0.05, 0.3, 0.1],
    ),
  },
  {
    id: 'stays',
    text: 'With the shaft or hub off, where is the bearing?',
    answers: [
      a('stays', 'It stays in the housing or knuckle', 'A1', 'outer', 'ball'),
      a('comes', 'It comes with the shaft', 'A2', 'outer', 'inner'),
      a('in-hub', 'Its cups or rings are in the hub', 'T2', 'outer'),
      a('whole', 'The whole unit comes off', 'P3', 'hub'),
    ],
    chances: rows(
      [0.93, 0.03, 0.02, 0.02],
      [0.55, 0.02, 0.01, 0.42],
      [0.02, 0.02, 0.01, 0.95],
      [0.02, 0.02, 0.01, 0.95],
      [0.06, 0.02, 0.9, 0.02],
      [0.01, 0.02, 0.95, 0.02],
      [0.95, 0.03, 0.01, 0.01],
      [0.02, 0.95, 0.01, 0.02],
      [0.01, 0.02, 0.95, 0.02],
      [0.95, 0.03, 0.01, 0.01],
    ),
  },
  {
    id: 'rolls',
    text: 'What rolls in it, if it can be seen?',
    answers: [
      a('sealed', 'Sealed: nothing to see', 'P1', 'seal'),
      a('balls', 'Balls in an open or shielded ring', 'B2', 'ball'),
      a('tapers', 'Taper rollers in grease', 'T2', 'ball'),
      a('rollers', 'Straight rollers on the shaft itself', 'A1', 'ball'),
      a('needles', 'Thin needles in a plastic cage', 'N1', 'ball'),
    ],
    chances: rows(
      [0.9, 0.06, 0.02, 0.01, 0.01],
      [0.95, 0.02, 0.01, 0.01, 0.01],
      [0.95, 0.02, 0.01, 0.01, 0.01],
      [0.93, 0.02, 0.01, 0.01, 0.03],
      [0.12, 0.84, 0.02, 0.01, 0.01],
      [0.02, 0.02, 0.94, 0.01, 0.01],
      [0.03, 0.03, 0.02, 0.88, 0.04],
      [0.45, 0.3, 0.22, 0.02, 0.01],
      [0.02, 0.01, 0.95, 0.01, 0.01],
      [0.02, 0.01, 0.01, 0.05, 0.91],
    ),
  },
];

/** How common each family is before a question (judgement). */
const common: Record<FamilyCode, number> = {
  P1: 0.26,
  P2: 0.08,
  P3: 0.26,
  P3L: 0.03,
  B2: 0.06,
  T2: 0.1,
  A1: 0.07,
  A2: 0.08,
  A3: 0.04,
  N1: 0.02,
};

/** Answers so far; `unsure` says nothing. */
export type Answers = Readonly<Record<string, string>>;

/** Probability of each family, likeliest first. Answers are taken as independent given the family. Unknown ids say nothing. */
export function familiesBy(answers: Answers): { code: FamilyCode; probability: number }[] {
  const weights = familyCodes.map((code) =>
    questions.reduce((w, q) => {
      const i = q.answers.findIndex((x) => x.id === answers[q.id]);
      return i < 0 ? w : w * q.chances[code][i]!;
    }, common[code]),
  );
  const sum = weights.reduce((x, y) => x + y, 0);
  return familyCodes
    .map((code, i) => ({ code, probability: weights[i]! / sum }))
    .sort((x, y) => y.probability - x.probability);
}

const entropy = (p: readonly number[]) => p.reduce((s, x) => (x > 0 ? s - x * Math.log2(x) : s), 0);

/** Expected information of a question, bits. */
export function bitsOf(q: Question, answers: Answers): number {
  const now = familiesBy(answers);
  const left = q.answers.reduce((sum, x, i) => {
    const chance = now.reduce((s, f) => s + f.probability * q.chances[f.code][i]!, 0);
    return (
      sum + chance * entropy(familiesBy({ ...answers, [q.id]: x.id }).map((f) => f.probability))
    );
  }, 0);
  return entropy(now.map((f) => f.probability)) - left;
}

/** Enough to name a family, and the most questions asked (judgement). */
export const sureEnough = 0.95;
export const mostQuestions = 5;

/** The question that tells most; undefined when sure, when five were asked, or when none is left. */
export function nextQuestion(answers: Answers): Question | undefined {
  if (
    familiesBy(answers)[0]!.probability >= sureEnough ||
    Object.keys(answers).length >= mostQuestions
  )
    return undefined;
  const left = questions.filter((q) => !(q.id in answers));
  return left.map((q) => ({ q, bits: bitsOf(q, answers) })).sort((x, y) => y.bits - x.bits)[0]?.q;
}

/** Why a set of answers is not one; undefined when it is. */
export function answersFault(answers: Answers): string | undefined {
  for (const [id, answer] of Object.entries(answers)) {
    const q = questions.find((x) => x.id === id);
    if (!q) return `No question is called “${id}”.`;
    if (answer !== 'unsure' && !q.answers.some((x) => x.id === answer))
      return `“${answer}” is not an answer to “${q.text}”`;
  }
  return undefined;
}
