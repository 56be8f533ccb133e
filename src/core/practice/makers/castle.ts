import { castleTurn, castleWay } from '../../torque/index.ts';
import { type Maker, type PracticeOption } from '../exercise.ts';
import { practice, pickOne, shuffled } from './draw.ts';

/** Which way does the castle nut go, and how far: the harder, the nearer the two ways. */
export const castle: Maker = (r, level) => {
  const slots = pickOne([6, 8, 10], r);
  const holeEnds = pickOne([2, 4], r);
  const holds = pickOne(['clamp', 'end-play'] as const, r);
  const step = castleTurn(slots, holeEnds, 0).stepDeg;
  const aside = (0.5 - level / 12) * step;
  const pastDeg = Math.round(step / 2 + (r() < 0.5 ? -1 : 1) * aside);
  const turn = castleTurn(slots, holeEnds, pastDeg);
  const right = castleWay(turn, holds);
  const words = (way: 'tighten' | 'loosen', deg: number): PracticeOption => ({
    id: `${way} ${deg.toFixed(0)}`,
    text: `${way} by ${deg.toFixed(0)}°`,
  });
  const options = [
    words('tighten', turn.onDeg),
    words('loosen', turn.backDeg),
    words('tighten', turn.onDeg + step),
    words('loosen', turn.backDeg + step),
  ];
  return {
    ask:
      holds === 'clamp'
        ? 'This nut clamps. The pin does not go through: what now?'
        : 'This nut sets end play. The pin does not go through: what now?',
    picture: { of: 'castle', slots, holeEnds, pastDeg },
    options: shuffled(options, r),
    answer: words(right.way, right.deg).id,
    because:
      holds === 'clamp'
        ? 'A nut that clamps goes on to the next slot, never back: loosened it has lost its torque.'
        : 'A nut that sets end play goes back to the last slot, never on: tightened it is a preload.',
    source: practice,
    otherwise:
      holds === 'clamp'
        ? 'Loosened to the slot, the rings are no longer clamped: the bearing creeps and comes apart.'
        : 'Tightened to the slot, the rollers are preloaded: it runs hot and seizes.',
    hard: {
      value: Math.round(Math.abs(turn.onDeg - turn.backDeg)),
      unit: '° between the two ways',
    },
  };
};
