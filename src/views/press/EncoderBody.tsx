import { useState, type ReactNode } from 'react';
import { sensorSide, workOf } from '../../core/job/index.ts';
import type { Side } from '../../core/parts.ts';
import { Call, Caution, Choices, MainAction } from '../../ui/Panels.tsx';
import { BearingHalf } from '../../ui/section/BearingHalf.tsx';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';

/** Which face carries the magnet, as the bearing lies now; the stroke stays locked until it is right. */
export function EncoderBody({ kicker, tabs, onNext }: { kicker: string; tabs: ReactNode; onNext: () => void }) {
  const { view, send } = useJob();
  const { ctx, state, choices } = view;
  const work = workOf(ctx, choices);
  const [side, setSide] = useState<Side | undefined>(state.encoderChecked?.side);
  const [method, setMethod] = useState<'viewing-card' | 'paper-clip' | undefined>(state.encoderChecked?.method);
  const sensor = sensorSide(ctx);
  const checked = state.encoderChecked;
  const right = checked?.side === sensor;
  const fresh = side !== checked?.side || method !== checked?.method;
  return (
    <StationBody
      kicker={kicker} title="Which way does the encoder face?" tabs={tabs}
      picture={work ? <EncoderPicture bearing={work.bearing} sensor={sensor} side={side} /> : <p className="note">Dimensions are not on record.</p>}
      side={
        <>
          <Call status={!checked ? 'check' : right ? 'good' : 'stop'}>{!checked ? 'Hold the viewing card to both faces before the bearing goes near the press.' : right ? `Encoder faces ${sensor}, to the sensor.` : `Encoder would face ${checked.side}; the sensor sits ${sensor}. Turn the bearing over: pressed in like this it is lost.`}</Call>
          <section><h2>The magnet shows on the face that will look</h2><Choices name="Encoder faces" value={side} onValue={setSide} options={[{ id: 'inboard', label: 'inboard' }, { id: 'outboard', label: 'outboard' }]} /></section>
          <section><h2>Found with</h2><Choices name="Found with" value={method} onValue={setMethod} options={[{ id: 'viewing-card', label: 'viewing card' }, { id: 'paper-clip', label: 'paper clip' }]} /></section>
          <section className="p-0!"><Caution why="A magnet wipes the encoder; the lamp comes on and the bearing has to come out again.">Never find it with a magnet. Keep trays and pick-ups away.</Caution></section>
          <div className="grow" />
        </>
      }
      actions={right && !fresh ? <MainAction label="Next" onAct={onNext} /> : <MainAction label={checked && !right ? 'Record again' : 'Record side'} missing={!side ? 'Tap the side' : !method ? 'Tap what it was found with' : undefined} onAct={() => side && method && send('encoder-checked', { side, method })} />}
    />
  );
}

/** Section as fitted: outboard left, inboard right, the sensor where it sits. */
function EncoderPicture({ bearing, sensor, side }: { bearing: Parameters<typeof BearingHalf>[0]['b']; sensor: Side; side: Side | undefined }) {
  const marks = useMarks();
  const u = Math.min(5, 190 / (bearing.outerMm / 2));
  const w = bearing.widthMm * u;
  const wrong = side !== undefined && side !== sensor;
  const sx = sensor === 'inboard' ? 300 + w / 2 + 12 : 300 - w / 2 - 62;
  return (
    <svg className="dr enc" viewBox="0 0 600 440" role="img" aria-label={side ? `Encoder faces ${side}, sensor sits ${sensor}` : `Sensor sits ${sensor}`}>
      <Defs id={marks.id} />
      <g transform={`translate(${300 - w / 2} 400) rotate(-90)`}><BearingHalf b={bearing} at={{ ax: 0, u }} top={0} marks={marks} encoderUp={side === undefined ? undefined : side === 'outboard'} wrong={wrong} /></g>
      <path className="axis" d="M30 400H570" />
      <path className={`out ${wrong ? 'f-paper' : 'f-sheet'}`} d={`M${sx} ${400 - (bearing.pitchMm / 2) * u - 18}h50v36h-50z`} /><text x={sx + 25} y={400 - (bearing.pitchMm / 2) * u - 30} textAnchor="middle">sensor</text>
      <text x="70" y="392">outboard, to the wheel</text><text x="530" y="392" textAnchor="end">inboard</text>
      {wrong && <><text className="st" x="300" y="40" textAnchor="middle" fontSize="20">air gap grows by about {bearing.widthMm} mm: no signal</text><path className="prj" d={`M${sensor === 'inboard' ? 300 - w / 2 : 300 + w / 2} 60H${sx + 25}`} /></>}
      {side !== undefined && !wrong && <text className="b" x="300" y="40" textAnchor="middle" fontSize="18">encoder {side}, at the sensor</text>}
    </svg>
  );
}
