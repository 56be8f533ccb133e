import { Download } from 'lucide-react';
import Papa from 'papaparse';
import { type ReactNode, useRef, useState } from 'react';
import { type Corner, cornerNames, corners } from '../../core/corner.ts';
import { partByNumber } from '../../core/job/index.ts';
import { wheelHz } from '../../core/noise/index.ts';
import { keptSignal } from '../../core/prove/index.ts';
import { type SignalFault, signalFaults } from '../../core/standins/wheel-speed.ts';
import {
  asTestResult,
  readSignals,
  stripOf,
  type Traces,
  tracesFromRows,
  type WheelReading,
} from '../../core/wheel-speed/index.ts';
import { Field } from '../../ui/Field.tsx';
import { FileButton } from '../../ui/FileButton.tsx';
import { Call, type CallStatus, Choices } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { saveCsv } from '../../ui/saveFile.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { KeepOrUse, type When } from '../prove/KeepOrUse.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';
import { speedAndTyre } from '../shell/speedAndTyre.ts';
import { call, useJob } from '../shell/useJob.ts';
import { kindStatus, kindWords, WheelSignal } from './WheelSignal.tsx';
import './wheel-speed.css';

const faultWords: Record<SignalFault, string> = {
  agree: 'all agree',
  'drop-out': 'drop-out',
  'tooth-missing': 'tooth missing',
  'reversed-encoder': 'reversed encoder',
  'wide-gap': 'wide gap',
  'dead-lead': 'dead lead',
  'other-count': 'other count',
};

/** Pole pairs of the made-up car where the unit's own are not on record. */
const madeUpPairs = 48;

interface Read {
  traces: Traces;
  /** Read by the simulated reader. */
  standIn: boolean;
  /** Turns of the wheel a second, by the tyre as it was set then. */
  turnHz: number;
  wheels: WheelReading[];
}

/** What the reader says of the four signals so far. */
function toldOf(
  said: string | undefined,
  read: Read | undefined,
  odd: readonly WheelReading[],
): { status: CallStatus; text: string } {
  const [gravest] = odd;
  if (said) return { status: 'stop', text: said };
  if (!read) return { status: 'to-do', text: 'Nothing read yet.' };
  if (!gravest) return { status: 'good', text: 'All four agree.' };
  if (odd.length === corners.length && odd.every((w) => w.kind === 'cannot-read'))
    return { status: 'check', text: gravest.text };
  const words = odd.map((w) => `${cornerNames[w.corner]}: ${kindWords[w.kind].toLowerCase()}`);
  return { status: kindStatus(gravest.kind), text: words.join('; ') };
}

