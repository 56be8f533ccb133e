/** A recording as one channel of samples in [−1, 1]. */
export interface Recording {
  sampleRate: number;
  samples: Float32Array;
  /** What was left out of it, and why. */
  note?: string;
}

/** Why a file is not a recording that can be used: what is wrong and the way on. */
export class RecordingFault extends Error {
  readonly field = 'recording';
}

const fault = (reason: string): never => {
  throw new RecordingFault(reason);
};
const maxSeconds = 600;
const minSeconds = 3;
/** Share of samples at the rail from which the peaks are gone (judgement). */
const clippedShare = 0.005;

/** Reads one sample, as a share of full scale. */
function reader(view: DataView, code: number, bits: number): (p: number) => number {
  if (code === 3)
    return bits === 64 ? (p) => view.getFloat64(p, true) : (p) => view.getFloat32(p, true);
  switch (bits) {
    // Eight bits have no sign: silence is 128.
    case 8:
      return (p) => (view.getUint8(p) - 128) / 128;
    case 16:
      return (p) => view.getInt16(p, true) / 32_768;
    case 24:
      return (p) =>
        (view.getUint8(p) | (view.getUint8(p + 1) << 8) | (view.getInt8(p + 2) << 16)) / 8_388_608;
    default:
      return (p) => view.getInt32(p, true) / 2_147_483_648;
  }
}
const readable: Readonly<Record<number, readonly number[]>> = { 1: [8, 16, 24, 32], 3: [32, 64] };

/**
 * Reads a RIFF/WAVE file: PCM 8, 16, 24 or 32 bit, or float 32 or 64, its channels mixed to one, 8 to 192 kHz, 3 s to
 * 10 min. A clipped channel is left out and told where another is sound. Refuses what is not WAV, cut short, silent or clipped.
 */
export function decodeWav(bytes: ArrayBuffer): Recording {
  const view = new DataView(bytes);
  const tag = (at: number) =>
    at + 4 <= bytes.byteLength
      ? String.fromCharCode(
          view.getUint8(at),
          view.getUint8(at + 1),
          view.getUint8(at + 2),
          view.getUint8(at + 3),
        )
      : '';
  if (tag(0) !== 'RIFF' || tag(8) !== 'WAVE')
    fault('This is not a WAV file. Save the recording as WAV and try again.');
  let format: Format | undefined;
  for (let at = 12; at + 8 <= bytes.byteLength;) {
    const size = view.getUint32(at + 4, true);
    const body = at + 8;
    if (tag(at) === 'fmt ') {
      if (body + 16 > bytes.byteLength) fault('The file ends inside its head.');
      const code = view.getUint16(body, true);
      format = {
        code: code === 0xfffe && size >= 26 ? view.getUint16(body + 24, true) : code,
        channels: view.getUint16(body + 2, true),
        rate: view.getUint32(body + 4, true),
        bits: view.getUint16(body + 14, true),
      };
    } else if (tag(at) === 'data') {
      if (!format) return fault('The file has no format before its data.');
      if (body + size > bytes.byteLength)
        fault(
          `The file is cut short: ${Math.round((100 * (bytes.byteLength - body)) / size)} % of it is here. Copy it again.`,
        );
      return checked(format.rate, mixed(channelsOf(view, body, size, format)));
    }
    at = body + size + (size % 2);
  }
  return fault('The file holds no sound.');
}

/**
 * Why a recording will be refused, as far as the first bytes of its file say: no WAV, or longer than ten minutes.
 * Undefined while they say nothing against it.
 */
export function lengthFault(head: Uint8Array): string | undefined {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength);
  const text = (at: number) => String.fromCharCode(...head.subarray(at, at + 4));
  if (head.byteLength >= 12 && (text(0) !== 'RIFF' || text(8) !== 'WAVE'))
    return 'This is not a WAV file. Save the recording as WAV and try again.';
  let perSecond: number | undefined;
  for (let at = 12; at + 8 <= head.byteLength;) {
    const size = view.getUint32(at + 4, true);
    if (text(at) === 'fmt ' && at + 20 <= head.byteLength)
      perSecond = view.getUint32(at + 16, true);
    if (text(at) === 'data' && perSecond) {
      const seconds = size / perSecond;
      return seconds > maxSeconds
        ? `The recording is ${Math.round(seconds)} s long; ten minutes is the most.`
        : undefined;
    }
    at += 8 + size + (size % 2);
  }
  return undefined;
}

