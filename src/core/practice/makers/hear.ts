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

/** How far it stands over the road, dB: the harder, the less. */
const overRoad = [18, 12, 8, 4, 0] as const;
const others = 3;

/** What is heard? A stand-in noise in that of a road; the answer plays it alone. */
export const hear: Maker = (r, level) => {
  const sound = pickOne(sounds, r);
  const overRoadDb = overRoad[level - 1] ?? 8;
  const wrong = shuffled(
    sounds.filter((s) => s !== sound),
    r,
  ).slice(0, others);
  const complaint = { corner: 'unknown' as const, sound, lamps: [], history: [] };
  const points = clues(complaint).find((c) => c.points !== '')?.points;
  const alone = (s: Sound) => [soundWords[s], { of: 'sound', sound: s }] as const;
  return choice({
    ask: 'Play it as often as you like. What do you hear?',
    picture: { of: 'sound', sound, overRoadDb },
    options: shuffled([sound, ...wrong], r).map((id) => ({ id, text: soundWords[id] })),
    answer: sound,
    after: (chosen, right) => besideRight(alone(sound), right ? undefined : alone(chosen.id)),
    because: `It is ${soundWords[sound]}${points ? `: it speaks for ${points}` : ''}.`,
    source: practice,
    otherwise: 'A noise that is named wrongly sends the first tests to the wrong corner.',
    hard: { value: overRoadDb, unit: 'dB over the road' },
  });
};
