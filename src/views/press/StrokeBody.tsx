import { RuleLink } from '../../ui/RuleLink.tsx';
import { useState, type ReactNode } from 'react';
import { Play, Ruler, ZoomIn, ZoomOut } from 'lucide-react';
import {
  judgeStack,
  nearest,
  operationNames,
  type Adapter,
  type Bench,
  type Role,
  type Seat,
} from '../../core/press/index.ts';
import { cautions } from '../../core/families/index.ts';
import { filmNames, schoolOf, type JobView } from '../../core/job/index.ts';
import { reasonOf } from '../../core/job/index.ts';
import { gravestFirst, type Verdict } from '../../core/verdict.ts';
import { Call, Caution, MainAction } from '../../ui/Panels.tsx';
import { VerdictShape, verdictWords } from '../../ui/Marks.tsx';
import { Cutaway, stackList } from '../../ui/section/Cutaway.tsx';
import { ForceStrip } from '../../ui/section/ForceStrip.tsx';
import type { Scene } from '../../ui/section/scene.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { GaugeEntry } from './GaugeEntry.tsx';
import { DropPlaces, HandStack, type Held } from './HandStack.tsx';
import { PieceDialog } from './PieceDialog.tsx';
import { RamCall, RamPanel } from './RamPanel.tsx';
import { RecordDialog } from './RecordDialog.tsx';
import { SetupSheet } from './SetupSheet.tsx';
import { TraceDialog } from './TraceDialog.tsx';
import { usePlay } from './usePlay.ts';
import { useRam } from './useRam.ts';
import { stackIds, stackKey, useStroke, type Stroke } from './useStroke.ts';

