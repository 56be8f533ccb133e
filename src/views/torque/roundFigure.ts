import type { Round } from '../../core/torque/index.ts';
import { both } from '../../ui/units.ts';

/** What a reading of a round measures; undefined where no figure is on record. */
export function roundUnit(round: Round): 'torque' | 'angle' | undefined {
  if ('torqueNm' in round) return 'torque';
  return 'angleDeg' in round ? 'angle' : undefined;
}

/** What a round asks of every bolt, read from across the bench. */
export function figureOfRound(round: Round): { value: string; unit: string; note: string } {
  if ('torqueNm' in round) {
    const b = both(round.torqueNm, 'torque');
    return { value: b.value, unit: b.unit, note: b.other };
  }
  if ('angleDeg' in round)
    return { value: `+${round.angleDeg}°`, unit: '', note: 'by the mark, in one pull' };
  return { value: '', unit: '', note: 'no figure on record' };
}
