import { type Aim, madeUpNut, type NutHidden } from '../core/standins/wrench.ts';
import type { PullSample } from '../core/torque/index.ts';

/** Port of a wrench that reads torque and angle: it keeps what it has seen of the nut that it is on. */
export interface DigitalWrench {
  name: string;
  /** Simulated: what it reads is no evidence. */
  standIn: boolean;
  /** Everything it has read of this nut, pull after pull. */
  seen: readonly PullSample[];
  /** It fell silent under load: what the hand did after that nobody saw. */
  lost: boolean;
  /** Reads while somebody pulls, until it is put down. */
  read: (aim: Aim, fallsSilent?: boolean) => AsyncGenerator<PullSample>;
}

/** Share of the hand's aim at which a wrench that is to fail falls silent. */
const silentAt = 0.85;

/** A made-up hand on a made-up nut, in its own time; the nut stays where it was left. */
export function standInWrench(hidden: NutHidden, speed = 1): DigitalWrench {
  const nut = madeUpNut(hidden);
  const seen: PullSample[] = [];
  const wrench: DigitalWrench = { name: 'stand-in wrench', standIn: true, seen, lost: false, read };
  async function* read(aim: Aim, fallsSilent = false): AsyncGenerator<PullSample> {
    const start = Date.now();
    const from = seen.at(-1)?.ms ?? 0;
    const share = () =>
      aim.targetNm === undefined
        ? nut.turnedDeg() / aim.targetDeg
        : (seen.at(-1)?.torqueNm ?? 0) / aim.targetNm;
    let ended = false;
    try {
      for (const s of nut.pull(aim)) {
        const due = start + (s.ms - from) / speed;
        if (due > Date.now()) await new Promise((done) => setTimeout(done, due - Date.now()));
        seen.push(s);
        yield s;
        if (fallsSilent && share() > silentAt) {
          wrench.lost = true;
          return;
        }
      }
      ended = true;
    } finally {
      // Put down in mid-pull: the hand comes off, and the nut stays where it is.
      if (!ended) for (const s of nut.letGo()) if (!wrench.lost) seen.push(s);
    }
  }
  return wrench;
}
