declare module 'node-wav' {
  const wav: {
    decode(bytes: Uint8Array): { sampleRate: number; channelData: Float32Array[] };
    encode(
      channels: Float32Array[],
      options: { sampleRate: number; float: boolean; bitDepth: number },
    ): Uint8Array;
  };
  export default wav;
}
declare module 'ml-fft' {
  export const FFT: { init(n: number): void; fft(re: number[], im: number[]): void };
}
