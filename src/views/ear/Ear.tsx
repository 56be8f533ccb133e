import { Mic, Square, Upload } from 'lucide-react';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { chosenPart } from '../../core/job/index.ts';
import {
  type Analysis,
  bearingOrders,
  encodeWav,
  type Finding,
  type Settings,
  type SpeedMark,
  tyre,
} from '../../core/noise/index.ts';
import { record } from '../../core/standins/microphone.ts';
import { parseQuantity } from '../../core/units/index.ts';
import { type Status } from '../../core/verdict.ts';
import { Field } from '../../ui/Field.tsx';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import OrderChart from './OrderChart.tsx';
import { recordMicrophone } from './recordMicrophone.ts';
import { useEar } from './useEar.ts';
import './ear.css';

const faults: readonly { id: Finding; label: string }[] = [
  { id: 'outer-ring', label: 'outer ring' },
  { id: 'inner-ring', label: 'inner ring' },
  { id: 'ball', label: 'ball' },
  { id: 'tyre', label: 'tyre' },
  { id: 'driveline', label: 'driveline' },
  { id: 'nothing', label: 'healthy' },
];
const asTest: Record<Finding, string> = {
  'outer-ring': 'bearing',
  'inner-ring': 'bearing',
  ball: 'bearing',
  tyre: 'tyre',
  driveline: 'driveline',
  nothing: 'nothing',
};

/** What the ear says of the recording so far. */
function heardOf(
  fault: string | undefined,
  a: Analysis | undefined,
  listening: boolean,
): { status: Status; text: string } {
  if (fault) return { status: 'stop', text: fault };
  if (!a) return { status: 'check', text: listening ? 'Listening…' : 'No recording yet.' };
  const sure = Math.min(99, Math.round(a.confidence * 100));
  return {
    status: a.finding === 'nothing' ? 'check' : 'good',
    text: `${a.text} Confidence ${sure} %.`,
  };
}

