import { type ReactNode, useState } from 'react';
import { cautions } from '../../core/families/index.ts';
import {
  dangerOf,
  familyCodeOf,
  type JobNow,
  readFirst,
  worksInOneGo,
} from '../../core/job/index.ts';
import {
  type Adapter,
  type Figure,
  figuresFor,
  judgeStroke,
  type Operation,
  operationNames,
  type Role,
  type Stack,
  type StillOpen,
} from '../../core/press/index.ts';
import { Caution } from '../../ui/Panels.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useStandIns } from '../shell/useStandIns.ts';
import { GaugeEntry } from './GaugeEntry.tsx';
import { GaugeCall, GaugePanel } from './GaugePanel.tsx';
import type { Held } from './HandStack.tsx';
import { type Look, LookBar } from './LookBar.tsx';
import { type Asked, FigureBody } from './FigureBody.tsx';
import { NoGeometry } from './NoGeometry.tsx';
import { SetupSheet } from './SetupSheet.tsx';
import { GoesBack, keptChoice, StackSection, ToolPicker } from './StackSection.tsx';
import { StrokeActions } from './StrokeActions.tsx';
import { StrokeCall } from './StrokeCall.tsx';
import { NoStack, StrokePicture } from './StrokePicture.tsx';
import { useGauge } from './useGauge.ts';
import { usePlay } from './usePlay.ts';
import { recordOf, stackIds, stackKey, type Stroke, useStroke } from './useStroke.ts';
import { late } from '../../ui/late.tsx';

// Dialogs come with the tap that opens them.
const PieceDialog = late(async () => (await import('./PieceDialog.tsx')).PieceDialog);
const RecordDialog = late(async () => (await import('./RecordDialog.tsx')).RecordDialog);
const TraceDialog = late(async () => (await import('./TraceDialog.tsx')).TraceDialog);
interface Props {
  operation: Operation;
  kicker: string;
  tabs: ReactNode;
  onNext: () => void;
}

/** The figures a stack waits for, with what each has to show. */
const askedOf = (view: JobNow, waits: readonly StillOpen[]): Asked[] =>
  waits.flatMap(({ figure: { path }, min, max }) => {
    const figure = figuresFor(familyCodeOf(view)).find((f) => f.path === path);
    return figure ? [{ figure, min, max }] : [];
  });

/** Lengths of a stroke that another corner lent and nobody has measured here. */
const lentTo = (view: JobNow, operation: Operation): Figure[] =>
  figuresFor(familyCodeOf(view)).filter(
    (f) => !f.options && f.needs.includes(operation) && view.state.figures[f.path]?.takenFrom,
  );

/** One stroke: the stack in section with its force path, the strip beside it, the call, the readings. */
export function StrokeBody(props: Props) {
  const { view } = useJob();
  // Laid open once more until another stroke is kept in its place.
  const keptAt = view.state.strokes[props.operation]?.atMs;
  const [open, setOpen] = useState<number>();
  const stroke = useStroke(props.operation, open !== undefined && open === keptAt);
  const first = readFirst(view, props.operation);
  const [measuring, setMeasuring] = useState<string>();
  // What the stack waits for is gone through one after the other, once it was begun.
  const waits = measuring === props.operation ? (stroke?.open ?? []) : [];
  const lent = lentTo(view, props.operation);
  const [holding, setHolding] = useState<string>();
  const held = lent.find((f) => f.path === holding);
  const asked =
    first.length > 0
      ? first.map((figure): Asked => ({ figure }))
      : [...(held ? [{ figure: held }] : []), ...askedOf(view, waits)];
  if (asked.length > 0)
    return (
      <FigureBody
        kicker={props.kicker}
        title={operationNames[props.operation]}
        tabs={props.tabs}
        asked={asked}
      />
    );
  if (!stroke) return <NoGeometry {...props} />;
  return (
    <OneStroke
      stroke={stroke}
      onAgain={() => setOpen(keptAt)}
      onMeasure={() => setMeasuring(props.operation)}
      onHold={lent[0] && (() => setHolding(lent[0]!.path))}
      {...props}
    />
  );
}

