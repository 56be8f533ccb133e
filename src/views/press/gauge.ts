import {
  type Setup,
  endsStroke,
  follower,
  keptSample,
  type LiveCall,
  type Operation,
  type StrokeReading,
  thinned,
  type TraceSample,
} from '../../core/press/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import type { Told } from '../shell/useJob.ts';
import { soundCall } from './soundCall.ts';
import { type DeviceStream, readDevice } from '../shell/deviceStream.ts';

/** Silence after which the gauge is said to be lost, ms. */
const silentMs = 500;

export interface GaugeState {
  running: boolean;
  /** The trace is on its way to the server: nothing is recorded of the stroke before it is there. */
  keeping: boolean;
  /** The trace so far, thinned for the strip. */
  points: StrokeReading[];
  live: LiveCall | undefined;
  noSignal: boolean;
  fault: string | undefined;
  sound: boolean;
}

type Keep = (body: EventBody<'stroke-traced'>) => Promise<Told>;

const still: GaugeState = {
  running: false,
  keeping: false,
  points: [],
  live: undefined,
  noSignal: false,
  fault: undefined,
  sound: false,
};

/**
 * Follows a gauge while somebody pumps, outside of any drawing: every reading is judged as it comes, the state is
 * published once a frame, and the trace is kept at release.
 */
export class Gauge {
  #state = still;
  #listeners = new Set<() => void>();
  #source: DeviceStream | undefined;
  #samples: TraceSample[] = [];
  #call: LiveCall | undefined;
  #frame = 0;
  #lastAt = 0;
  #keep: Keep = () => Promise.resolve('unsent');
  readonly #jobId: string;
  readonly #operation: Operation;

  constructor(jobId: string, operation: Operation) {
    this.#jobId = jobId;
    this.#operation = operation;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };
  readonly state = (): GaugeState => this.#state;

  #set(change: Partial<GaugeState>): void {
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }

  /** Where a trace goes when it ends. */
  keepWith(keep: Keep): void {
    this.#keep = keep;
  }

  readonly setSound = (sound: boolean): void => this.#set({ sound });

  /** Begins a stroke; the readings come until it ends, is released or the gauge is lost. */
  pump(setting: string, setup: Setup): void {
    if (this.#source) return;
    this.#begin();
    this.#set({ running: true, fault: undefined });
    const follow = follower(setup);
    this.#lastAt = performance.now();
    const take = (read: TraceSample) => {
      const sample = keptSample(read);
      this.#lastAt = performance.now();
      this.#samples.push(sample);
      const next = follow(sample);
      if (next.call !== this.#call?.call && this.#state.sound) soundCall(next.status);
      this.#call = next;
      if (endsStroke(next.call)) this.release();
    };
    const lost = () => {
      const dead = 'The gauge does not answer, or another tablet reads it.';
      if (this.#samples.length === 0) this.#set({ fault: dead });
      this.release();
    };
    const path = `/api/jobs/${this.#jobId}/ram/${this.#operation}/${setting}`;
    this.#source = readDevice(path, take, lost);
    this.#frame = requestAnimationFrame(this.#publish);
  }

  readonly #publish = (): void => {
    this.#set({
      points: thinned(this.#samples),
      live: this.#call,
      noSignal: performance.now() - this.#lastAt > silentMs,
    });
    this.#frame = requestAnimationFrame(this.#publish);
  };

  /** Ends the stroke and keeps its trace. */
  readonly release = (): void => {
    this.#source?.close();
    this.#source = undefined;
    cancelAnimationFrame(this.#frame);
    const points = thinned(this.#samples);
    this.#set({ running: false, noSignal: false, points, live: this.#call });
    if (this.#samples.length >= 2) this.#leave(this.#trace());
    this.#send();
  };

  /** Backed off and squared: the strip begins anew. */
  readonly square = (): void => this.#begin();

  #begin(): void {
    this.#samples = [];
    this.#call = undefined;
    this.#set({ points: [], live: undefined });
  }

  #trace(): EventBody<'stroke-traced'> {
    return {
      operation: this.#operation,
      gauge: 'stand-in ram',
      call: this.#call?.call ?? 'waiting',
      samples: this.#samples.map((s) => [s.ms, s.travelMm, s.forceKn]),
    };
  }

  get #place(): string {
    return `trace:${this.#jobId}:${this.#operation}`;
  }

  /** Lays a trace down in this browser until the server has it. */
  #leave(trace: EventBody<'stroke-traced'>): void {
    sessionStorage.setItem(this.#place, JSON.stringify(trace));
  }

  /** Sends what was laid down; it stays there until the server has answered. */
  #send(): void {
    const left = sessionStorage.getItem(this.#place);
    if (!left) return;
    this.#set({ keeping: true });
    void this.#keep(JSON.parse(left) as EventBody<'stroke-traced'>)
      .then((told) => {
        // What the server refuses it refuses again: only what it never saw is kept for the next try.
        if (told !== 'unsent' && sessionStorage.getItem(this.#place) === left)
          sessionStorage.removeItem(this.#place);
      })
      .finally(() => this.#set({ keeping: false }));
  }

  /** While the page shows this stroke: a page that goes away in mid-stroke leaves its trace in this browser; the next one sends it. */
  mount(): () => void {
    this.#send();
    const leave = () => {
      if (this.#source && this.#samples.length >= 2) this.#leave(this.#trace());
    };
    addEventListener('pagehide', leave);
    return () => {
      removeEventListener('pagehide', leave);
      if (this.#source) this.release();
    };
  }
}