/** One stroke: the stack in section with its force path, the strip beside it, the call, the readings. */
export function StrokeBody({
  operation,
  kicker,
  tabs,
  onNext,
}: {
  operation: Stroke['operation'];
  kicker: string;
  tabs: ReactNode;
  onNext: () => void;
}) {
  const stroke = useStroke(operation);
  const { view, who, send, choose } = useJob();
  const [picking, setPicking] = useState<Role>();
  const [recording, setRecording] = useState(false);
  const [again, setAgain] = useState(false);
  const [byHand, setByHand] = useState(false);
  const [held, setHeld] = useState<Held>();
  const [look, setLook] = useState<Look>({ dims: false, zoom: 1 });
  const shown = usePlay(stroke?.bench.requirement.travelMm ?? 0);
  const cautionRead = (view.state.cautionsRead['press'] ?? []).includes(who);
  const ram = useRam(operation, stroke?.bench, (body) => send('stroke-traced', body));
  if (!stroke) return <NoGeometry kicker={kicker} operation={operation} tabs={tabs} />;
  const { bench, stack, judgement, solved, recorded, refused } = stroke;
  const { fitting, seat, travelMm: planned } = bench.requirement;
  const blows = bench.press.kind === 'hammer';
  const readings = ram.running || ram.points.length > 0 ? ram.points : stroke.readings;
  const trace = view.state.traces[operation];
  // What hangs over a place is drawn and judged as if it lay there.
  const seen = stack && held ? { ...stack, [held.role]: held.piece } : stack;
  const verdict = seen && held ? judgeStack(seen, bench) : judgement;
  const kept = { pressId: bench.press.id, ...(bench.usedAgain ? { usedAgain: true } : {}) };
  const pick = (role: Role, piece: Adapter | undefined) => {
    if (!stack) return;
    setPicking(undefined);
    return choose(stackKey(operation), { ...stackIds({ ...stack, [role]: piece }), ...kept });
  };
  const best = solved.solutions[0]?.stack;
  const useBest = best && (() => choose(stackKey(operation), { ...stackIds(best), ...kept }));
  const stopped = judgement?.status === 'stop';
  const open = !recorded && !stopped && !refused && cautionRead && !blows;
  const laying = byHand && !recorded && !ram.running;
  const travel = Math.min(
    readings.at(-1)?.travelMm ?? (recorded && fitting ? planned : 0),
    planned,
  );
  return (
    <StationBody
      kicker={kicker}
      title={operationNames[operation]}
      tabs={tabs}
      fill
      over={stack && <LookBar look={look} onLook={setLook} onPlay={shown.play} />}
      picture={
        stack && seen && verdict ? (
          <ByHand
            on={laying}
            kit={view.ctx.adapters}
            stack={stack}
            bench={bench}
            onHold={setHeld}
            onLay={pick}
          >
            <Cutaway
              stack={seen}
              bench={bench}
              judgement={verdict}
              travelMm={ram.running ? travel : (shown.at ?? travel)}
              dims={look.dims}
              zoom={look.zoom}
              beside={(f) => (
                <>
                  {blows ? (
                    <NoForce bench={bench} {...f} />
                  ) : (
                    <ForceStrip
                      bench={bench}
                      readings={readings}
                      basis={basisOf(seat, view)}
                      {...f}
                    />
                  )}
                  {laying && look.zoom === 1 && (
                    <DropPlaces stack={stack} bench={bench} travelMm={travel} />
                  )}
                </>
              )}
            />
          </ByHand>
        ) : (
          <div className="no-stack">
            <h2>No stack in this kit fits</h2>
            <p className="note">Needed: {solved.missing.map((m) => m.text).join('; and ')}.</p>
            {solved.missing
              .flatMap((m) =>
                m.role === 'pusher' || m.role === 'support'
                  ? nearest(view.ctx.adapters, m.role, bench)
                  : [],
              )
              .map((n) => (
                <p key={n.piece.id} className="cap">
                  Near: <b>{n.piece.name}</b>, {n.misses.map((x) => x.text).join(', ')}
                </p>
              ))}
          </div>
        )
      }
      side={
        <>
          {ram.live ? <RamCall ram={ram} /> : <TheCall stroke={stroke} />}
          {!recorded && (
            <section className="rule-s">
              <VerdictShape status="stop" size={34} />
              <p>
                {blows
                  ? 'Stop when the note changes: it stands on its seat.'
                  : fitting
                    ? 'Stop when force jumps and travel stops: do not chase it.'
                    : 'Stop if force passes the band: release, soak, look at the support.'}
              </p>
            </section>
          )}
          {!ram.running && !recorded && stroke.tools.length > 1 && (
            <section>
              <label className="field tool-pick">
                <span>With</span>
                <select
                  className="pick"
                  value={bench.press.id}
                  onChange={(e) =>
                    choose(stackKey(operation), { ...kept, pressId: e.target.value })
                  }
                >
                  {stroke.tools.map((p) => (
                    <option key={p.id} value={p.id}>
                      {p.name}
                      {p.kind === 'hammer' ? '' : `, ${p.capacityKn} kN`}
                    </option>
                  ))}
                </select>
              </label>
            </section>
          )}
          {stack && !ram.running && (
            <section className="stack">
              <h2>
                Stack, top to bottom <span className="cap">tinted: your kit</span>
              </h2>
              <ol>
                {stackList(stack, bench).map((p, i) => (
                  <li key={p.key}>
                    {p.role ? (
                      <button
                        type="button"
                        className="k"
                        disabled={recorded !== undefined}
                        onClick={() => setPicking(p.role)}
                      >
                        <span className="n num">{i + 1}</span>
                        <b>{p.name}</b>
                        <span className="num">{p.size}</span>
                      </button>
                    ) : (
                      <div>
                        <span className="n num">{i + 1}</span>
                        <span>{p.name}</span>
                        <span className="num">{p.size}</span>
                      </div>
                    )}
                  </li>
                ))}
              </ol>
              {stroke.byHand && !recorded && useBest && (
                <button type="button" className="btn q small w-full mt-2" onClick={useBest}>
                  Use the best stack:{' '}
                  {[best.pusher, best.support].flatMap((a) => a?.name ?? []).join(', ')}
                </button>
              )}
              {!recorded && (
                <div className="links">
                  <button
                    type="button"
                    className="link"
                    aria-pressed={byHand}
                    onClick={() => setByHand(!byHand)}
                  >
                    {byHand ? 'Close the drawer' : 'Lay it by hand'}
                  </button>
                  {!stack.cap && (
                    <button type="button" className="link" onClick={() => setPicking('cap')}>
                      Lay a piece on top
                    </button>
                  )}
                  {stack.support && !stack.riser && (
                    <button type="button" className="link" onClick={() => setPicking('riser')}>
                      Raise the support
                    </button>
                  )}
                </div>
              )}
            </section>
          )}
          {!fitting && bench.requirement.row && !recorded && !ram.running && (
            <section>
              <label className="check">
                <input
                  type="checkbox"
                  checked={bench.usedAgain ?? false}
                  onChange={(e) =>
                    choose(stackKey(operation), {
                      pressId: bench.press.id,
                      usedAgain: e.target.checked,
                    })
                  }
                />{' '}
                This bearing goes back in
              </label>
            </section>
          )}
          {!cautionRead && (
            <section className="p-0!">
              <Caution why={cautions['press']!.why}>{cautions['press']!.text}</Caution>
            </section>
          )}
          {open && !ram.running && (
            <section>
              <GaugeEntry operation={operation} press={bench.press} />
            </section>
          )}
          {open && bench.press.kind !== 'screw' && <RamPanel ram={ram} fitting={fitting} />}
          {trace && !ram.running && (
            <section>
              <button type="button" className="btn q small w-full" onClick={() => setAgain(true)}>
                Look at the stroke again
              </button>
            </section>
          )}
          {again && trace && (
            <TraceDialog trace={trace} bench={bench} onClose={() => setAgain(false)} />
          )}
          {stack && judgement && !ram.running && (
            <SetupSheet stack={stack} bench={bench} judgement={judgement} />
          )}
          <div className="grow" />
          {picking && stack && (
            <PieceDialog
              role={picking}
              stack={stack}
              bench={bench}
              kit={view.ctx.adapters}
              onPick={(a) => pick(picking, a)}
              onClose={() => setPicking(undefined)}
            />
          )}
          {recording && stack && (
            <RecordDialog stroke={stroke} stack={stack} onClose={() => setRecording(false)} />
          )}
        </>
      }
      actions={
        recorded ? (
          <MainAction
            label="Next"
            onAct={onNext}
            missing={recorded.status === 'stop' ? 'The stroke is not right yet' : undefined}
          />
        ) : !cautionRead ? (
          <MainAction
            label="Glasses on, guard shut: read"
            onAct={() => send('caution-read', { cautionId: 'press' })}
          />
        ) : (
          <MainAction
            label={fitting ? 'Record seat' : 'Record stroke'}
            missing={
              (refused && reasonOf(refused)) ??
              (stopped
                ? 'The stack is Stop'
                : !stack
                  ? 'No stack'
                  : ram.running
                    ? 'The ram is under load: release it first'
                    : !blows &&
                        (trace?.call === 'cocked' ||
                          trace?.call === 'galling' ||
                          trace?.call === 'stuck')
                      ? `The last trace was ${trace.call}: press it again`
                      : !blows && readings.length === 0
                        ? 'Type the gauge first'
                        : undefined)
            }
            onAct={() => setRecording(true)}
          />
        )
      }
    />
  );
}

