import { analyse, type Analysis, decodeWav, type Settings } from '../core/noise/index.ts';

export interface EarTask {
  bytes: ArrayBuffer;
  settings: Settings;
}

export type EarReport =
  | { kind: 'progress'; share: number }
  | { kind: 'done'; analysis: Analysis; decodeMs: number; analyseMs: number }
  | { kind: 'fault'; reason: string };

const tell = (report: EarReport) => postMessage(report);

/** Decodes and analyses one recording; a fault of file or settings is an answer, not a crash. */
onmessage = ({ data: { bytes, settings } }: MessageEvent<EarTask>) => {
  try {
    const t0 = performance.now();
    const recording = decodeWav(bytes);
    const t1 = performance.now();
    let told = 0;
    const analysis = analyse(recording, settings, (share) => {
      // Ten words a second are enough for a bar and leave the page its frames.
      if (performance.now() - told < 100) return;
      told = performance.now();
      tell({ kind: 'progress', share });
    });
    tell({ kind: 'done', analysis, decodeMs: t1 - t0, analyseMs: performance.now() - t1 });
  } catch (e) {
    tell({ kind: 'fault', reason: (e as Error).message.replace(/^\w+: /u, '') });
  }
};
