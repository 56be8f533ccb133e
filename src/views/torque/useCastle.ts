import {
  castleTurn,
  type CastleTurn,
  type CastleWay,
  castleWay,
  neverLinesUp,
  type Procedure,
  type SlotStands,
  slotVerdict,
} from '../../core/torque/index.ts';
import type { Verdict } from '../../core/verdict.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { readTyped } from '../../ui/units.ts';
import { useJob } from '../shell/useJob.ts';

interface DraftField {
  text: string;
  set: (text: string) => void;
}

/** A castle nut before it is locked: counted where the record does not know it, and told by how it stands. */
export interface CastleNow {
  slots: number | undefined;
  holeEnds: number | undefined;
  turn: CastleTurn | undefined;
  way: CastleWay | undefined;
  /** What the step means, or why there is none. */
  verdict: Verdict | undefined;
  /** As it goes on record; undefined until it was looked at. */
  stands: SlotStands | undefined;
  /** Why it cannot be locked so. */
  missing: string | undefined;
  fields: Record<'past' | 'slots' | 'holes' | 'grip', DraftField>;
}

const whole = (text: string): number | undefined => {
  const read = readTyped(text, 'count');
  return read.ok && Number.isInteger(read.value) && read.value > 0 ? read.value : undefined;
};

/** Undefined where the nut is locked in another way. */
export function useCastle(p: Procedure): CastleNow | undefined {
  const { view } = useJob();
  const draft = (of: string) => `${view.job.id}:castle-${of}`;
  const [past, setPast] = useDraft(draft('past'));
  const [slotsText, setSlots] = useDraft(draft('slots'));
  const [holesText, setHoles] = useDraft(draft('holes'));
  const [grip, setGrip] = useDraft(draft('grip'));
  const { locking } = p;
  if (locking?.kind !== 'castle') return undefined;
  const slots = locking.slots ?? whole(slotsText);
  const holeEnds = locking.holeEnds ?? whole(holesText);
  const [read, thick] = [readTyped(past, 'angle'), readTyped(grip, 'length')];
  const known = slots !== undefined && holeEnds !== undefined;
  const inLine = known && !neverLinesUp(slots, holeEnds);
  const turn = inLine && read.ok ? castleTurn(slots, holeEnds, read.value) : undefined;
  const stands =
    known && read.ok
      ? { pastDeg: read.value, slots, holeEnds, ...(thick.ok ? { gripMm: thick.value } : {}) }
      : undefined;
  const verdict = known ? slotVerdict(p, stands ?? { slots, holeEnds }) : undefined;
  return {
    slots,
    holeEnds,
    turn,
    way: turn && castleWay(turn, locking.holds),
    verdict,
    stands,
    missing: verdict?.status === 'stop' ? 'Not to this slot' : undefined,
    fields: {
      past: { text: past, set: setPast },
      slots: { text: slotsText, set: setSlots },
      holes: { text: holesText, set: setHoles },
      grip: { text: grip, set: setGrip },
    },
  };
}
