import { useState } from 'react';
import { blockedBy, candidatesFor, chosenPart, cornerRecord, missingFor, openItems, ringSets, type ItemState } from '../../core/job/index.ts';
import { families, familyByCode, p1Items } from '../../core/families/index.ts';
import { sizeInShort } from '../../core/matching/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { JobSheet, StationBody, Tabs, type SheetProps } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { useJob } from '../shell/useJob.ts';
import { useTab } from '../press/PressOut.tsx';
import { BenchAxis, itemStates, ItemMark } from './BenchAxis.tsx';
import { OldOverNew } from './OldOverNew.tsx';

export default function Match(props: SheetProps) {
  return <JobSheet {...props} station="match"><Body /></JobSheet>;
}

const tabs = [{ id: 'part', name: 'Part' }, { id: 'bench', name: 'On the bench' }] as const;
type Tab = (typeof tabs)[number]['id'];

/** Provisional until the old part lies on the bench: which part, and is everything here that the job uses up. */
function Body() {
  const { view, send, choose } = useJob();
  const { ctx, state, choices, job } = view;
  const [open, setOpen] = useTab<Tab>(`match:${job.id}`, 'part');
  const part = chosenPart(ctx, choices);
  const chosen = choices.match !== undefined;
  const open_ = openItems(view);
  const bar = <Tabs tabs={tabs} open={open} done={[...(chosen ? ['part' as const] : []), ...(open_.length === 0 ? ['bench' as const] : [])]} onOpen={setOpen} />;
  const finish = async () => { if (state.done.includes('match') || (await send('station-done', { station: 'match' }))) location.assign(`/jobs/${job.id}/plan`); };
  const blocked = blockedBy(view);
  if (blocked || !cornerRecord(ctx)) return <OtherFamily />;
  if (open === 'bench') return <Bench bar={bar} finish={finish} />;
  const named = cornerRecord(ctx)?.partNumber;
  const same = part ? ringSets(ctx).filter((p) => p.bearing.outerMm === part.bearing.outerMm && p.bearing.boreMm === part.bearing.boreMm) : [];
  const list = Object.keys(state.oldReadings).length > 0 ? candidatesFor(ctx, state).map((c) => c.part) : same;
  return (
    <StationBody
      kicker="Match, provisional: the old part on the bench decides" title={part ? `${part.maker} ${part.number}` : 'Which part?'} tabs={bar}
      picture={part ? <div className="match-pic"><OldOverNew part={part.bearing} partName={part.number} old={state.oldReadings} lit={undefined} nominal encoderSide={cornerRecord(ctx)?.sensorSide} />
        <table className="rows"><tbody>
          <tr><th>Size, bore × outside × width</th><td className="n"><b>{sizeInShort(part.bearing)}</b></td></tr>
          <tr><th>Encoder</th><td className="n"><b>{part.bearing.encoder.kind === 'none' ? 'none' : `${part.bearing.encoder.pairs} ${part.bearing.encoder.kind === 'magnetic' ? 'pole pairs' : 'teeth'}`}</b></td></tr>
          <tr><th>Static rating</th><td className="n"><b>{part.bearing.staticRatingKn} kN</b></td></tr>
          <tr><th>Snap ring in the box</th><td className="n"><b>{part.snapRingIncluded ? 'yes' : 'no'}</b></td></tr>
          <tr><th>Record</th><td className="n">{cornerRecord(ctx)?.source}</td></tr>
        </tbody></table></div> : <p className="note">The unit’s record names no part for this corner. Choose one by its size.</p>}
      side={
        <>
          <Call status="check">{part ? `${familyByCode(cornerRecord(ctx)!.family)?.name}. ${part.number === named ? 'The unit’s record names this part.' : 'Chosen by hand: the record names another.'} Confirmed at the bench after Press out.` : 'No part chosen.'}</Call>
          <section className="cands"><h2>Same size in the catalogue</h2>{list.map((p) => (
            <article key={p.number} className={p.number === part?.number ? 'on' : ''}><p><b>{p.maker} {p.number}</b><span className="cap">{p.stock > 0 ? `${p.stock} in stock` : `${p.leadDays} days`}</span></p>
              <div className="marks"><span className="cap num">{sizeInShort(p.bearing)}, {p.bearing.encoder.pairs || 'no'} {p.bearing.encoder.pairs ? 'pairs' : 'encoder'}, {(p.priceMinor / 100).toFixed(2)} {p.currency}</span>{p.number === part?.number && chosen ? <em>chosen</em> : <button type="button" className="link" onClick={() => choose('match', { partNumber: p.number })}>Choose</button>}</div></article>
          ))}</section>
          <div className="grow" />
        </>
      }
      actions={chosen ? <MainAction label="On to the bench list" onAct={() => setOpen('bench')} /> : <MainAction label={part ? `Take ${part.number}` : 'Take part'} missing={part ? undefined : 'No part named'} onAct={async () => { if (part && (await choose('match', { partNumber: part.number }))) setOpen('bench'); }} />}
    />
  );
}

