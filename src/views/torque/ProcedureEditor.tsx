import { Plus, X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { v7 as uuid } from 'uuid';
import {
  type Locking,
  type Procedure,
  type Stage,
  stageUnit,
  type TypedProcedure,
} from '../../core/torque/index.ts';
import { type Dimension } from '../../core/units/index.ts';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { NutFace } from './NutFace.tsx';
import { stageFigure } from './stageFigure.ts';
import { readTyped } from '../../ui/units.ts';

interface StageDraft {
  id: string;
  kind: Stage['kind'];
  value: string;
  tolerance: string;
  wheel: Stage['wheel'];
}

const kinds: readonly { id: Stage['kind']; name: string; text: string; why: string }[] = [
  { id: 'torque', name: 'torque', text: 'Pull to the torque', why: 'As the procedure says.' },
  { id: 'angle', name: 'angle', text: 'Turn by the paint mark', why: 'The angle sets the clamp.' },
  { id: 'back-off', name: 'back off', text: 'Back off', why: 'Takes the load off again.' },
  {
    id: 'turn-hub',
    name: 'turn hub',
    text: 'Turn the hub by hand',
    why: 'The rolling parts find their track.',
  },
  { id: 'wait', name: 'wait', text: 'Wait, hands off', why: 'The parts settle under the load.' },
  {
    id: 'drag',
    name: 'drag',
    text: 'Read the drag of the hub',
    why: 'Preload is felt as drag: not more than this.',
  },
  {
    id: 'recheck',
    name: 'recheck',
    text: 'Check the torque once more',
    why: 'What has settled has lost some.',
  },
  { id: 'lock', name: 'lock', text: 'Lock the nut', why: 'It must not turn back.' },
];
const kindOf = (id: Stage['kind']) => kinds.find((k) => k.id === id)!;

const fresh = (kind: Stage['kind']): StageDraft => ({
  id: uuid(),
  kind,
  value: '',
  tolerance: '',
  wheel: 'air',
});

/** What is typed for a stage: minutes of a wait are counted; nothing for a lock. */
const unitOf = (kind: Stage['kind']): Dimension | undefined =>
  kind === 'wait' ? 'count' : stageUnit({ kind } as Stage);

/** A figure of a stage as typed; undefined while it cannot be read. */
function figure(text: string, kind: Stage['kind']): number | undefined {
  const unit = unitOf(kind);
  const parsed = unit && readTyped(text, unit);
  return parsed?.ok ? parsed.value : undefined;
}

/** A stage from its draft; undefined while a figure is missing. */
function stageOf(d: StageDraft, i: number): Stage | undefined {
  const { text, why } = kindOf(d.kind);
  const base = { id: `s${i + 1}`, kind: d.kind, text, why, wheel: d.wheel };
  if (d.kind === 'lock') return base;
  const value = figure(d.value, d.kind);
  if (value === undefined || value <= 0) return undefined;
  const tolerance = d.tolerance.trim() === '' ? undefined : figure(d.tolerance, d.kind);
  if (d.tolerance.trim() !== '' && tolerance === undefined) return undefined;
  return { ...base, value, ...(tolerance === undefined ? {} : { tolerance }) };
}

/** Ways to lock a nut, as they are chosen. */
const locks: Readonly<Record<string, Locking>> = {
  stake: { kind: 'stake' },
  'castle, clamps': { kind: 'castle', holds: 'clamp' },
  'castle, end play': { kind: 'castle', holds: 'end-play' },
  'lock plate': { kind: 'plate' },
  tab: { kind: 'tab' },
  'lock screw': { kind: 'screw' },
  'self-locking': { kind: 'self-locking' },
};

const threads = ['dry', 'oiled', 'threadlocker'] as const satisfies readonly Procedure['thread'][];

/** The procedure of a nut that has none on record, typed from the maker's data stage by stage; each is drawn as it is typed. */
export function ProcedureEditor({ bar }: { bar: ReactNode }) {
  const { view, send, problem } = useJob();
  const [stages, setStages] = useState<StageDraft[]>([fresh('torque')]);
  const [open, setOpen] = useState(0);
  const [hex, setHex] = useState('');
  const [thread, setThread] = useState<Procedure['thread']>();
  const [used, setUsed] = useState<'once' | 'stretch' | 'again'>();
  const [source, setSource] = useState('');
  const [size, setSize] = useState('');
  const [grade, setGrade] = useState('');
  const [lock, setLock] = useState<string>();
  const made = stages.map(stageOf);
  const missing = made.findIndex((s) => s === undefined);
  const hexMm = readTyped(hex, 'length');
  const set = (i: number, change: Partial<StageDraft>) =>
    setStages(stages.map((s, k) => (k === i ? { ...s, ...change } : s)));
  const add = (kind: Stage['kind']) => {
    setStages([...stages, fresh(kind)]);
    setOpen(stages.length);
  };
  const keep = async () => {
    if (!hexMm.ok || !thread || !used || missing >= 0) return;
    const { unit, corner } = view.ctx;
    const procedure: TypedProcedure = {
      id: uuid(),
      name: `Centre nut, unit ${unit.fleetNo} ${corner}`,
      fastener: 'Axle nut',
      stretch: used === 'stretch',
      singleUse: used !== 'again',
      thread,
      ...(size.trim() ? { size: size.trim() } : {}),
      ...(grade.trim() ? { grade: grade.trim() } : {}),
      hexMm: hexMm.value,
      ...(lock && stages.some((x) => x.kind === 'lock') ? { locking: locks[lock]! } : {}),
      stages: made as Stage[],
      source: source.trim(),
    };
    await send('procedure-entered', { procedure });
  };
  const shown = made[open];
  const fault = faultOf(problem, 'procedure', 'body.procedure');
  return (
    <StationBody
      kicker="Torque, 2 of 2"
      title="What does the maker say of this nut?"
      tabs={bar}
      picture={
        <div className="torque-grid">
          <ol className="stages">
            {stages.map((d, i) => (
              <li key={d.id} className={i === open ? 'now' : ''}>
                <button type="button" className="stage-pick" onClick={() => setOpen(i)}>
                  <span className="index num">{i + 1}</span>
                  <StageLine draft={d} stage={made[i]} />
                </button>
              </li>
            ))}
            <li className="add-stage">
              {kinds.map((k) => (
                <button
                  key={k.id}
                  type="button"
                  className="btn quiet small"
                  onClick={() => add(k.id)}
                >
                  <Plus aria-hidden="true" />
                  {k.name}
                </button>
              ))}
            </li>
          </ol>
          <div className="nut">
            {shown ? (
              <NutFace stage={shown} actual={undefined} studs={0} />
            ) : (
              <p className="note big">Type the figure of this stage: it is drawn here.</p>
            )}
          </div>
        </div>
      }
      side={
        <>
          <Call status="to-do">
            No procedure on record. Type it as it stands in the maker’s data, with the page; a
            second person checks it or answers for it.
          </Call>
          {stages[open] && (
            <StageFields
              at={open}
              draft={stages[open]}
              onChange={(c) => set(open, c)}
              onRemove={
                stages.length > 1
                  ? () => {
                      setStages(stages.filter((_, k) => k !== open));
                      setOpen(0);
                    }
                  : undefined
              }
            />
          )}
          <section className="grid gap-2">
            <h2>The nut</h2>
            <QuantityInput
              compact
              label="Across flats"
              dimension="length"
              text={hex}
              onText={setHex}
            />
            <div className="pair-in">
              <Field compact label="Thread, as M22 × 1.5" text={size} onText={setSize} />
              <Field compact label="Grade" text={grade} onText={setGrade} />
            </div>
            <Choices
              name="Thread"
              value={thread}
              onValue={setThread}
              options={threads.map((id) => ({ id, label: id }))}
            />
            <Choices
              name="Used"
              value={used}
              onValue={setUsed}
              options={[
                { id: 'once', label: 'once' },
                { id: 'stretch', label: 'once, stretched' },
                { id: 'again', label: 'again' },
              ]}
            />
            {stages.some((x) => x.kind === 'lock') && (
              <Choices
                name="Locked by"
                value={lock}
                onValue={setLock}
                options={Object.keys(locks).map((id) => ({ id, label: id }))}
              />
            )}
            <Field label="Where it stands: book, page, plate" text={source} onText={setSource} />
            {fault && (
              <p className="note" role="alert">
                {fault}
              </p>
            )}
          </section>
        </>
      }
      actions={
        <MainAction
          label="Keep this procedure"
          missing={firstThat(
            [missing >= 0, `Stage ${missing + 1}: type its figure`],
            [!hexMm.ok, 'Type the size of the nut'],
            [!thread, 'Tap the state of the thread'],
            [!used, 'Tap whether the nut is used again'],
            [source.trim() === '', 'Say where it stands'],
          )}
          onAct={keep}
        />
      }
    />
  );
}

function StageLine({ draft, stage }: { draft: StageDraft; stage: Stage | undefined }) {
  const f = stage && stageFigure(stage);
  return (
    <p>
      <b className="num">
        {f ? f.value : '?'} <small>{f?.unit}</small>
      </b>
      <span>{kindOf(draft.kind).text.toLowerCase()}</span>
    </p>
  );
}

function StageFields({
  at,
  draft,
  onChange,
  onRemove,
}: {
  at: number;
  draft: StageDraft;
  onChange: (change: Partial<StageDraft>) => void;
  onRemove: (() => void) | undefined;
}) {
  const unit = unitOf(draft.kind);
  return (
    <section className="grid gap-2">
      <h2>Stage {at + 1}</h2>
      <Choices
        name={`Stage ${at + 1}`}
        value={draft.kind}
        onValue={(kind) => onChange({ kind, value: '', tolerance: '' })}
        options={kinds.map((k) => ({ id: k.id, label: k.name }))}
      />
      {unit && (
        <div className="pair-in">
          <QuantityInput
            compact
            label={`${draft.kind === 'wait' ? 'Minutes' : 'Figure'}, stage ${at + 1}`}
            dimension={unit}
            text={draft.value}
            onText={(value) => onChange({ value })}
          />
          {draft.kind !== 'turn-hub' && draft.kind !== 'wait' && (
            <QuantityInput
              compact
              label="± as printed"
              dimension={unit}
              text={draft.tolerance}
              onText={(tolerance) => onChange({ tolerance })}
            />
          )}
        </div>
      )}
      <Choices
        name={`Wheel, stage ${at + 1}`}
        value={draft.wheel}
        onValue={(wheel) => onChange({ wheel })}
        options={[
          { id: 'air', label: 'wheel in the air' },
          { id: 'ground', label: 'on the ground' },
        ]}
      />
      {onRemove && (
        <button type="button" className="link inline-flex items-center gap-1" onClick={onRemove}>
          <X aria-hidden="true" /> Take this stage out
        </button>
      )}
    </section>
  );
}