/** What is in this recording? */
export default function Ear({ tabs, onDone }: { tabs: ReactNode; onDone: () => void }) {
  const { view, send } = useJob();
  const { ctx, job } = view;
  const ear = useEar();
  const [speed, setSpeed] = useDraft(`${job.id}:ear:speed`);
  const [speedAfter, setSpeedAfter] = useDraft(`${job.id}:ear:speed2`);
  const [atText, setAt] = useDraft(`${job.id}:ear:at`);
  const [tyreText, setTyre] = useDraft(`${job.id}:ear:tyre`, ctx.unit.tyre);
  const [ratio, setRatio] = useDraft(`${job.id}:ear:ratio`);
  const [pinion, setPinion] = useDraft(`${job.id}:ear:pinion`);
  const [fault, setFault] = useState<Finding>('outer-ring');
  const [recording, setRecording] = useState<{ stop: () => void }>();
  const [said, setSaid] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const part = chosenPart(view);
  const bearing = part && {
    balls: part.bearing.balls,
    ballMm: part.bearing.ballMm,
    pitchMm: part.bearing.pitchMm,
    angleDeg: part.bearing.contactAngleDeg,
    rotating: 'inner' as const,
  };
  const set = readSettings(speed, speedAfter, atText, tyreText, ratio, pinion);
  const settings: Settings | undefined = set.ok
    ? {
        speeds: set.speeds,
        circumferenceMm: set.circumferenceMm,
        ...(set.ratio ? { axleRatio: set.ratio } : {}),
        ...(set.pinionTeeth ? { pinionTeeth: set.pinionTeeth } : {}),
        ...(bearing ? { bearing } : {}),
      }
    : undefined;
  const hear = (name: string, bytes: ArrayBuffer) =>
    settings ? ear.hear(name, bytes, settings) : setSaid(set.ok ? undefined : set.reason);
  const standIn = () => {
    if (!settings || !bearing)
      return setSaid(set.ok ? 'No bearing geometry on record' : set.reason);
    hear(
      `stand-in: ${faults.find((f) => f.id === fault)!.label}`,
      encodeWav(
        record({
          fault,
          bearing,
          speeds: settings.speeds,
          circumferenceMm: settings.circumferenceMm,
          axleRatio: settings.axleRatio ?? 3.9,
          ...(settings.pinionTeeth ? { pinionTeeth: settings.pinionTeeth } : {}),
          seconds: 20,
          sampleRate: 16_000,
          faultDb: -2,
          ringHz: 3100,
          decay: 900,
          slip: 0.01,
          seed: 41,
        }),
      ),
    );
  };
  const last = ear.heard.at(-1);
  const a = last?.analysis;
  const heard = heardOf(ear.fault ?? said, a, ear.share !== undefined);
  const found = useMemo(() => a?.peaks.filter((p) => p.family === a.finding) ?? [], [a]);
  const lines = useMemo(
    () => ({
      envelope: ear.heard.map((h) => ({ name: h.name, spectrum: h.analysis.envelope })),
      raw: ear.heard.map((h) => ({ name: h.name, spectrum: h.analysis.raw })),
    }),
    [ear.heard],
  );
  const wheelPeaks = useMemo(
    () => found.filter((p) => p.family === 'tyre' || p.family === 'driveline'),
    [found],
  );
  const bearingPeaks = useMemo(
    () => found.filter((p) => p.family !== 'tyre' && p.family !== 'driveline'),
    [found],
  );
  const drop = (e: React.DragEvent) => {
    e.preventDefault();
    const f = e.dataTransfer.files[0];
    if (f) void f.arrayBuffer().then((b) => hear(f.name, b));
  };
  const mic = async () => {
    if (recording) {
      recording.stop();
      return setRecording(undefined);
    }
    const r = await recordMicrophone();
    if (!r.ok) return setSaid(r.reason);
    setRecording({ stop: r.stop });
    void r.wav.then((wav) => hear('microphone', wav));
  };
  const use = async () => {
    if (
      a &&
      (await send('test-recorded', {
        testId: 'recording',
        place: 'car',
        result: asTest[a.finding],
      }))
    )
      onDone();
  };
  const o = bearing && bearingOrders(bearing);
  return (
    <StationBody
      kicker={
        a
          ? `${last!.name}, ${a.seconds.toFixed(0)} s, 1 order = ${a.wheelHz.toFixed(1)} Hz`
          : 'A phone held in the car, or a clip-on microphone'
      }
      title="What is in this recording?"
      tabs={tabs}
      picture={
        <div className="ear-pic" onDragOver={(e) => e.preventDefault()} onDrop={drop}>
          {a ? (
            <>
              <OrderChart
                title={`Envelope, ${Math.round(a.band.fromHz)}–${Math.round(a.band.toHz)} Hz: what rings once a blow`}
                lines={lines.envelope}
                peaks={bearingPeaks}
                maxOrder={18}
                fileName={`envelope-${job.number}`}
              />
              <OrderChart
                title="Plain spectrum: wheel, tyre, driveline"
                lines={lines.raw}
                peaks={wheelPeaks}
                maxOrder={
                  set.ok && set.ratio && set.pinionTeeth
                    ? Math.ceil((set.pinionTeeth + 2) * set.ratio)
                    : 10
                }
                fileName={`spectrum-${job.number}`}
              />
            </>
          ) : (
            <div className="ear-empty">
              <svg viewBox="0 0 600 200" aria-hidden="true">
                <path
                  className="ghost"
                  d="M20 180H580M20 20V180M60 180L80 120L100 180M200 180L214 60L228 180M400 180L414 90L428 180"
                />
              </svg>
              <p className="note big">
                Drag a WAV file here, or choose one. Speed and tyre first: they lay the sound on
                turns of the wheel.
              </p>
            </div>
          )}
          {o && (
            <p className="cap num">
              Orders of {part!.number}: outer {o.bpfo.toFixed(2)} · inner {o.bpfi.toFixed(2)} · ball{' '}
              {(2 * o.bsf).toFixed(2)} · cage {o.ftf.toFixed(2)}
            </p>
          )}
        </div>
      }
      side={
        <>
          <Call status={heard.status}>{heard.text}</Call>
          {ear.share !== undefined && (
            <section>
              <svg
                className="bar"
                viewBox="0 0 100 10"
                preserveAspectRatio="none"
                role="progressbar"
                aria-label="Analysed"
                aria-valuemin={0}
                aria-valuemax={100}
                aria-valuenow={Math.round(ear.share * 100)}
              >
                <rect className="bar-fill" x="0" y="1" width={100 * ear.share} height="8" />
                <rect
                  className="bar-frame"
                  x=".6"
                  y="1"
                  width="98.8"
                  height="8"
                  vectorEffect="non-scaling-stroke"
                />
              </svg>
              <button type="button" className="btn quiet small w-full mt-2" onClick={ear.cancel}>
                Cancel
              </button>
            </section>
          )}
          <section className="grid gap-1">
            <QuantityInput
              compact
              label="Speed, from satellite or wheel signal"
              dimension="speed"
              text={speed}
              onText={(t) => {
                setSaid(undefined);
                setSpeed(t);
              }}
              hint="A speedometer reads high"
            />
            <div className="pair-in">
              <QuantityInput
                compact
                label="Then, if it changed"
                dimension="speed"
                text={speedAfter}
                onText={setSpeedAfter}
              />
              <Field
                compact
                label="at second"
                text={atText}
                onText={setAt}
                inputMode="decimal"
                unit="s"
              />
            </div>
            <div className="pair-in three">
              <Field
                compact
                label="Tyre"
                text={tyreText}
                onText={(t) => {
                  setSaid(undefined);
                  setTyre(t);
                }}
              />
              <Field
                compact
                label="Axle ratio"
                text={ratio}
                onText={setRatio}
                inputMode="decimal"
              />
              <Field
                compact
                label="Pinion teeth"
                text={pinion}
                onText={setPinion}
                inputMode="numeric"
              />
            </div>
            {!set.ok && speed !== '' && (
              <p className="cap" role="alert">
                {set.reason}
              </p>
            )}
          </section>
          <section>
            <div className="pair-in">
              <button
                type="button"
                className="btn quiet small"
                onClick={() => file.current?.click()}
              >
                <Upload aria-hidden="true" />
                WAV file
              </button>
              <button type="button" className="btn quiet small" onClick={mic}>
                {recording ? (
                  <>
                    <Square aria-hidden="true" />
                    Stop
                  </>
                ) : (
                  <>
                    <Mic aria-hidden="true" />
                    Record
                  </>
                )}
              </button>
            </div>
            <input
              ref={file}
              type="file"
              accept=".wav,audio/wav,audio/x-wav"
              className="visually-hidden"
              aria-label="WAV file"
              tabIndex={-1}
              onChange={(e) => {
                const f = e.target.files?.[0];
                e.target.value = '';
                if (f) void f.arrayBuffer().then((b) => hear(f.name, b));
              }}
            />
            {ear.heard.length === 2 && (
              <p className="cap mt-1">
                Dashed: {ear.heard[0]!.name}.{' '}
                <button type="button" className="link" onClick={ear.forget}>
                  Clear both
                </button>
              </p>
            )}
          </section>
          <section className="stand-in">
            <h2>Stand-in microphone</h2>
            <Choices name="Made-up fault" value={fault} onValue={setFault} options={faults} />
            <button type="button" className="btn quiet small w-full mt-2" onClick={standIn}>
              Hear a made-up drive
            </button>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label="Use as evidence"
          missing={a ? undefined : 'No finding yet'}
          onAct={use}
        />
      }
    />
  );
}

