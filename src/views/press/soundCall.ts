import type { Status } from '../../core/verdict.ts';

let context: AudioContext | undefined;
const notes: Record<Status, readonly number[]> = {
  good: [660],
  check: [440, 440],
  stop: [220, 220, 220],
};

/** One tone for good, two for check, three low ones for stop. */
export function soundCall(status: Status): void {
  context ??= new AudioContext();
  const now = context.currentTime;
  notes[status].forEach((hz, i) => {
    const tone = context!.createOscillator();
    const gain = context!.createGain();
    tone.frequency.value = hz;
    gain.gain.setValueAtTime(0.25, now + i * 0.22);
    gain.gain.exponentialRampToValueAtTime(0.001, now + i * 0.22 + 0.18);
    tone.connect(gain).connect(context!.destination);
    tone.start(now + i * 0.22);
    tone.stop(now + i * 0.22 + 0.2);
  });
}