function OneStroke({
  stroke,
  operation,
  kicker,
  tabs,
  onNext,
  onAgain,
  onMeasure,
  onHold,
}: Props & {
  stroke: Stroke;
  onAgain: () => void;
  onMeasure: () => void;
  /** Measures a figure that was only taken over; absent where none was. */
  onHold: (() => void) | undefined;
}) {
  const { view, who, choose, send } = useJob();
  const [picking, setPicking] = useState<Role>();
  const [recording, setRecording] = useState(false);
  const [again, setAgain] = useState(false);
  const [byHand, setByHand] = useState(false);
  const [held, setHeld] = useState<Held>();
  const [look, setLook] = useState<Look>({ dims: false, zoom: 1 });
  const { setup, stack, judgement, recorded, refused } = stroke;
  const { fitting, travelMm: planned, row } = setup.requirement;
  const shown = usePlay(planned);
  const gauge = useGauge(operation, setup);
  const { running } = gauge;
  const standIns = useStandIns();
  const idle = !running && !recorded;
  const danger = dangerOf(setup.press);
  const cautionRead = (view.state.cautionsRead[danger] ?? []).includes(who);
  const trace = view.state.traces[operation];
  const readings = running || gauge.points.length > 0 ? gauge.points : stroke.readings;
  const home = recorded && fitting ? planned : 0;
  const travel = Math.min(readings.at(-1)?.travelMm ?? home, planned);
  const blows = setup.press.kind === 'hammer';
  const stopped = judgement?.status === 'stop';
  const settled = !stopped && stroke.open.length === 0;
  const open = !recorded && settled && !refused && cautionRead && !blows;
  const keep = async (s: Stack) => {
    const made = recordOf(stroke, s);
    const good = judgeStroke(made, setup, stroke.way).status === 'good';
    // Who works less deep goes on from what came off as it should.
    if ((await send('stroke-recorded', made)) && good && worksInOneGo(view)) onNext();
  };
  const pick = (role: Role, piece: Adapter | undefined) => {
    setPicking(undefined);
    if (stack)
      void choose(stackKey(operation), {
        ...stackIds({ ...stack, [role]: piece }),
        ...keptChoice(stroke),
      });
  };
  return (
    <StationBody
      kicker={kicker}
      title={operationNames[operation]}
      tabs={tabs}
      fill
      over={stack && <LookBar look={look} onLook={setLook} onPlay={shown.play} />}
      picture={
        stack ? (
          <StrokePicture
            stroke={stroke}
            stack={stack}
            readings={readings}
            travelMm={travel}
            shownMm={running ? travel : (shown.at ?? travel)}
            look={look}
            laying={byHand && idle}
            held={held}
            onHold={setHeld}
            onLay={pick}
          />
        ) : (
          <NoStack stroke={stroke} />
        )
      }
      side={
        <>
          {gauge.live ? <GaugeCall gauge={gauge} /> : <StrokeCall stroke={stroke} />}
          {!recorded && <WhenToStop blows={blows} fitting={fitting} />}
          {idle && <ToolPicker stroke={stroke} />}
          {stack && !running && (
            <StackSection
              stroke={stroke}
              stack={stack}
              byHand={byHand}
              onByHand={setByHand}
              onPick={setPicking}
            />
          )}
          {onHold && idle && (
            <section>
              <p className="cap">Some figures were taken over, not measured here.</p>
              <button type="button" className="btn quiet small w-full" onClick={onHold}>
                Hold one against the metal
              </button>
            </section>
          )}
          {!fitting && row && idle && <GoesBack stroke={stroke} />}
          {open && !running && (
            <section>
              <GaugeEntry operation={operation} press={setup.press} fitting={fitting} />
            </section>
          )}
          {open && setup.press.kind !== 'screw' && standIns !== 'off' && (
            <GaugePanel gauge={gauge} fitting={fitting} />
          )}
          {trace && !running && (
            <section>
              <button
                type="button"
                className="btn quiet small w-full"
                onClick={() => setAgain(true)}
              >
                Look at the stroke again
              </button>
            </section>
          )}
          {stack && judgement && !running && (
            <SetupSheet stack={stack} setup={setup} judgement={judgement} />
          )}
          <div className="grow" />
          {again && trace && (
            <TraceDialog trace={trace} setup={setup} onClose={() => setAgain(false)} />
          )}
          {picking && stack && (
            <PieceDialog
              role={picking}
              stack={stack}
              setup={setup}
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
        <>
          {/* Beside the button that says it was read, whatever is scrolled; one line until the stroke is kept. */}
          {!recorded && stack && (
            <Caution {...(cautionRead ? {} : { why: cautions[danger].why })}>
              {cautions[danger].text}
            </Caution>
          )}
          <StrokeActions
            stroke={stroke}
            cautionRead={cautionRead}
            running={running}
            keeping={gauge.keeping}
            unread={readings.length === 0 && stroke.peakKn === undefined}
            // What came off has no seat to measure: one tap keeps it.
            onRecord={() => (fitting || !stack ? setRecording(true) : void keep(stack))}
            onMeasure={onMeasure}
            onNext={onNext}
            onAgain={onAgain}
          />
        </>
      }
    />
  );
}

/** An instruction, not a verdict: where the stroke ends. */
function WhenToStop({ blows, fitting }: { blows: boolean; fitting: boolean }) {
  const seat = fitting
    ? 'Stop when force jumps and travel stops: do not chase it.'
    : 'Stop if force passes the band: release, soak, look at the support.';
  return (
    <section className="rule-s">
      <svg className="instruction" width="34" height="34" viewBox="0 0 34 34" aria-hidden="true">
        <circle cx="17" cy="17" r="14" />
        <path d="M9 17h16" />
      </svg>
      <p>{blows ? 'Stop when the note changes: it stands on its seat.' : seat}</p>
    </section>
  );
}
