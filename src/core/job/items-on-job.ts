import { overrideOf, type JobState } from './state.ts';

/** What an override for an item that is not here is called; its names are in signed records. */
export const openItemRule = (itemId: string): string => `match.open-item:${itemId}`;
export const itemOfRule = (rule: string): string | undefined =>
  rule.startsWith('match.open-item:') ? rule.slice('match.open-item:'.length) : undefined;

/** An item was used up by work that has fallen since, and no other one was taken in its place or answered for. */
export const isSpent = (itemId: string, s: JobState): boolean =>
  (s.spentAt[itemId] ?? 0) > (s.itemsAt[itemId] ?? 0) && !overrideOf(s, openItemRule(itemId));