/** What the job uses up, laid out along the axis in the order it goes on. */
function Bench({ bar, finish }: { bar: React.ReactNode; finish: () => void }) {
  const { view, send } = useJob();
  const { state } = view;
  const [owning, setOwning] = useState<string>();
  const missing = openItems(view);
  const inHand = p1Items.filter((i) => state.items[i.id] === 'in-hand').length;
  const owned = state.overrides.filter((o) => o.rule.startsWith('match.open-item:'));
  const part = chosenPart(view.ctx, view.choices);
  const gate = missingFor('match', view)[0];
  return (
    <StationBody
      kicker="Match, 2 of 2" title="Is everything on the bench?" tabs={bar}
      picture={<BenchAxis items={state.items} part={part} onState={(itemId, s) => send('item-marked', { itemId, state: s })} />}
      side={
        <>
          <Call status={missing.length === 0 ? 'good' : 'check'}>{missing.length === 0 ? 'Everything the job uses up is here.' : `Work can start. It stops at “${p1Items.find((i) => i.id === missing[0]!.id)?.blocksText}” unless it comes.`}</Call>
          <section><p><b className="num text-[52px] leading-none">{inHand}</b> <span className="note">of {p1Items.length} in hand</span></p></section>
          <section><h2>Missing</h2>{missing.length === 0 && <p className="note">Nothing.</p>}
            <ul>{missing.map((i) => <li key={i.id} className="miss"><ItemMark state={state.items[i.id]} /><span><b>{i.name}</b><br /><span className="cap">blocks {i.blocksText}</span></span><button type="button" className="link" onClick={() => setOwning(i.id)}>Answer for it</button></li>)}</ul>
            {owned.map((o) => <p key={o.rule} className="cap mt-2">{view.people.find((p) => p.id === o.byId)?.name} answers for {o.rule.split(':')[1]!.replace('-', ' ')}: {o.reason}</p>)}
          </section>
          <section><h2>Marks, tap to change</h2><ul className="legend2">{itemStates.map(([s, name]) => <li key={s}><ItemMark state={s} /> {name}</li>)}</ul></section>
          <div className="grow" />
          {owning && <PinDialog title={`Start without ${p1Items.find((i) => i.id === owning)?.name.toLowerCase()}?`} text="The job can go on; it stops where the part is needed. Name and reason are kept on the job card." reason onClose={() => setOwning(undefined)} onPin={(pin, reason) => send('overridden', { rule: `match.open-item:${owning}`, reason }, pin)} />}
        </>
      }
      actions={<><MainAction label="All here" missing={gate} onAct={finish} />{missing.length > 1 && <button type="button" className="btn q small" onClick={async () => { for (const i of missing) await send('item-marked', { itemId: i.id, state: 'in-hand' as ItemState }); }}>Mark all in hand</button>}</>}
    />
  );
}

/** A family or a corner that this version does not walk: said plainly, with what can be done. */
function OtherFamily() {
  const { view, send } = useJob();
  const record = cornerRecord(view.ctx);
  const family = familyByCode(record?.family ?? '');
  return (
    <StationBody
      kicker="Match" title={family?.name ?? 'No record of this corner'}
      picture={<div className="fam"><p className="note big">{family ? family.seen : 'The unit’s record says nothing of this corner. A lead imports it from the maker’s data; nothing is guessed.'}</p>{family && <p className="note big">{family.out}</p>}
        <h2>Families</h2><ul>{families.map((f) => <li key={f.code} className={f.code === family?.code ? 'on' : ''}><b>{f.name}</b><span>{f.seen}</span></li>)}</ul></div>}
      side={<><Call status="stop">{family ? `${family.name}: this version walks pressed-in bearings to the end. Work this one by the maker’s instructions.` : 'No record, no part.'}</Call><div className="grow" /></>}
      actions={<MainAction label="Close this job" onAct={() => send('job-closed', { reason: `${family?.name ?? 'No record'}: worked outside True Spindle` })} />}
    />
  );
}
