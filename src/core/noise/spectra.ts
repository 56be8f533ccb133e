import FFT from 'fft.js';
import type { Recording } from './wav.ts';

/** Samples in a block, and the step between blocks (50 % overlap). */
export const blockSize = 4096;
export const blockStep = blockSize / 2;

/** Bins of a band whose envelope is taken: about 1 kHz, a power of two. */
export const bandBinsFor = (sampleRate: number): number =>
  2 ** Math.max(4, Math.min(9, Math.ceil(Math.log2((1000 * blockSize) / sampleRate))));

const hann = (n: number) =>
  Float64Array.from({ length: n }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / n));

/** Power in a spectrum against the median around it, in dB; the peak itself stands out from its own floor. */
export function overFloorDb(power: Float64Array, half: number): Float32Array {
  const out = new Float32Array(power.length);
  // The median is taken on a coarse grid and drawn straight between: the floor is smooth.
  const step = Math.max(1, Math.floor(half / 4));
  let last = 1;
  let lastAt = 0;
  const floorAt = (i: number) => {
    const window = power.slice(Math.max(1, i - half), Math.min(power.length, i + half + 1)).sort();
    return Math.max(1e-20, window[Math.floor(window.length / 2)] ?? 1e-20);
  };
  for (let i = 0; i < power.length + step; i += step) {
    const at = Math.min(i, power.length - 1);
    const floor = floorAt(at);
    for (let k = lastAt; k <= at; k++) {
      const f = at === lastAt ? floor : last + ((floor - last) * (k - lastAt)) / (at - lastAt);
      out[k] = 10 * Math.log10(Math.max(1e-20, power[k]!) / f);
    }
    last = floor;
    lastAt = at;
  }
  return out;
}

export interface Envelope {
  values: Float32Array;
  rate: number;
  fromHz: number;
  toHz: number;
  /** Spectral kurtosis of the band: 0 for steady noise, high where blows ring. */
  kurtosis: number;
}

/** Bands lie side by side by half their width from here up; below it wheel and road fill everything. */
const lowestHz = 700;
const highestHz = 12_000;

/** First bins of all candidate bands. */
export function bandStarts(sampleRate: number): number[] {
  const width = bandBinsFor(sampleRate);
  const first = Math.ceil((lowestHz / sampleRate) * blockSize);
  const last = Math.min(blockSize / 2 - width, Math.floor((highestHz / sampleRate) * blockSize));
  return Array.from(
    { length: Math.max(1, Math.floor((last - first) / (width / 2)) + 1) },
    (_, i) => first + (i * width) / 2,
  );
}

/** Every so many blocks one is looked at to choose the band. */
export const choiceStride = 4;

export const blockCount = (samples: number): number =>
  Math.max(1, Math.floor((samples - blockSize) / blockStep) + 1);

/**
 * Bins `from` to `to` of a bare block as a Hann window would give them: a Hann window in time is the kernel
 * (−¼, ½, −¼) over the bins, so only the bins in use are windowed.
 */
function windowedBins(out: Float64Array, from: number, to: number, into: Float64Array): void {
  for (let k = from, i = 0; k < to; k++, i += 2) {
    into[i] = 0.5 * out[2 * k]! - 0.25 * (out[2 * k - 2]! + out[2 * k + 2]!);
    into[i + 1] = 0.5 * out[2 * k + 1]! - 0.25 * (out[2 * k - 1]! + out[2 * k + 3]!);
  }
}

/** Transforms a recording block by block and gives any band of a block as its complex envelope; buffers are made once. */
class BandReader {
  readonly width: number;
  readonly blocks: number;
  readonly #samples: Float32Array;
  readonly #fft = new FFT(blockSize);
  readonly #small: FFT;
  readonly #out = new Float64Array(2 * blockSize);
  readonly #band: Float64Array;
  readonly #back: Float64Array;

  constructor({ samples, sampleRate }: Recording) {
    this.width = bandBinsFor(sampleRate);
    this.blocks = blockCount(samples.length);
    this.#samples = samples;
    this.#small = new FFT(this.width);
    this.#band = new Float64Array(2 * this.width);
    this.#back = new Float64Array(2 * this.width);
  }

