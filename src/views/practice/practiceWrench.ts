import { nutAt, type NutPicture } from '../../core/practice/index.ts';
import type { MadeUpNut } from '../../core/standins/wrench.ts';
import {
  type Followed,
  followPull,
  pulledFigure,
  type PullSample,
  type Stage,
} from '../../core/torque/index.ts';

export interface Pulling {
  stage: Stage;
  snugNm: number;
  followed: Followed | undefined;
}

/** The nut in the hand: what the wrench has seen of it. */
interface InHand {
  nut: MadeUpNut;
  snugNm: number;
  samples: PullSample[];
}

const sampleMs = 10;
/** The hand stops by itself at so many times what is asked. */
const farTooFar = 1.8;

/** The stand-in wrench of an exercise, outside of any drawing: it pulls until the hand lets go, published once a frame. */
export class PracticeWrench {
  #state: Pulling | undefined;
  #hand: InHand | undefined;
  #frame = 0;
  #listeners = new Set<() => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };
  readonly state = (): Pulling | undefined => this.#state;

  #set(state: Pulling | undefined): void {
    this.#state = state;
    for (const listener of this.#listeners) listener();
  }

  #take(
    { nut: _nut, samples, snugNm }: InHand,
    stage: Stage,
    more: Iterable<PullSample>,
  ): Followed {
    samples.push(...more);
    const followed = followPull(samples, snugNm);
    this.#set({ stage, snugNm, followed });
    return followed;
  }

  /** Pulls a stage: a torque from slack, an angle on from the torque before it. */
  pull(p: NutPicture, stage: Stage, slower: number): void {
    if (this.#state) return;
    if (stage.kind !== 'angle' || !this.#hand) {
      const at = nutAt(p, stage);
      this.#hand = at && { ...at, samples: [] };
    }
    const hand = this.#hand;
    if (!hand) return;
    this.#set({ stage, snugNm: hand.snugNm, followed: undefined });
    const pull = hand.nut.pull({ targetDeg: 720, missDeg: 0, ratchet: false });
    const most = farTooFar * (stage.value ?? 0);
    const t0 = performance.now();
    let taken = 0;
    const step = (now: number): void => {
      const more: PullSample[] = [];
      for (; taken < (now - t0) / (sampleMs * slower); taken += 1) {
        const { value } = pull.next();
        if (value) more.push(value);
      }
      const figure = pulledFigure(stage.kind, this.#take(hand, stage, more)) ?? 0;
      if (figure < most) this.#frame = requestAnimationFrame(step);
    };
    this.#frame = requestAnimationFrame(step);
  }

  /** The hand comes off: what the pull came to, in the stage's unit; undefined where it never got to snug. */
  letGo(): number | undefined {
    cancelAnimationFrame(this.#frame);
    const [state, hand] = [this.#state, this.#hand];
    if (!state || !hand) return undefined;
    const figure = pulledFigure(state.stage.kind, this.#take(hand, state.stage, hand.nut.letGo()));
    this.#set(undefined);
    return figure;
  }

  readonly putDown = (): void => {
    cancelAnimationFrame(this.#frame);
    this.#set(undefined);
  };
}
