import { at, leastDb, type Scored } from './combs.ts';
import { explained, linesOf, linesTo, onWholeOrders } from './lines.ts';
import type { OrderSpectrum } from './spectra.ts';

/** What knocks besides the bearing: once a turn of the wheel, or at a beat of its own. */
export type Knock = 'once-a-turn' | 'own-beat';
export const knockWords: Record<Knock, string> = {
  'once-a-turn': 'Something knocks once a turn of the wheel: look for a stone in the tread.',
  'own-beat':
    'Something knocks at a beat of its own: joints of the road, an indicator, a loose thing.',
};
/** How far speed and rolling circumference may be off together. */
const wheelSlack = 0.02;
/**
 * Least share of the envelope's lines that a bearing's own series has to explain, up to so many lines: a bearing makes few,
 * short blows on the road make many, and a comb finds its teeth in them by chance. Tuned with the bench.
 */
const ownShare: readonly (readonly [upTo: number, share: number])[] = [
  [6, 0],
  [16, 0.38],
  [22, 0.6],
  [Infinity, 1.01],
];
/** Share of lines on whole orders from which they are knocks once a turn, unless nearly all are the bearing's too. */
const turnShare = 0.7;
const surelyOwn = 0.72;

/** What else knocks where a bearing's comb stands out and does not explain what is there; undefined when it is the bearing. */
export function knockIn({ comb, factor }: Scored, s: OrderSpectrum): Knock | undefined {
  if (!comb.series) return undefined;
  const { base, side } = comb.series;
  const lines = linesOf(s, linesTo * base * factor);
  const own = explained(lines, { base: base * factor, side: side * factor }, s.step);
  const least = ownShare.find(([upTo]) => lines.length <= upTo)![1];
  const few = least === 0;
  if (
    !few &&
    (own < surelyOwn || own < least) &&
    onWholeOrders(lines, wheelSlack, s.step) > turnShare
  )
    return 'once-a-turn';
  return own < least ? 'own-beat' : undefined;
}

/** More lines than this under this order are the blows of something on the road. */
const blowLines = 22;
export const blowsTo = 25;
/** Many short blows fill the plain spectrum too, up to where a mesh is looked for. */
export const manyBlows = (s: OrderSpectrum): boolean => linesOf(s, blowsTo).length > blowLines;

/** How near to whole orders of the wheel a driveline's teeth may lie before a tyre with as many blocks sounds the same. */
const wholeNear = 0.022;
/** Lines between the turns of the shaft, and their dB over the floor: only an engine makes them, by its firing. */
const firing = [1 / 3, 0.5, 2 / 3, 1.5];
const firingDb = 5;

/** What the teeth of a driveline's comb may be as well: any lone note, an engine's at the same turns, or a tread's. */
export function notDriveline(
  { comb, factor }: Scored,
  s: OrderSpectrum,
): 'lone-note' | 'engine' | 'tread' | undefined {
  if (comb.family !== 'driveline') return undefined;
  const teeth = comb.orders.map((o) => at(s, o * factor)).sort((a, b) => b - a);
  if (teeth[1]! < leastDb) return 'lone-note';
  const [shaft = 1, second = 1] = comb.orders.map((o) => o * factor);
  const twice = Math.abs(second / shaft - 2) < 0.01;
  if (twice && firing.some((k) => at(s, k * shaft) > firingDb)) return 'engine';
  const whole = Math.max(1, Math.round(shaft));
  return twice && Math.abs(shaft / whole - 1) < wholeNear ? 'tread' : undefined;
}