/** Which wheel's signal is not like the others? */
export default function Signal({
  tabs,
  onDone,
  when = 'before',
}: {
  tabs: ReactNode;
  onDone: () => void;
  when?: When;
}) {
  const { view, send } = useJob();
  const { ctx, job } = view;
  const [speed, setSpeed] = useDraft(`${job.id}:signal:speed`);
  const [tyreText, setTyre] = useDraft(`${job.id}:signal:tyre`, ctx.unit.tyre);
  const [sensor, setSensor] = useState<Traces['sensor']>();
  const [fault, setFault] = useState<SignalFault>('tooth-missing');
  const [at, setAt] = useState<Corner>(ctx.corner === 'unknown' ? 'LF' : ctx.corner);
  const [read, setRead] = useState<Read>();
  const standIns = useStandIns();
  const [picked, setPicked] = useState<Corner>();
  const [said, setSaid] = useState<string>();
  const picture = useRef<HTMLDivElement>(null);
  const record = Object.fromEntries(
    corners.flatMap((c) => {
      const encoder = partByNumber(view, ctx.unit.corners[c]?.partNumber)?.bearing.encoder;
      return encoder && encoder.kind !== 'none' ? [[c, encoder.pairs]] : [];
    }),
  ) as Partial<Record<Corner, number>>;
  const set = settings(speed, tyreText, sensor);
  const judge = (traces: Traces, standIn: boolean) => {
    if (!set.ok) return setSaid(set.reason);
    try {
      const wheels = readSignals(traces, set.circumferenceMm, record);
      setRead({ traces, standIn, wheels, turnHz: wheelHz(traces.kmh, set.circumferenceMm) });
      setPicked(wheels.find((w) => w.kind !== 'agrees')?.corner);
      setSaid(undefined);
      picture.current?.scrollIntoView({ block: 'nearest' });
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  const take = async () => {
    if (!set.ok) return setSaid(set.reason);
    const turnS = 1 / wheelHz(set.kmh, set.circumferenceMm);
    const r = await call<Traces>('POST', '/api/devices/wheel-speed/take', {
      kmh: set.kmh,
      sensor: set.sensor,
      seconds: Math.min(20, Math.max(1, 5 * turnS)),
      pairs: Object.values(record)[0] ?? madeUpPairs,
      circumferenceMm: set.circumferenceMm,
      fault,
      corner: at,
    });
    // The reader behind this port is the stand-in that ships with the app.
    if (r.ok) judge(r.value, true);
    else setSaid(r.problem.errors[0]?.reason ?? r.problem.detail);
  };
  const load = async (f: File) => {
    if (!set.ok) return setSaid(set.reason);
    try {
      judge(
        tracesFromRows(
          Papa.parse<string[]>((await f.text()).trim(), { skipEmptyLines: true }).data,
          set.kmh,
          set.sensor,
        ),
        false,
      );
    } catch (e) {
      setSaid(`${f.name}: ${(e as Error).message}`);
    }
  };
  const save = () => {
    if (!read) return;
    const { volts, sampleRate } = read.traces;
    const csv = Papa.unparse({
      fields: ['seconds', ...corners],
      data: volts.LF.map((_, i) => [
        (i / sampleRate).toFixed(6),
        ...corners.map((c) => volts[c][i]!.toFixed(4)),
      ]),
    });
    saveCsv(csv, `wheel-speed-${job.number}`);
  };
  const here = read?.wheels.find((w) => w.corner === ctx.corner);
  const keep = async () => {
    if (!read || !here) return true;
    const strip = stripOf(here, read.traces.volts[here.corner], read.traces.sampleRate);
    const mark = read.standIn ? { standIn: true } : {};
    return send('trace-kept', { when, signal: keptSignal(strip, here.centreV), ...mark });
  };
  const use = async () => {
    const mark = read?.standIn ? { standIn: true } : {};
    for (const w of read?.wheels ?? []) {
      const result = asTestResult(w.kind);
      if (
        result &&
        !(await send('test-recorded', { testId: 'signal', place: w.corner, result, ...mark }))
      )
        return;
    }
    if (await keep()) onDone();
  };
  const odd = read?.wheels.filter((w) => w.kind !== 'agrees') ?? [];
  const told = toldOf(said, read, odd);
  const about = read?.wheels.find((w) => w.corner === picked);
  const fullV = Math.max(0.05, ...(read?.wheels.map((w) => w.amplitudeV) ?? []));
  return (
    <StationBody
      kicker={
        read
          ? `${read.traces.kmh} km/h, ${read.turnHz.toFixed(2)} turns a second`
          : 'Driven straight, walking pace and at 60 km/h'
      }
      title="Which wheel is not like the others?"
      tabs={tabs}
      picture={
        <div ref={picture}>
          {read ? (
            <div className="signals">
              {corners.map((c, i) => (
                <WheelSignal
                  key={c}
                  corner={c}
                  reading={read.wheels[i]!}
                  volts={read.traces.volts[c]}
                  sampleRate={read.traces.sampleRate}
                  fullV={fullV}
                  record={record[c]}
                  picked={picked === c}
                  onPick={() => setPicked(c)}
                />
              ))}
            </div>
          ) : (
            <div className="ear-empty">
              <svg viewBox="0 0 600 200" aria-hidden="true">
                <circle className="ghost" cx="150" cy="100" r="80" />
                <circle className="ghost" cx="150" cy="100" r="40" />
                <path
                  className="ghost"
                  d="M280 100q10-60 20 0t20 0 20 0 20 0 20 0 20 0 20 0 20 0 20 0 20 0 20 0 20 0"
                />
              </svg>
              <p className="note big">
                Take a reading, or open a table of the four signals. Speed, tyre and kind of sensor
                first.
              </p>
            </div>
          )}
        </div>
      }
      side={
        <>
          <Call status={told.status}>{told.text}</Call>
          {about && !said && (
            <section>
              <h2>{cornerNames[about.corner]}</h2>
              <p className="note">{about.text}</p>
            </section>
          )}
          <section className="grid gap-1">
            <QuantityInput
              compact
              label="Speed, from satellite or another wheel"
              dimension="speed"
              text={speed}
              onText={(t) => {
                setSaid(undefined);
                setSpeed(t);
              }}
            />
            <Field
              compact
              label="Tyre"
              text={tyreText}
              onText={(t) => {
                setSaid(undefined);
                setTyre(t);
              }}
            />
            <Choices
              name="Kind of sensor"
              value={sensor}
              onValue={(s) => {
                setSaid(undefined);
                setSensor(s);
              }}
              options={[
                { id: 'active', label: 'active' },
                { id: 'coil', label: 'coil' },
              ]}
            />
          </section>
          <section>
            <div className="pair-in">
              <FileButton
                label="CSV table"
                name="Table of signals"
                accept=".csv,text/csv"
                onFile={load}
              />
              <button
                type="button"
                className="btn quiet small"
                onClick={save}
                aria-disabled={!read}
              >
                <Download aria-hidden="true" />
                Save CSV
              </button>
            </div>
          </section>
          <section hidden={standIns === 'off'}>
            <details className="stand-in" open={!read}>
              <summary>Stand-in reader: a made-up car</summary>
              {standInNote[standIns] && <p className="cap">{standInNote[standIns]}</p>}
              <Choices
                name="Made-up fault"
                value={fault}
                onValue={setFault}
                options={signalFaults.map((id) => ({ id, label: faultWords[id] }))}
              />
              <div className="mt-2 four">
                <Choices
                  name="At corner"
                  value={at}
                  onValue={setAt}
                  options={corners.map((id) => ({ id, label: id }))}
                />
              </div>
              <button type="button" className="btn quiet small w-full mt-2" onClick={take}>
                Take a reading
              </button>
            </details>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        <KeepOrUse
          when={when}
          none={read ? undefined : 'Nothing read yet'}
          useless={
            read?.wheels.every((w) => asTestResult(w.kind) === undefined)
              ? 'None of the four can be read'
              : undefined
          }
          onKeep={keep}
          onUse={use}
          onDone={onDone}
        />
      }
    />
  );
}

type Settings =
  | { ok: true; kmh: number; circumferenceMm: number; sensor: Traces['sensor'] }
  | { ok: false; reason: string };

/** Speed, tyre and sensor as set, or the first thing that is wrong with them. */
function settings(speed: string, tyreText: string, sensor: Traces['sensor'] | undefined): Settings {
  const drive = speedAndTyre(speed, tyreText);
  if (!drive.ok) return drive;
  if (!sensor) return { ok: false, reason: 'Which kind of sensor: a coil, or an active one?' };
  return { ...drive, sensor };
}
