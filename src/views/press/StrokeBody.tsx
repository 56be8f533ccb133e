import { useState, type ReactNode } from 'react';
import { nearest, operationNames, type Adapter } from '../../core/press/index.ts';
import { cautions } from '../../core/families/index.ts';
import { gravestFirst, type Verdict } from '../../core/verdict.ts';
import { Call, Caution, MainAction } from '../../ui/Panels.tsx';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Cutaway, stackList } from '../../ui/section/Cutaway.tsx';
import { ForceStrip } from '../../ui/section/ForceStrip.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { filmNames, schoolOf } from '../../core/job/index.ts';
import { useJob } from '../shell/useJob.ts';
import { GaugeEntry } from './GaugeEntry.tsx';
import { DropPlaces, HandStack } from './HandStack.tsx';
import { PieceDialog, type Role } from './PieceDialog.tsx';
import { RamCall, RamPanel } from './RamPanel.tsx';
import { RecordDialog } from './RecordDialog.tsx';
import { SetupSheet } from './SetupSheet.tsx';
import { TraceDialog } from './TraceDialog.tsx';
import { useRam } from './useRam.ts';
import { stackKey, useStroke, type Stroke } from './useStroke.ts';

/** One stroke: the stack in section with its force path, the strip beside it, the call, the readings. */
export function StrokeBody({ operation, kicker, tabs, onNext }: { operation: Stroke['operation']; kicker: string; tabs: ReactNode; onNext: () => void }) {
  const stroke = useStroke(operation);
  const { view, who, send, choose } = useJob();
  const [picking, setPicking] = useState<Role>();
  const [recording, setRecording] = useState(false);
  const [again, setAgain] = useState(false);
  const [byHand, setByHand] = useState(false);
  const cautionRead = (view.state.cautionsRead['press'] ?? []).includes(who);
  const ram = useRam(operation, stroke?.bench, (body) => send('stroke-traced', body));
  if (!stroke) return <NoGeometry kicker={kicker} operation={operation} tabs={tabs} />;
  const { bench, stack, judgement, solved, recorded, refused } = stroke;
  const readings = ram.running || ram.points.length > 0 ? ram.points : stroke.readings;
  const trace = view.state.traces[operation];
  const measured = view.state.seats[operation.startsWith('bearing') ? 'bore' : 'journal'] !== undefined;
  const chosen = schoolOf(view.choices);
  const school = operation.endsWith('in') ? `${filmNames[chosen.film]}${chosen.chilledC !== undefined && operation === 'bearing-in' ? ', chilled' : ''}` : 'as found';
  const title = operationNames[operation];
  const pick = async (role: Role, piece: Adapter | undefined) => {
    if (!stack) return;
    const next = { ...stack, [role]: piece };
    setPicking(undefined);
    await choose(stackKey(operation), { ...(next.cap ? { capId: next.cap.id } : {}), pusherId: next.pusher.id, supportId: next.support.id });
  };
  const best = solved.solutions[0]?.stack;
  const useBest = best && (() => choose(stackKey(operation), { ...(best.cap ? { capId: best.cap.id } : {}), pusherId: best.pusher.id, supportId: best.support.id }));
  const stopped = judgement?.status === 'stop';
  return (
    <StationBody
      kicker={kicker}
      title={title}
      tabs={tabs}
      fill
      picture={stack && judgement
        ? <ByHand on={byHand && !recorded && !ram.running} kit={view.ctx.adapters} stack={stack} bench={bench} onLay={pick}><Cutaway stack={stack} bench={bench} judgement={judgement} travelMm={Math.min(readings.at(-1)?.travelMm ?? (recorded && operation.endsWith('in') ? bench.requirement.travelMm : 0), bench.requirement.travelMm)} beside={(f) => <><ForceStrip bench={bench} readings={readings} basis={`${measured ? 'measured' : 'by class'}, ${school}`} {...f} />{byHand && !recorded && !ram.running && <DropPlaces scene={f.scene} y={f.y} />}</>} /></ByHand>
        : <div className="no-stack"><h2>No stack in this kit fits</h2><p className="note">Needed: {solved.missing.map((m) => m.text).join('; and ')}.</p>
          {solved.missing.filter((m) => m.role !== 'cap').flatMap((m) => nearest(view.ctx.adapters, m.role as 'pusher' | 'support', bench)).map((n) => <p key={n.piece.id} className="cap">Near: <b>{n.piece.name}</b>, {n.misses.map((x) => x.text).join(', ')}</p>)}</div>}
      side={
        <>
          {ram.live ? <RamCall ram={ram} /> : <TheCall stroke={stroke} />}
          {!recorded && <section className="rule-s"><VerdictShape status="stop" size={34} /><p>{operation.endsWith('in') ? 'Stop when force jumps and travel stops: do not chase it.' : 'Stop if force passes the band: release, soak, look at the support.'}</p></section>}
          {stack && !ram.running && (
            <section className="stack"><h2>Stack, top to bottom <span className="cap">tinted: your kit</span></h2>
              <ol>{stackList(stack, bench).map((p, i) => (
                <li key={p.key}>{p.role
                  ? <button type="button" className="k" disabled={recorded !== undefined} onClick={() => setPicking(p.role)}><span className="n num">{i + 1}</span><b>{p.name}</b><span className="num">{p.size}</span></button>
                  : <div><span className="n num">{i + 1}</span><span>{p.name}</span><span className="num">{p.size}</span></div>}</li>
              ))}</ol>
              {stroke.byHand && !recorded && useBest && <button type="button" className="btn q small w-full mt-2" onClick={useBest}>Use the best stack: {best.pusher.name}, {best.support.name}</button>}
              {!recorded && <button type="button" className="link" aria-pressed={byHand} onClick={() => setByHand(!byHand)}>{byHand ? 'Close the drawer' : 'Lay it by hand'}</button>}
              {!stack.cap && !recorded && <button type="button" className="link" onClick={() => setPicking('cap')}>Lay a disc on top</button>}
            </section>
          )}
          {!cautionRead && <section className="p-0!"><Caution why={cautions['press']!.why}>{cautions['press']!.text}</Caution></section>}
          {!recorded && !stopped && !refused && cautionRead && !ram.running && <section><GaugeEntry operation={operation} /></section>}
          {!recorded && !stopped && !refused && cautionRead && operation.endsWith('in') && <RamPanel ram={ram} />}
          {trace && !ram.running && <section><button type="button" className="btn q small w-full" onClick={() => setAgain(true)}>Look at the stroke again</button></section>}
          {again && trace && <TraceDialog trace={trace} bench={bench} onClose={() => setAgain(false)} />}
          {stack && judgement && !ram.running && <SetupSheet stack={stack} bench={bench} judgement={judgement} />}
          <div className="grow" />
          {picking && stack && <PieceDialog role={picking} stack={stack} bench={bench} kit={view.ctx.adapters} onPick={(a) => pick(picking, a)} onClose={() => setPicking(undefined)} />}
          {recording && stack && <RecordDialog stroke={stroke} stack={stack} onClose={() => setRecording(false)} />}
        </>
      }
      actions={
        recorded ? <MainAction label="Next" onAct={onNext} missing={recorded.status === 'stop' ? 'The stroke is not right yet' : undefined} />
          : !cautionRead ? <MainAction label="Glasses on, guard shut: read" onAct={() => send('caution-read', { cautionId: 'press' })} />
            : <MainAction label={operation.endsWith('in') ? 'Record seat' : 'Record stroke'} missing={refused ?? (stopped ? 'The stack is Stop' : !stack ? 'No stack' : ram.running ? 'The ram is under load: release it first' : trace?.call === 'cocked' || trace?.call === 'galling' ? `The last trace was ${trace.call}: press it again` : readings.length === 0 ? 'Type the gauge first' : undefined)} onAct={() => setRecording(true)} />
      }
    />
  );
}

