import type { PracticeBench } from './bench.ts';
import type { PracticePicture } from './picture.ts';

export interface PracticeOption {
  id: string;
  text: string;
}

/** What an answer comes to. */
export interface Worth {
  right: boolean;
  /** The right one of the options; absent where something is done by hand. */
  answer?: string;
  /** Why, by the rule or the geometry behind it. */
  because: string;
  /** What happens on the car by a wrong choice. */
  otherwise: string;
  /** What the choice does, drawn. */
  picture: PracticePicture;
}

/** One made-up situation with what may be done in it. */
export interface Exercise {
  ask: string;
  picture: PracticePicture;
  /** Absent where something is done by hand: laid, stopped, walked. */
  options?: PracticeOption[];
  source: string;
  /** The one number that says how hard it is. */
  hard: { value: number; unit: string };
  /** Undefined for what is none of its answers. */
  worth: (given: string) => Worth | undefined;
}

/** Least and most difficult. */
export const levels = { least: 1, most: 5 } as const;

/** Makes one exercise of a kind: fresh from its seed, as hard as its level. */
export type Maker = (random: () => number, level: number) => Exercise;
/** One of the press: with a bench of the shop's own pieces where there is one, else with a made-up drawer. */
export type BenchMaker = (
  random: () => number,
  level: number,
  bench: PracticeBench | undefined,
) => Exercise;

interface OptionOf<Id extends string> extends PracticeOption {
  id: Id;
}
interface Choice<Id extends string>
  extends Omit<Exercise, 'worth' | 'options'>, Pick<Worth, 'because' | 'otherwise'> {
  options: OptionOf<Id>[];
  answer: Id;
  /** What each of the options does, drawn. */
  after: (chosen: OptionOf<Id>, right: boolean) => PracticePicture;
}

/** An exercise of which one option is right. Throws RangeError where none of its options is. */
export function choice<Id extends string>({
  answer,
  because,
  otherwise,
  after,
  ...set
}: Choice<Id>): Exercise {
  if (!set.options.some((o) => o.id === answer))
    throw new RangeError(`answer: ${answer} is none of the options`);
  return {
    ...set,
    worth: (given) => {
      const chosen = set.options.find((o) => o.id === given);
      if (!chosen) return undefined;
      const right = given === answer;
      return { right, answer, because, otherwise, picture: after(chosen, right) };
    },
  };
}

/** Options that are not right, in their order. */
export const wrongOnes = ({ options = [], worth }: Exercise): string[] =>
  options.map((o) => o.id).filter((id) => worth(id)?.right === false);
