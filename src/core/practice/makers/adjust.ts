import { lockPlaces, safePlace } from '../../torque/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { besideRight } from '../picture.ts';
import { practice, pickOne, between } from './draw.ts';

/** Which place of the lock: the harder, the nearer the edge of the window. */
export const adjust: Maker = (r, level) => {
  const window = { lowMm: 0.025, highMm: 0.127 };
  const pitchMm = pickOne([1.5, 2], r);
  const stepDeg = pickOne([12, 15, 20, 30], r);
  const pastDeg = Math.round(between(2, stepDeg - 2, r));
  const margin = 0.03 / level;
  const edge = pickOne([window.lowMm, window.highMm], r);
  const playMm = Number(
    (edge + (r() < 0.5 ? -1 : 1) * margin + (pitchMm * pastDeg) / 360).toFixed(3),
  );
  const places = lockPlaces(playMm, { pitchMm, stepDeg, pastDeg }, window, 2);
  const safe = safePlace(places);
  const text = (turnDeg: number) =>
    `${turnDeg >= 0 ? 'tighten' : 'loosen'} ${Math.abs(turnDeg).toFixed(0)}°`;
  const id = (turnDeg: number) => turnDeg.toFixed(1);
  const picture = { of: 'places', places, window, playMm, figures: level < 3 } as const;
  return choice({
    ask: `${playMm.toFixed(3)} mm of end play are read; ${window.lowMm} to ${window.highMm} mm are asked. Where is it locked?`,
    picture,
    options: [
      ...places.map((p) => ({ id: id(p.turnDeg), text: text(p.turnDeg) })),
      { id: 'none', text: 'in none of them: another washer' },
    ],
    answer: safe ? id(safe.turnDeg) : 'none',
    after: (chosen) => {
      const place = places.find((p) => id(p.turnDeg) === chosen.id);
      if (place) return { ...picture, figures: true, locked: place };
      // Another washer turns the slots: here by half a step, so that its places stand between these.
      const turned = { pitchMm, stepDeg, pastDeg: (pastDeg + stepDeg / 2) % stepDeg };
      const others = lockPlaces(playMm, turned, window, 2);
      return besideRight(
        ['With these', { ...picture, figures: true }],
        ['another washer', { ...picture, places: others, figures: true }],
      );
    },
    because: safe
      ? 'Of the places inside the window the one furthest from both limits.'
      : 'None leaves a play inside the window: another washer or the other face of the nut, never tighter.',
    source: practice,
    otherwise: 'Tighter than asked it runs hot and seizes, looser it hammers the cups.',
    hard: { value: Number(margin.toFixed(3)), unit: 'mm from the edge of the window' },
  });
};
