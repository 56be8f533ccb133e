/** What a job will cost, low, likely and high. Money in minor units (cents). */

export interface Three {
  low: number;
  likely: number;
  high: number;
}

export interface QuoteLine {
  what: string;
  minor: Three;
}

/** What a quote needs that the job itself does not know. */
export interface QuoteSettings {
  currency?: string;
  ratePerHourMinor?: number;
  taxPercent?: number;
  /** Minutes that hands were on earlier jobs of this family, the latest first. */
  history: number[];
}

/** What a quote is made from. */
export interface QuoteBasis {
  currency: string;
  /** Price of an hour of hands on the car. */
  ratePerHourMinor: number;
  taxPercent: number;
  /** Minutes with hands on, as planned. */
  plannedMin: number;
  /** Minutes with hands on of earlier jobs of this family in this shop. */
  history: readonly number[];
  /** Checking the alignment afterwards, min; 0 where nothing is disturbed. */
  alignmentMin: number;
  parts: readonly { what: string; minor: number }[];
}

export interface Quote {
  lines: readonly QuoteLine[];
  /** Minutes with hands on, and what they rest on. */
  minutes: Three;
  from: 'history' | 'plan';
  tax: Three;
  total: Three;
}

/** So many jobs of a family make a history. */
export const historyFrom = 5;

/** How a plan turns out without a history: a tenth shorter, or half as long again on rust. Our judgement. */
const ofPlan: Three = { low: 0.9, likely: 1, high: 1.5 };

/** The value below which this share of the list lies, straight between its neighbours. */
function quantile(list: readonly number[], share: number): number {
  const sorted = [...list].sort((a, b) => a - b);
  const at = share * (sorted.length - 1);
  const [low, high] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return low + (high - low) * (at - Math.floor(at));
}

const three = (f: (key: keyof Three) => number): Three => ({
  low: f('low'),
  likely: f('likely'),
  high: f('high'),
});

const money = (t: Three): Three => three((k) => Math.round(t[k]));
const sumOf = (list: readonly Three[]): Three =>
  three((k) => list.reduce((sum, t) => sum + t[k], 0));

/** Labour by the shop's own history where it has one, else by the plan; parts, alignment, tax. Throws RangeError. */
export function quoteOf(b: QuoteBasis): Quote {
  if (!(b.ratePerHourMinor > 0)) throw new RangeError('ratePerHourMinor: more than 0');
  if (!(b.plannedMin > 0)) throw new RangeError('plannedMin: more than 0');
  const has = b.history.length >= historyFrom;
  const minutes: Three = has
    ? {
        low: quantile(b.history, 0.1),
        likely: quantile(b.history, 0.5),
        high: quantile(b.history, 0.9),
      }
    : three((k) => b.plannedMin * ofPlan[k]);
  const priced = (min: number) => (min / 60) * b.ratePerHourMinor;
  const same = (minor: number): Three => ({ low: minor, likely: minor, high: minor });
  const lines: QuoteLine[] = [
    { what: 'Labour', minor: money(three((k) => priced(minutes[k]))) },
    ...(b.alignmentMin > 0
      ? [{ what: 'Alignment checked', minor: money(same(priced(b.alignmentMin))) }]
      : []),
    ...b.parts.map((p) => ({ what: p.what, minor: same(p.minor) })),
  ];
  const net = sumOf(lines.map((l) => l.minor));
  const tax = money(three((k) => (net[k] * b.taxPercent) / 100));
  return { lines, minutes, from: has ? 'history' : 'plan', tax, total: sumOf([net, tax]) };
}

/** What may be found on the way, in the customer's words; its price is the shop's to name. Common practice, no published source. */
export const branches: readonly {
  id: string;
  what: string;
  why: string;
  of?: readonly string[];
}[] = [
  {
    id: 'hub',
    what: 'The hub is worn where the bearing sits',
    why: 'It is measured once it is out. A worn one lets the new bearing turn on it.',
    of: ['P1', 'B2', 'T2', 'A3'],
  },
  {
    id: 'knuckle',
    what: 'The part that holds the bearing is worn',
    why: 'It is measured too. Worn beyond its limit it is replaced.',
    of: ['P1', 'P2', 'A1', 'N1'],
  },
  {
    id: 'shaft',
    what: 'The axle shaft is worn under its bearing or seal',
    why: 'It shows when the bearing is off.',
    of: ['A1', 'A2', 'A3', 'T2'],
  },
  {
    id: 'sensor',
    what: 'The wheel-speed sensor breaks on its way out',
    why: 'Rust holds it fast; it is taken out with care, and not every one survives.',
    of: ['P1', 'P2', 'P3', 'P3L'],
  },
  {
    id: 'bolts',
    what: 'A bolt shears, or will not come',
    why: 'It is drilled out and replaced.',
  },
];
export const branchesOf = (family: string | undefined) =>
  branches.filter((b) => !b.of || b.of.includes(family ?? 'P1'));