/** Where the band of force comes from, and what is on the seat. */
function basisOf(seat: Seat, view: Pick<JobView, 'state' | 'choices'>): string {
  const chosen = schoolOf(view);
  const { state } = view;
  if (seat.kind === 'fixed') return 'by the record';
  return `${state.seats[seat.kind] ? 'measured' : 'by class'}, ${filmNames[chosen.film]}${chosen.chilledC !== undefined && seat.kind === 'bore' ? ', chilled' : ''}`;
}

interface Look {
  dims: boolean;
  zoom: number;
}
const closer = [1, 1.7, 2.6] as const;

/** Sizes on the drawing, the stroke run once, and closer in. */
function LookBar({
  look,
  onLook,
  onPlay,
}: {
  look: Look;
  onLook: (l: Look) => void;
  onPlay: () => void;
}) {
  const at = closer.findIndex((z) => z === look.zoom);
  return (
    <div className="lookbar" role="group" aria-label="Drawing">
      <button
        type="button"
        className="btn q small"
        aria-pressed={look.dims}
        onClick={() => onLook({ ...look, dims: !look.dims })}
      >
        <Ruler aria-hidden="true" />
        Sizes
      </button>
      <button type="button" className="btn q small" onClick={onPlay}>
        <Play aria-hidden="true" />
        Stroke
      </button>
      <button
        type="button"
        className="btn q small"
        aria-label="Closer"
        disabled={at === closer.length - 1}
        onClick={() => onLook({ ...look, zoom: closer[at + 1]! })}
      >
        <ZoomIn aria-hidden="true" />
      </button>
      <button
        type="button"
        className="btn q small"
        aria-label="Farther"
        disabled={at === 0}
        onClick={() => onLook({ ...look, zoom: closer[at - 1]! })}
      >
        <ZoomOut aria-hidden="true" />
      </button>
    </div>
  );
}

