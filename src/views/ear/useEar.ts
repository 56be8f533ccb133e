import { useEffect, useRef, useState } from 'react';
import type { Analysis, Settings } from '../../core/noise/index.ts';
import type { EarReport, EarTask } from '../../workers/ear.worker.ts';

/** Where a recording came from. */
export interface Source {
  name: string;
  /** Made up by the stand-in microphone. */
  standIn: boolean;
}

export interface Heard extends Source {
  analysis: Analysis;
  ms: number;
}

export interface EarState {
  /** Share done of the recording being heard; undefined when none is. */
  share: number | undefined;
  fault: string | undefined;
  heard: Heard[];
  hear: (source: Source, bytes: ArrayBuffer, settings: Settings) => void;
  cancel: () => void;
  forget: () => void;
}

/** One worker a recording; the last two findings are kept so that they can lie over one another. */
export function useEar(): EarState {
  const worker = useRef<Worker>(undefined);
  const [share, setShare] = useState<number>();
  const [fault, setFault] = useState<string>();
  const [heard, setHeard] = useState<Heard[]>([]);
  const cancel = () => {
    worker.current?.terminate();
    worker.current = undefined;
    setShare(undefined);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const hear: EarState['hear'] = (source, bytes, settings) => {
    cancel();
    setFault(undefined);
    setShare(0);
    const w = new Worker(new URL('../../workers/ear.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = w;
    w.onmessage = ({ data }: MessageEvent<EarReport>) => {
      if (data.kind === 'progress') return setShare(data.share);
      cancel();
      if (data.kind === 'fault') setFault(data.reason);
      else
        setHeard((list) => [
          ...list.slice(-1),
          { ...source, analysis: data.analysis, ms: data.analyseMs },
        ]);
    };
    w.onerror = (e) => {
      cancel();
      setFault(`The ear stopped: ${e.message}`);
    };
    w.postMessage({ bytes, settings } satisfies EarTask, [bytes]);
  };
  return { share, fault, heard, hear, cancel, forget: () => setHeard([]) };
}
