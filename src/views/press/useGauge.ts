import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Setup, Operation } from '../../core/press/index.ts';
import { useJob } from '../shell/useJob.ts';
import { Gauge, type GaugeState } from './gauge.ts';

export interface GaugeHandle extends GaugeState {
  setSound: (on: boolean) => void;
  pump: (setting: string) => void;
  release: () => void;
  square: () => void;
}

/** The gauge of one stroke, as a screen shows it and works it. */
export function useGauge(operation: Operation, setup: Setup | undefined): GaugeHandle {
  const { view, tell } = useJob();
  const [gauge] = useState(() => new Gauge(view.job.id, operation));
  const state = useSyncExternalStore(gauge.subscribe, gauge.state, gauge.state);
  useEffect(() => gauge.keepWith((body) => tell('stroke-traced', body)));
  useEffect(() => gauge.mount(), [gauge]);
  return {
    ...state,
    setSound: gauge.setSound,
    pump: (setting) => {
      if (setup) gauge.pump(setting, setup);
    },
    release: gauge.release,
    square: gauge.square,
  };
}
