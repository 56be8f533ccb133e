import {
  followPull,
  type Followed,
  type Hand,
  type PullSample,
  sampleAtNut,
  type WrenchMessage,
} from '../../core/torque/index.ts';
import { type DeviceStream, readDevice } from '../shell/deviceStream.ts';

/** Silence after which the wrench is said to be lost, ms. */
const silentMs = 700;

export interface WrenchState {
  running: boolean;
  samples: readonly PullSample[];
  followed: Followed | undefined;
  /** It fell silent under load: what the hand did after it nobody saw. */
  lost: boolean;
  /** What it says of itself: simulated or not; undefined before it has spoken. */
  standIn: boolean | undefined;
  /** Why nothing came. */
  fault: string | undefined;
}
const still: WrenchState = {
  running: false,
  samples: [],
  followed: undefined,
  lost: false,
  standIn: undefined,
  fault: undefined,
};

/** Follows a wrench with torque and angle while somebody pulls, outside of any drawing: published once a frame. */
export class WrenchFeed {
  #state = still;
  #listeners = new Set<() => void>();
  #source: DeviceStream | undefined;
  #samples: PullSample[] = [];
  #seen = 0;
  #lastAt = 0;
  #frame = 0;
  #snugNm = 0;
  #at: { gain: number; hand: Hand } = { gain: 1, hand: 'right' };

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };
  readonly state = (): WrenchState => this.#state;

  #set(change: Partial<WrenchState>): void {
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }

  /** Takes the wrench up; `at`: torque at the nut over what it shows, and which way that is tightened: what it has seen of this nut comes first, then its readings until it is put down or falls silent. */
  pull(path: string, snugNm: number, at: { gain: number; hand: Hand }): void {
    if (this.#source) return;
    this.#samples = [];
    this.#snugNm = snugNm;
    this.#at = at;
    this.#seen = 0;
    this.#lastAt = performance.now();
    this.#set({ ...still, running: true });
    const take = (message: WrenchMessage) => {
      this.#lastAt = performance.now();
      this.#take(message);
    };
    this.#source = readDevice(path, take, () => this.#end());
    this.#frame = requestAnimationFrame(this.#publish);
  }

  #take(message: WrenchMessage): void {
    const { gain, hand } = this.#at;
    const atNut = (s: PullSample) => sampleAtNut(s, gain, hand);
    if (!('seen' in message)) return void this.#samples.push(atNut(message));
    this.#samples = message.seen.map(atNut);
    this.#set({ standIn: message.standIn, lost: message.lost });
  }

  readonly #publish = (): void => {
    if (this.#samples.length !== this.#seen) this.#show();
    if (performance.now() - this.#lastAt > silentMs && this.#state.standIn !== undefined)
      return this.#end();
    this.#frame = requestAnimationFrame(this.#publish);
  };

  #show(): void {
    this.#seen = this.#samples.length;
    const samples = [...this.#samples];
    this.#set({ samples, followed: followPull(samples, this.#snugNm) });
  }

  /** The wrench has stopped by itself: the hand came off, or it was lost. */
  #end(): void {
    this.putDown();
    const { followed, standIn } = this.#state;
    if (standIn === undefined)
      return this.#set({ fault: 'The wrench does not answer, or another tablet reads it.' });
    if (followed && !followed.free) this.#set({ lost: true });
  }

  readonly putDown = (): void => {
    this.#source?.close();
    this.#source = undefined;
    cancelAnimationFrame(this.#frame);
    if (this.#samples.length > 0) this.#show();
    this.#set({ running: false });
  };

  /** What was pulled is recorded, or thrown away. */
  readonly forget = (): void => {
    this.#samples = [];
    this.#set(still);
  };
}
