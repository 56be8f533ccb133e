import { type ChainResult, drawChain, type FitChain } from '../core/fits/index.ts';

export interface FitTask {
  chain: FitChain;
  draws: number;
  seed: number;
}
export interface FitReport {
  result: ChainResult;
  ms: number;
}

self.onmessage = ({ data }: MessageEvent<FitTask>) => {
  const start = performance.now();
  const result = drawChain(data.chain, data.draws, data.seed);
  self.postMessage({ result, ms: performance.now() - start } satisfies FitReport);
};