  block(b: number): void {
    this.#fft.realTransform(
      this.#out,
      this.#samples.subarray(b * blockStep, b * blockStep + blockSize),
    );
  }

  /** Complex envelope of a band of the present block; the same buffer every time. */
  band(start: number): Float64Array {
    windowedBins(this.#out, start, start + this.width, this.#band);
    this.#small.inverseTransform(this.#back, this.#band);
    return this.#back;
  }
}

/** Adds |z|² and |z|⁴ of a complex block to a band's sums. */
function addMoments(z: Float64Array, moments: Float64Array, at: number): void {
  let p2 = 0;
  let p4 = 0;
  for (let i = 0; i < z.length; i += 2) {
    const p = z[i]! * z[i]! + z[i + 1]! * z[i + 1]!;
    p2 += p;
    p4 += p * p;
  }
  moments[at]! += p2;
  moments[at + 1]! += p4;
}

/**
 * First bin of the band in which blows ring most: highest spectral kurtosis, E|z|⁴/(E|z|²)² of its complex
 * envelope, measured at the envelope's own rate so that single blows are seen. Every fourth block is looked at.
 */
export function chooseBand(
  recording: Recording,
  tick?: (share: number) => void,
): { start: number; kurtosis: number } {
  const starts = bandStarts(recording.sampleRate);
  const reader = new BandReader(recording);
  const moments = new Float64Array(2 * starts.length);
  for (let b = 0; b < reader.blocks; b += choiceStride) {
    reader.block(b);
    for (let n = 0; n < starts.length; n++) addMoments(reader.band(starts[n]!), moments, 2 * n);
    tick?.(b / reader.blocks);
  }
  const points = Math.ceil(reader.blocks / choiceStride) * reader.width;
  const kurtosis = starts.map((_, n) =>
    moments[2 * n]! > 0 ? (moments[2 * n + 1]! * points) / moments[2 * n]! ** 2 - 2 : -2,
  );
  const n = kurtosis.indexOf(Math.max(...kurtosis));
  return { start: starts[n]!, kurtosis: kurtosis[n]! };
}

/** Adds a block to its lane, right way round. */
function overlapAdd(lane: Float64Array, at: number, block: Float64Array, sign: number): void {
  for (let i = 0; i < block.length; i++) lane[at + i]! += sign * block[i]!;
}

/** Hilbert envelope of the chosen band at the rate it needs, by overlap-add of Hann blocks, exact at 50 %. */
export function envelope(recording: Recording, tick?: (share: number) => void): Envelope {
  const { start, kurtosis } = chooseBand(recording, tick && ((x) => tick(0.5 * x)));
  const reader = new BandReader(recording);
  const { width, blocks } = reader;
  const lane = new Float64Array((blocks + 1) * width);
  for (let b = 0; b < blocks; b++) {
    reader.block(b);
    // A block starts half a block on: its first bin has turned by π a bin, so odd bins of odd blocks change sign.
    overlapAdd(lane, b * width, reader.band(start), (start * b) % 2 === 0 ? 1 : -1);
    if (tick && b % 16 === 0) tick(0.5 + (0.5 * b) / blocks);
  }
  const values = new Float32Array(lane.length / 2);
  for (let i = 0; i < values.length; i++)
    values[i] = Math.sqrt(lane[2 * i]! * lane[2 * i]! + lane[2 * i + 1]! * lane[2 * i + 1]!);
  const hz = recording.sampleRate / blockSize;
  return {
    values,
    rate: (recording.sampleRate * width) / blockSize,
    fromHz: start * hz,
    toHz: (start + width) * hz,
    kurtosis,
  };
}

/** Points of a wheel turn that a signal is laid on; orders up to half of it can be read. */
export const pointsPerTurn = 128;

/** A speed that holds from a time on; between markers it runs straight. */
export interface SpeedMark {
  atS: number;
  kmh: number;
}

