import type { Sound } from '../../core/diagnosis/index.ts';
import { soundInRoad, soundSamples } from '../../core/standins/sounds.ts';

let audio: AudioContext | undefined;
let playing: AudioBufferSourceNode | undefined;

/** Plays the stand-in sound once, alone or so far over the noise of a road, dB; silence where the browser has no audio. */
export function playSound(kind: Sound, overRoadDb?: number): void {
  try {
    audio ??= new AudioContext();
    playing?.stop();
    const samples =
      overRoadDb === undefined
        ? soundSamples(kind, 1.4, audio.sampleRate)
        : soundInRoad(kind, 3, audio.sampleRate, overRoadDb);
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
