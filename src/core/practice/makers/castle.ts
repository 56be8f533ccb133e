import { endPlayMm, castleTurn, castleWay, type CastleWay } from '../../torque/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { landed, type PracticePicture } from '../picture.ts';
import { practice, pickOne, shuffled } from './draw.ts';

/** A made-up joint: its torque at the last slot, what a degree adds to it, and the pitch of a nut that sets end play. */
const joint = { heldNm: 150, nmPerDeg: 1.5, pitchMm: 1.5 };

/** What the nut holds once it is turned: torque where it clamps, end play where it sets that. */
function heldAfter(
  holds: 'clamp' | 'end-play',
  { way, deg }: CastleWay,
  stepDeg: number,
): PracticePicture {
  const turned = way === 'tighten' ? deg : -deg;
  if (holds === 'clamp')
    return landed({
      title: 'Torque that it holds; asked at least',
      unit: 'N·m',
      low: joint.heldNm,
      high: joint.heldNm + joint.nmPerDeg * stepDeg,
      at: joint.heldNm + joint.nmPerDeg * turned,
    });
  return landed({
    title: 'End play that is left; below nothing it is preload',
    unit: 'mm',
    low: 0,
    high: endPlayMm(joint.pitchMm, stepDeg),
    at: endPlayMm(joint.pitchMm, -turned),
  });
}

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
  const id = ({ way, deg }: CastleWay) => `${way} ${deg.toFixed(0)}`;
  const ways: CastleWay[] = [
    { way: 'tighten', deg: turn.onDeg },
    { way: 'loosen', deg: turn.backDeg },
    { way: 'tighten', deg: turn.onDeg + step },
    { way: 'loosen', deg: turn.backDeg + step },
  ];
  const nut = { of: 'castle', slots, holeEnds, pastDeg } as const;
  return choice({
    ask:
      holds === 'clamp'
        ? 'This nut clamps. The pin does not go through: what now?'
        : 'This nut sets end play. The pin does not go through: what now?',
    picture: nut,
    options: shuffled(ways, r).map((w) => ({
      id: id(w),
      text: `${w.way} by ${w.deg.toFixed(0)}°`,
    })),
    answer: id(right),
    after: (chosen) => {
      const turned = ways.find((w) => id(w) === chosen.id) ?? right;
      return {
        of: 'beside',
        list: [
          { title: chosen.text, picture: { ...nut, turned } },
          { title: 'Then', picture: heldAfter(holds, turned, step) },
        ],
      };
    },
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
  });
};
