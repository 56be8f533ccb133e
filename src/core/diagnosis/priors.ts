import { type Layout, type Suspect, suspectsFor } from './suspects.ts';

/** How often each kind of cause was confirmed, by `causeKey`. */
export type Causes = Readonly<Record<string, number>>;

/** From so many confirmed causes on, of more than one kind, they change what is taken before any test. Our judgement. */
export const enoughCauses = 20;
/** Our written shares count as much as so many jobs. Our judgement. */
const writtenJobs = 40;

/** Kind and axle: a shop learns that it sees more rear bearings, not that it sees more of the left ones. */
export const causeKey = ({ kind, axle }: Pick<Suspect, 'kind' | 'axle'>): string =>
  axle ? `${kind}:${axle}` : kind;

/** Confirmed causes of a list of outcomes. */
export function causesOf(outcomes: readonly { layout: Layout; suspectId: string }[]): Causes {
  const counts: Record<string, number> = {};
  for (const o of outcomes) {
    const cause = suspectsFor(o.layout).find((s) => s.id === o.suspectId);
    if (cause) counts[causeKey(cause)] = (counts[causeKey(cause)] ?? 0) + 1;
  }
  return counts;
}

/** How many confirmed causes the shares stand on: none while they are too few, or all of one kind. */
export function causesBehind(causes: Causes | undefined): number {
  const counts = Object.values(causes ?? {});
  const n = counts.reduce((a, b) => a + b, 0);
  return n >= enoughCauses && counts.length > 1 ? n : 0;
}

/**
 * Suspects of a layout with their shares before any test: ours, moved towards what this shop confirmed once that is
 * enough (Dirichlet mean over kinds; within a kind the corners keep their proportions). They sum to one.
 */
export function suspectsBy(layout: Layout, causes: Causes | undefined): Suspect[] {
  const ours = suspectsFor(layout);
  if (causesBehind(causes) === 0 || !causes) return ours;
  const written = new Map<string, number>();
  for (const s of ours) written.set(causeKey(s), (written.get(causeKey(s)) ?? 0) + s.prior);
  // What this layout cannot have says nothing of it.
  const all = [...written].reduce(
    (sum, [key, share]) => sum + (share > 0 ? (causes[key] ?? 0) : 0),
    0,
  );
  return ours.map((s) => {
    const share = written.get(causeKey(s)) ?? 0;
    if (share === 0) return s;
    const learnt = (writtenJobs * share + (causes[causeKey(s)] ?? 0)) / (writtenJobs + all);
    return { ...s, prior: (s.prior / share) * learnt };
  });
}
