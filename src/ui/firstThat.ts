/** The words of the first case that holds; undefined when none does. */
export const firstThat = (
  ...cases: readonly (readonly [holds: unknown, words: string | undefined])[]
): string | undefined => cases.find(([holds]) => holds)?.[1];

/** How a figure stands under its tick on a scale: its ends keep inside. */
export function anchorAt(v: number, from: number, to: number): 'start' | 'middle' | 'end' {
  if (v === from) return 'start';
  return v === to ? 'end' : 'middle';
}