/** Wheel turns passed at times spaced by 1/`rate` s, from the speed marks. */
export function turnsAt(
  marks: readonly SpeedMark[],
  circumferenceMm: number,
  seconds: number,
  rate: number,
): Float64Array {
  const n = Math.floor(seconds * rate);
  const out = new Float64Array(n);
  let turns = 0;
  for (let i = 0; i < n; i++) {
    out[i] = turns;
    turns += speedAt(marks, i / rate) / 3.6 / (circumferenceMm / 1000) / rate;
  }
  return out;
}

export function speedAt(marks: readonly SpeedMark[], t: number): number {
  const after = marks.findIndex((m) => m.atS > t);
  if (after === 0 || marks.length === 1) return marks[0]!.kmh;
  if (after < 0) return marks.at(-1)!.kmh;
  const [a, b] = [marks[after - 1]!, marks[after]!];
  return a.kmh + ((b.kmh - a.kmh) * (t - a.atS)) / (b.atS - a.atS);
}

/** Means over whole runs of samples, down to a rate of at least 3 kHz: what orders need, and far less to lay out. */
export function thinned({ samples, sampleRate }: Recording): {
  values: Float32Array;
  rate: number;
} {
  const by = Math.max(1, Math.floor(sampleRate / 3000));
  const values = new Float32Array(Math.floor(samples.length / by));
  for (let i = 0, k = 0; i < values.length; i++) {
    let sum = 0;
    for (let n = 0; n < by; n++, k++) sum += samples[k]!;
    values[i] = sum / by;
  }
  return { values, rate: sampleRate / by };
}

/** A signal laid on equal angles of the wheel: the mean over each step of angle, so nothing folds back. */
export function toAngle(
  values: ArrayLike<number>,
  rate: number,
  marks: readonly SpeedMark[],
  circumferenceMm: number,
): Float32Array {
  const coarse = 100;
  const turns = turnsAt(marks, circumferenceMm, values.length / rate + 0.05, coarse);
  const out = new Float32Array(
    Math.floor(
      turns[Math.min(turns.length - 1, Math.floor((values.length / rate) * coarse))]! *
        pointsPerTurn,
    ),
  );
  const count = new Uint16Array(out.length);
  for (let c = 0; c + 1 < turns.length; c++) {
    const from = Math.floor((c * rate) / coarse);
    const to = Math.min(values.length, Math.floor(((c + 1) * rate) / coarse));
    let phase = turns[c]! * pointsPerTurn;
    const step = ((turns[c + 1]! - turns[c]!) * pointsPerTurn) / Math.max(1, to - from);
    for (let i = from; i < to; i++, phase += step) {
      const k = phase | 0;
      if (k >= out.length) break;
      out[k]! += values[i]!;
      count[k]! += 1;
    }
  }
  for (let k = 0; k < out.length; k++) out[k] = count[k] ? out[k]! / count[k]! : (out[k - 1] ?? 0);
  return out;
}

export interface OrderSpectrum {
  /** Orders a bin. */
  step: number;
  /** dB over the local floor. */
  db: Float32Array;
  averages: number;
}

/** Spectrum over wheel orders of a signal laid on angle (Welch); finer for longer drives. */
export function orderSpectrum(angle: Float32Array): OrderSpectrum {
  const turns = angle.length / pointsPerTurn;
  const longest = turns >= 80 ? 32 : 16;
  const perBlock = turns >= 320 ? 64 : longest;
  const n = pointsPerTurn * perBlock;
  const fft = new FFT(n);
  const window = hann(n);
  const input = new Float32Array(n);
  const out = new Float64Array(2 * n);
  const power = new Float64Array(n / 2);
  let mean = 0;
  for (const v of angle) mean += v / angle.length;
  let averages = 0;
  for (let at = 0; at + n <= angle.length; at += n / 2, averages++) {
    for (let i = 0; i < n; i++) input[i] = (angle[at + i]! - mean) * window[i]!;
    fft.realTransform(out, input);
    for (let k = 0; k < n / 2; k++) power[k]! += out[2 * k]! ** 2 + out[2 * k + 1]! ** 2;
  }
  return { step: 1 / perBlock, db: overFloorDb(power, Math.round(1.2 * perBlock)), averages };
}
