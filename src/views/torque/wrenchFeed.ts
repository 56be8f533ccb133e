import { followPull, type Followed, type PullSample } from '../../core/torque/index.ts';

/** Silence after which the wrench is said to be lost, ms. */
const silentMs = 700;

export interface WrenchState {
  running: boolean;
  samples: readonly PullSample[];
  followed: Followed | undefined;
  /** Why nothing came, or why it broke off. */
  fault: string | undefined;
}
const still: WrenchState = {
  running: false,
  samples: [],
  followed: undefined,
  fault: undefined,
};

/** Follows a wrench with torque and angle while somebody pulls, outside of any drawing: published once a frame. */
export class WrenchFeed {
  #state = still;
  #listeners = new Set<() => void>();
  #source: EventSource | undefined;
  #samples: PullSample[] = [];
  #seen = 0;
  #lastAt = 0;
  #frame = 0;
  #snugNm = 0;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };
  readonly state = (): WrenchState => this.#state;

  #set(change: Partial<WrenchState>): void {
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }

  /** Takes the wrench up: its readings come until it is put down or falls silent. */
  pull(path: string, snugNm: number): void {
    if (this.#source) return;
    this.#samples = [];
    this.#snugNm = snugNm;
    this.#seen = 0;
    this.#lastAt = performance.now();
    this.#set({ ...still, running: true });
    const source = new EventSource(path);
    this.#source = source;
    source.onmessage = (e: MessageEvent<string>) => {
      this.#lastAt = performance.now();
      this.#samples.push(JSON.parse(e.data) as PullSample);
    };
    source.onerror = () => this.#end();
    this.#frame = requestAnimationFrame(this.#publish);
  }

  readonly #publish = (): void => {
    if (this.#samples.length !== this.#seen) this.#show();
    if (performance.now() - this.#lastAt > silentMs && this.#samples.length > 0) return this.#end();
    this.#frame = requestAnimationFrame(this.#publish);
  };

  #show(): void {
    this.#seen = this.#samples.length;
    const samples = [...this.#samples];
    this.#set({ samples, followed: followPull(samples, this.#snugNm) });
  }

  #end(): void {
    this.putDown();
    const { followed } = this.#state;
    if (!followed || this.#samples.length === 0)
      return this.#set({ fault: 'The wrench does not answer, or another tablet reads it.' });
    // A hand that lets go brings the torque back to nothing; a wrench that is lost does not.
    const held = followed.torqueNm > 0.1 * followed.peakNm;
    if (held)
      this.#set({
        fault: `The wrench fell silent in mid-pull at ${followed.torqueNm.toFixed(0)} N·m. Nothing is recorded: look at the paint mark, then pull again or type what you saw.`,
      });
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
