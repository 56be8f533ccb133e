import { type Corner, corners } from '../corner.ts';
import { median } from '../median.ts';
import type { Traces } from './read.ts';

/** How far one step between samples may be off the usual one: a table rounds its times (judgement). */
const mostUneven = 0.5;

/** Traces from a table with the heads seconds, LF, RF, LR, RR (volts). Throws RangeError naming the line or head. */
export function tracesFromRows(
  rows: readonly (readonly string[])[],
  kmh: number,
  sensor: Traces['sensor'],
): Traces {
  const head = rows[0]?.map((h) => h.trim()) ?? [];
  const column = (name: string) => {
    const i = head.indexOf(name);
    if (i < 0)
      throw new RangeError(
        `${name}: the table has no column of this name; it needs seconds, LF, RF, LR, RR`,
      );
    return i;
  };
  const at = {
    seconds: column('seconds'),
    ...(Object.fromEntries(corners.map((c) => [c, column(c)])) as Record<Corner, number>),
  };
  const cell = (line: number, name: keyof typeof at): number => {
    const v = Number(rows[line]![at[name]]?.trim() || Number.NaN);
    if (!Number.isFinite(v)) throw new RangeError(`line ${line + 1}: ${name} is not a number`);
    return v;
  };
  if (rows.length < 100)
    throw new RangeError('lines: under 100 samples are too few to count pulses');
  const times = rows.slice(1).map((_, i) => cell(i + 1, 'seconds'));
  const back = times.findIndex((t, i) => i > 0 && t <= times[i - 1]!);
  if (back > 0) throw new RangeError(`line ${back + 2}: time does not run forward`);
  const steps = times.slice(1).map((t, i) => t - times[i]!);
  const usual = median(steps);
  // A count over time wants even time: a pause of the recorder would be read as a gap of the sensor.
  const pause = steps.findIndex((s) => Math.abs(s / usual - 1) > mostUneven);
  if (pause >= 0)
    throw new RangeError(
      `line ${pause + 3}: ${steps[pause]!.toFixed(4)} s since the line before, ${usual.toFixed(4)} s between the others; samples have to be even`,
    );
  const sampleRate = (times.length - 1) / (times.at(-1)! - times[0]!);
  return {
    sampleRate,
    kmh,
    sensor,
    volts: Object.fromEntries(
      corners.map((c) => [c, times.map((_, i) => cell(i + 1, c))]),
    ) as Record<Corner, number[]>,
  };
}
