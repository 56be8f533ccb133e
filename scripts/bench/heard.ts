import FFT from 'fft.js';
import {
  analyse,
  bandBinsFor,
  bandStarts,
  blockCount,
  blockSize,
  blockStep,
  choiceStride,
  decodeWav,
  encodeWav,
} from '../../src/core/noise/index.ts';
import { record } from '../../src/core/standins/microphone.ts';
import { bySize, confusion, drawDrive, falseKinds } from './ear.ts';
import { atLeast, hold, median, once, timed } from './hold.ts';

/** A minute of a bad bearing at 48 kHz, and what it was driven with. */
export function minuteHeard() {
  const minute = { ...drawDrive('report', 'outer-ring', 3), seconds: 60, sampleRate: 48_000 };
  const wav = encodeWav(record(minute));
  return { minute, wav };
}

/** The transforms of an analysis and nothing else. */
function bareLoop(heard: ReturnType<typeof decodeWav>): void {
  const width = bandBinsFor(heard.sampleRate);
  const big = new FFT(blockSize);
  const small = new FFT(width);
  const out = new Float64Array(2 * blockSize);
  const band = new Float64Array(2 * width).fill(0.5);
  const back = new Float64Array(2 * width);
  const bands = bandStarts(heard.sampleRate).length;
  const blocks = blockCount(heard.samples.length);
  const transform = (b: number, inverses: number) => {
    big.realTransform(out, heard.samples.subarray(b * blockStep, b * blockStep + blockSize));
    for (let n = 0; n < inverses; n++) small.inverseTransform(back, band);
  };
  for (let b = 0; b < blocks; b += choiceStride) transform(b, bands);
  for (let b = 0; b < blocks; b++) transform(b, 1);
}
/** The ear: a minute against a bare loop of the same transforms, then who is called what. */
export function ear(): void {
  const { minute, wav } = minuteHeard();
  const heard = decodeWav(wav);
  const settings = {
    speeds: minute.speeds,
    circumferenceMm: minute.circumferenceMm,
    axleRatio: minute.axleRatio,
    bearing: minute.bearing,
  };
  const bare = () => bareLoop(heard);
  // Pairs run one after the other, so that a slow moment of the machine falls on both.
  const listen = () => {
    analyse(heard, settings);
  };
  [listen, bare, listen, bare].forEach(once);
  const pairs = Array.from({ length: 7 }, () => ({ whole: once(listen), bare: once(bare) }));
  hold(
    '60 s at 48 kHz, analysis against a bare loop of its transforms',
    median(pairs.map((p) => p.whole / p.bare)),
    1.5,
    '×',
    `median of 7; ${median(pairs.map((p) => p.whole)).toFixed(0)} ms against ${median(pairs.map((p) => p.bare)).toFixed(0)} ms`,
  );
  hold(
    '60 s at 48 kHz, decoding',
    timed(() => {
      decodeWav(wav);
    }, 7),
    100,
    'ms',
  );
  const told = confusion('report', 400, 200, 20_000);
  atLeast('ear, right family on 400 faulty recordings', told.right, 95, '%');
  hold('ear, false alarms on 200 healthy ones', told.alarms, 2, '%');
  console.log(told.text);
  const [worstKind] = falseKinds(100, 900);
  const sized = bySize('report', 60, 9000);
  atLeast(
    'ear by ring size alone, faulty bearings heard, least kind',
    Math.min(...sized.heard),
    95,
    '%',
  );
  hold(
    'ear by ring size alone, sound cars called a bearing, worst kind',
    Math.max(...sized.alarms, ...sized.beside),
    2,
    '%',
  );
  hold('ear by ring size alone, faulty ones called clear', sized.cleared, 0, '%');
  hold(
    `ear, sound cars called bearing or driveline: ${worstKind!.kind}`,
    worstKind!.called,
    2,
    '%',
  );
}
