/** The middle of a list, of an even one the mean of the two in the middle; 0 of an empty one. */
export const median = (list: readonly number[]): number => {
  const s = [...list].sort((a, b) => a - b);
  return s.length === 0 ? 0 : (s[(s.length - 1) >> 1]! + s[s.length >> 1]!) / 2;
};
