import { type Hand, type Stage, stageWindow, turnGoes } from '../../core/torque/index.ts';
import { both } from '../../ui/units.ts';

/** Decimals of a reading where its unit's own do not do. */
export const readingDecimals: Partial<Record<Stage['kind'], number>> = { drag: 2, 'end-play': 3 };

/** A stage as it is read from across the bench. */
export function stageFigure(s: Stage): { value: string; unit: string; other: string } {
  switch (s.kind) {
    case 'torque': {
      const b = both(s.value ?? 0, 'torque');
      return { value: b.value, unit: b.unit, other: b.other };
    }
    case 'angle':
      return { value: `+${s.value}°`, unit: '', other: '' };
    case 'back-off':
      return { value: `−${s.value}°`, unit: '', other: '' };
    case 'turn-hub':
      return { value: String(s.value), unit: 'turns', other: '' };
    case 'wait':
      return { value: String(s.value), unit: 'min', other: '' };
    case 'drag':
    case 'recheck': {
      const b = both(s.value ?? 0, 'torque', readingDecimals[s.kind] ?? 0);
      return { value: b.value, unit: b.unit, other: b.other };
    }
    case 'end-play': {
      const w = stageWindow(s);
      return { value: w ? `${w.low}–${w.high}` : '', unit: 'mm', other: '' };
    }
    case 'lock':
      return { value: 'lock', unit: '', other: '' };
  }
}

const spokenUnits: Partial<Record<Stage['kind'], string>> = {
  torque: 'newton metres',
  angle: 'degrees on',
  'back-off': 'degrees back',
  'turn-hub': 'turns of the hub',
  wait: 'minutes',
  drag: 'newton metres of drag at most',
  recheck: 'newton metres',
  'end-play': 'millimetres of end play',
};
const turned: readonly Stage['kind'][] = ['torque', 'angle', 'back-off'];
/** A stage as it is said aloud; which way round a left-hand thread goes with it. */
export function spokenStage(s: Stage, hand: Hand): string {
  const said =
    s.value === undefined ? s.text : `${s.text}: ${s.value} ${spokenUnits[s.kind] ?? ''}`;
  if (hand === 'right' || !turned.includes(s.kind)) return said;
  return `${said}, ${turnGoes(s.kind === 'back-off' ? 'loosen' : 'tighten', hand)}`;
}