/** The drawing as it is, or with the drawer under it. */
function ByHand({ on, children, ...hand }: { on: boolean } & Parameters<typeof HandStack>[0]) {
  return on ? <HandStack {...hand}>{children}</HandStack> : children;
}

/** Gravest word first: an interlock, the stack, the gauge, the recorded stroke. */
function TheCall({ stroke: { judgement, live, recorded, refused, solved } }: { stroke: Stroke }) {
  if (recorded) return <Call status={recorded.status}>{recorded.verdicts.map((v) => <p key={v.rule}>{v.text}</p>)}</Call>;
  if (!judgement) return <Call status="stop">No stack in this kit. Turn, borrow or buy {solved.missing[0]?.text ?? 'the missing piece'}.</Call>;
  const shown: Verdict[] = gravestFirst([...(refused ? [{ status: 'stop', rule: 'interlock', text: refused } as Verdict] : []), ...judgement.verdicts, ...(live ? [live] : [])]);
  const status = shown[0]!.status;
  const texts = status === 'good' ? shown : shown.filter((v) => v.status === status);
  return (
    <Call status={status}>
      {texts.slice(0, 2).map((v) => <p key={v.rule}>{v.text}</p>)}
      {status === 'stop' && solved.solutions[0] && !refused && <p><b>{solved.solutions[0].stack.pusher.name} on {solved.solutions[0].stack.support.name} is Good.</b></p>}
    </Call>
  );
}

function NoGeometry({ kicker, operation, tabs }: { kicker: string; operation: Stroke['operation']; tabs: ReactNode }) {
  return <StationBody kicker={kicker} title={operationNames[operation]} tabs={tabs} picture={<p className="note p-4">Dimensions of knuckle, hub or part are not on record. True Spindle does not guess them: enter or import the unit’s record.</p>} side={<Call status="stop">No dimensions, no stack.</Call>} actions={<MainAction label="Record stroke" missing="Dimensions missing" />} />;
}
