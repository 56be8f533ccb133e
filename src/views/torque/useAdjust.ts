import { useState } from 'react';
import { type AdjustNow, playInstrument } from '../../core/job/index.ts';
import { type JudgedPlace, type PlayPair, playOf } from '../../core/torque/index.ts';

import { useDraft, useDraftList, useDraftOf } from '../../ui/useDraft.ts';
import { useIndicator } from '../match/useIndicator.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** The place that the nut was turned to, and by how much. */
interface Turned {
  place: string;
  deg: number;
}
const isTurned = (x: unknown): x is Turned =>
  typeof x === 'object' &&
  x !== null &&
  typeof (x as Turned).place === 'string' &&
  typeof (x as Turned).deg === 'number';

/** Readings of one end play as they come in: the nut turned or as it stands, pushed and pulled, then kept. */
export function useAdjust(now: AdjustNow) {
  const { view, send } = useJob();
  const key = `${view.job.id}:play:${view.state.plays.length}`;
  const [flat, setFlat, clear] = useDraftList(`${key}:list`);
  const [push, setPush] = useDraft(`${key}:push`);
  const [pull, setPull] = useDraft(`${key}:pull`);
  const [past, setPast] = useDraft(`${key}:past`);
  const [marks, setMarks] = useDraft(`${key}:marks`);
  const [turned, setTurned, notTurned] = useDraftOf(`${key}:turned`, isTurned);
  const [again, setAgain] = useState(false);
  const instruments = view.ctx.instruments.filter((i) => !i.retired);
  const { plays, runout } = view.state;
  const lastUsed = plays.at(-1)?.instrumentId ?? runout.hub?.instrumentId;
  const [picked, setPicked] = useState<string>();
  const [simulated, setSimulated] = useState(false);
  const indicator = useIndicator();
  const pairs: PlayPair[] = Array.from({ length: Math.floor(flat.length / 2) }, (_, i) => [
    flat[2 * i] ?? 0,
    flat[2 * i + 1] ?? 0,
  ]);
  const read = pairs.length > 0 ? playOf(pairs) : undefined;
  const [pushed, pulled] = [readTyped(push, 'length'), readTyped(pull, 'length')];
  const stands = readTyped(past, 'angle');
  const counted = readTyped(marks, 'count');
  const needsMarks = now.stepDeg === undefined;
  const asRead = stands.ok ? stands.value : undefined;
  const pastDeg = turned ? 0 : asRead;
  const reading = !now.last || turned !== undefined || again;
  const add = (a: number, b: number) => setFlat([...flat, rounded(a), rounded(b)]);
  const take = () => {
    if (!pushed.ok || !pulled.ok) return;
    add(pushed.value, pulled.value);
    setPush('');
    setPull('');
  };
  const byStandIn = () => {
    setSimulated(true);
    const at = (now.turnedDeg + (turned?.deg ?? 0)).toFixed(2);
    const path = (end: string) => `/api/jobs/${view.job.id}/play/${end}/${at}`;
    indicator.readAt(path('push'), (a) => indicator.readAt(path('pull'), (b) => add(a, b)));
  };
  const instrumentId = picked ?? lastUsed ?? playInstrument(instruments, now.window)?.id ?? '';
  const keep = async () => {
    if (pairs.length === 0 || pastDeg === undefined) return;
    const body = {
      readings: pairs.map(([a, b]): [number, number] => [a, b]),
      pastDeg,
      ...(turned ? { turnedDeg: turned.deg } : {}),
      ...(needsMarks && counted.ok ? { marks: Math.round(counted.value) } : {}),
      instrumentId,
      ...(simulated ? { standIn: true } : {}),
    };
    if (!(await send('play-read', body))) return;
    clear();
    notTurned();
    setAgain(false);
    setSimulated(false);
  };
  const record = () => {
    const actual = now.last?.meanMm;
    if (actual === undefined) return;
    void send('stage-recorded', {
      stageId: now.stage.id,
      toolId: instrumentId,
      actual,
      typed: String(actual),
      ...(plays.at(-1)?.standIn ? { standIn: true } : {}),
    });
  };
  return {
    reading,
    pairs,
    read,
    push: { text: push, set: setPush },
    pull: { text: pull, set: setPull },
    ready: pushed.ok && pulled.ok,
    take,
    back: () => setFlat(flat.slice(0, -2)),
    byStandIn,
    hand: indicator.now,
    past: { text: past, set: setPast },
    marks: { text: marks, set: setMarks, needed: needsMarks, ok: counted.ok },
    pastDeg,
    place: turned?.place,
    turnTo: (p: JudgedPlace) => setTurned({ place: p.name, deg: Number(p.turnDeg.toFixed(3)) }),
    notTurned,
    again: () => setAgain(true),
    instruments,
    instrumentId,
    setPicked,
    keep,
    record,
  };
}
export type Adjusting = ReturnType<typeof useAdjust>;

const rounded = (mm: number) => Number(mm.toFixed(4));
