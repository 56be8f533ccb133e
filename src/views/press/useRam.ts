import { useEffect, useRef, useState } from 'react';
import {
  endsStroke,
  follower,
  thinned,
  type Bench,
  type LiveCall,
  type Operation,
  type StrokeReading,
  type TraceSample,
} from '../../core/press/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import { soundCall } from './soundCall.ts';

/** Silence after which the gauge is said to be lost, ms. */
const silentMs = 500;

export interface Ram {
  running: boolean;
  /** The trace so far, thinned for the strip. */
  points: StrokeReading[];
  live: LiveCall | undefined;
  noSignal: boolean;
  fault: string | undefined;
  sound: boolean;
  setSound: (on: boolean) => void;
  pump: (setting: string) => void;
  release: () => void;
  /** Backed off and squared: the strip begins anew. */
  square: () => void;
}

/** Follows a gauge while somebody pumps: every reading is judged, the picture is drawn once a frame, the trace is kept at release. */
export function useRam(
  operation: Operation,
  bench: Bench | undefined,
  keep: (body: EventBody<'stroke-traced'>) => Promise<boolean>,
): Ram {
  const source = useRef<EventSource>(undefined);
  const samples = useRef<TraceSample[]>([]);
  const call = useRef<LiveCall>(undefined);
  const frame = useRef(0);
  const lastAt = useRef(0);
  const [running, setRunning] = useState(false);
  const [points, setPoints] = useState<StrokeReading[]>([]);
  const [live, setLive] = useState<LiveCall>();
  const [noSignal, setNoSignal] = useState(false);
  const [fault, setFault] = useState<string>();
  const [sound, setSound] = useState(false);
  const quiet = useRef(true);
  quiet.current = !sound;

  const body = (): EventBody<'stroke-traced'> => ({
    operation,
    gauge: 'stand-in ram',
    call: call.current?.call ?? 'waiting',
    samples: samples.current.map((s) => [
      s.ms,
      Number(s.travelMm.toFixed(3)),
      Number(s.forceKn.toFixed(3)),
    ]),
  });
  const end = (keepIt: boolean) => {
    source.current?.close();
    source.current = undefined;
    cancelAnimationFrame(frame.current);
    setRunning(false);
    setNoSignal(false);
    setPoints(thinned(samples.current));
    if (keepIt && samples.current.length >= 2) void keep(body());
  };
  const latest = useRef(end);
  latest.current = end;
  const kept = useRef(keep);
  kept.current = keep;
  const now = useRef(body);
  now.current = body;
  useEffect(() => {
    // A page that goes away in mid-stroke leaves its trace in this browser; the next one sends it.
    const place = `trace:${location.pathname.split('/')[2]}:${operation}`;
    const left = sessionStorage.getItem(place);
    if (left)
      void kept.current(JSON.parse(left) as EventBody<'stroke-traced'>).then((ok) => {
        if (ok) sessionStorage.removeItem(place);
      });
    const leave = () => {
      if (source.current && samples.current.length >= 2)
        sessionStorage.setItem(place, JSON.stringify(now.current()));
    };
    addEventListener('pagehide', leave);
    return () => {
      removeEventListener('pagehide', leave);
      if (source.current) latest.current(true);
    };
  }, [operation]);

  const draw = () => {
    setPoints(thinned(samples.current));
    setLive(call.current);
    setNoSignal(performance.now() - lastAt.current > silentMs);
    frame.current = requestAnimationFrame(draw);
  };
  const pump = (setting: string) => {
    if (!bench || source.current) return;
    samples.current = [];
    call.current = undefined;
    setFault(undefined);
    setPoints([]);
    const follow = follower(bench);
    const job = location.pathname.split('/')[2]!;
    const s = new EventSource(`/api/jobs/${job}/ram/${operation}/${setting}`);
    source.current = s;
    lastAt.current = performance.now();
    setRunning(true);
    s.onmessage = (e: MessageEvent<string>) => {
      const sample = JSON.parse(e.data) as TraceSample;
      lastAt.current = performance.now();
      samples.current.push(sample);
      const next = follow(sample);
      if (next.call !== call.current?.call && !quiet.current) soundCall(next.status);
      call.current = next;
      if (!endsStroke(next.call)) return;
      setLive(next);
      latest.current(true);
    };
    s.onerror = () => {
      if (samples.current.length === 0)
        setFault('The gauge does not answer, or another tablet reads it.');
      latest.current(true);
    };
    frame.current = requestAnimationFrame(draw);
  };
  return {
    running,
    points,
    live,
    noSignal,
    fault,
    sound,
    setSound,
    pump,
    release: () => end(true),
    square: () => {
      samples.current = [];
      call.current = undefined;
      setPoints([]);
      setLive(undefined);
    },
  };
}
