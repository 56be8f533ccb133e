/** Where figures stand on a line from left to right that just holds all of them, with `room` of their own unit left at both ends. */
export function onLine(
  figures: readonly number[],
  [left, right]: readonly [number, number],
  room = 0,
): (figure: number) => number {
  const [least, most] = [Math.min(...figures) - room, Math.max(...figures) + room];
  return (figure) => left + ((figure - least) / (most - least)) * (right - left);
}