interface Format {
  code: number;
  channels: number;
  rate: number;
  bits: number;
}

function channelsOf(
  view: DataView,
  start: number,
  size: number,
  { code, channels, rate, bits }: Format,
): Float32Array[] {
  if (rate < 8000 || rate > 192_000) fault(`A rate of ${rate} Hz is outside 8 to 192 kHz.`);
  if (channels < 1 || channels > 8) fault(`${channels} channels: one or two are expected.`);
  if (!readable[code]?.includes(bits))
    fault(
      `This kind of WAV (code ${code}, ${bits} bit) is not read here. PCM of 8, 16, 24 or 32 bit or float is.`,
    );
  const bytes = bits / 8;
  const n = Math.floor(size / (bytes * channels));
  if (n / rate > maxSeconds)
    fault(`The recording is ${Math.round(n / rate)} s long; ten minutes is the most.`);
  const read = reader(view, code, bits);
  return Array.from({ length: channels }, (_, c) => {
    const out = new Float32Array(n);
    const step = bytes * channels;
    for (let i = 0, p = start + c * bytes; i < n; i++, p += step) out[i] = read(p);
    return out;
  });
}

/** Share of a channel at the rail. */
function clippedOf(x: Float32Array): number {
  let rail = 0;
  for (let i = 0; i < x.length; i++) if (x[i]! >= 0.999 || x[i]! <= -0.999) rail += 1;
  return rail / x.length;
}

/** The sound channels as one; refuses where all of them are clipped. */
function mixed(channels: readonly Float32Array[]): Pick<Recording, 'samples' | 'note'> {
  const clipped = channels.map(clippedOf);
  const good = channels.filter((_, c) => clipped[c]! <= clippedShare);
  const [first] = good;
  if (!first)
    return fault(
      `The recording is clipped: ${(100 * Math.max(...clipped)).toFixed(1)} % of it is at full scale. Record again with less level.`,
    );
  const samples = good.length === 1 ? first : first.map((_, i) => mean(good, i));
  if (good.length === channels.length) return { samples };
  const out = clipped.flatMap((share, c) => (share > clippedShare ? [c + 1] : []));
  return { samples, note: `Channel ${out.join(', ')} is clipped and left out.` };
}
const mean = (channels: readonly Float32Array[], i: number): number =>
  channels.reduce((a, x) => a + x[i]!, 0) / channels.length;

function checked(
  sampleRate: number,
  { samples, ...note }: Pick<Recording, 'samples' | 'note'>,
): Recording {
  const seconds = samples.length / sampleRate;
  if (seconds < minSeconds)
    fault(`The recording is ${seconds.toFixed(1)} s long; at least ${minSeconds} s are needed.`);
  const energy = samples.reduce((a, x) => a + x * x, 0);
  if (!(energy / samples.length > 1e-10)) fault('The recording is silent.');
  return { sampleRate, samples, ...note };
}

/** A mono recording as a 16-bit PCM WAV file. */
export function encodeWav({ sampleRate, samples }: Recording): ArrayBuffer {
  const bytes = new ArrayBuffer(44 + samples.length * 2);
  const v = new DataView(bytes);
  const text = (at: number, s: string) =>
    [...s].forEach((c, i) => v.setUint8(at + i, c.charCodeAt(0)));
  text(0, 'RIFF');
  v.setUint32(4, 36 + samples.length * 2, true);
  text(8, 'WAVEfmt ');
  v.setUint32(16, 16, true);
  v.setUint16(20, 1, true);
  v.setUint16(22, 1, true);
  v.setUint32(24, sampleRate, true);
  v.setUint32(28, sampleRate * 2, true);
  v.setUint16(32, 2, true);
  v.setUint16(34, 16, true);
  text(36, 'data');
  v.setUint32(40, samples.length * 2, true);
  new Int16Array(bytes, 44).set(
    samples.map((x) => Math.round(Math.max(-1, Math.min(1, x)) * 32_767)),
  );
  return bytes;
}
