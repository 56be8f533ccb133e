import type { RuleId } from '../../rules/index.ts';
import type { EventBody, EventType } from '../../schemas/events.ts';
import { instrumentsInUse, type JobNow } from '../job-now.ts';
import { type Refusal, refuse } from '../refusal.ts';

/** Why an entry of a kind may not be taken, by what it says and by the job as it stands. */
export type Guards = {
  [T in EventType]?: (body: EventBody<T>, job: JobNow) => Refusal | undefined;
};

/** What a concept of its own found wrong, under the rule that it breaks. */
export const fault = (
  f: { field: string; reason: string } | undefined,
  rule: RuleId,
  under = '',
): Refusal | undefined => f && refuse(under + f.field, rule, { with: { fault: f.reason } });

/** The instrument that read is one of the shop's. */
export const instrumentRefusal = (job: JobNow, id: string) =>
  instrumentsInUse(job).some((i) => i.id === id)
    ? undefined
    : refuse('instrumentId', 'kit.instrument', { part: id });
