import { keysOf } from '../../core/keys-of.ts';
import { type ReactNode, useState } from 'react';
import { trustedRange, type Wrench } from '../../core/torque/index.ts';

import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { recordId } from '../shell/recordId.ts';
import { ToolList, type ToolListProps } from './ToolList.tsx';
import { readTyped } from '../../ui/units.ts';

const types: Record<Wrench['type'], string> = {
  click: 'click',
  beam: 'beam',
  digital: 'digital',
  'angle-gauge': 'angle gauge',
  multiplier: 'multiplier',
  offset: 'offset adapter',
  bar: 'bar',
  hand: 'by hand',
};
const torqueTypes: readonly Wrench['type'][] = ['click', 'beam', 'digital'];

/** Every tool on one torque scale: the bar is where it can be trusted. */
function TorqueScale({ wrenches }: { wrenches: readonly Wrench[] }) {
  const measuring = wrenches.flatMap((w) => {
    if (w.type === 'multiplier') return [];
    const range = trustedRange(w);
    return range ? [{ w, ...range }] : [];
  });
  if (measuring.length === 0) return null;
  const most = Math.max(100, ...measuring.map((m) => m.high));
  const step = [25, 50, 100, 200].find((s) => most / s <= 6) ?? 500;
  const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
  const x = (nm: number) => 8 + (560 * nm) / most;
  const bottom = 14 + measuring.length * 46;
  return (
    <svg
      className="drawing tool-scale"
      viewBox={`0 0 600 ${bottom + 28}`}
      role="img"
      aria-label={measuring
        .map((m) => `${m.w.name}: trusted from ${m.low.toFixed(0)} to ${m.high} N·m`)
        .join('; ')}
    >
      {ticks.map((t) => (
        <g key={t}>
          <path className="thin" d={`M${x(t)} 4V${bottom}`} />
          <text className="figure" x={x(t)} y={bottom + 20} textAnchor="middle">
            {t}
          </text>
        </g>
      ))}
      {measuring.map((m, i) => (
        <g key={m.w.id} className={m.w.retired ? 'retired' : ''}>
          <text x={x(m.low)} y={20 + i * 46}>
            {m.w.name}
          </text>
          <rect
            className="expected-fill"
            x={x(m.low)}
            y={26 + i * 46}
            width={x(m.high) - x(m.low)}
            height="18"
          />
          <path
            className="out"
            d={`M${x(m.low)} ${26 + i * 46}v18M${x(m.high)} ${26 + i * 46}v18`}
          />
        </g>
      ))}
      <text className="cap" x="596" y={bottom + 20} textAnchor="end">
        N·m
      </text>
    </svg>
  );
}

/** Until when it is calibrated; one that is over is told here, before it is in somebody's hand. */
function Calibration({ due, today }: { due: string; today: string }) {
  return due < today ? (
    <span className="verdict-line check">
      <VerdictShape status="check" size={18} />
      calibration over since {due}
    </span>
  ) : (
    <span className="cap">, calibrated to {due}</span>
  );
}

/** What tightens here: each with the range it can be trusted in. `today` is a date of the shop's zone. */
export function TorqueTools({ today, ...props }: ToolListProps & { today: string }) {
  const { wrenches } = props.shop;
  return (
    <ToolList
      {...props}
      kind="wrenches"
      title="Torque tools"
      one="a torque tool"
      none="None yet: no torque can be read."
      picture={<TorqueScale wrenches={wrenches} />}
      tools={wrenches}
      row={(w) => (
        <>
          <b>{w.name}</b>{' '}
          <span className="cap">
            {types[w.type]}
            {w.retired ? `, ${w.retired}` : ''}
          </span>{' '}
          {w.calibrationDue && !w.retired && <Calibration due={w.calibrationDue} today={today} />}
        </>
      )}
      form={(keep, fault) => <NewTorqueTool keep={keep} fault={fault} />}
    />
  );
}

function NewTorqueTool({
  keep,
  fault,
}: {
  keep: (w: Wrench) => Promise<boolean>;
  fault: ReactNode;
}) {
  const [name, setName] = useState('');
  const [type, setType] = useState<Wrench['type']>();
  const [most, setMost] = useState('');
  const [due, setDue] = useState('');
  const [length, setLength] = useState('');
  const [off, setOff] = useState('');
  const [ratio, setRatio] = useState('');
  const max = readTyped(most, 'torque');
  const [grip, deviation, gain] = [
    readTyped(length, 'length'),
    readTyped(off, 'share'),
    readTyped(ratio, 'ratio'),
  ];
  const measures = type !== undefined && torqueTypes.includes(type);
  const add = async () => {
    if (!type) return;
    const wrench: Wrench = {
      id: recordId(name),
      name: name.trim(),
      type,
      ...(measures && max.ok ? { maxNm: max.value } : {}),
      ...(due ? { calibrationDue: due } : {}),
      ...(grip.ok && type !== 'multiplier' ? { lengthMm: grip.value } : {}),
      ...(measures && deviation.ok ? { deviationPct: deviation.value } : {}),
      ...(type === 'multiplier' && gain.ok ? { ratio: gain.value } : {}),
    };
    if (!(await keep(wrench))) return;
    setName('');
    for (const clear of [setMost, setLength, setOff, setRatio]) clear('');
  };
  return (
    <>
      <Field label="Name of the tool" text={name} onText={setName} />
      <Choices
        name="Kind of tool"
        value={type}
        onValue={setType}
        options={keysOf(types).map((id) => ({ id, label: types[id] }))}
      />
      {measures && (
        <QuantityInput label="Largest value" dimension="torque" text={most} onText={setMost} />
      )}
      {type !== undefined && type !== 'multiplier' && type !== 'angle-gauge' && (
        <QuantityInput
          label="Square to grip mark, if known"
          dimension="length"
          text={length}
          onText={setLength}
        />
      )}
      {type === 'multiplier' && (
        <QuantityInput
          label="Turns in for one turn out"
          dimension="ratio"
          text={ratio}
          onText={setRatio}
        />
      )}
      {measures && (
        <QuantityInput
          label="Shows too much (+) or too little (−) at its last calibration, %"
          dimension="share"
          text={off}
          onText={setOff}
        />
      )}
      {measures && (
        <label className="field">
          <span>Calibration due, if known</span>
          <input
            className="text-in"
            type="date"
            value={due}
            onChange={(e) => setDue(e.target.value)}
          />
        </label>
      )}
      {fault}
      <MainAction
        label="Keep this tool"
        missing={firstThat(
          [recordId(name) === '', 'Type its name'],
          [!type, 'Tap its kind'],
          [measures && !max.ok, 'Type its largest value'],
          [type === 'multiplier' && !gain.ok, 'Type its ratio'],
        )}
        onAct={add}
      />
    </>
  );
}
