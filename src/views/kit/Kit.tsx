import { useState } from 'react';
import {
  type Adapter,
  adapterFaults,
  type AdapterShape,
  adapterShapes,
  type KitName,
  kitNames,
  type Press,
} from '../../core/press/index.ts';
import { type Dimension } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call, faultOf } from '../shell/useJob.ts';
import { Gaps } from './Gaps.tsx';
import { ImportBox } from '../shell/ImportBox.tsx';
import { OnePiece } from './OnePiece.tsx';
import { Shelf } from './Shelf.tsx';
import { Tools } from './Tools.tsx';
import { useRecordDraft } from './useRecordDraft.ts';
import './kit.css';

interface Props {
  shop: string;
  pieces: Adapter[];
  presses: Press[];
  people: { id: string; name: string; lead: boolean }[];
  who: string;
}

type Figure = 'outerMm' | 'innerMm' | 'heightMm' | 'ratingKn' | 'recessMm' | 'pilotMm';
const fields: readonly { id: Figure; label: string; dimension: Dimension; may?: boolean }[] = [
  { id: 'outerMm', label: 'Outside diameter', dimension: 'length' },
  { id: 'innerMm', label: 'Inside diameter, 0 for solid', dimension: 'length' },
  { id: 'heightMm', label: 'Height', dimension: 'length' },
  { id: 'ratingKn', label: 'Rating', dimension: 'force' },
  { id: 'recessMm', label: 'Inside depth, if blind', dimension: 'length', may: true },
  { id: 'pilotMm', label: 'Guiding nose, if any', dimension: 'length', may: true },
];

/** What pieces have I got: all to one scale on one axis; add one, or import a table. */
export default function Kit({ shop, pieces: first, presses, people, who: firstWho }: Props) {
  const [pieces, setPieces] = useState(first);
  const [tools, setTools] = useState(presses);
  const [who, setWho] = useState(firstWho);
  const [open, setOpen] = useState<Adapter | undefined>();
  const [said, setSaid] = useState<string>();
  const [kit, setKit] = useState<KitName | 'all'>('all');
  const refreshTools = async () => {
    const r = await call<Press[]>('GET', '/api/records/presses');
    if (r.ok) setTools(r.value);
  };
  const refresh = async () => {
    const r = await call<Adapter[]>('GET', '/api/records/adapters');
    if (r.ok) setPieces(r.value);
  };
  return (
    <ShopPage
      shop={shop}
      note={`Adapter kit, ${tools.length} presses, rams and screws`}
      person={{ people, who, onWho: setWho }}
      title={`${pieces.length} pieces`}
      lines={[
        `${pieces.filter((p) => p.retired).length} retired`,
        'One scale, half-sections by inside diameter',
      ]}
    >
      <div className="pic">
        <div className="kit-pick">
          <Choices<KitName | 'all'>
            name="Kit"
            value={kit}
            onValue={setKit}
            options={[{ id: 'all', label: 'all' }, ...kitNames.map((id) => ({ id, label: id }))]}
          />
        </div>
        <Shelf
          pieces={kit === 'all' ? pieces : pieces.filter((p) => (p.kit ?? 'bench') === kit)}
          open={open?.id}
          onOpen={setOpen}
        />
      </div>
      <aside className="side" aria-label="Add or import">
        <div className="side-in">
          {said && <Call status="good">{said}</Call>}
          {open && (
            <OnePiece
              key={open.id}
              piece={open}
              onKept={async (a, text) => {
                setSaid(text);
                setOpen(a);
                await refresh();
              }}
            />
          )}
          <Gaps count={pieces.length} />
          <AddPiece
            onAdded={async (name) => {
              setSaid(`${name} is in the kit.`);
              await refresh();
            }}
          />
          <ImportBox kind="adapters" onTaken={refresh} />
          <Tools
            tools={tools}
            person={people.find((p) => p.id === who)}
            onKept={async (name) => {
              setSaid(`${name} is kept.`);
              await refreshTools();
            }}
          />
          <div className="grow" />
        </div>
      </aside>
    </ShopPage>
  );
}

function AddPiece({ onAdded }: { onAdded: (name: string) => void }) {
  const { draft, problem, name, id, set, isEmpty, figure, keep } = useRecordDraft('kit:new');
  const value = (field: Figure) => {
    const dimension = fields.find((x) => x.id === field)?.dimension ?? 'length';
    return figure(field, dimension) ?? Number.NaN;
  };
  const shape = draft['shape'] as AdapterShape | undefined;
  const piece: Adapter = {
    id,
    name,
    shape: shape ?? 'sleeve',
    outerMm: value('outerMm'),
    innerMm: value('innerMm'),
    heightMm: value('heightMm'),
    material: 'steel',
    ratingKn: value('ratingKn'),
    ...(Number.isFinite(value('recessMm')) ? { recessMm: value('recessMm') } : {}),
    ...(Number.isFinite(value('pilotMm')) ? { pilotMm: value('pilotMm') } : {}),
  };
  const complete = fields.every((f) => (f.may && isEmpty(f.id)) || Number.isFinite(value(f.id)));
  const faults = complete ? adapterFaults(piece) : [];
  const missing = firstThat(
    [!shape, 'Tap a shape'],
    [piece.id === '', 'Give it a name'],
    [!complete, 'Four figures'],
    [true, faults[0]?.reason],
  );
  const add = async () => {
    if (await keep('/api/adapters', piece)) onAdded(piece.name);
  };
  return (
    <section className="add-piece">
      <h2>Add a piece</h2>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (!missing) void add();
        }}
        className="grid gap-2"
      >
        <Choices
          name="Shape"
          value={shape}
          onValue={(v) => set('shape', v)}
          options={adapterShapes.map((s) => ({ id: s, label: s.replace('-', ' ') }))}
        />
        <label className="field">
          <span>Name</span>
          <input
            className="text-in"
            value={draft['name'] ?? ''}
            onChange={(e) => set('name', e.target.value)}
            maxLength={60}
          />
        </label>
        <div className="two-in">
          {fields.map((f) => (
            <QuantityInput
              key={f.id}
              compact
              label={f.label}
              dimension={f.dimension}
              decimals={1}
              text={draft[f.id] ?? ''}
              onText={(t) => set(f.id, t)}
              fault={faults.find((x) => x.field === f.id)?.reason ?? faultOf(problem, f.id)}
            />
          ))}
        </div>
        <MainAction type="submit" label="Add piece" missing={missing} />
      </form>
    </section>
  );
}
