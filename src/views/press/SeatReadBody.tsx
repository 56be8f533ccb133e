import { type ReactNode, useState } from 'react';
import { isSlip, type SeatKind, seatScatterMm } from '../../core/fits/index.ts';
import {
  depthOf,
  type JobNow,
  judgeReadings,
  reusableTogether,
  seatAnswered,
  seatKinds,
  seatName,
  seatOf,
  seatPart,
  seatVerdicts,
  type TakenSeat,
  unknownOfSeats,
  instrumentsInUse,
} from '../../core/job/index.ts';
import { outlierInWords, statsOf } from '../../core/matching/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { worst } from '../../core/verdict.ts';
import { InstrumentPicker, TakenAtFields, useTakenAt } from '../../ui/Instrument.tsx';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Call, Choices, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { SeatSection } from './SeatSection.tsx';
import { DamageEntry } from './DamageEntry.tsx';
import { FeltSeatBody } from './FeltSeatBody.tsx';
import { FigureBody } from './FigureBody.tsx';
import { seatDepths, SeatUnrolled } from './SeatUnrolled.tsx';

/** The instrument that usually reads such a seat, where the shop has it; else its first. */
const usualInstrument = (kind: SeatKind, list: readonly { id: string }[]): string =>
  (list.find((x) => x.id === (kind === 'bore' ? 'bore-gauge' : 'mic')) ?? list[0])?.id ?? '';

/** Zero and temperature of kept readings. */
const zeroOf = ({ zeroMm, partC }: Pick<TakenSeat, 'zeroMm' | 'partC'>) => ({ zeroMm, partC });

/** The seats of the family, read at three depths and two angles each. */
export function SeatReadBody({
  kicker,
  tabs,
  onDone,
  missing,
}: {
  kicker: string;
  tabs: ReactNode;
  onDone: () => void;
  missing: string | undefined;
}) {
  const { view } = useJob();
  const kinds = seatKinds(view);
  const [picked, setKind] = useState<SeatKind>();
  const kind = picked ?? kinds.find((k) => !seatAnswered(view, k)) ?? kinds[0] ?? 'bore';
  // By the depth of the job, or because nothing here measures it; a seat that was measured is shown as it was.
  const [felt, setFelt] = useState<'no-instrument' | 'measured'>();
  const told = kinds.every((k) => seatAnswered(view, k));
  const byFeel =
    felt === 'no-instrument' ||
    (felt === undefined && depthOf(view) !== 'full' && !view.state.seats[kind]);
  const picker = kinds.length > 1 && (
    <Choices
      name="Seat"
      value={kind}
      onValue={setKind}
      options={kinds.map((k) => ({
        id: k,
        label: `${seatName(view, k)}${toldWord(view, k)}`,
      }))}
    />
  );
  // Told, and not all of them measured: what was said stands here, with the way on.
  const partlyFelt = kinds.some((k) => !view.state.seats[k]);
  if (told && partlyFelt && !picked && felt !== 'measured')
    return (
      <SeatsTold kicker={kicker} tabs={tabs} onAgain={setKind} onDone={onDone} missing={missing} />
    );
  if (byFeel && kinds.length > 0)
    return (
      <FeltSeatBody
        key={kind}
        kind={kind}
        kicker={kicker}
        tabs={tabs}
        picker={picker}
        noInstrument={felt === 'no-instrument'}
        onTold={() => {
          setKind(undefined);
          if (felt === 'no-instrument' && depthOf(view) === 'full') setFelt(undefined);
        }}
        onMeasure={() => setFelt('measured')}
      />
    );
  return (
    <SeatForm
      key={kind}
      kind={kind}
      picker={picker}
      onNoInstrument={() => setFelt('no-instrument')}
      onKind={setKind}
      kicker={kicker}
      tabs={tabs}
      onDone={onDone}
      missing={missing}
    />
  );
}

const toldWord = (view: JobNow, kind: SeatKind): string => {
  if (view.state.seats[kind]) return ', read';
  return view.state.felt[kind] ? ', told' : '';
};

