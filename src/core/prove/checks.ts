import type { FamilyCode } from '../families/index.ts';
import type { Found } from '../rules/index.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { type PlayLimit, twoRows } from './play-limit.ts';

/** One final check: seen or measured. */
export interface Check {
  id: string;
  text: string;
  /** Numeric checks carry a unit and a limit; the others are answered by looking. */
  numeric?: { unit: '°C' | 'mm' | 'kPa'; max: number; limitSource: string };
  /** A vehicle is not released with this one open. */
  release: boolean;
  /** A technician may release it with name and reason when it fails: a visual check, or a measured one whose limit is our judgement. */
  byName?: true;
}

const judged = 'engineering judgement; the maker’s figure comes first';
const checks: readonly (Check & {
  /** Families it belongs to; all when absent. */ of?: readonly FamilyCode[];
  /** Only after this route. */ route?: string;
})[] = [
  { id: 'smooth', text: 'Turns smoothly, no rub of shield, disc or drum', release: true },
  {
    id: 'end-play',
    text: 'End play at the flange',
    numeric: { unit: 'mm', max: twoRows.maxMm, limitSource: twoRows.source },
    release: true,
    byName: true,
    of: ['P1', 'P2', 'P3', 'P3L', 'B2', 'A2'],
  },
  {
    id: 'shaft-play',
    text: 'End play of the shaft in its clip',
    numeric: { unit: 'mm', max: 0.6, limitSource: judged },
    release: true,
    of: ['A1'],
  },
  {
    id: 'runout',
    text: 'Runout of disc or flange',
    numeric: { unit: 'mm', max: 0.1, limitSource: judged },
    release: true,
  },
  { id: 'signal', text: 'Wheel-speed signal: four speeds agree, no lamp', release: true },
  {
    id: 'locked',
    text: 'Axle nut locked, cap on',
    release: true,
    byName: true,
    of: ['P1', 'P2', 'P3', 'B2', 'T2', 'A3'],
  },
  {
    id: 'shaft-face',
    text: 'Shaft in, face sealed, cone washers home, no weep',
    release: true,
    byName: true,
    of: ['A3'],
  },
  {
    id: 'vacuum',
    text: 'Vacuum of the locking hub, lost in a minute',
    numeric: { unit: 'kPa', max: 5, limitSource: judged },
    release: true,
    of: ['P3L'],
  },
  {
    id: 'lock-frees',
    text: 'Locking hub locks and frees',
    release: true,
    byName: true,
    of: ['P3L'],
  },
  {
    id: 'oil-level',
    text: 'Axle oil to the level, breather clear, no weep',
    release: true,
    of: ['A1', 'A2', 'A3'],
  },
  { id: 'hose', text: 'Brake hose not twisted, pedal pumped firm', release: true, byName: true },
  {
    id: 'lead',
    text: 'Sensor lead clipped, clear of wheel and shaft',
    release: true,
    byName: true,
  },
  { id: 'wheel-nuts', text: 'Wheel nuts in a cross, twice', release: true },
  { id: 'road', text: 'Road test: noise gone at the speed where it was, no pull', release: true },
  {
    id: 'warmth',
    text: 'Both sides after the drive, difference',
    numeric: { unit: '°C', max: 12, limitSource: 'engineering judgement' },
    release: false,
  },
  {
    id: 'alignment',
    text: 'Alignment booked (strut bolts were out)',
    release: true,
    of: ['P1', 'P2'],
    route: 'bench',
  },
];

/** Limits of the unit's own record, by check; they come before ours. */
export interface OwnLimits {
  endPlayMm?: number | undefined;
  runoutMm?: number | undefined;
  source: string;
}
const ownLimit: Partial<Record<string, 'endPlayMm' | 'runoutMm'>> = {
  'end-play': 'endPlayMm',
  'shaft-play': 'endPlayMm',
  runout: 'runoutMm',
};

/** Final checks of a family on its route, each with the unit's own limit where it has one; those of a pressed-in bearing while it is not named. */
export const checksOf = (
  code: FamilyCode | undefined,
  route?: string,
  limits?: OwnLimits,
  /** The most end play that the bearing has by its type, where it is not two rows. */
  play?: PlayLimit,
): Check[] =>
  checks
    .filter(
      (c) =>
        (c.of === undefined || c.of.includes(code ?? 'P1')) &&
        (c.route === undefined || c.route === (route ?? c.route)),
    )
    .map((c) => {
      const key = ownLimit[c.id];
      const max = key && limits?.[key];
      if (c.numeric && max !== undefined && limits) {
        const { byName: _ours, ...own } = c;
        return { ...own, numeric: { ...c.numeric, max, limitSource: limits.source } };
      }
      return c.numeric && c.id === 'end-play' && play
        ? { ...c, numeric: { ...c.numeric, max: play.maxMm, limitSource: play.source } }
        : c;
    });

const measures = { '°C': 'rise', mm: 'length', kPa: 'pressure' } as const;
/** What a figure of the check measures; one in °C is how much warmer it is than the other side. */
export const dimensionOf = ({ numeric }: Check) => numeric && measures[numeric.unit];

/** Whether a reading can be at all: a play and a runout are measured from 0 up; a difference has either sign. */
export const canBe = (c: Check, value: number): boolean => c.numeric?.unit === '°C' || value >= 0;

export function judgeCheck(c: Check, answer: { ok?: boolean; value?: number }): Verdict {
  const part = c.text;
  if (!c.numeric) {
    const right = answer.ok === true;
    const said = { part, with: { right: right ? 'yes' : '' } };
    return verdict('prove.seen', said, right ? 'good' : 'stop');
  }
  const { max, unit, limitSource } = c.numeric;
  const { value } = answer;
  const found: Found = { part, value, max, unit, source: limitSource, with: { unit } };
  if (value === undefined) return verdict('prove.no-value', found);
  // A difference is as far off one way as the other.
  return verdict('prove.within', found, Math.abs(value) <= max ? 'good' : 'stop');
}

/** Recheck of nut and wheel nuts after this distance, km (common practice, 100 miles, no published source). */
export const recheckKm = 160;

/** What an override of a final check is called; its names are in signed records. */
export const checkRule = (checkId: string): string => `prove.not-right:${checkId}`;
