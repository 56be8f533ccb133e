import { dentGapMm, trackMm } from '../../core/old-part/index.ts';
import type { PracticePicture } from '../../core/practice/index.ts';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { outerPx, UnrolledRing } from '../old-part/UnrolledRing.tsx';
import { CastleNut } from '../torque/CastleNut.tsx';
import { HowItStands } from '../torque/HowItStands.tsx';
import { WindowLine } from './WindowLine.tsx';

/** Sizes of the made-up bearing that rings are drawn by. */
const madeUp = { ballMm: 11.5, pitchMm: 58, contactAngleDeg: 35 };

/** What an exercise shows; all of it made up. */
export function PracticeDrawing({ picture: p }: { picture: PracticePicture }) {
  switch (p.of) {
    case 'section':
      return <FamilySection code={p.code} label="A wheel bearing in section" />;
    case 'step':
      return (
        <>
          <p className="step-now">{p.text}</p>
          <FamilySection code={p.code} lit={[...p.lit]} label={`In section, lit: ${p.text}`} />
        </>
      );
    case 'rings': {
      const b = { ...madeUp, balls: p.balls };
      return (
        <>
          <UnrolledRing
            ring="outer"
            stands
            trackMm={trackMm(b, 'outer')}
            pxPerMm={outerPx / (Math.PI * trackMm(b, 'outer'))}
            pitchDeg={360 / p.balls}
            marks={p.marks}
          />
          <p className="note big">
            Outer ring, stands still. {p.balls} balls: {(360 / p.balls).toFixed(1)}° or{' '}
            {dentGapMm(b, 'outer').toFixed(1)} mm apart.
          </p>
        </>
      );
    }
    case 'castle':
      return <CastleNut {...p} way={undefined} />;
    case 'offset':
      return <HowItStands lengthMm={p.lengthMm} through={p.through} setNm={undefined} />;
    case 'places':
      return <WindowLine picture={p} />;
  }
}
