import { useEffect, useState } from 'react';
import {
  chosenPart,
  instrumentById,
  type JobNow,
  readingsFor,
  instrumentsInUse,
} from '../../core/job/index.ts';
import {
  atTwenty,
  type DimensionId,
  dimensionNames,
  isCount,
  type Reading,
  readingFault,
} from '../../core/matching/index.ts';

import { asTyped, both, readTyped } from '../../ui/units.ts';
import { Field } from '../../ui/Field.tsx';
import { InstrumentPicker, type TakenAt, TakenAtFields, useTakenAt } from '../../ui/Instrument.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { type Slot, slotsOf, taken } from './readingSlots.ts';
import { useStandIns } from '../shell/useStandIns.ts';
import { useIndicator } from './useIndicator.ts';

/** A reading that is being typed. */
export interface Typing {
  dimension: DimensionId;
  reading: Reading;
}

/** Why a typed figure is none of this dimension; undefined when it can be. */
function typedFault(
  dimension: DimensionId,
  value: number | undefined,
  { state }: JobNow,
): string | undefined {
  if (value === undefined) return undefined;
  if (isCount(dimension) && !Number.isInteger(value)) return 'This is counted: a whole number.';
  return readingFault(dimension, value, state.oldReadings);
}

interface Shown {
  value: string;
  rest: string;
}

/** The far-off figure: what is typed, brought to 20 °C, with its doubt and in the other system. */
function shownFigure(
  dimension: DimensionId,
  value: number | undefined,
  at: TakenAt['taken'],
  doubtMm: number | undefined,
): Shown {
  const count = isCount(dimension);
  if (value === undefined) return { value: '–', rest: count ? 'counted' : 'mm' };
  if (count) return { value: String(value), rest: '' };
  const shown = both(atTwenty({ valueMm: value, ...at }), 'length', 3);
  const doubt = doubtMm === undefined ? '' : ` ± ${doubtMm}`;
  return { value: shown.value, rest: `mm${doubt} / ${shown.other}` };
}

/** One reading: pad under the thumb, the next slot after it. */
export function ReadingEntry({
  dimension,
  onTyping,
  onDone,
}: {
  dimension: DimensionId;
  onTyping: (t: Typing | undefined) => void;
  onDone: () => void;
}) {
  const { view, send, problem } = useJob();
  const { state, ctx, job } = view;
  const [text, setText, clear] = useDraft(`${job.id}:old:${dimension}`);
  const at = useTakenAt(`${job.id}:old`);
  // What the simulated indicator wrote into the field, as long as nothing else was typed.
  const [simulated, setSimulated] = useState<string>();
  const [instrumentId, setInstrument] = useState(
    state.oldInstrumentId ?? instrumentsInUse(view)[0]?.id ?? '',
  );
  const slots = slotsOf(dimension);
  const list = state.oldTaken[dimension] ?? [];
  const due = slots.findIndex((s) => !taken(list, s));
  const [picked, setSlot] = useState<number>();
  const slot = slots[picked ?? Math.max(0, due)]!;
  const count = isCount(dimension);
  const parsed = readTyped(text, count ? 'count' : 'length');
  const typed = parsed.ok ? parsed.value : undefined;
  const fault = typedFault(dimension, typed, view);
  const whole = fault || at.fault ? undefined : typed;
  const { plane, angleDeg } = slot;
  const { zeroMm, partC } = at.taken;
  useEffect(() => {
    const reading = whole !== undefined && { valueMm: whole, plane, angleDeg, zeroMm, partC };
    onTyping(reading ? { dimension, reading } : undefined);
    return () => onTyping(undefined);
  }, [whole, dimension, plane, angleDeg, zeroMm, partC, onTyping]);
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    if (!parsed.ok || whole === undefined) return;
    const place = plane === undefined || angleDeg === undefined ? {} : { plane, angleDeg };
    const body = { dimension, valueMm: whole, typed: parsed.typed, instrumentId, ...place };
    const mark = text === simulated ? { standIn: true } : {};
    if (!(await send('old-part-read', { ...body, ...at.taken, ...mark }))) return;
    clear();
    setSlot(undefined);
    if (list.length + 1 >= readingsFor(view, dimension)) onDone();
  };
  const doubtMm = instrumentById(view, instrumentId)?.doubtMm;
  const shown = shownFigure(dimension, fault ? undefined : typed, at.taken, doubtMm);
  return (
    <form onSubmit={submit} className="grid gap-2">
      <p className="cap">
        {dimensionNames[dimension]}, old part, {slot.name}
      </p>
      <p className="far-n num blue">
        {shown.value}
        <span>{shown.rest}</span>
      </p>
      <Places slots={slots} slot={slot} read={list} onSlot={setSlot} />
      {count ? (
        <Field
          label={dimensionNames[dimension]}
          text={text}
          onText={setText}
          inputMode="numeric"
          fault={fault}
        />
      ) : (
        <QuantityInput
          label={`${dimensionNames[dimension]} at ${slot.name}`}
          dimension="length"
          decimals={3}
          text={text}
          onText={setText}
          fault={fault ?? at.fault ?? faultOf(problem, 'valueMm', 'body.valueMm')}
        />
      )}
      <ThumbPad text={text} onText={setText} />
      <button type="submit" className="btn">
        Record {shown.value === '–' ? 'reading' : shown.value}
      </button>
      {!count && (
        <>
          <InstrumentPicker instruments={ctx.instruments} id={instrumentId} onId={setInstrument} />
          <details className="more">
            <summary>Zero, temperature, indicator</summary>
            <div className="grid gap-2">
              <TakenAtFields at={at} words={takenWords} />
              <StandInIndicator
                dimension={dimension}
                onRead={(mm) => {
                  setSimulated(mm);
                  setText(mm);
                }}
              />
            </div>
          </details>
        </>
      )}
    </form>
  );
}

const takenWords = [
  'Zero: shown at nothing, or over the setting ring',
  'Temperature of the part, brought to 20 °C',
] as const;

/** The places of one dimension, read ones ticked. */
function Places({
  slots,
  slot,
  read,
  onSlot,
}: {
  slots: readonly Slot[];
  slot: Slot;
  read: readonly Reading[];
  onSlot: (i: number) => void;
}) {
  if (slots.length < 2) return null;
  return (
    <div className="slots" role="group" aria-label="Place">
      {slots.map((s, i) => (
        <button key={s.name} type="button" aria-pressed={s === slot} onClick={() => onSlot(i)}>
          {s.name}
          {taken(read, s) ? ' ✓' : ''}
        </button>
      ))}
    </div>
  );
}

/** The stand-in needs to know what it is held on: the chosen part's size. */
function StandInIndicator({
  dimension,
  onRead,
}: {
  dimension: DimensionId;
  onRead: (text: string) => void;
}) {
  const { view } = useJob();
  const indicator = useIndicator();
  const standIns = useStandIns();
  const nominal = chosenPart(view)?.bearing;
  const ring = dimension === 'outerMm' || dimension === 'boreMm' || dimension === 'widthMm';
  const from = ring ? nominal?.[dimension] : undefined;
  if (from === undefined || standIns === 'off') return null;
  return (
    <button
      type="button"
      className="btn quiet small"
      onClick={() => indicator.read(from, (mm) => onRead(asTyped(mm, 'length', 3)))}
    >
      {indicator.now === undefined
        ? 'Read the stand-in indicator'
        : `${indicator.now.toFixed(3)} mm, settling…`}
    </button>
  );
}
