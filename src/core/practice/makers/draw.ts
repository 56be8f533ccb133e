/** Things drawn from a seed's numbers. */

/** Where a figure of practice comes from. */
export const practice = 'common practice, no published source';

export const pickOne = <T>(list: readonly T[], r: () => number): T =>
  list[Math.floor(r() * list.length)]!;
export const shuffled = <T>(list: readonly T[], r: () => number): T[] =>
  list
    .map((x) => ({ x, at: r() }))
    .sort((a, b) => a.at - b.at)
    .map(({ x }) => x);
/** Draws after which a maker that looks for one that fits gives up: of a tenth of them 2 of 400 seeds found none, of all of them one in more than there are seeds. */
export const mostTries = 200;

export const between = (low: number, high: number, r: () => number) => low + (high - low) * r();
