import { cautions, facts, itemsOf } from '../../families/index.ts';
import { familyCodeOf, stepsOf } from '../family-on-job.ts';
import { refuse } from '../refusal.ts';
import type { Guards } from './guard.ts';

export const walkGuards: Guards = {
  'caution-read': (b) =>
    Object.hasOwn(cautions, b.cautionId)
      ? undefined
      : refuse('cautionId', 'job.caution', { part: b.cautionId }),
  'item-marked': (b, job) =>
    itemsOf(familyCodeOf(job)).some((i) => i.id === b.itemId)
      ? undefined
      : refuse('itemId', 'match.item', { part: b.itemId }),
  'step-done': (b, job) =>
    stepsOf(job, b.phase).some((s) => s.id === b.stepId)
      ? undefined
      : refuse('stepId', 'plan.step', { part: b.stepId, with: { phase: b.phase } }),
  'fact-seen': ({ factId, absent, amountMl }) => {
    const measured = facts[factId].amount;
    const right = (amountMl !== undefined) === (measured !== undefined && absent !== true);
    return right ? undefined : refuse('amountMl', 'fact.amount', { part: measured ?? '' });
  },
};
