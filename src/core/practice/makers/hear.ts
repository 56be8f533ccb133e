import { clues, type Sound, sounds } from '../../diagnosis/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { besideRight } from '../picture.ts';
import { pickOne, practice, shuffled } from './draw.ts';

const soundWords: Record<Sound, string> = {
  roar: 'a roar that swells with speed',
  whirr: 'a whirr, high and even',
  chirp: 'a chirp, again and again',
  grind: 'a grind, coming and going with the wheel',
  click: 'a click in quick turns',
  knock: 'a knock, slow and dull',
};

/** What is heard? A stand-in noise; the harder, the more there is to choose from. */
export const hear: Maker = (r, level) => {
  const sound = pickOne(sounds, r);
  const others = shuffled(
    sounds.filter((s) => s !== sound),
    r,
  ).slice(0, level);
  const complaint = { corner: 'unknown' as const, sound, lamps: [], history: [] };
  const points = clues(complaint).find((c) => c.points !== '')?.points;
  return choice({
    ask: 'Play it as often as you like. What do you hear?',
    picture: { of: 'sound', sound },
    options: shuffled([sound, ...others], r).map((id) => ({ id, text: soundWords[id] })),
    answer: sound,
    after: (chosen, right) =>
      besideRight(
        [soundWords[sound], { of: 'sound', sound }],
        right ? undefined : [chosen.text, { of: 'sound', sound: chosen.id as Sound }],
      ),
    because: `It is ${soundWords[sound]}${points ? `: it speaks for ${points}` : ''}.`,
    source: practice,
    otherwise: 'A noise that is named wrongly sends the first tests to the wrong corner.',
    hard: {
      value: others.length,
      unit: others.length === 1 ? 'other to tell it from' : 'others to tell it from',
    },
  });
};