/** Blows have no gauge: only where it has to stand in the end. */
function NoForce({ bench, y, scene }: { bench: Bench; y: (mm: number) => number; scene: Scene }) {
  const [x0, at] = [640, y(scene.leadHome)];
  return (
    <g>
      {bench.requirement.fitting && (
        <>
          <path className="prj seatl" d={`M520 ${at}H${x0}`} />
          <text x={x0} y={at - 10}>
            Home at <tspan className="n">{bench.requirement.travelMm.toFixed(1)} ± 0.3 mm</tspan>
          </text>
        </>
      )}
      <text className="cap" x={x0} y={at + 22}>
        By hammer: no force is read.
      </text>
      <text className="cap" x={x0} y={at + 42}>
        A press would take {bench.forceKn.low.toFixed(0)}–{bench.forceKn.high.toFixed(0)} kN.
      </text>
    </g>
  );
}

/** The drawing as it is, or with the drawer under it. */
function ByHand({ on, children, ...hand }: { on: boolean } & Parameters<typeof HandStack>[0]) {
  return on ? <HandStack {...hand}>{children}</HandStack> : children;
}

/** Gravest word first: an interlock, the stack, the gauge, the recorded stroke. */
function TheCall({ stroke: { judgement, live, recorded, refused, solved } }: { stroke: Stroke }) {
  if (recorded)
    return (
      <Call status={recorded.status}>
        {recorded.verdicts.map((v) => (
          <p key={v.rule}>
            <RuleLink said={v} />
          </p>
        ))}
      </Call>
    );
  if (!judgement)
    return (
      <Call status="stop">
        No stack in this kit. Turn, borrow or buy {solved.missing[0]?.text ?? 'the missing piece'}.
      </Call>
    );
  const shown: Verdict[] = gravestFirst([
    ...(refused ? [{ ...refused, status: 'stop' as const }] : []),
    ...judgement.verdicts,
    ...(live ? [live] : []),
  ]);
  const status = shown[0]!.status;
  const texts = status === 'good' ? shown : shown.filter((v) => v.status === status);
  return (
    <Call status={status}>
      {texts.slice(0, 2).map((v) => (
        <p key={v.rule}>
          <RuleLink said={v} />
        </p>
      ))}
      {status === 'stop' && solved.solutions[0] && !refused && (
        <p>
          <b>
            {[solved.solutions[0].stack.pusher, solved.solutions[0].stack.support]
              .flatMap((a) => a?.name ?? [])
              .join(' on ')}{' '}
            is {verdictWords[solved.solutions[0].judgement.status]}.
          </b>
        </p>
      )}
    </Call>
  );
}

function NoGeometry({
  kicker,
  operation,
  tabs,
}: {
  kicker: string;
  operation: Stroke['operation'];
  tabs: ReactNode;
}) {
  return (
    <StationBody
      kicker={kicker}
      title={operationNames[operation]}
      tabs={tabs}
      picture={
        <p className="note p-4">
          Dimensions of the parts are not on record. True Spindle does not guess them: enter or
          import the unit’s record.
        </p>
      }
      side={<Call status="stop">No dimensions, no stack.</Call>}
      actions={<MainAction label="Record stroke" missing="Dimensions missing" />}
    />
  );
}