/** Both seats as they were told: each with its word, and the way on. */
function SeatsTold({
  kicker,
  tabs,
  onAgain,
  onDone,
  missing,
}: {
  kicker: string;
  tabs: ReactNode;
  onAgain: (k: SeatKind) => void;
  onDone: () => void;
  missing: string | undefined;
}) {
  const { view, send } = useJob();
  const kinds = seatKinds(view);
  const said = kinds.flatMap((k) => seatVerdicts(view, k) ?? []);
  // Nothing against them: reused in the same tap, by the same eyes.
  const reuse = reusableTogether(view);
  const goOn = async () => {
    for (const seat of reuse) if (!(await send('seat-judged', { seat, decision: 'reuse' }))) return;
    onDone();
  };
  return (
    <StationBody
      kicker={kicker}
      title="Are the seats still good?"
      tabs={tabs}
      picture={
        <div className="seat-body">
          <SeatSection kinds={kinds} />
        </div>
      }
      side={
        <>
          <Call status={worst(said)}>{said[0] && <RuleLink said={said[0]} />}</Call>
          <section>
            <VerdictLines verdicts={said} />
          </section>
          {kinds.map((k) => (
            <section key={k}>
              <button type="button" className="btn quiet small w-full" onClick={() => onAgain(k)}>
                {seatName(view, k)} again
              </button>
            </section>
          ))}
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label={
            reuse.length > 0
              ? `Reuse ${reuse.map((k) => seatPart(view, k)).join(' and ')}, to Press in`
              : 'To Press in'
          }
          missing={missing}
          onAct={goOn}
        />
      }
    />
  );
}

