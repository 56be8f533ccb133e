import type { ReactNode } from 'react';
import { type Hand, type Locking, lockingWords, type Procedure } from '../../core/torque/index.ts';
import { Call } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { hexPath } from '../../ui/section/round.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { CastleNut } from './CastleNut.tsx';
import type { CastleNow } from './useCastle.ts';

const [cx, cy] = [170, 130];
const Hub = () => <circle className="out f-paper thin2" cx={cx} cy={cy} r="118" />;
const Shaft = ({ groove }: { groove?: boolean }) => (
  <>
    <circle className="out f-sheet" cx={cx} cy={cy} r="40" />
    {groove && <path className="groove" d={`M${cx - 9} ${cy - 41}v18h18v-18`} />}
  </>
);

const pictures: Record<Exclude<Locking['kind'], 'castle'>, ReactNode> = {
  stake: (
    <>
      <Hub />
      <path className="hex" d={hexPath(cx, cy, 86)} />
      <circle className="out f-sheet" cx={cx} cy={cy} r="58" />
      <Shaft groove />
      <path className="lock-part" d={`M${cx - 11} ${cy - 58}l4 26h14l4 -26`} />
      <path className="turn-arrow" d={`M${cx} ${cy - 120}V${cy - 70}`} />
      <path className="f-blue" d={`M${cx} ${cy - 62}l-9 -14h18Z`} />
    </>
  ),
  plate: (
    <>
      <Hub />
      <path className="lock-part" d={`M${cx - 96} ${cy - 24}h192v48h-192Z`} />
      <path className="hex" d={hexPath(cx, cy, 72)} />
      <Shaft />
      <path className="turn-arrow" d={`M${cx - 60} ${cy}h120`} />
    </>
  ),
  tab: (
    <>
      <Hub />
      <circle className="lock-part" cx={cx} cy={cy} r="98" />
      <path className="hex" d={hexPath(cx, cy, 82)} />
      <path className="lock-part" d={`M${cx - 26} ${cy - 98}h52v32h-52Z`} />
      <Shaft groove />
    </>
  ),
  screw: (
    <>
      <Hub />
      <circle className="hex" cx={cx} cy={cy} r="92" />
      {Array.from({ length: 8 }, (_, i) => {
        const a = (i * Math.PI) / 4;
        return (
          <circle
            key={i}
            className={i === 6 ? 'lock-part' : 'out f-sheet'}
            cx={cx + 66 * Math.cos(a)}
            cy={cy + 66 * Math.sin(a)}
            r="11"
          />
        );
      })}
      <Shaft groove />
    </>
  ),
  'self-locking': (
    <>
      <Hub />
      <path className="hex" d={hexPath(cx, cy, 86)} />
      <circle className="lock-part" cx={cx} cy={cy} r="56" />
      <Shaft />
    </>
  ),
};

/** How this nut is kept from turning back, drawn; of a castle nut, which slot comes next and what it means to go there. */
export function LockPicture({
  procedure: p,
  castle,
  hand,
}: {
  procedure: Procedure;
  castle: CastleNow | undefined;
  hand: Hand;
}) {
  const { locking } = p;
  if (!locking) return null;
  if (castle) return <CastleLock locking={locking} at={castle} hand={hand} />;
  if (locking.kind === 'castle') return null;
  return (
    <div className="lock-picture">
      <svg className="drawing" viewBox="0 0 340 260" role="img" aria-label={lockingWords(locking)}>
        {pictures[locking.kind]}
        <path
          className="centre-line-thin"
          d={`M${cx - 130} ${cy}H${cx + 130}M${cx} ${cy - 126}V${cy + 126}`}
        />
      </svg>
      <p className="note">{lockingWords(locking)}</p>
    </div>
  );
}

/** A castle nut: counted where the record does not know it, and told by how far it stands past its last slot. */
function CastleLock({ locking, at, hand }: { locking: Locking; at: CastleNow; hand: Hand }) {
  const { slots, holeEnds, fields } = at;
  const { problem } = useJob();
  return (
    <div className="lock-picture">
      {slots !== undefined && holeEnds !== undefined && (
        <CastleNut
          slots={slots}
          holeEnds={holeEnds}
          pastDeg={at.turn?.backDeg ?? 0}
          way={at.way}
          hand={hand}
        />
      )}
      {at.verdict && (
        <Call status={at.verdict.status}>
          <RuleLink said={at.verdict} />
        </Call>
      )}
      <div className="pair-in">
        {locking.slots === undefined && (
          <QuantityInput
            compact
            label="Slots in the nut"
            dimension="count"
            text={fields.slots.text}
            onText={fields.slots.set}
          />
        )}
        {locking.holeEnds === undefined && (
          <QuantityInput
            compact
            label="Ends of holes in the shaft"
            dimension="count"
            text={fields.holes.text}
            onText={fields.holes.set}
          />
        )}
        <QuantityInput
          compact
          label="How far past the last slot it stands"
          dimension="angle"
          text={fields.past.text}
          onText={fields.past.set}
          fault={faultOf(problem, 'slot')}
        />
        {locking.holds === 'clamp' && (
          <QuantityInput
            compact
            label="Thickness it clamps, if measured"
            dimension="length"
            text={fields.grip.text}
            onText={fields.grip.set}
          />
        )}
      </div>
      <p className="note">{lockingWords(locking)}</p>
    </div>
  );
}
