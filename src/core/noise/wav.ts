/** A recording as one channel of samples in [−1, 1]. */
export interface Recording {
  sampleRate: number;
  samples: Float32Array;
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

function typedView(view: DataView, start: number, n: number, code: number, bytes: number) {
  const from = view.byteOffset + start;
  if (code === 3) return new Float32Array(view.buffer, from, n);
  if (bytes === 2) return new Int16Array(view.buffer, from, n);
  return bytes === 4 ? new Int32Array(view.buffer, from, n) : undefined;
}

/**
 * Reads a RIFF/WAVE file: PCM 16, 24 or 32 bit, or float 32, any number of channels mixed to one,
 * 8 to 192 kHz, 3 s to 10 min. Refuses what is not WAV, cut short, silent or clipped.
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
  let format: { code: number; channels: number; rate: number; bits: number } | undefined;
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
      return checked({ sampleRate: format.rate, samples: mono(view, body, size, format) });
    }
    at = body + size + (size % 2);
  }
  return fault('The file holds no sound.');
}

function mono(
  view: DataView,
  start: number,
  size: number,
  { code, channels, rate, bits }: { code: number; channels: number; rate: number; bits: number },
): Float32Array {
  if (rate < 8000 || rate > 192_000) fault(`A rate of ${rate} Hz is outside 8 to 192 kHz.`);
  if (channels < 1 || channels > 8) fault(`${channels} channels: one or two are expected.`);
  const bytes = bits / 8;
  if (!((code === 1 && [2, 3, 4].includes(bytes)) || (code === 3 && bytes === 4)))
    fault(
      `This kind of WAV (code ${code}, ${bits} bit) is not read here. PCM of 16, 24 or 32 bit or float is.`,
    );
  const n = Math.floor(size / (bytes * channels));
  if (n / rate > maxSeconds)
    fault(`The recording is ${Math.round(n / rate)} s long; ten minutes is the most.`);
  const out = new Float32Array(n);
  const aligned = (view.byteOffset + start) % bytes === 0;
  // A typed view over the file is read far faster than sample by sample; 24 bit has no such view.
  const typed = aligned ? typedView(view, start, n * channels, code, bytes) : undefined;
  const scale = (code === 3 ? 1 : 2 ** (1 - bits)) / channels;
  const at = (i: number): number => {
    const p = start + i * bytes;
    if (code === 3) return view.getFloat32(p, true);
    if (bytes === 2) return view.getInt16(p, true);
    if (bytes === 4) return view.getInt32(p, true);
    return view.getUint8(p) | (view.getUint8(p + 1) << 8) | (view.getInt8(p + 2) << 16);
  };
  if (typed && channels === 1) {
    for (let i = 0; i < n; i++) out[i] = typed[i]! * scale;
    return out;
  }
  for (let i = 0, k = 0; i < n; i++) {
    let sum = 0;
    for (let c = 0; c < channels; c++, k++) sum += typed ? typed[k]! : at(k);
    out[i] = sum * scale;
  }
  return out;
}

function checked(r: Recording): Recording {
  const seconds = r.samples.length / r.sampleRate;
  if (seconds < minSeconds)
    fault(`The recording is ${seconds.toFixed(1)} s long; at least ${minSeconds} s are needed.`);
  let rail = 0;
  let energy = 0;
  for (let i = 0; i < r.samples.length; i++) {
    const x = r.samples[i]!;
    if (x >= 0.999 || x <= -0.999) rail += 1;
    energy += x * x;
  }
  if (!(energy / r.samples.length > 1e-10)) fault('The recording is silent.');
  if (rail / r.samples.length > clippedShare)
    fault(
      `The recording is clipped: ${((100 * rail) / r.samples.length).toFixed(1)} % of it is at full scale. Record again with less level.`,
    );
  return r;
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
