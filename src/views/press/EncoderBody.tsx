import { type ReactNode, useState } from 'react';
import type { Bearing } from '../../core/corner-record.ts';
import type { Side } from '../../core/corner.ts';
import { encoderState, sensorSide, workOf } from '../../core/job/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, type CallStatus, Caution, Choices, MainAction } from '../../ui/Panels.tsx';
import { BearingHalf } from '../../ui/section/BearingHalf.tsx';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';

/** How the new bearing's encoder stands to the sensor. */
function toldOf(
  faces: Side | undefined,
  sensor: Side | undefined,
  right: boolean,
): { status: CallStatus; text: string } {
  if (!faces)
    return {
      status: 'to-do',
      text: 'Hold the viewing card to both faces before the bearing goes near the press.',
    };
  if (right) return { status: 'good', text: `Encoder faces ${sensor}, to the sensor.` };
  const sides = { faces, sensor: sensor ?? '' };
  return { status: 'stop', text: sentence({ rule: 'press.encoder-reversed', with: sides }) };
}

/** Which face carries the magnet, as the bearing lies now; the stroke stays locked until it is right. */
export function EncoderBody({
  kicker,
  tabs,
  onNext,
}: {
  kicker: string;
  tabs: ReactNode;
  onNext: () => void;
}) {
  const { view, send } = useJob();
  const { state } = view;
  const work = workOf(view);
  const [side, setSide] = useState<Side | undefined>(state.encoderChecked?.side);
  const [method, setMethod] = useState<'viewing-card' | 'paper-clip' | undefined>(
    state.encoderChecked?.method,
  );
  const sensor = sensorSide(view);
  const standing = encoderState(view);
  const checked = state.encoderChecked;
  const right = standing === 'right';
  // Both told is told: the second tap keeps it.
  const tell = (s: Side | undefined, m: typeof method) => {
    setSide(s);
    setMethod(m);
    if (s && m) void send('encoder-checked', { side: s, method: m });
  };
  const fresh = side !== checked?.side || method !== checked?.method;
  if (standing === 'no-encoder')
    return (
      <StationBody
        kicker={kicker}
        title="No encoder in this bearing"
        tabs={tabs}
        picture={
          <p className="note big">Either face may go first. Look at the seals all the same.</p>
        }
        side={<Call status="good">Nothing to check: this bearing carries no encoder.</Call>}
        actions={<MainAction label="Next" onAct={onNext} />}
      />
    );
  if (!sensor)
    return (
      <StationBody
        kicker={kicker}
        title="Which way does it face?"
        tabs={tabs}
        picture={
          <p className="note big">
            Where the sensor sits is not on record. The old part’s encoder says it: read it at Press
            out, Old part.
          </p>
        }
        side={<Call status="stop">The side is not guessed.</Call>}
        actions={<MainAction label="Record side" missing="Sensor side not known" />}
      />
    );
  const told = toldOf(checked?.side, sensor, right);
  return (
    <StationBody
      kicker={kicker}
      title="Which way does it face?"
      tabs={tabs}
      picture={
        work ? (
          <EncoderPicture bearing={work.bearing} sensor={sensor} side={side} />
        ) : (
          <p className="note">Dimensions are not on record.</p>
        )
      }
      side={
        <>
          <Call status={told.status}>{told.text}</Call>
          <section>
            <h2>The magnet shows on the face that will look</h2>
            <Choices
              name="Encoder faces"
              value={side}
              onValue={(s) => tell(s, method)}
              options={[
                { id: 'inboard', label: 'inboard' },
                { id: 'outboard', label: 'outboard' },
              ]}
            />
          </section>
          <section>
            <h2>Found with</h2>
            <Choices
              name="Found with"
              value={method}
              onValue={(m) => tell(side, m)}
              options={[
                { id: 'viewing-card', label: 'viewing card' },
                { id: 'paper-clip', label: 'paper clip' },
              ]}
            />
          </section>
          <section className="p-0!">
            <Caution why="A magnet wipes the encoder; the lamp comes on and the bearing has to come out again.">
              Never find it with a magnet. Keep trays and pick-ups away.
            </Caution>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        right && !fresh ? (
          <MainAction label="Next" onAct={onNext} />
        ) : (
          <MainAction
            label={checked && !right ? 'Record again' : 'Record side'}
            missing={firstThat([!side, 'Tap the side'], [!method, 'Tap what it was found with'])}
            onAct={() => side && method && send('encoder-checked', { side, method })}
          />
        )
      }
    />
  );
}

/** Section as fitted: outboard left, inboard right, the sensor where it sits. */
function EncoderPicture({
  bearing,
  sensor,
  side,
}: {
  bearing: Bearing;
  sensor: Side;
  side: Side | undefined;
}) {
  const marks = useMarks();
  const u = Math.min(11, 400 / bearing.widthMm);
  const w = bearing.widthMm * u;
  const mid = 400;
  const top = 120 + (bearing.outerMm / 2) * u;
  const seal = top - ((bearing.innerFaceOuterMm + bearing.outerFaceInnerMm) / 4) * u;
  const wrong = side !== undefined && side !== sensor;
  const face = (s: Side) => mid + (s === 'inboard' ? w / 2 : -w / 2);
  const sx = sensor === 'inboard' ? face('inboard') + 16 : face('outboard') - 16 - 90;
  const height = top - (bearing.boreMm / 2) * u + 60;
  return (
    <svg
      className="drawing encoder-turn"
      viewBox={`0 0 800 ${height}`}
      role="img"
      aria-label={side ? `Encoder faces ${side}, sensor sits ${sensor}` : `Sensor sits ${sensor}`}
    >
      <Defs id={marks.id} />
      <g transform={`translate(${mid - w / 2} ${top}) rotate(-90)`}>
        <BearingHalf
          b={bearing}
          at={{ ax: 0, u }}
          top={0}
          marks={marks}
          encoderUp={side === undefined ? undefined : side === 'outboard'}
          wrong={wrong}
        />
      </g>
      <path className="out f-sheet" d={`M${sx} ${seal - 26}h90v52h-90z`} />
      <path className="centre-line-thin" d={`M${sx - 12} ${seal}h114`} />
      <text className="strong" x={sx + 45} y={seal - 38} textAnchor="middle" fontSize="18">
        sensor
      </text>
      <text x="8" y={height - 12} fontSize="18">
        outboard, to the wheel
      </text>
      <text x="792" y={height - 12} textAnchor="end" fontSize="18">
        inboard, to the shaft
      </text>
      {wrong && (
        <>
          <text className="text-stop" x={mid} y="40" textAnchor="middle" fontSize="22">
            air gap grows by about {bearing.widthMm} mm: no signal
          </text>
          <path
            className="dim"
            markerStart={marks.arrow}
            markerEnd={marks.arrow}
            d={`M${face(side)} 70H${sensor === 'inboard' ? sx : sx + 90}`}
          />
          <path
            className="extension-line"
            d={`M${face(side)} 60V${top - (bearing.outerMm / 2) * u}M${sensor === 'inboard' ? sx : sx + 90} 60V${seal - 26}`}
          />
        </>
      )}
      {side !== undefined && !wrong && (
        <text className="text-current" x={mid} y="60" textAnchor="middle" fontSize="20">
          encoder {side}, at the sensor
        </text>
      )}
      {side === undefined && (
        <text className="cap" x={mid} y="60" textAnchor="middle">
          Both faces look alike to the eye: only the card shows the magnet
        </text>
      )}
    </svg>
  );
}
