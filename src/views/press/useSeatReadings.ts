import { useState } from 'react';
import { isSlip, type SeatKind, seatScatterMm } from '../../core/fits/index.ts';
import type { SeatSpec } from '../../core/press/index.ts';
import {
  instrumentsInUse,
  judgeReadings,
  seatKinds,
  type TakenSeat,
} from '../../core/job/index.ts';
import { outlierInWords, statsOf } from '../../core/matching/index.ts';
import { sentence } from '../../core/rules/index.ts';

import { useTakenAt } from '../../ui/Instrument.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** Places that are read: three depths at two angles. */
const places = 6;

/** The instrument that usually reads such a seat, where the shop has it; else its first. */
const usualInstrument = (kind: SeatKind, list: readonly { id: string }[]): string =>
  (list.find((x) => x.id === (kind === 'bore' ? 'bore-gauge' : 'mic')) ?? list[0])?.id ?? '';

/** Zero and temperature of kept readings. */
const zeroOf = ({ zeroMm, partC }: Pick<TakenSeat, 'zeroMm' | 'partC'>) => ({ zeroMm, partC });

/** Why a reading cannot be of a seat of this size. */
function slipOf(text: string, nominalMm: number): string | undefined {
  const p = readTyped(text, 'length', nominalMm);
  if (!p.ok || !isSlip(p.value, nominalMm)) return undefined;
  return sentence({ rule: 'seat.reading', value: p.value, with: { nominal: nominalMm } });
}

/** Two angles of each depth. */
const byDepth = <T>(list: readonly T[]): T[][] => [0, 2, 4].map((i) => list.slice(i, i + 2));

/** A seat as it is being read, or as it was: what stands in each place, what they come to, and what keeps them from the record. */
export function useSeatReadings(
  kind: SeatKind,
  { nominalMm }: SeatSpec,
  onKind: (k: SeatKind) => void,
) {
  const { view, send } = useJob();
  const kept = view.state.seats[kind];
  const [text, setText, clear] = useDraft(`${view.job.id}:seat:${kind}`);
  const [instrumentId, setInstrument] = useState(
    kept?.instrumentId ?? usualInstrument(kind, instrumentsInUse(view)),
  );
  const [again, setAgain] = useState(false);
  // Where the pad writes: the place that was touched last, else the first that is empty.
  const [touched, setPlace] = useState<number>();
  const at = useTakenAt(`${view.job.id}:seat:${kind}`);
  const cells = text === '' ? Array<string>(places).fill('') : text.split('|');
  const faults = cells.map((t) => slipOf(t, nominalMm));
  const values = cells.map((t, i) => {
    const p = readTyped(t, 'length', nominalMm);
    return p.ok && faults[i] === undefined ? p.value : undefined;
  });
  const read = values.filter((v) => v !== undefined);
  const full = read.length === places ? byDepth(read) : undefined;
  const editing = !kept || again || text !== '';
  const readingsMm = editing ? full : kept.readingsMm;
  const takenAt = editing ? at.taken : zeroOf(kept);
  const odd = statsOf(
    values.flatMap((v, i) =>
      v === undefined ? [] : [{ valueMm: v, atTwentyMm: v, plane: Math.floor(i / 2) }],
    ),
    seatScatterMm,
  )?.outlier;
  return {
    at,
    cells,
    faults,
    editing,
    instrumentId,
    setInstrument,
    place:
      touched ??
      Math.max(
        0,
        cells.findIndex((c) => c.trim() === ''),
      ),
    setPlace,
    setCell: (i: number, value: string) =>
      setText(cells.map((c, k) => (k === i ? value.replaceAll('|', '') : c)).join('|')),
    readAgain: () => setAgain(true),
    /** As they are drawn. */
    drawn: editing ? byDepth(values) : kept.readingsMm,
    toGo: places - read.length,
    /** What speaks against them before they are judged. */
    doubt: at.fault ?? (odd && outlierInWords(odd)),
    result: readingsMm && judgeReadings(view, kind, { readingsMm, instrumentId, ...takenAt }),
    record: async () => {
      if (!full || at.fault) return;
      const body = { seat: kind, readingsMm: full, instrumentId, ...at.taken };
      if (!(await send('seat-read', body))) return;
      clear();
      setAgain(false);
      const next = seatKinds(view).find((k) => k !== kind && !view.state.seats[k]);
      if (next) onKind(next);
    },
  };
}
export type SeatReadings = ReturnType<typeof useSeatReadings>;