type Read =
  | {
      ok: true;
      speeds: SpeedMark[];
      circumferenceMm: number;
      ratio: number | undefined;
      pinionTeeth: number | undefined;
    }
  | { ok: false; reason: string };

/** Speed, tyre and ratio as typed, or the first thing that is wrong with them. */
function readSettings(
  speed: string,
  after: string,
  at: string,
  tyreText: string,
  ratio: string,
  pinion: string,
): Read {
  const v = parseQuantity(speed, 'speed');
  if (!v.ok) return { ok: false, reason: `Speed: ${v.reason}` };
  if (!(v.value > 0))
    return { ok: false, reason: 'Speed 0 gives no wheel order: type the speed of the drive.' };
  const speeds: SpeedMark[] = [{ atS: 0, kmh: v.value }];
  if (after.trim() !== '') {
    const v2 = parseQuantity(after, 'speed');
    const t = parseQuantity(at, 'time');
    if (!v2.ok) return { ok: false, reason: `Second speed: ${v2.reason}` };
    if (!t.ok || !(t.value > 0))
      return { ok: false, reason: 'At which second was the second speed reached?' };
    speeds.push({ atS: t.value, kmh: v2.value });
  }
  const r = ratio.trim() === '' ? undefined : parseQuantity(ratio, 'ratio');
  if (r && (!r.ok || r.value <= 1))
    return { ok: false, reason: 'The axle ratio is a number over 1, such as 3.9.' };
  const teeth = pinion.trim() === '' ? undefined : Number(pinion);
  if (teeth !== undefined && !(Number.isInteger(teeth) && teeth >= 5 && teeth <= 30))
    return { ok: false, reason: 'A pinion has 5 to 30 teeth.' };
  try {
    return {
      ok: true,
      speeds,
      circumferenceMm: tyre(tyreText).circumferenceMm,
      ratio: r?.ok ? r.value : undefined,
      pinionTeeth: teeth,
    };
  } catch (e) {
    return { ok: false, reason: (e as Error).message.replace(/^tyre: /u, 'Tyre: ') };
  }
}
