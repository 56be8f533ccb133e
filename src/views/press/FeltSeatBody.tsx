import { type ReactNode, useState } from 'react';
import {
  isSlip,
  type SeatKind,
  type SeatMark,
  seatMarkNames,
  seatMarks,
} from '../../core/fits/index.ts';
import {
  bareSeat,
  depthOf,
  feltVerdicts,
  seatVerdicts,
  instrumentsInUse,
} from '../../core/job/index.ts';
import { sentence } from '../../core/rules/index.ts';

import { worst } from '../../core/verdict.ts';
import { InstrumentPicker } from '../../ui/Instrument.tsx';
import { Call, MainAction, Toggles, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { SeatSection } from './SeatSection.tsx';
import { DamageEntry } from './DamageEntry.tsx';
import { readTyped } from '../../ui/units.ts';

const angles = ['across', 'a quarter turn on'] as const;

/** The caliper, where the shop has one by this id; else its first instrument. */
const caliperOf = (list: readonly { id: string }[]): string =>
  (list.find((i) => i.id.includes('caliper')) ?? list[0])?.id ?? '';

/** A seat told by feel and eye: does the ring grip, what is seen on it, and a caliper across it twice. */
export function FeltSeatBody({
  kind,
  kicker,
  tabs,
  picker,
  noInstrument,
  onTold,
  onMeasure,
}: {
  kind: SeatKind;
  kicker: string;
  tabs: ReactNode;
  /** Chooses between the seats. */
  picker: ReactNode;
  /** Nothing here measures it: a name stands in place of a figure. */
  noInstrument: boolean;
  onTold: () => void;
  onMeasure: () => void;
}) {
  const { view, send, who } = useJob();
  const whoName = view.people.find((p) => p.id === who)?.name ?? 'nobody';
  const seat = bareSeat(view, kind);
  const caliper = !noInstrument && depthOf(view) === 'usual';
  const [text, setText, clear] = useDraft(`${view.job.id}:felt:${kind}`);
  const [seen, setSeen] = useState<SeatMark[]>([...(view.state.felt[kind]?.seen ?? [])]);
  const [instrumentId, setInstrument] = useState(caliperOf(instrumentsInUse(view)));
  if (!seat) return null;
  const cells = text === '' ? ['', ''] : text.split('|');
  const { nominalMm } = seat;
  const fault = (t: string) => {
    const p = readTyped(t, 'length', nominalMm);
    if (!p.ok || !isSlip(p.value, nominalMm)) return undefined;
    return sentence({ rule: 'seat.reading', value: p.value, with: { nominal: nominalMm } });
  };
  const values = cells.flatMap((t) => {
    const p = readTyped(t, 'length', nominalMm);
    return p.ok && !fault(t) ? [p.value] : [];
  });
  const missing = caliper && values.length === 0 ? 'A caliper across it' : undefined;
  const tell = async (grip: 'grips' | 'slides') => {
    const read = caliper && values.length > 0 ? { caliperMm: values, instrumentId } : {};
    const none = noInstrument ? { noInstrument: true } : {};
    if (!(await send('seat-felt', { seat: kind, grip, seen, ...read, ...none }))) return;
    clear();
    onTold();
  };
  const said =
    missing === undefined
      ? feltVerdicts(view, kind, { grip: 'grips', seen, caliperMm: caliper ? values : [] })
      : seatVerdicts(view, kind);
  return (
    <StationBody
      kicker={kicker}
      title={kind === 'bore' ? 'Does the bore still grip?' : 'Does the journal still grip?'}
      tabs={tabs}
      picture={
        <div className="seat-body">
          {picker}
          {caliper && (
            <div className="pair-in">
              {angles.map((angle, i) => (
                <QuantityInput
                  key={angle}
                  label={`Caliper ${angle}`}
                  dimension="length"
                  near={nominalMm}
                  text={cells[i] ?? ''}
                  onText={(t) =>
                    setText(
                      [0, 1].map((k) => (k === i ? t.replaceAll('|', '') : cells[k])).join('|'),
                    )
                  }
                  fault={fault(cells[i] ?? '')}
                />
              ))}
            </div>
          )}
          <SeatSection kinds={[kind]} />
        </div>
      }
      side={
        <>
          <Call status={said ? worst(said) : 'to-do'}>
            {said?.[0]
              ? sentence(said[0])
              : 'Hand on the ring, eye on the seat, caliper across it.'}
          </Call>
          <section>
            <h2>Seen on it</h2>
            <Toggles<SeatMark>
              name="Seen on it"
              values={seen}
              onValues={setSeen}
              options={seatMarks.map((id) => ({ id, label: seatMarkNames[id] }))}
            />
          </section>
          {caliper && (
            <section>
              <InstrumentPicker
                instruments={instrumentsInUse(view)}
                id={instrumentId}
                onId={setInstrument}
              />
            </section>
          )}
          <section>
            <DamageEntry kind={kind} />
          </section>
          {noInstrument && (
            <section>
              <p className="note">
                No instrument for this: {whoName} stands in place of a figure, here and on the card.
              </p>
            </section>
          )}
          <section>
            <button type="button" className="btn quiet small w-full" onClick={onMeasure}>
              Measure it instead
            </button>
          </section>
          {said && said.length > 1 && (
            <section>
              <VerdictLines verdicts={said} />
            </section>
          )}
          <div className="grow" />
        </>
      }
      actions={
        <>
          <MainAction
            label={seen.length > 0 ? 'Ring grips, seen so' : 'Ring grips, nothing seen'}
            missing={missing}
            onAct={() => void tell('grips')}
          />
          <button
            type="button"
            className="btn quiet"
            disabled={missing !== undefined}
            onClick={() => void tell('slides')}
          >
            Slides by hand
          </button>
        </>
      }
    />
  );
}
