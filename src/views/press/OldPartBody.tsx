import { useState, type ReactNode } from 'react';
import { candidatesFor, chosenComparison, chosenPart, instrumentById } from '../../core/job/index.ts';
import { dimensionNames, dimensions, dimensionShort, meanOf, readingFault, sizeInShort, type Comparison, type DimensionId } from '../../core/matching/index.ts';
import { resultInWords, testById } from '../../core/diagnosis/index.ts';
import type { Corner, Encoder, Side } from '../../core/parts.ts';
import { both, parseQuantity } from '../../core/units/index.ts';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { VerdictWord } from '../../ui/Marks.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { OldOverNew } from '../match/OldOverNew.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';

/** Is the old one the same as the new? Read on the bench, dimension by dimension, then accepted or chosen again. */
export function OldPartBody({ kicker, tabs, onNext }: { kicker: string; tabs: ReactNode; onNext: () => void }) {
  const { view, send, choose } = useJob();
  const { ctx, state, choices } = view;
  const part = chosenPart(ctx, choices);
  const own = chosenComparison(ctx, state, choices);
  const list = candidatesFor(ctx, state);
  const count = (d: DimensionId) => state.oldReadings[d]?.length ?? 0;
  const due = dimensions.find((d) => count(d) < 2);
  const [picked, setPicked] = useState<DimensionId | 'encoder' | 'bench'>();
  const turned = state.results.find((r) => r.testId === 'bench' && r.place === ctx.corner);
  const lit = picked === 'bench' || picked === 'encoder' ? undefined : (picked ?? due);
  const onBench = picked === 'bench' || (picked === undefined && !due && state.oldEncoder && !turned);
  const instrument = instrumentById(ctx, state.oldInstrumentId);
  const toGo = dimensions.reduce((n, d) => n + Math.max(0, 2 - count(d)), 0) + (state.oldEncoder ? 0 : 1);
  const accept = async () => { if (part && (await send('part-confirmed', { partNumber: part.number }))) onNext(); };
  const status = toGo > 0 ? 'check' : (own?.status ?? 'stop');
  return (
    <StationBody
      kicker={kicker} title="Same as the new one?" tabs={tabs}
      picture={part ? (
        <div className="old-grid">
          <div className="old-entry">
            {lit ? <Entry key={lit} dimension={lit} n={Math.min(2, count(lit) + 1)} onDone={() => setPicked(undefined)} /> : onBench ? <BenchEntry onDone={() => setPicked(undefined)} /> : <EncoderEntry />}
            <ul className="read-list">{dimensions.map((d) => <li key={d}><button type="button" aria-pressed={lit === d} onClick={() => setPicked(d)}><span>{dimensionNames[d]}</span><b className="num">{(state.oldReadings[d] ?? []).map((x) => x.toFixed(2)).join(' · ') || 'not read'}</b></button></li>)}
              <li><button type="button" aria-pressed={!lit && !onBench} onClick={() => setPicked('encoder')}><span>Encoder</span><b className="num">{state.oldEncoder ? encoderWords(state.oldEncoder) : 'not read'}</b></button></li>
              <li><button type="button" aria-pressed={onBench} onClick={() => setPicked('bench')}><span>Turned by hand</span><b className="num">{turned && !turned.skipped ? resultInWords(testById('bench')!, turned).split(': ')[1] : 'not done'}</b></button></li></ul>
          </div>
          <OldOverNew part={part.bearing} partName={part.number} old={state.oldReadings} lit={lit} encoderSide={state.oldEncoder?.side} />
        </div>
      ) : <p className="note">No part is chosen at Match.</p>}
      side={
        <>
          <Call status={status}>{toGo > 0 ? `${toGo} ${toGo === 1 ? 'reading' : 'readings'} to go${instrument ? ` with the ${instrument.name}` : ''}.` : own?.status === 'good' ? `${part?.number} is the same where it matters.` : own?.blockers[0]?.text ?? `${part?.number} is within doubt: measure again with a finer instrument.`}</Call>
          <section className="cands"><p className="legend"><span><Sign mark="same" /> same</span><span><Sign mark="doubt" /> in doubt</span><span><Sign mark="different" /> different</span></p>
            {list.map((c) => <Candidate key={c.part.number} c={c} chosen={c.part.number === part?.number} onChoose={() => choose('match', { partNumber: c.part.number })} />)}
          </section>
          <div className="grow" />
        </>
      }
      actions={<MainAction label={state.partConfirmed === part?.number && toGo === 0 ? 'Next' : 'Accept part'} missing={toGo > 0 ? `${toGo} ${toGo === 1 ? 'reading' : 'readings'} to go` : own?.status === 'stop' ? 'Choose another part: this one is blocked' : undefined} onAct={accept} />}
    />
  );
}

const encoderWords = (e: Encoder & { side: Side }) => (e.kind === 'none' ? 'none' : `${e.pairs} ${e.kind === 'magnetic' ? 'pole pairs' : 'teeth'}, ${e.side}`);

