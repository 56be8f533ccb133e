import type { Sound } from '../../core/diagnosis/index.ts';
import { soundSamples } from '../../core/standins/sounds.ts';

let audio: AudioContext | undefined;
let playing: AudioBufferSourceNode | undefined;

/** Plays the stand-in sound once; silence where the browser has no audio. */
export function playSound(kind: Sound): void {
  try {
    audio ??= new AudioContext();
    playing?.stop();
    const samples = soundSamples(kind, 1.4, audio.sampleRate);
    const buffer = audio.createBuffer(1, samples.length, audio.sampleRate);
    buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
    playing = audio.createBufferSource();
    playing.buffer = buffer;
    playing.connect(audio.destination);
    playing.start();
  } catch {
    playing = undefined;
  }
}
