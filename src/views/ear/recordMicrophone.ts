import { encodeWav } from '../../core/noise/index.ts';

export type MicResult =
  { ok: true; stop: () => void; wav: Promise<ArrayBuffer> } | { ok: false; reason: string };

/** Records the microphone until stopped, as WAV; says why where the browser does not allow it. */
export async function recordMicrophone(): Promise<MicResult> {
  if (!navigator.mediaDevices?.getUserMedia)
    return {
      ok: false,
      reason:
        'This browser gives no microphone here (it wants HTTPS or this machine). Import a WAV file.',
    };
  let stream: MediaStream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
  } catch (e) {
    return {
      ok: false,
      reason: `The microphone was refused: ${(e as Error).message}. Import a WAV file.`,
    };
  }
  const recorder = new MediaRecorder(stream);
  const chunks: Blob[] = [];
  recorder.ondataavailable = (e) => chunks.push(e.data);
  const wav = new Promise<ArrayBuffer>((resolve) => {
    recorder.onstop = async () => {
      stream.getTracks().forEach((t) => t.stop());
      const context = new AudioContext();
      const sound = await context.decodeAudioData(await new Blob(chunks).arrayBuffer());
      await context.close();
      resolve(encodeWav({ sampleRate: sound.sampleRate, samples: sound.getChannelData(0) }));
    };
  });
  recorder.start();
  return { ok: true, stop: () => recorder.stop(), wav };
}
