import { type ReactNode, useState } from 'react';
import type { Instrument } from '../../core/fits/index.ts';

import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { recordId } from '../shell/recordId.ts';
import { ToolList, type ToolListProps } from './ToolList.tsx';
import { readTyped } from '../../ui/units.ts';

/** By how much a reading can be off, on a scale of tenfolds from a micrometre to a millimetre. */
function DoubtBar({ doubtMm }: { doubtMm: number }) {
  const x = (mm: number) => 8 + 180 * (Math.log10(mm) + 3);
  return (
    <svg className="drawing tool-scale" viewBox="0 0 600 40" aria-hidden="true">
      <path className="thin" d="M8 20H548" />
      {[0.001, 0.01, 0.1, 1].map((t) => (
        <g key={t}>
          <path className="thin" d={`M${x(t)} 14v12`} />
          <text className="cap" x={x(t)} y="38" textAnchor="middle">
            {t}
          </text>
        </g>
      ))}
      <rect
        className="expected-fill"
        x="8"
        y="12"
        width={Math.max(2, x(doubtMm) - 8)}
        height="10"
      />
    </svg>
  );
}

/** What measures here, the finest first: by how much a reading can be off. */
export function Instruments(props: ToolListProps) {
  return (
    <ToolList
      {...props}
      kind="instruments"
      title="Instruments"
      one="an instrument"
      none="None yet: no seat can be measured."
      tools={[...props.shop.instruments].sort((a, b) => a.doubtMm - b.doubtMm)}
      row={(i) => (
        <>
          <b>{i.name}</b> <span className="num">±{i.doubtMm} mm</span>{' '}
          <span className="cap">{i.retired}</span>
          <DoubtBar doubtMm={i.doubtMm} />
        </>
      )}
      form={(keep, fault) => <NewInstrument keep={keep} fault={fault} />}
    />
  );
}

function NewInstrument({
  keep,
  fault,
}: {
  keep: (i: Instrument) => Promise<boolean>;
  fault: ReactNode;
}) {
  const [name, setName] = useState('');
  const [doubt, setDoubt] = useState('');
  const read = readTyped(doubt, 'length');
  const add = async () => {
    if (!read.ok) return;
    if (!(await keep({ id: recordId(name), name: name.trim(), doubtMm: read.value }))) return;
    setName('');
    setDoubt('');
  };
  return (
    <>
      <Field label="Name of the instrument" text={name} onText={setName} />
      <QuantityInput
        label="A reading can be off by"
        dimension="length"
        decimals={3}
        text={doubt}
        onText={setDoubt}
        hint="Bore gauge and micrometer about 0.003, caliper 0.03"
      />
      {fault}
      <MainAction
        label="Keep this instrument"
        missing={firstThat(
          [recordId(name) === '', 'Type its name'],
          [!read.ok, 'Type by how much it can be off'],
        )}
        onAct={add}
      />
    </>
  );
}
