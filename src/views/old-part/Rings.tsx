import { dentGapMm, pitchDeg, trackMm } from '../../core/old-part/index.ts';
import { outerPx, UnrolledRing } from './UnrolledRing.tsx';
import type { ReadingRaceways } from './useRaceways.ts';

/** Drawn where no part says otherwise; no figure of it is said. */
const usual = { balls: 13, ballMm: 11.5, pitchMm: 58, contactAngleDeg: 35 };

/** Both rings of the old bearing, to one scale. */
export function Rings({ at }: { at: ReadingRaceways }) {
  const b = { ...(at.rolling ?? usual), ...(at.ballCount ? { balls: at.ballCount } : {}) };
  const pxPerMm = outerPx / (Math.PI * trackMm(b, 'outer'));
  return (
    <div className="rings">
      {(['outer', 'inner'] as const).map((ring) => (
        <div key={ring}>
          <p className="ring-name">
            <b>{ring === 'outer' ? 'Outer ring' : 'Inner ring'}, unrolled</b>{' '}
            <small>
              {at.standing === ring ? 'stands still' : 'turns with the wheel'}
              {at.rolling &&
                `; balls ${pitchDeg(b).toFixed(1)}° or ${dentGapMm(b, ring).toFixed(1)} mm apart`}
            </small>
          </p>
          <UnrolledRing
            ring={ring}
            stands={at.standing === ring}
            trackMm={trackMm(b, ring)}
            pxPerMm={pxPerMm}
            pitchDeg={pitchDeg(b)}
            marks={at.marks.filter((m) => m.on === ring)}
            onTap={(row, atDeg) => at.add(ring, { row, atDeg })}
          />
        </div>
      ))}
    </div>
  );
}
