import { useState } from 'react';
import { causesOnJob, rollingOf } from '../../core/job/index.ts';
import {
  type CauseId,
  type LookId,
  type Mark,
  type MarkPlace,
  standingRing,
} from '../../core/old-part/index.ts';
import { familyCodeOf } from '../../core/job/index.ts';

import { useDraft, useDraftOf } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

const isMarks = (x: unknown): x is Mark[] =>
  Array.isArray(x) && x.every((m) => typeof m === 'object' && m !== null && 'look' in m);

/** Marks as they are laid down, half-done until they are recorded; what was recorded is gone on from. */
export function useRaceways() {
  const { view, send } = useJob();
  const kept = view.state.raceways;
  const key = `${view.job.id}:raceways`;
  const [draft, setMarks, clear] = useDraftOf(`${key}:marks`, isMarks);
  const marks = draft ?? kept?.marks ?? [];
  const [look, setLook] = useState<LookId>('dents');
  const [severity, setSeverity] = useState(2);
  const [round, setRound] = useState(false);
  const [where, setWhere] = useDraft(`${key}:where`);
  const [gap, setGap] = useDraft(`${key}:gap`);
  const [balls, setBalls] = useDraft(`${key}:balls`, kept?.balls ? String(kept.balls) : '');
  const [taken, setTaken] = useState<CauseId | undefined>(kept?.cause);
  const whereRead = readTyped(where, 'angle');
  const gapRead = readTyped(gap, 'angle');
  const ballsRead = readTyped(balls, 'count');
  const counted = ballsRead.ok ? Math.round(ballsRead.value) : undefined;
  const rolling = rollingOf(view);
  const family = familyCodeOf(view);
  const causes = marks.length > 0 ? causesOnJob(view, marks, counted) : [];
  const add = (on: MarkPlace, place: Pick<Mark, 'row' | 'atDeg'> = {}) =>
    setMarks([
      ...marks,
      {
        on,
        look,
        severity,
        ...place,
        ...(round ? { round } : {}),
        ...(gapRead.ok && gapRead.value > 0 && gapRead.value <= 180
          ? { gapDeg: Number(gapRead.value.toFixed(2)) }
          : {}),
      },
    ]);
  /** Without a tap: where the field says, on a ring. */
  const addAt = (on: MarkPlace) =>
    add(
      on,
      (on === 'outer' || on === 'inner') && whereRead.ok
        ? { row: 'outboard', atDeg: ((Math.round(whereRead.value) % 360) + 360) % 360 }
        : {},
    );
  const cause = taken ?? causes[0]?.cause;
  const record = async () => {
    const body = {
      marks,
      ...(counted !== undefined && counted >= 3 && counted <= 60 ? { balls: counted } : {}),
      ...(cause ? { cause } : {}),
    };
    if (!(await send('raceways-read', body))) return false;
    clear();
    return true;
  };
  return {
    marks,
    changed: draft !== undefined,
    look,
    setLook,
    severity,
    setSeverity,
    round,
    setRound,
    gap: { text: gap, onText: setGap },
    balls: { text: balls, onText: setBalls },
    ballCount: counted ?? rolling?.balls,
    rolling,
    standing: standingRing(family),
    family,
    add,
    addAt,
    where: { text: where, onText: setWhere },
    remove: (i: number) => setMarks(marks.filter((_, k) => k !== i)),
    causes,
    cause,
    take: setTaken,
    record,
  };
}
export type ReadingRaceways = ReturnType<typeof useRaceways>;