function Entry({ dimension, n, onDone }: { dimension: DimensionId; n: number; onDone: () => void }) {
  const { view, send, problem } = useJob();
  const [text, setText, clear] = useDraft(`${view.job.id}:old:${dimension}`);
  const [instrumentId, setInstrument] = useState(view.state.oldInstrumentId ?? view.ctx.instruments[0]?.id ?? '');
  const parsed = parseQuantity(text, 'length');
  const doubt = instrumentById(view.ctx, instrumentId)?.doubtMm;
  const fault = parsed.ok ? readingFault(dimension, parsed.value, view.state.oldReadings) : undefined;
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    if (!parsed.ok || fault) return;
    if (await send('old-part-read', { dimension, valueMm: parsed.value, typed: parsed.typed, instrumentId })) { clear(); onDone(); }
  };
  const shown = parsed.ok && !fault ? both(parsed.value, 'length') : undefined;
  return (
    <form onSubmit={submit} className="grid gap-2">
      <p className="cap">{dimensionNames[dimension]}, old part, reading {n} of 2{n === 2 ? ': turn it 90°' : ''}</p>
      <p className="far-n num blue">{shown ? shown.value : '–'}<span>{shown ? `mm${doubt === undefined ? '' : ` ± ${doubt}`} / ${shown.other}` : 'mm'}</span></p>
      <QuantityInput label={`${dimensionNames[dimension]} at ${n === 2 ? '90°' : '0°'}`} dimension="length" text={text} onText={setText} fault={fault ?? faultOf(problem, 'valueMm', 'body.valueMm')} />
      <label className="field"><span>Read with</span><select className="pick" value={instrumentId} onChange={(e) => setInstrument(e.target.value)}>{view.ctx.instruments.map((i) => <option key={i.id} value={i.id}>{i.name} ± {i.doubtMm} mm</option>)}</select></label>
      <button type="submit" className="btn">Record {shown?.value ?? 'reading'}</button>
    </form>
  );
}

function EncoderEntry() {
  const { view, send, problem } = useJob();
  const kept = view.state.oldEncoder;
  const [kind, setKind] = useState<Encoder['kind'] | undefined>(kept?.kind);
  const [side, setSide] = useState<Side | undefined>(kept?.side);
  const [pairs, setPairs] = useDraft(`${view.job.id}:old:pairs`);
  const parsed = parseQuantity(pairs, 'turns');
  const ready = kind !== undefined && side !== undefined && (kind === 'none' || (parsed.ok && Number.isInteger(parsed.value)));
  return (
    <form className="grid gap-2" onSubmit={async (e) => { e.preventDefault(); if (ready) await send('encoder-read', { kind, side, pairs: kind === 'none' || !parsed.ok ? 0 : parsed.value }); }}>
      <p className="cap">Encoder of the old part. Never find it with a magnet: use the viewing card or a paper clip.</p>
      <Choices name="Encoder kind" value={kind} onValue={setKind} options={[{ id: 'magnetic', label: 'magnetic' }, { id: 'toothed', label: 'toothed' }, { id: 'none', label: 'none' }]} />
      <Choices name="Side it faced" value={side} onValue={setSide} options={[{ id: 'inboard', label: 'inboard' }, { id: 'outboard', label: 'outboard' }]} />
      {kind !== 'none' && <label className={`field${faultOf(problem, 'body.pairs') ? ' bad' : ''}`}><span>{kind === 'toothed' ? 'Teeth' : 'Pole PAIRS (poles ÷ 2)'}</span><span className="box"><input value={pairs} onChange={(e) => setPairs(e.target.value)} inputMode="numeric" /></span><span className="say">{pairs && !(parsed.ok && Number.isInteger(parsed.value)) ? 'A whole number.' : ''}</span></label>}
      <button type="submit" className={`btn${ready ? '' : ' notyet'}`}>Record encoder</button>
    </form>
  );
}

/** The last word on the old bearing; what is seen here teaches the tests. */
function BenchEntry({ onDone }: { onDone: () => void }) {
  const { view, send } = useJob();
  const test = testById('bench')!;
  return (
    <section className="grid gap-2">
      <p className="what">{test.name}</p><p className="note">{test.why} What you feel here is counted for the tests that led to it.</p>
      <ul className="answers">{test.results?.map((r) => <li key={r.id}><button type="button" className="btn q" onClick={async () => { if (await send('test-recorded', { testId: 'bench', place: view.ctx.corner as Corner, result: r.id })) onDone(); }}>{r.name}</button></li>)}</ul>
    </section>
  );
}

export function Sign({ mark }: { mark: Comparison['marks']['encoder'] }) {
  return (
    <svg className={`sign ${mark}`} width="22" height="16" viewBox="0 0 22 16" role="img" aria-label={mark}>
      <path d="M3 5h16" strokeDasharray={mark === 'doubt' || mark === 'unread' ? '4 2.500' : undefined} /><path d="M3 11h16" strokeDasharray={mark === 'unread' ? '4 2.500' : undefined} />{mark === 'different' && <path d="M5 15L17 1" />}
    </svg>
  );
}

function Candidate({ c, chosen, onChoose }: { c: Comparison; chosen: boolean; onChoose: () => void }) {
  return (
    <article className={chosen ? 'on' : ''}>
      <p><b>{c.part.maker} {c.part.number}</b>{c.blockers.length > 0 ? <VerdictWord status="stop" size={18} /> : <span className="cap">{c.part.stock > 0 ? `${c.part.stock} in stock` : `${c.part.leadDays} days`}</span>}</p>
      {c.blockers[0] ? <p className="note">{c.blockers[0].text}</p> : <p className="cap num">{sizeInShort(c.part.bearing)}{c.part.bearing.encoder.pairs ? `, ${c.part.bearing.encoder.pairs} pairs` : ', no encoder'}</p>}
      <div className="marks">{dimensions.map((d) => <span key={d} className={c.marks[d]}><Sign mark={c.marks[d]} /><small>{dimensionShort[d]}{c.marks[d] === 'different' ? ` ${meanOf([c.part.bearing[d]])}` : ''}</small></span>)}<span className={c.marks.encoder}><Sign mark={c.marks.encoder} /><small>poles</small></span>
        {chosen ? <em>chosen</em> : <button type="button" className="link" onClick={onChoose}>Choose</button>}</div>
    </article>
  );
}
