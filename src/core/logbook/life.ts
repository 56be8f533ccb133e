import { type Static, Type } from '@sinclair/typebox';
import { corners } from '../corner.ts';
import { familyCodes, schoolIds } from '../families/index.ts';
import { closed, Currency, DateOnly, eachOf, Id, Maybe, oneOf, Text } from '../schemas/common.ts';
import { MILE_KM } from '../units/index.ts';
import type { IntervalLife } from './weibull.ts';
import type { Life } from './survival.ts';

const ends = ['running', 'failed', 'suspicion', 'sold'] as const;
/** Reading of the clock of the vehicle. */
const Clock = Type.Number({ minimum: 0, maximum: 5_000_000 });

/** One bearing from when it was fitted to when it came off, or to now. */
export const LifeSchema = closed({
  id: Id,
  /** Number of the unit in the fleet. */
  unit: Text(20),
  corner: oneOf(corners),
  family: oneOf(familyCodes),
  maker: Maybe(Text(60)),
  part: Maybe(Id),
  /** Job that fitted it, where there is one on record. */
  job: Maybe(Text(20)),
  fittedOn: Maybe(DateOnly),
  fittedAt: Clock,
  /** Where nobody knows how it ran before: the clock from which it was watched. */
  watchedFrom: Maybe(Clock),
  end: oneOf(ends),
  endedOn: Maybe(DateOnly),
  /** Of one that failed unseen: the last reading at which it still ran. */
  endedAt: Maybe(Clock),
  /** The reading by which it had failed, where only that is known. */
  endedBy: Maybe(Clock),
  /** Unit of its readings in a table; kilometres unless said, and always in the book. */
  distance: Maybe(oneOf(['km', 'mi'] as const)),
  schools: Maybe(Type.Partial(closed(eachOf(schoolIds, Text(20))))),
  route: Maybe(Text(20)),
  hub: Maybe(oneOf(['kept', 'new'] as const)),
  /** What killed it, where the old part was read. */
  cause: Maybe(Text(80)),
  /** What was said of the corner before it was opened, and whether the bench agreed. */
  call: Maybe(
    Type.Partial(closed({ said: Type.Number({ minimum: 0, maximum: 1 }), right: Type.Boolean() })),
  ),
  minutes: Maybe(
    Type.Partial(
      closed({
        planned: Type.Number({ minimum: 0, maximum: 10_000 }),
        worked: Type.Number({ minimum: 0, maximum: 10_000 }),
      }),
    ),
  ),
  /** What the customer agreed to, and what hands, bearing and what was taken by its number came to; minor units. */
  money: Maybe(
    closed({
      agreedMinor: Type.Integer({ minimum: 1, maximum: 1_000_000_000 }),
      cameToMinor: Type.Integer({ minimum: 0, maximum: 1_000_000_000 }),
      currency: Currency,
    }),
  ),
  /** What a lead says of one that failed soon: the same complaint again on its corner, or another thing. */
  comeback: Maybe(closed({ is: Type.Boolean(), reason: Text(200), byId: Id })),
  /** Invented, for a demo. */
  madeUp: Maybe(Type.Boolean()),
});
export type LifeRecord = Static<typeof LifeSchema>;

/** What a schema does not see: a life that ends before it begins, an end that nobody read. */
export function lifeFaults(l: LifeRecord): { field: string; reason: string }[] {
  const faults: { field: string; reason: string }[] = [];
  const no = (field: string, reason: string) => faults.push({ field, reason });
  const { fittedAt, watchedFrom, endedAt, endedBy, end } = l;
  if (endedAt !== undefined && endedAt < fittedAt)
    no('endedAt', `It ends at ${endedAt}, before it was fitted at ${fittedAt}.`);
  if (l.fittedOn && l.endedOn && l.endedOn < l.fittedOn)
    no('endedOn', 'It ends on a day before it was fitted.');
  if (watchedFrom !== undefined && watchedFrom < fittedAt)
    no('watchedFrom', 'It cannot be watched before it was fitted.');
  if (watchedFrom !== undefined && endedAt !== undefined && watchedFrom >= endedAt)
    no('watchedFrom', 'It ended before anybody watched it: nothing is known of it.');
  if (end === 'running' && endedBy !== undefined) no('endedBy', 'It still runs.');
  if (endedBy !== undefined && (end !== 'failed' || endedAt === undefined))
    no('endedBy', 'Only of one that failed, with the last reading at which it ran.');
  if (endedBy !== undefined && endedAt !== undefined && endedBy <= endedAt)
    no('endedBy', 'It lies after the last reading at which it ran.');
  if (end !== 'running' && endedAt === undefined)
    no('endedAt', 'The clock at which it came off is missing.');
  return faults;
}

/** How long it ran, km; undefined for one that still runs on a unit whose clock nobody read since. */
export interface Span {
  life: LifeRecord;
  /** For curve and groups; absent where only an interval is known. */
  exact?: Life;
  interval?: IntervalLife;
}

/** The same life in kilometres, as the book keeps it; a table brings miles too. */
export function inKm({ distance, ...l }: LifeRecord): LifeRecord {
  const of = (x: number | undefined) => (x === undefined ? undefined : x * MILE_KM);
  if (distance !== 'mi') return l;
  const read = { watchedFrom: of(l.watchedFrom), endedAt: of(l.endedAt), endedBy: of(l.endedBy) };
  const known = Object.entries(read).filter(([, x]) => x !== undefined);
  return { ...l, fittedAt: l.fittedAt * MILE_KM, ...Object.fromEntries(known) };
}

/** The span of a life: one that runs is known to run until the clock of its unit, km. */
export function spanOf(life: LifeRecord, clockKm: number | undefined): Span | undefined {
  const from = life.fittedAt;
  const endKm = life.endedAt ?? clockKm;
  if (endKm === undefined || endKm < from) return undefined;
  const time = endKm - from;
  if (life.endedBy !== undefined)
    return { life, interval: { from: time, to: life.endedBy - from } };
  const entry = life.watchedFrom === undefined ? 0 : life.watchedFrom - from;
  if (entry > 0 && entry >= time) return undefined;
  return { life, exact: { time, failed: life.end === 'failed', ...(entry > 0 ? { entry } : {}) } };
}

/** Units whose clock goes back from one life to a later one: a typing slip, or a clock that was changed. */
export function clockJumps(lives: readonly LifeRecord[]): string[] {
  const dated = lives.filter((l) => l.fittedOn !== undefined);
  const units = [...new Set(dated.map((l) => l.unit))];
  return units.filter((unit) => {
    const own = dated
      .filter((l) => l.unit === unit)
      .sort((a, b) => (a.fittedOn ?? '').localeCompare(b.fittedOn ?? ''));
    return own.some((l, i) => {
      const before = own[i - 1];
      return before !== undefined && l.fittedAt < before.fittedAt;
    });
  });
}

/** How far one ran that has come off, km; undefined of one that still runs. */
export const ranKm = ({ fittedAt, endedAt }: LifeRecord): number | undefined =>
  endedAt === undefined ? undefined : endedAt - fittedAt;
