import { sentence } from '../rules/index.ts';
import type { ChoiceBody, ChoiceKey, EventBody, EventType } from '../schemas/events.ts';
import { worst } from '../verdict.ts';
import { diagnosisGuards } from './guards/diagnosis.ts';
import type { Guards } from './guards/guard.ts';
import { partGuards } from './guards/parts.ts';
import { pressGuards } from './guards/press.ts';
import { clockBack, proveGuards } from './guards/prove.ts';
import { torqueGuards } from './guards/torque.ts';
import { walkGuards } from './guards/walk.ts';
import type { JobNow } from './job-now.ts';
import { unmet } from './needs.ts';
import { owedAt } from './owed.ts';
import { chosenPart } from './part-on-job.ts';
import { byStandIn } from './practice.ts';
import { isFitted } from './press-on-job.ts';
import { type Refusal, refuse } from './refusal.ts';
import { seatAnswered, seatVerdicts } from './seats-on-job.ts';
import { overrideOf } from './state.ts';
import { stations } from './stations.ts';
import { strokeRefusal } from './stroke-interlocks.ts';
import { typedRefusal } from './typed-figure.ts';

export { spentNut } from './guards/torque.ts';

/** What cannot be, whatever else is on the job. */
const guards: Guards = {
  ...diagnosisGuards,
  ...walkGuards,
  ...partGuards,
  ...pressGuards,
  ...torqueGuards,
  ...proveGuards,
};

/** What is judged once everything stands that it is built on. */
const verdicts: Guards = {
  'seat-judged': (b, job) => {
    if (b.decision === 'replace') return undefined;
    const verdicts = seatAnswered(job, b.seat) ? seatVerdicts(job, b.seat) : undefined;
    if (!verdicts) return refuse('seat', 'seat.not-read');
    const [gravest] = verdicts;
    const stopped = worst(verdicts) === 'stop' && !overrideOf(job.state, `seat.${b.seat}`);
    if (!stopped || !gravest) return undefined;
    return refuse('decision', 'seat.stop', { with: { because: sentence(gravest) } });
  },
  'stroke-recorded': strokeRefusal,
  'station-done': (b, job) => {
    const [owed] = owedAt(b.station, job);
    return owed && { field: 'station', ...owed };
  },
  // Whatever was closed before: nothing may be owed at any station when a name goes under it.
  signed: (b, job) => {
    const owed = stations.flatMap((s) => owedAt(s, job)).find((m) => m.rule !== 'prove.unsigned');
    return owed ? { field: 'signed', ...owed } : clockBack(b.odometerKm, job);
  },
};

/** Why a choice may not change now: the new part is chosen before it is pressed, and nothing on a closed job. */
export function choiceRefusal<K extends ChoiceKey>(
  key: K,
  value: ChoiceBody<K>,
  job: JobNow,
): Refusal | undefined {
  if (job.state.signed) return refuse(key, 'job.signed');
  if (job.state.closed) return refuse(key, 'job.closed', { with: { why: job.state.closed } });
  if (key !== 'match' || !isFitted(job)) return undefined;
  const { partNumber } = value as ChoiceBody<'match'>;
  return partNumber === chosenPart(job)?.number ? undefined : refuse('partNumber', 'match.fitted');
}

/** What may still be added under a signature. */
const afterSignature: readonly EventType[] = ['recheck-done', 'line-corrected'];

/** Judges whether an event may be added to the record as it stands; `by` is whose hand it is, where a rule asks for it. */
export function refusal<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
  by?: string,
): Refusal | undefined {
  if (job.state.signed && !afterSignature.includes(type)) return refuse('type', 'job.signed');
  if (job.state.closed && type !== 'job-reopened')
    return refuse('type', 'job.closed', { with: { why: job.state.closed } });
  const { shop } = job.ctx;
  if (shop && !shop.demo && !shop.standIns && byStandIn(type, body))
    return refuse('standIn', 'kit.stand-ins-off');
  const guard: Guards[T] = guards[type];
  const verdict: Guards[T] = verdicts[type];
  // What cannot be, then what may not be yet, then what is not right.
  return (
    guard?.(body, job) ??
    typedRefusal(type, body, job) ??
    unmet(type, body, job, by) ??
    verdict?.(body, job)
  );
}
