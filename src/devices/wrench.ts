import { madeUpPull, type Tightening } from '../core/standins/wrench.ts';
import type { PullSample } from '../core/torque/index.ts';

/** Port of a wrench that reads torque and angle: it speaks while somebody pulls, until it is put down. */
export interface DigitalWrench {
  name: string;
  read: () => AsyncGenerator<PullSample>;
}

/** A made-up hand on a made-up nut, in its own time; with `fallsSilent` the wrench is lost in mid-pull. */
export const standInWrench = (
  pull: Tightening,
  fallsSilent: boolean,
  speed = 1,
): DigitalWrench => ({
  name: 'stand-in wrench',
  read: async function* read() {
    const { samples } = madeUpPull(pull);
    const start = Date.now();
    const top = Math.max(...samples.map((s) => s.torqueNm));
    for (const s of samples) {
      if (fallsSilent && s.torqueNm > 0.9 * top) return;
      const due = start + s.ms / speed;
      if (due > Date.now()) await new Promise((done) => setTimeout(done, due - Date.now()));
      yield s;
    }
  },
});
