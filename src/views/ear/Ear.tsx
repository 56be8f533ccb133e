import { Mic, Square } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { chosenPart, familyOf } from '../../core/job/index.ts';
import {
  type Analysis,
  bearingOrders,
  type Finding,
  likelyGeometries,
  type Settings,
} from '../../core/noise/index.ts';
import { keptSpectrum } from '../../core/prove/index.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { Call, type CallStatus } from '../../ui/Panels.tsx';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { KeepOrUse, type When } from '../prove/KeepOrUse.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { DriveFields } from './DriveFields.tsx';
import { useEarSettings } from './earSettings.ts';
import { HeardCharts } from './HeardCharts.tsx';
import { recordMicrophone } from './recordMicrophone.ts';
import { StandInMicrophone } from './StandInMicrophone.tsx';
import { useEar } from './useEar.ts';
import './ear.css';

const asTest: Record<Exclude<Finding, 'cannot-tell'>, string> = {
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
): { status: CallStatus; text: string } {
  if (fault) return { status: 'stop', text: fault };
  if (!a) return { status: 'to-do', text: listening ? 'Listening…' : 'No recording yet.' };
  const sure = Math.min(99, Math.round(a.confidence * 100));
  return {
    status: a.finding === 'nothing' || a.finding === 'cannot-tell' ? 'check' : 'good',
    text: [a.text, a.note, a.finding === 'cannot-tell' ? '' : `Confidence ${sure} %.`]
      .filter(Boolean)
      .join(' '),
  };
}

/** What is in this recording? At Diagnose it is evidence; once all is done it is kept beside the one before. */
export default function Ear({
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
  const ear = useEar();
  const drive = useEarSettings(job.id, ctx.unit.tyre ?? '');
  const [recording, setRecording] = useState<{ stop: () => void }>();
  // What was refused stands only as long as the settings it was refused for.
  const [refused, setRefused] = useState<{ reason: string; at: string }>();
  const typed = Object.values(drive.texts).join(' ');
  const said = refused?.at === typed ? refused.reason : undefined;
  const setSaid = (reason: string) => setRefused({ reason, at: typed });
  const part = chosenPart(view);
  const bearing = part && {
    balls: part.bearing.balls,
    ballMm: part.bearing.ballMm,
    pitchMm: part.bearing.pitchMm,
    angleDeg: part.bearing.contactAngleDeg,
    // Before the family is named the likelier one; only the cage's order knows the difference.
    rotating: familyOf(view)?.turns ?? ('inner' as const),
  };
  const read = drive.read;
  const settings: Settings | undefined = read.ok
    ? { ...read.settings, ...(bearing ? { bearing } : {}) }
    : undefined;
  const hear = (name: string, bytes: ArrayBuffer, standIn = false) =>
    settings ? ear.hear({ name, standIn }, bytes, settings) : setSaid(read.ok ? '' : read.reason);
  const open = (f: File | undefined) => void f?.arrayBuffer().then((bytes) => hear(f.name, bytes));
  const last = ear.heard.at(-1);
  const a = last?.analysis;
  const heard = heardOf(ear.fault ?? said, a, ear.share !== undefined);
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
  const keep = async () => {
    if (!a) return false;
    const mark = last?.standIn ? { standIn: true } : {};
    return send('trace-kept', { when, spectrum: keptSpectrum(a.envelope), ...mark });
  };
  const use = async () => {
    if (!a || a.finding === 'cannot-tell') return;
    const result = asTest[a.finding];
    const marks = {
      ...(a.bySize ? { doubt: true } : {}),
      ...(last?.standIn ? { standIn: true } : {}),
    };
    const body = { testId: 'recording', place: 'car' as const, result, ...marks };
    if ((await send('test-recorded', body)) && (await keep())) onDone();
  };
  const o = bearing && bearingOrders(bearing);
  return (
    <StationBody
      kicker={
        a
          ? `${last.name}, ${a.seconds.toFixed(0)} s, 1 order = ${a.wheelHz.toFixed(1)} Hz`
          : 'A phone held in the car, or a clip-on microphone'
      }
      title="What is in this recording?"
      tabs={tabs}
      picture={
        <div
          className="ear-pic"
          onDragOver={(e) => e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault();
            open(e.dataTransfer.files[0]);
          }}
        >
          <HeardCharts heard={ear.heard} settings={settings} jobNumber={job.number} />
          {part && o && (
            <p className="cap num">
              Orders of {part.number}: outer {o.bpfo.toFixed(2)} · inner {o.bpfi.toFixed(2)} · ball{' '}
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
              <ShareBar share={ear.share} label="Analysed" />
              <button type="button" className="btn quiet small w-full mt-2" onClick={ear.cancel}>
                Cancel
              </button>
            </section>
          )}
          <DriveFields ear={drive} askRings={!bearing} />
          <section>
            <div className="pair-in">
              <FileButton label="WAV file" accept=".wav,audio/wav,audio/x-wav" onFile={open} />
              <button type="button" className="btn quiet small" onClick={mic}>
                {recording ? <Square aria-hidden="true" /> : <Mic aria-hidden="true" />}
                {recording ? 'Stop' : 'Record'}
              </button>
            </div>
            {ear.heard.length === 2 && (
              <p className="cap mt-1">
                Dashed: {ear.heard[0]!.name}.{' '}
                <button type="button" className="link" onClick={ear.forget}>
                  Clear both
                </button>
              </p>
            )}
          </section>
          <StandInMicrophone
            onDrive={(name, make) => {
              const inside =
                bearing ?? (settings?.rings && likelyGeometries(settings.rings, 'inner')[0]);
              if (!settings || !inside)
                return setSaid(read.ok ? 'Neither a part nor a ring size is known' : read.reason);
              hear(name, make(settings, inside), true);
            }}
          />
          <div className="grow" />
        </>
      }
      actions={
        <KeepOrUse
          when={when}
          none={a ? undefined : 'No finding yet'}
          useless={a?.finding === 'cannot-tell' ? 'It tells nothing of the bearing' : undefined}
          onKeep={keep}
          onUse={use}
          onDone={onDone}
        />
      }
    />
  );
}
