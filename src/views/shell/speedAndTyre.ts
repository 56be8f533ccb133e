import { tyre } from '../../core/noise/index.ts';
import { readTyped } from '../../ui/units.ts';

export type SpeedAndTyre =
  { ok: true; kmh: number; circumferenceMm: number } | { ok: false; reason: string };

/** Speed of the drive and turns of the wheel, as typed, or what is wrong with them. */
export function speedAndTyre(speed: string, tyreText: string): SpeedAndTyre {
  const v = readTyped(speed, 'speed');
  if (!v.ok) return { ok: false, reason: `Speed: ${v.reason}` };
  if (!(v.value > 0))
    return { ok: false, reason: 'At speed 0 no wheel turns: type the speed of the drive.' };
  try {
    return { ok: true, kmh: v.value, circumferenceMm: tyre(tyreText).circumferenceMm };
  } catch (e) {
    return { ok: false, reason: (e as Error).message.replace(/^tyre: /u, 'Tyre: ') };
  }
}
