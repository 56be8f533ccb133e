import type { Setup, Judgement, Stack } from '../../../core/press/index.ts';
import { useNarrow } from '../../useNarrow.ts';
import { BearingHalf, rx } from '../BearingHalf.tsx';
import { axisX, layoutOf, sheet } from '../layout.ts';
import { PartDims } from '../PartDims.tsx';
import { Defs, type Marks, useMarks } from '../primitives.tsx';
import type { Scene } from '../scene.ts';
import { Whys } from '../Whys.tsx';
import { Balloons } from './Balloons.tsx';
import { BreakLines } from './BreakLines.tsx';
import { Bodies, Pieces } from './CutParts.tsx';
import { ForcePathLine } from './ForcePathLine.tsx';
import type { Frame } from './frame.ts';
import { Heights } from './Heights.tsx';
import { Outside } from './Outside.tsx';

export interface CutawayProps {
  stack: Stack;
  setup: Setup;
  judgement: Judgement;
  travelMm: number;
  /** Sizes of the parts on the drawing. */
  dims?: boolean;
  /** Times closer, about the place where pusher and part meet. */
  zoom?: number;
  /** In one piece on a phone too: pieces are laid by hand on it. */
  whole?: boolean;
  /** Nothing is told beside it: the sheet ends where the section does. */
  alone?: boolean;
  /** Drawn to the right of the section on the same millimetres. */
  beside?: (f: {
    y: (mm: number) => number;
    scene: Scene;
    marks: Marks;
    edge: number;
  }) => React.ReactNode;
}

/** Where the section ends and the strip of force begins; on a phone the one stands over the other. */
const stripX = 560;
/** Width of the strip with its longest line of words. */
const stripWide = 410;

/** The stroke as it stands in the press: outside view left of the axis, section right of it, to scale. */
export function Cutaway({
  stack,
  setup,
  judgement,
  travelMm,
  dims,
  zoom = 1,
  whole,
  alone,
  beside,
}: CutawayProps) {
  const narrow = useNarrow();
  const marks = useMarks();
  const { picture } = setup.requirement;
  const { scene, fit, y: fitted, near } = layoutOf(stack, setup, travelMm);
  const u = fit * zoom;
  // Closer in, the place where the pusher meets the part stays where it is.
  const still = near(picture.pusherAtMm + setup.requirement.travelMm / 2);
  const y = (mm: number) => (zoom === 1 ? fitted(mm) : sheet.h / 2 + (near(mm) - still) * u);
  const f: Frame = {
    scene,
    stack,
    setup,
    at: { ax: axisX, u },
    y,
    marks,
    right: zoom === 1 ? 548 : 530,
  };
  const edge = axisX + scene.radius * u;
  const drawing = (
    <>
      <Outside f={f} />
      <Bodies f={f} houses />
      <Pieces f={f} />
      <Bodies f={f} houses={false} />
      {picture.bearing && (
        <BearingHalf
          b={picture.bearing.of}
          at={f.at}
          top={y(picture.bearing.topMm + (picture.bearing.moves ? travelMm : 0))}
          marks={marks}
          encoderUp={picture.bearing.encoderUp}
          {...(picture.bearing.missingInner ? { missingInner: picture.bearing.missingInner } : {})}
        />
      )}
      {picture.rolling?.map((b) => (
        <circle
          key={b.z}
          className="ball"
          cx={rx(f.at, b.r)}
          cy={y(b.z + (b.moves ? travelMm : 0))}
          r={b.radius * u}
        />
      ))}
      <ForcePathLine f={f} judgement={judgement} />
      <path className="axis" d={`M${axisX} ${Math.max(0, y(scene.top) - 8)}V${sheet.h}`} />
      {picture.cut && <BreakLines f={f} cut={picture.cut} />}
      <Heights f={f} />
      {dims ? <PartDims f={f} /> : <Balloons f={f} />}
    </>
  );
  const strip = beside?.({
    y: zoom === 1 ? y : fitted,
    scene,
    marks,
    edge: zoom === 1 ? edge : stripX,
  });
  const apart = narrow && !whole && strip !== undefined;
  const section = (
    <svg
      className="drawing"
      viewBox={`0 0 ${apart || alone ? stripX : sheet.w} ${sheet.h}`}
      role="img"
      aria-label={label(stack, judgement, travelMm)}
    >
      <Defs id={marks.id} />
      {zoom === 1 ? (
        drawing
      ) : (
        <>
          <clipPath id={`${marks.id}-clip`}>
            <rect x="0" y="0" width={stripX} height={sheet.h} />
          </clipPath>
          <g clipPath={`url(#${marks.id}-clip)`}>{drawing}</g>
        </>
      )}
      {!apart && strip}
      <Whys f={f} judgement={judgement} />
      <text className="cap hint" x="0" y="14">
        {setup.open
          ? 'To scale where it was read; dashed: what is usual.'
          : 'To scale, as it stands in the press.'}
      </text>
      <text className="cap hint" x="0" y="31">
        Dimensions in mm
      </text>
    </svg>
  );
  if (!apart) return section;
  return (
    <>
      {section}
      <svg
        className="drawing"
        viewBox={`${stripX} 0 ${stripWide} ${sheet.h}`}
        role="img"
        aria-label="Force over travel"
      >
        {strip}
      </svg>
    </>
  );
}

const label = (s: Stack, j: Judgement, t: number) =>
  `Section: ${s.pusher.name} on top, ${s.support ? `${s.support.name} below` : 'the part stands by itself'}, travel ${t.toFixed(1)} mm. ${j.path.throughBalls ? 'Force crosses the balls.' : 'Force does not touch a ball.'}`;
