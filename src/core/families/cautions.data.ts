/** The usual cautions, said where the danger is. Common practice, no published source. */
const all = {
  'bar-slips': { text: 'A bar that slips breaks fingers.', why: 'Pull, do not push; firm stance.' },
  stands: {
    text: 'Stands under before any pull or blow. A jack is not a stand.',
    why: 'The car moves when the joint lets go.',
  },
  hose: {
    text: 'Hang the calliper: no load on the hose.',
    why: 'The damage is inside, where nobody sees it.',
  },
  sensor: {
    text: 'No blow on the sensor, no magnet near the encoder.',
    why: 'Either loses the signal for good.',
  },
  thread: {
    text: 'Never mushroom the shaft thread.',
    why: 'The nut will not start, and the shaft is scrap.',
  },
  press: {
    text: 'Glasses on, guard shut, stand aside of the ram. A bang at break-away is normal.',
    why: 'A press stores energy: nothing loose, nothing tilted, hands clear.',
  },
  hammer: {
    text: 'Glasses on, nobody in line. A hardened ring splinters when it is struck.',
    why: 'A soft drift or the old ring takes the blows; small ones, all round.',
  },
  backing: {
    text: 'Wire the brake backing up: no load on line or hose.',
    why: 'The damage is inside, where nobody sees it.',
  },
  lifting: {
    text: 'Air suspension in jack mode. Orange cables are left to those trained for them.',
    why: 'A corner that levels itself comes off the stand.',
  },
  spring: {
    text: 'The strut stays whole: its spring is not part of this job.',
    why: 'A spring let go without its tool kills.',
  },
  heat: {
    text: 'Warm gently, never by flame: seals, hidden grease, burns.',
    why: 'Cleaner is flammable, and some castings burn.',
  },
  cold: {
    text: 'Gloves for what comes out of the freezer.',
    why: 'Frost on the ring is water in the seat: dry it.',
  },
  cutting: {
    text: 'Face shield. Never into the shaft or the seal track: tape or a sleeve over it.',
    why: 'Chips fly, and a nick under a seal lip is a new shaft.',
  },
  fluid: {
    text: 'Brake fluid strips paint and eyes: cap the line, gloves.',
    why: 'Wash it off with water at once.',
  },
  oil: {
    text: 'Hot axle oil runs out behind the shaft: a tray under it.',
    why: 'On the brake it means new linings.',
  },
  'shaft-weight': {
    text: 'The shaft drags on the seal: carry its weight in and out.',
    why: 'The splines cut the lip on the way.',
  },
};
export type CautionId = keyof typeof all;
export const cautions: Readonly<Record<CautionId, { text: string; why: string }>> = all;
