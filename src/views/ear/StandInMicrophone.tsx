import { useState } from 'react';
import { type BearingGeometry, encodeWav, type Settings } from '../../core/noise/index.ts';
import { type MadeUpFault, record } from '../../core/standins/microphone.ts';
import { Choices } from '../../ui/Panels.tsx';
import { standInNote, useStandIns } from '../shell/useStandIns.ts';

const faults: readonly { id: MadeUpFault; label: string }[] = [
  { id: 'outer-ring', label: 'outer ring' },
  { id: 'inner-ring', label: 'inner ring' },
  { id: 'ball', label: 'ball' },
  { id: 'tyre', label: 'tyre' },
  { id: 'driveline', label: 'driveline' },
  { id: 'nothing', label: 'healthy' },
];

/** A made-up drive with a fault of one's choice, for practice and for trying the ear out. */
export function StandInMicrophone({
  onDrive,
}: {
  /** Is given the name of the fault and how to make the recording once the settings stand. */
  onDrive: (
    name: string,
    make: (settings: Settings, bearing: BearingGeometry) => ArrayBuffer,
  ) => void;
}) {
  const [fault, setFault] = useState<MadeUpFault>('outer-ring');
  const standIns = useStandIns();
  const note = standInNote[standIns];
  const drive = () =>
    onDrive(`stand-in: ${faults.find((f) => f.id === fault)?.label}`, (settings, bearing) =>
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
  if (standIns === 'off') return null;
  return (
    <section className="stand-in">
      <h2>Stand-in microphone</h2>
      {note && <p className="cap">{note}</p>}
      <Choices name="Made-up fault" value={fault} onValue={setFault} options={faults} />
      <button type="button" className="btn quiet small w-full mt-2" onClick={drive}>
        Hear a made-up drive
      </button>
    </section>
  );
}
