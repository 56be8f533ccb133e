import { type Dimension, parseQuantity, type UnitSystem } from '../units/index.ts';

/** A calculation for use without a job: what it asks for, and what comes out. */

export interface ScratchField {
  id: string;
  label: string;
  /** A quantity by its dimension, a word as it is written, or one of some words. */
  kind: Dimension | 'word' | readonly string[];
  optional?: true;
}

/** One result: a figure in the core's unit, or words. */
export type ScratchResult = { what: string; main?: true } & (
  { value: number; dimension: Dimension; decimals?: number } | { text: string }
);

/** What was typed, read: figures in the core's unit, words as they are; what may stay open is absent. */
export class Asked {
  constructor(private readonly values: ReadonlyMap<string, number | string>) {}
  number(id: string): number {
    const v = this.values.get(id);
    if (typeof v !== 'number') throw new RangeError(`${id}: type a figure`);
    return v;
  }
  word(id: string): string {
    return String(this.values.get(id) ?? '');
  }
  has(id: string): boolean {
    return this.values.has(id);
  }
  orZero(id: string): number {
    return this.has(id) ? this.number(id) : 0;
  }
}

export interface Calculator {
  id: string;
  name: string;
  fields: readonly ScratchField[];
  /** Throws RangeError "field: reason" for what cannot be. */
  work: (asked: Asked) => ScratchResult[];
  /** What it rests on. */
  source: string;
  /** What one has to know beside the figure. */
  caution?: string;
}

/** What came of what was typed: results, what is still open, or the field that is wrong and why. */
export type Scratched =
  | { done: true; results: ScratchResult[]; asked: Asked }
  | { done: false; open: string[]; faults: Record<string, string> };

/** Reads the typed text of every field, a bare number in the first unit of `system`, and works it out. */
export function scratch(
  c: Calculator,
  typed: Readonly<Record<string, string>>,
  system: UnitSystem = 'metric',
): Scratched {
  const values = new Map<string, number | string>();
  const faults: Record<string, string> = {};
  const open: string[] = [];
  for (const f of c.fields) {
    const text = (typed[f.id] ?? '').trim();
    if (text === '') {
      if (!f.optional) open.push(f.id);
      continue;
    }
    if (f.kind === 'word') values.set(f.id, text);
    else if (Array.isArray(f.kind)) {
      if ((f.kind as readonly string[]).includes(text)) values.set(f.id, text);
      else faults[f.id] = `One of ${(f.kind as readonly string[]).join(', ')}.`;
    } else {
      const read = parseQuantity(text, f.kind as Dimension, undefined, system);
      if (read.ok) values.set(f.id, read.value);
      else faults[f.id] = read.reason;
    }
  }
  if (open.length > 0 || Object.keys(faults).length > 0) return { done: false, open, faults };
  const asked = new Asked(values);
  try {
    return { done: true, results: c.work(asked), asked };
  } catch (e) {
    if (!(e instanceof RangeError)) throw e;
    const [field = '', ...rest] = e.message.split(': ');
    const named = c.fields.some((f) => f.id === field) ? field : (c.fields[0]?.id ?? '');
    return { done: false, open: [], faults: { [named]: rest.join(': ') || e.message } };
  }
}
