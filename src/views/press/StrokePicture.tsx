import { filmNames, type JobView, schoolOf } from '../../core/job/index.ts';
import {
  helpsStroke,
  type Adapter,
  judgeStack,
  nearest,
  type Requirement,
  type Role,
  type Stack,
  type StrokeReading,
} from '../../core/press/index.ts';
import { Cutaway } from '../../ui/section/cutaway/Cutaway.tsx';
import { ForceStrip } from '../../ui/section/ForceStrip.tsx';
import { useJob } from '../shell/useJob.ts';
import type { HandStackProps, Held } from './HandStack.tsx';
import { DropPlaces, HandStack } from './handStackLate.ts';
import type { Look } from './LookBar.tsx';
import { NoForce } from './NoForce.tsx';
import type { Stroke } from './useStroke.ts';

/** Where the band of force comes from, and what is on the seat. */
function basisOf(
  { seat, then, operation }: Pick<Requirement, 'seat' | 'then' | 'operation'>,
  view: JobView,
): string {
  if (then) return `${basisOf({ seat, operation }, view)} + ring`;
  if (seat.kind === 'fixed') return 'by the record';
  const { film, chilledC, warmedC } = schoolOf(view);
  const from = view.state.seats[seat.kind] ? 'measured' : 'by class';
  const tempered = helpsStroke(operation) !== undefined;
  const chilled = tempered && chilledC !== undefined ? ', chilled' : '';
  const warmed = tempered && warmedC !== undefined ? ', warmed' : '';
  return `${from}, ${filmNames[film]}${chilled}${warmed}`;
}

/** The drawing as it is, or with the drawer under it. */
function ByHand({ on, children, ...hand }: { on: boolean } & HandStackProps) {
  if (!on) return children;
  return <HandStack {...hand}>{children}</HandStack>;
}

/** The stack in section with its force path, and the strip of force beside it. */
export function StrokePicture({
  stroke,
  stack,
  readings,
  travelMm,
  shownMm,
  look,
  laying,
  held,
  onHold,
  onLay,
}: {
  stroke: Stroke;
  stack: Stack;
  readings: StrokeReading[];
  /** Travel as it stands, and as it is shown while the stroke is played. */
  travelMm: number;
  shownMm: number;
  look: Look;
  laying: boolean;
  held: Held | undefined;
  onHold: (h: Held | undefined) => void;
  onLay: (role: Role, piece: Adapter) => void;
}) {
  const { view } = useJob();
  const { setup } = stroke;
  // What hangs over a place is drawn and judged as if it lay there.
  const seen = held ? { ...stack, [held.role]: held.piece } : stack;
  const verdict = held || !stroke.judgement ? judgeStack(seen, setup) : stroke.judgement;
  return (
    <ByHand
      on={laying}
      kit={view.ctx.adapters}
      stack={stack}
      setup={setup}
      onHold={onHold}
      onLay={onLay}
    >
      <Cutaway
        stack={seen}
        setup={setup}
        judgement={verdict}
        travelMm={shownMm}
        dims={look.dims}
        zoom={look.zoom}
        whole={laying}
        beside={(f) => (
          <>
            {setup.press.kind === 'hammer' ? (
              <NoForce setup={setup} {...f} />
            ) : (
              <ForceStrip
                setup={setup}
                readings={readings}
                peakKn={stroke.peakKn}
                basis={basisOf(setup.requirement, view)}
                {...f}
              />
            )}
            {laying && look.zoom === 1 && (
              <DropPlaces stack={stack} setup={setup} travelMm={travelMm} />
            )}
          </>
        )}
      />
    </ByHand>
  );
}

/** What piece is missing, and which of the kit come near it. */
export function NoStack({ stroke: { setup, solved } }: { stroke: Stroke }) {
  const { view } = useJob();
  const near = solved.missing.flatMap(({ role }) =>
    role === 'pusher' || role === 'support' ? nearest(view.ctx.adapters, role, setup) : [],
  );
  return (
    <div className="no-stack">
      <h2>No stack in this kit fits</h2>
      <p className="note">Needed: {solved.missing.map((m) => m.text).join('; and ')}.</p>
      {near.map((n) => (
        <p key={n.piece.id} className="cap">
          Near: <b>{n.piece.name}</b>, {n.misses.map((x) => x.text).join(', ')}
        </p>
      ))}
    </div>
  );
}
