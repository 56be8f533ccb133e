/** How deep a job is worked: what is measured, what is felt, what is left out. Order and safety hold in each. */
export const depths = ['full', 'usual', 'quick'] as const;
export type Depth = (typeof depths)[number];

export const depthNames: Record<Depth, string> = {
  full: 'full: all measured',
  usual: 'usual: seats by feel, eye and caliper',
  quick: 'quick: what keeps people and bearing safe',
};

/** Readings of each size of the old part that a depth asks for, at most. */
export const readingsAtDepth: Record<Depth, number> = { full: Infinity, usual: 1, quick: 1 };

/** Whether what carries no danger of its own, and what stands on one page, is said done in one go. */
export const inOneGo: Record<Depth, boolean> = { full: false, usual: true, quick: true };

/** Whether a measured final check may be left out, and then stands on the card as not measured. */
export const mayLeaveOut: Record<Depth, boolean> = { full: false, usual: false, quick: true };
