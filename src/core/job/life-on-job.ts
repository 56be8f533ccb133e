import { isPressed, schoolsOf, strokesIn } from '../families/index.ts';
import { cameToMinor, type LifeRecord, type Rates } from '../logbook/index.ts';
import type { CataloguePart } from '../matching/index.ts';
import type { Consumable } from '../schemas/workshop.ts';
import { causes } from '../old-part/index.ts';
import { familyCodeOf, walkOf, wayOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { racewaysBad } from './raceways-on-job.ts';
import { chosenPart } from './part-on-job.ts';
import { plannedMinutes } from './plan-on-job.ts';
import { handsOn } from './work-clock.ts';

/** Whether this job put a new bearing on its corner: pressed in, or bolted on by a family that presses nothing. */
export function bearingFitted(job: JobNow): boolean {
  const walk = walkOf(job);
  if (!walk || job.ctx.corner === 'unknown' || !chosenPart(job)) return false;
  return !isPressed(walk) || strokesIn(walk.in).some((o) => job.state.strokes[o]);
}

/** What the bench said of the bearing that came off: undefined while nobody looked. */
export const foundBad = (job: JobNow): boolean | undefined => {
  const { ctx, state } = job;
  const read = racewaysBad(job);
  if (read !== undefined) return read;
  const bench = state.results.findLast(
    (r) => r.testId === 'bench' && r.place === ctx.corner && !r.skipped,
  );
  return bench && bench.result === 'sandy';
};

/** Whether the old hub went on again: a new one by choice, or because its journal was given up. */
const hubOf = (job: JobNow): 'kept' | 'new' =>
  wayOf(job, 'hub') === 'new' || job.state.seatDecisions.journal === 'replace' ? 'new' : 'kept';

/** What was agreed against what it came to; nothing where either is not known, or in another currency. */
function moneyOf(
  { state: { agreed } }: JobNow,
  worked: number,
  parts: readonly Pick<CataloguePart, 'priceMinor' | 'currency'>[],
  rates: Rates | undefined,
): Pick<LifeRecord, 'money'> {
  if (!agreed || !rates || worked === 0) return {};
  const { currency } = agreed;
  if ([rates, ...parts].some((p) => p.currency !== currency)) return {};
  const prices = parts.map((p) => p.priceMinor);
  const came = cameToMinor(worked, prices, rates);
  return { money: { agreedMinor: agreed.upToMinor, cameToMinor: came, currency } };
}

/** The life that begins with this job; undefined where no bearing was fitted. `day`: of the signature. */
export function lifeBegun(
  job: JobNow,
  signed: {
    number: string;
    atKm: number;
    day: string;
    atMs: number;
    /** What an hour costs here, where the shop has said it. */
    rates?: Rates | undefined;
    /** What it took off the shelf besides the bearing, as the shop lists it. */
    taken?: readonly Consumable[];
  },
): LifeRecord | undefined {
  const { ctx, state } = job;
  const family = familyCodeOf(job);
  const part = chosenPart(job);
  if (!bearingFitted(job) || !family || ctx.corner === 'unknown' || !part) return undefined;
  const said = state.diagnosis;
  const right = foundBad(job);
  const worked = Math.round(handsOn(state.work, signed.atMs).ms / 60_000);
  return {
    id: `job-${signed.number}`,
    unit: ctx.unit.fleetNo,
    corner: ctx.corner,
    family,
    maker: part.maker,
    part: part.number,
    job: signed.number,
    fittedOn: signed.day,
    fittedAt: signed.atKm,
    end: 'running',
    schools: Object.fromEntries(schoolsOf(family).map((id) => [id, wayOf(job, id)])),
    ...(schoolsOf(family).includes('hub') ? { hub: hubOf(job) } : {}),
    ...(job.choices.plan ? { route: job.choices.plan.value.route } : {}),
    ...(said && right !== undefined ? { call: { said: said.probability, right } } : {}),
    ...(worked > 0 ? { minutes: { planned: plannedMinutes(job), worked } } : {}),
    ...moneyOf(job, worked, [part, ...(signed.taken ?? [])], signed.rates),
  };
}

/** The life before it on the same corner, ended by this job: failed only where somebody saw that it had. */
export const lifeEnded = (
  before: LifeRecord,
  job: JobNow,
  { atKm, day }: { atKm: number; day: string },
): LifeRecord => ({
  ...before,
  end: foundBad(job) ? 'failed' : 'suspicion',
  endedOn: day,
  ...(job.state.raceways?.cause ? { cause: causes[job.state.raceways.cause].name } : {}),
  endedAt: atKm,
});
