import { type TSchema, Type } from '@sinclair/typebox';

/** Closed object: an unknown field is an error, not a silence. */
export const closed = <T extends Record<string, TSchema>>(fields: T) =>
  Type.Object(fields, { additionalProperties: false });
export const oneOf = <T extends readonly string[]>(values: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...values] });
/** The same schema for each of some keys. */
export const eachOf = <K extends string, T extends TSchema>(
  keys: readonly K[],
  schema: T,
): Record<K, T> => Object.fromEntries(keys.map((k) => [k, schema])) as Record<K, T>;
export const Maybe = <T extends TSchema>(schema: T) => Type.Optional(schema);

export const Mm = (description?: string) =>
  Type.Number({ exclusiveMinimum: 0, maximum: 2000, ...(description ? { description } : {}) });
export const Text = (max = 200) => Type.String({ minLength: 1, maxLength: max });
export const Id = Type.String({
  minLength: 1,
  maxLength: 64,
  pattern: '^[A-Za-z0-9][A-Za-z0-9._-]*$',
});
export const Uuid = Type.String({
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$',
  description: 'UUID, made by the client (version 7)',
});
/** An uncertain figure: low, likely, high. */
export const Three = closed({ low: Type.Number(), likely: Type.Number(), high: Type.Number() });
export const DateOnly = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' });
export const Km = Type.Integer({ minimum: 0, maximum: 5_000_000 });
export const Currency = Type.String({ pattern: '^[A-Z]{3}$' });
