import { keysOf } from '../../core/keys-of.ts';
import { useState } from 'react';
import {
  greased,
  type Press,
  pressFaults,
  type PressKind,
  pressKinds,
  ramForceKn,
  screwTorqueNm,
} from '../../core/press/index.ts';
import { type Dimension } from '../../core/units/index.ts';
import { both } from '../../ui/units.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { call, faultOf } from '../shell/useJob.ts';
import { ImportBox } from '../shell/ImportBox.tsx';
import { RetireTool } from '../shell/RetireTool.tsx';
import { leadHeaders, useLeadPin } from '../shell/useLeadPin.tsx';
import { useRecordDraft } from './useRecordDraft.ts';

type Figure =
  'capacityKn' | 'ramMm' | 'daylightMm' | 'strokeMm' | 'pistonMm' | 'rodMm' | 'pitchMm' | 'flankMm';
const words: Record<
  Figure,
  { label: string; dimension: Dimension; of?: readonly PressKind[]; may?: boolean }
> = {
  capacityKn: { label: 'Capacity', dimension: 'force' },
  ramMm: { label: 'Nose or washer, across', dimension: 'length' },
  daylightMm: { label: 'Daylight or usable length', dimension: 'length' },
  strokeMm: { label: 'Stroke', dimension: 'length', may: true },
  pistonMm: {
    label: 'Piston, for a bar gauge',
    dimension: 'length',
    of: ['press', 'ram'],
    may: true,
  },
  rodMm: { label: 'Screw, outside', dimension: 'length', of: ['screw'] },
  pitchMm: { label: 'Pitch', dimension: 'length', of: ['screw'] },
  flankMm: { label: 'Flank diameter', dimension: 'length', of: ['screw'] },
};
const figures = keysOf(words);

/** What gives the force, each with what it can do; and one more of them. */
export function Tools({
  tools,
  person,
  onKept,
}: {
  tools: readonly Press[];
  /** Whose hand it is; a lead answers for what presses. */
  person: { id: string; name: string } | undefined;
  onKept: (name: string) => void;
}) {
  const lead = useLeadPin(person);
  const [fault, setFault] = useState<string>();
  const retire = async ({ retired: _was, ...kept }: Press, why: string | undefined) => {
    const says = await lead.ask();
    if (!says) return;
    const record = why ? { ...kept, retired: why } : kept;
    const r = await call('POST', '/api/presses', record, 'application/json', leadHeaders(says));
    setFault(r.ok ? undefined : r.problem.detail);
    if (r.ok) onKept(kept.name);
  };
  return (
    <section className="tools">
      <h2>Presses, rams, screws</h2>
      {fault && (
        <p className="note" role="alert">
          {fault}
        </p>
      )}
      <table className="rows">
        <tbody>
          {tools.map((p) => (
            <tr key={p.id} className={p.retired ? 'retired' : ''}>
              <td>
                <b>{p.name}</b>
                <br />
                <span className="cap num">
                  {p.retired ? `${p.retired}, ` : ''}
                  opens {p.daylightMm} mm{p.strokeMm ? `, stroke ${p.strokeMm}` : ''}
                  {p.pistonMm ? `, 100 bar is ${ramForceKn(100, p.pistonMm).toFixed(0)} kN` : ''}
                  {p.screw
                    ? `, ${both(screwTorqueNm(10, p.screw), 'torque', 0).value} N·m for 10 kN`
                    : ''}
                </span>
              </td>
              <td className="figure">
                <b>{p.capacityKn}</b> kN
                <br />
                <RetireTool
                  what={p.name}
                  retired={p.retired !== undefined}
                  onRetire={(why) => retire(p, why)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <details className="more">
        <summary>Add a press, ram or screw</summary>
        <AddTool askLead={lead.ask} onKept={onKept} />
      </details>
      <details className="more">
        <summary>A file of presses, rams, screws</summary>
        {person && (
          <ImportBox kind="presses" title="" lead={person} onTaken={() => onKept('The table')} />
        )}
      </details>
      {lead.dialog}
    </section>
  );
}

function AddTool({
  askLead,
  onKept,
}: {
  askLead: ReturnType<typeof useLeadPin>['ask'];
  onKept: (name: string) => void;
}) {
  const { draft, problem, name, id, set, isEmpty, figure, keep } = useRecordDraft('kit:tool');
  const kind = draft['kind'] as PressKind | undefined;
  const shown = figures.filter(
    (f) => kind !== undefined && (words[f].of === undefined || words[f].of.includes(kind)),
  );
  const value = (f: Figure) => figure(f, words[f].dimension);
  const open = shown.find((f) => !(words[f].may && isEmpty(f)) && value(f) === undefined);
  const tool: Press | undefined =
    kind && name && !open
      ? {
          id,
          name,
          kind,
          capacityKn: value('capacityKn')!,
          ramMm: value('ramMm')!,
          daylightMm: value('daylightMm')!,
          ...(value('strokeMm') ? { strokeMm: value('strokeMm')! } : {}),
          ...(kind !== 'screw' && value('pistonMm') ? { pistonMm: value('pistonMm')! } : {}),
          ...(kind === 'screw'
            ? {
                screw: {
                  rodMm: value('rodMm')!,
                  pitchMm: value('pitchMm')!,
                  flankMm: value('flankMm')!,
                  threadDeg: 60,
                  faceMm: 0,
                  threadFriction: greased,
                  faceFriction: greased,
                },
              }
            : {}),
        }
      : undefined;
  const faults = tool ? pressFaults(tool) : [];
  const missing = firstThat(
    [!kind, 'Tap what it is'],
    [!name, 'Give it a name'],
    [open, open && words[open].label],
    [true, faults[0]?.reason],
  );
  const add = async () => {
    if (!tool) return;
    const says = await askLead();
    if (says && (await keep('/api/presses', tool, leadHeaders(says)))) onKept(tool.name);
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (!missing) void add();
      }}
      className="grid gap-2"
    >
      <Choices
        name="What it is"
        value={kind}
        onValue={(v) => set('kind', v)}
        options={pressKinds.map((k) => ({ id: k, label: k }))}
      />
      <label className="field">
        <span>Name of the tool</span>
        <input
          className="text-in"
          value={draft['name'] ?? ''}
          onChange={(e) => set('name', e.target.value)}
          maxLength={60}
        />
      </label>
      <div className="two-in">
        {shown.map((f) => (
          <QuantityInput
            key={f}
            compact
            label={words[f].label}
            dimension={words[f].dimension}
            decimals={1}
            text={draft[f] ?? ''}
            onText={(t) => set(f, t)}
            fault={faults.find((x) => x.field.endsWith(f))?.reason ?? faultOf(problem, f)}
          />
        ))}
      </div>
      <MainAction type="submit" label="Add tool" missing={missing} />
    </form>
  );
}