function SeatForm({
  kind,
  picker,
  onNoInstrument,
  onKind,
  kicker,
  tabs,
  onDone,
  missing,
}: {
  kind: SeatKind;
  picker: ReactNode;
  onNoInstrument: () => void;
  onKind: (k: SeatKind) => void;
  kicker: string;
  tabs: ReactNode;
  onDone: () => void;
  missing: string | undefined;
}) {
  const { view, send } = useJob();
  const { ctx, state } = view;
  const seat = seatOf(view, kind);
  const kinds = seatKinds(view);
  const kept = state.seats[kind];
  const [text, setText, clear] = useDraft(`${view.job.id}:seat:${kind}`);
  const [instrumentId, setInstrument] = useState(
    kept?.instrumentId ?? usualInstrument(kind, instrumentsInUse(view)),
  );
  const [again, setAgain] = useState(false);
  // Where the pad writes: the place that was touched last, else the first that is empty.
  const [touched, setPlace] = useState<number>();
  const at = useTakenAt(`${view.job.id}:seat:${kind}`);
  const toRead = unknownOfSeats(view);
  if (toRead.length > 0)
    return (
      <FigureBody
        kicker={kicker}
        title="Are the seats still good?"
        tabs={tabs}
        asked={toRead.map((figure) => ({ figure }))}
      />
    );
  if (!seat)
    return (
      <StationBody
        kicker={kicker}
        title="Are the seats still good?"
        tabs={tabs}
        picture={<p className="note">Dimensions are not on record.</p>}
        side={<Call status="stop">No dimensions, no verdict.</Call>}
        actions={<MainAction label="To Press in" missing="Dimensions missing" />}
      />
    );
  const cells = text === '' ? Array<string>(6).fill('') : text.split('|');
  const setCell = (i: number, value: string) =>
    setText(cells.map((c, k) => (k === i ? value.replaceAll('|', '') : c)).join('|'));
  const empty = cells.findIndex((c) => c.trim() === '');
  const place = touched ?? Math.max(0, empty);
  const { nominalMm } = seat;
  const fault = (t: string) => {
    const p = parseQuantity(t, 'length', nominalMm);
    if (!p.ok || !isSlip(p.value, nominalMm)) return undefined;
    const slip = { value: p.value, with: { nominal: nominalMm } };
    return sentence({ rule: 'seat.reading', ...slip });
  };
  const values = cells.map((t) => {
    const p = parseQuantity(t, 'length', nominalMm);
    return p.ok && !fault(t) ? p.value : undefined;
  });
  const editing = !kept || again || text !== '';
  const grid = editing ? [0, 1, 2].map((d) => [values[2 * d], values[2 * d + 1]]) : kept.readingsMm;
  const full = values.every((v) => v !== undefined);
  const typedMm = full ? (grid as number[][]) : undefined;
  const readingsMm = editing ? typedMm : kept.readingsMm;
  const slip = at.fault;
  const takenAt = editing ? at.taken : zeroOf(kept);
  const result = readingsMm && judgeReadings(view, kind, { readingsMm, instrumentId, ...takenAt });
  const odd = statsOf(
    values.flatMap((v, i) =>
      v === undefined ? [] : [{ valueMm: v, atTwentyMm: v, plane: Math.floor(i / 2) }],
    ),
    seatScatterMm,
  )?.outlier;
  const depths = seatDepths(seat);
  const record = async () => {
    if (
      !full ||
      slip ||
      !(await send('seat-read', {
        seat: kind,
        readingsMm: grid as number[][],
        instrumentId,
        ...at.taken,
      }))
    )
      return;
    clear();
    setAgain(false);
    const next = kinds.find((k) => k !== kind && !state.seats[k]);
    if (next) onKind(next);
  };
  return (
    <StationBody
      kicker={kicker}
      title={kind === 'bore' ? 'Is the bore still good?' : 'Is the journal still good?'}
      tabs={tabs}
      picture={
        <div className="seat-body">
          {picker}
          <SeatUnrolled kind={kind} seat={seat} readings={grid as (number | undefined)[][]} />
          {editing ? (
            <form
              className="seat-grid"
              onSubmit={(e) => {
                e.preventDefault();
                void record();
              }}
            >
              {depths.map((d, i) =>
                [0, 1].map((k) => (
                  <div key={`${d}-${k}`} onFocusCapture={() => setPlace(2 * i + k)}>
                    <QuantityInput
                      compact
                      label={`${d} mm deep, ${k * 90}°`}
                      dimension="length"
                      decimals={3}
                      near={nominalMm}
                      text={cells[2 * i + k] ?? ''}
                      onText={(t) => setCell(2 * i + k, t)}
                      fault={fault(cells[2 * i + k] ?? '')}
                    />
                  </div>
                )),
              )}
              <button type="submit" className="visually-hidden" tabIndex={-1}>
                Record
              </button>
            </form>
          ) : (
            <button
              type="button"
              className="btn quiet small justify-self-start"
              onClick={() => setAgain(true)}
            >
              Read again
            </button>
          )}
        </div>
      }
      side={
        <>
          <Call status={result ? worst(result.verdicts) : 'to-do'}>
            {result?.verdicts[0] ? (
              <RuleLink said={result.verdicts[0]} />
            ) : (
              `${values.filter((v) => v === undefined).length} of 6 readings to go.`
            )}
          </Call>
          <section>
            <InstrumentPicker
              instruments={ctx.instruments}
              id={instrumentId}
              onId={setInstrument}
            />
            {editing && (
              <button type="button" className="btn quiet small w-full" onClick={onNoInstrument}>
                No instrument for this
              </button>
            )}
            <details className="more">
              <summary>Zero and temperature</summary>
              <div className="pair-in">
                <TakenAtFields at={at} words={['Zero', 'Part at']} />
              </div>
            </details>
          </section>
          {(odd ?? slip) && (
            <section>
              <p className="line-v">
                <VerdictShape status="check" size={22} />
                <span>{slip ?? outlierInWords(odd!)}</span>
              </p>
            </section>
          )}
          {editing && (
            <section className="grid gap-2">
              <h2 className="num">
                {depths[Math.floor(place / 2)]} mm deep, {(place % 2) * 90}°
              </h2>
              <ThumbPad text={cells[place] ?? ''} onText={(t) => setCell(place, t)} />
              <button
                type="button"
                className="btn quiet small"
                onClick={() => setPlace((place + 1) % cells.length)}
              >
                Next place
              </button>
            </section>
          )}
          <section>
            <DamageEntry kind={kind} />
          </section>
          {result && (
            <section>
              <h2>What the readings say</h2>
              <VerdictLines verdicts={result.verdicts} />
              <table className="rows">
                <tbody>
                  <tr>
                    <th>Mean</th>
                    <td className="figure">
                      <b>{result.meanMm.toFixed(3)} mm</b>
                    </td>
                  </tr>
                  <tr>
                    <th>Out of round</th>
                    <td className="figure">
                      <b>{result.outOfRoundMm.toFixed(3)}</b> max {result.limitMm.toFixed(3)}
                    </td>
                  </tr>
                  <tr>
                    <th>Taper</th>
                    <td className="figure">
                      <b>{result.taperMm.toFixed(3)}</b> max {result.limitMm.toFixed(3)}
                    </td>
                  </tr>
                  <tr>
                    <th>New ring sits tight by</th>
                    <td className="figure">
                      <b>{result.interference.likely.toFixed(3)}</b>{' '}
                      {result.interference.low.toFixed(3)}–{result.interference.high.toFixed(3)}
                    </td>
                  </tr>
                </tbody>
              </table>
            </section>
          )}
          <div className="grow" />
        </>
      }
      actions={
        editing ? (
          <MainAction
            label={`Record ${kind}`}
            missing={full ? slip : `${values.filter((v) => v === undefined).length} readings to go`}
            onAct={record}
          />
        ) : (
          <MainAction label="To Press in" missing={missing} onAct={onDone} />
        )
      }
    />
  );
}
