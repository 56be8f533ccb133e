import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Bench, Operation } from '../../core/press/index.ts';
import { useJob } from '../shell/useJob.ts';
import { Gauge, type GaugeState } from './gauge.ts';

export interface GaugeHandle extends GaugeState {
  setSound: (on: boolean) => void;
  pump: (setting: string) => void;
  release: () => void;
  square: () => void;
}

/** The gauge of one stroke, as a screen shows it and works it. */
export function useGauge(operation: Operation, bench: Bench | undefined): GaugeHandle {
  const { view, send } = useJob();
  const [gauge] = useState(() => new Gauge(view.job.id, operation));
  const state = useSyncExternalStore(gauge.subscribe, gauge.state, gauge.state);
  useEffect(() => gauge.keepWith((body) => send('stroke-traced', body)));
  useEffect(() => gauge.mount(), [gauge]);
  return {
    ...state,
    setSound: gauge.setSound,
    pump: (setting) => {
      if (bench) gauge.pump(setting, bench);
    },
    release: gauge.release,
    square: gauge.square,
  };
}
