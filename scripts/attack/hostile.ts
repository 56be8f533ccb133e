import type { TSchema } from '@sinclair/typebox';
import type { random } from '../../src/core/standins/cars.ts';

type Random = ReturnType<typeof random>;
const pick = <T>(r: Random, list: readonly T[]): T => list[Math.floor(r() * list.length)]!;

/** Names and texts that have broken programs. */
const evil = [
  '',
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  '\u0000',
  '\ud800',
  'a'.repeat(5000),
  '../../etc/passwd',
  "'; DROP TABLE jobs; --",
  '<script>alert(1)</script>',
  '=1+1',
  '%00',
  'NaN',
  '１２３',
  '‮',
];
const numbers = [0, -0, -1, 0.1, 1e-9, 1e9, 1e308, -1e308, Number.MAX_SAFE_INTEGER, 2 ** 53, 1.5];
const nonsense = (r: Random): unknown =>
  pick<unknown>(r, [
    null,
    true,
    [],
    {},
    pick(r, evil),
    pick(r, numbers),
    [[[[]]]],
    { a: { b: 1 } },
  ]);

interface Shape {
  type?: string;
  enum?: unknown[];
  const?: unknown;
  anyOf?: Shape[];
  properties?: Record<string, Shape>;
  required?: string[];
  items?: Shape;
  minItems?: number;
  minimum?: number;
  exclusiveMinimum?: number;
  maximum?: number;
  patternProperties?: Record<string, Shape>;
}

/** A value that a schema may take, more or less. */
export function sample(schema: TSchema | Shape, r: Random): unknown {
  const s = schema as Shape;
  if (s.const !== undefined) return s.const;
  if (s.enum) return pick(r, s.enum);
  if (s.anyOf) return sample(pick(r, s.anyOf), r);
  switch (s.type) {
    case 'object':
      return Object.fromEntries(
        Object.entries(s.properties ?? {}).flatMap(([k, v]) =>
          s.required?.includes(k) || r() < 0.5 ? [[k, sample(v, r)]] : [],
        ),
      );
    case 'array':
      return Array.from({ length: (s.minItems ?? 0) + Math.floor(3 * r()) }, () =>
        sample(s.items ?? {}, r),
      );
    case 'number':
    case 'integer': {
      const low = s.minimum ?? s.exclusiveMinimum ?? -10;
      const high = s.maximum ?? low + 100;
      const x = low + (high - low) * r();
      return s.type === 'integer' ? Math.round(x) : x;
    }
    case 'string':
      return pick(r, ['a', 'LF', '07', 'ines', 'unit-07', crypto.randomUUID(), '2026-01-01']);
    case 'boolean':
      return r() < 0.5;
    default:
      return nonsense(r);
  }
}

/** The same value with one thing in it that should not be. */
export function spoiled(value: unknown, r: Random): unknown {
  if (Array.isArray(value) && value.length > 0 && r() < 0.7) {
    const at = Math.floor(r() * value.length);
    return value.map((v, i) => (i === at ? spoiled(v, r) : (v as unknown)));
  }
  if (typeof value === 'object' && value !== null && !Array.isArray(value) && r() < 0.85) {
    const keys = Object.keys(value);
    const key = keys.length > 0 && r() < 0.8 ? pick(r, keys) : pick(r, evil);
    const inner = (value as Record<string, unknown>)[key];
    return { ...value, [key]: spoiled(inner, r) };
  }
  return nonsense(r);
}

/** A whole body: mostly a spoiled sample, now and then something that is no JSON, or too deep, wide or long. */
export function body(schema: TSchema | undefined, r: Random): string | Uint8Array {
  const roll = r();
  if (roll < 0.02) return new Uint8Array([0x7b, 0xff, 0xfe, 0xc0, 0x80]);
  if (roll < 0.04) return '['.repeat(20_000);
  if (roll < 0.06) return `{${Array.from({ length: 4000 }, (_, i) => `"k${i}":0`).join()}}`;
  if (roll < 0.08) return '{"a":1e999,"b":';
  if (roll < 0.09) return ' '.repeat(70_000);
  const good = schema ? sample(schema, r) : nonsense(r);
  return JSON.stringify(roll < 0.25 ? good : spoiled(good, r)) ?? 'null';
}
export const hostileParam = (r: Random): string =>
  encodeURIComponent(pick(r, evil).replace('\ud800', ''));
