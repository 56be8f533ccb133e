import type { ReactNode } from 'react';
import type { SeatKind } from '../../core/fits/index.ts';
import type { SeatSpec } from '../../core/press/index.ts';
import { seatOf, unknownOfSeats } from '../../core/job/index.ts';
import { worst } from '../../core/verdict.ts';
import { InstrumentPicker, TakenAtFields } from '../../ui/Instrument.tsx';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Call, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { DamageEntry } from './DamageEntry.tsx';
import { FigureBody } from './FigureBody.tsx';
import type { SeatTab } from './seatTab.ts';
import { seatDepths, SeatUnrolled } from './SeatUnrolled.tsx';
import { type SeatReadings, useSeatReadings } from './useSeatReadings.ts';

interface SeatFormProps extends SeatTab {
  kind: SeatKind;
  picker: ReactNode;
  onNoInstrument: () => void;
  onKind: (k: SeatKind) => void;
}

/** One seat with an instrument, once its size is known. */
export function SeatForm(props: SeatFormProps) {
  const { view } = useJob();
  const { kicker, tabs } = props;
  const title = 'Are the seats still good?';
  const toRead = unknownOfSeats(view);
  if (toRead.length > 0)
    return (
      <FigureBody
        kicker={kicker}
        title={title}
        tabs={tabs}
        asked={toRead.map((figure) => ({ figure }))}
      />
    );
  const seat = seatOf(view, props.kind);
  if (!seat)
    return (
      <StationBody
        kicker={kicker}
        title={title}
        tabs={tabs}
        picture={<p className="note">Dimensions are not on record.</p>}
        side={<Call status="stop">No dimensions, no verdict.</Call>}
        actions={<MainAction label="To Press in" missing="Dimensions missing" />}
      />
    );
  return <SeatReading {...props} seat={seat} />;
}

/** A seat read at three depths and two angles each: unrolled, its places, and what they come to. */
function SeatReading({
  kind,
  seat,
  picker,
  onNoInstrument,
  onKind,
  kicker,
  tabs,
  onDone,
  missing,
}: SeatFormProps & { seat: SeatSpec }) {
  const { view } = useJob();
  const r = useSeatReadings(kind, seat, onKind);
  const { editing, result, toGo } = r;
  return (
    <StationBody
      kicker={kicker}
      title={kind === 'bore' ? 'Is the bore still good?' : 'Is the journal still good?'}
      tabs={tabs}
      picture={
        <div className="seat-body">
          {picker}
          <SeatUnrolled kind={kind} seat={seat} readings={r.drawn} />
          {editing ? (
            <SeatPlaces readings={r} seat={seat} />
          ) : (
            <button
              type="button"
              className="btn quiet small justify-self-start"
              onClick={r.readAgain}
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
              `${toGo} of ${r.cells.length} readings to go.`
            )}
          </Call>
          <section>
            <InstrumentPicker
              instruments={view.ctx.instruments}
              id={r.instrumentId}
              onId={r.setInstrument}
            />
            {editing && (
              <button type="button" className="btn quiet small w-full" onClick={onNoInstrument}>
                No instrument for this
              </button>
            )}
            <details className="more">
              <summary>Zero and temperature</summary>
              <div className="pair-in">
                <TakenAtFields at={r.at} words={['Zero', 'Part at']} />
              </div>
            </details>
          </section>
          {r.doubt && (
            <section>
              <p className="line-v">
                <VerdictShape status="check" size={22} />
                <span>{r.doubt}</span>
              </p>
            </section>
          )}
          {editing && <SeatPad readings={r} seat={seat} />}
          <section>
            <DamageEntry kind={kind} />
          </section>
          {result && <SeatFigures result={result} />}
          <div className="grow" />
        </>
      }
      actions={
        editing ? (
          <MainAction
            label={`Record ${kind}`}
            missing={toGo > 0 ? `${toGo} readings to go` : r.at.fault}
            onAct={r.record}
          />
        ) : (
          <MainAction label="To Press in" missing={missing} onAct={onDone} />
        )
      }
    />
  );
}

interface PlacesProps {
  readings: SeatReadings;
  seat: SeatSpec;
}

function SeatPlaces({ readings: r, seat }: PlacesProps) {
  return (
    <form
      className="seat-grid"
      onSubmit={(e) => {
        e.preventDefault();
        void r.record();
      }}
    >
      {seatDepths(seat).map((d, i) =>
        [0, 1].map((k) => (
          <div key={`${d}-${k}`} onFocusCapture={() => r.setPlace(2 * i + k)}>
            <QuantityInput
              compact
              label={`${d} mm deep, ${k * 90}°`}
              dimension="length"
              decimals={3}
              near={seat.nominalMm}
              text={r.cells[2 * i + k] ?? ''}
              onText={(t) => r.setCell(2 * i + k, t)}
              fault={r.faults[2 * i + k]}
            />
          </div>
        )),
      )}
      <button type="submit" className="visually-hidden" tabIndex={-1}>
        Record
      </button>
    </form>
  );
}

/** For a thumb: one place after the other. */
function SeatPad({ readings: { place, cells, setCell, setPlace }, seat }: PlacesProps) {
  return (
    <section className="grid gap-2">
      <h2 className="num">
        {seatDepths(seat)[Math.floor(place / 2)]} mm deep, {(place % 2) * 90}°
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
  );
}

function SeatFigures({ result }: { result: NonNullable<SeatReadings['result']> }) {
  const limit = `max ${result.limitMm.toFixed(3)}`;
  const { low, likely, high } = result.interference;
  const rows = [
    { name: 'Mean', figure: `${result.meanMm.toFixed(3)} mm`, beside: '' },
    { name: 'Out of round', figure: result.outOfRoundMm.toFixed(3), beside: limit },
    { name: 'Taper', figure: result.taperMm.toFixed(3), beside: limit },
    {
      name: 'New ring sits tight by',
      figure: likely.toFixed(3),
      beside: `${low.toFixed(3)}–${high.toFixed(3)}`,
    },
  ];
  return (
    <section>
      <h2>What the readings say</h2>
      <VerdictLines verdicts={result.verdicts} />
      <table className="rows">
        <tbody>
          {rows.map(({ name, figure, beside }) => (
            <tr key={name}>
              <th>{name}</th>
              <td className="figure">
                <b>{figure}</b> {beside}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
