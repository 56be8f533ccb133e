import type { Static, TSchema } from '@sinclair/typebox';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import { type FieldFault, invalid, Problem } from './problem.ts';

const ajv = new Ajv({ allErrors: true, verbose: true, strict: true, coerceTypes: false });
const compiled = new WeakMap<TSchema, ValidateFunction>();

/** Checks a value against a schema and gives it its type, or throws a 422 that names fields and reasons. */
export function validated<T extends TSchema>(schema: T, value: unknown): Static<T> {
  const faults = faultsIn(schema, value);
  if (faults) throw invalid(faults);
  return value as Static<T>;
}

/** What is wrong with a value by a schema; undefined when nothing is. */
export function faultsIn(schema: TSchema, value: unknown): FieldFault[] | undefined {
  const check = compiledOf(schema);
  return check(value) ? undefined : faultsOf(check.errors ?? []);
}

function compiledOf(schema: TSchema): ValidateFunction {
  let check = compiled.get(schema);
  if (!check) compiled.set(schema, (check = ajv.compile(schema)));
  return check;
}

/** Compiles schemas before they are needed, each in a turn of its own: no body of a kind is the first, and nobody waits for all of them. */
export async function readied(schemas: readonly TSchema[]): Promise<void> {
  for (const schema of schemas) {
    compiledOf(schema);
    await nextTurn();
  }
}

/** Most faults that are told; a hostile body has as many as it has bytes. */
const mostFaults = 20;

function faultsOf(errors: readonly ErrorObject[]): FieldFault[] {
  // A union reports every branch that failed: what it says twice is told once.
  const faults = new Map<string, FieldFault>();
  for (const e of errors) {
    const fault = faultOf(e);
    faults.set(`${fault.field}\n${fault.reason}`, fault);
    if (faults.size === mostFaults) break;
  }
  return [...faults.values()];
}

/** A name from outside as a message repeats it. */
const short = (name: unknown): string => String(name).slice(0, 60);

function faultOf(e: ErrorObject): FieldFault {
  const path = e.instancePath.slice(1).replaceAll('/', '.').slice(0, 120);
  const at = (key: unknown) => (path ? `${path}.${short(key)}` : short(key));
  const params = e.params as Record<string, unknown>;
  switch (e.keyword) {
    case 'additionalProperties':
      return {
        field: at(params['additionalProperty']),
        reason: `Unknown field “${short(params['additionalProperty'])}”.`,
      };
    case 'required':
      return { field: at(params['missingProperty']), reason: 'Missing.' };
    case 'enum':
      return {
        field: path,
        reason: `Must be one of: ${(params['allowedValues'] as string[]).join(', ')}.`,
      };
    case 'exclusiveMinimum':
      return { field: path, reason: `Must be more than ${String(params['limit'])}.` };
    case 'minimum':
      return { field: path, reason: `Must be at least ${String(params['limit'])}.` };
    case 'maximum':
      return { field: path, reason: `Must be at most ${String(params['limit'])}.` };
    case 'type':
      return { field: path || 'body', reason: `Must be ${withArticle(String(params['type']))}.` };
    case 'pattern': {
      const { description } = e.parentSchema as { description?: string };
      return {
        field: path,
        reason: `Has not the form asked for${description ? `: ${description}` : ''}.`,
      };
    }
    default:
      return { field: path || 'body', reason: `${e.message ?? 'is not valid'}.` };
  }
}

const withArticle = (type: string): string => `${/^[aeiou]/u.test(type) ? 'an' : 'a'} ${type}`;

/** Characters that no pencil writes: a NUL, half of a pair. Databases and files cut a text there. */
const unwritable = /[\0\p{Surrogate}]/u;

/** The field in which a text cannot be kept as it is; undefined when every text can. Linear, and without recursion. */
function unwritableField(value: unknown): string | undefined {
  const todo: { at: string; value: unknown }[] = [{ at: '', value }];
  for (let next = todo.pop(); next; next = todo.pop()) {
    const { at } = next;
    if (typeof next.value === 'string') {
      if (unwritable.test(next.value)) return at || 'body';
    } else if (typeof next.value === 'object' && next.value !== null)
      for (const [key, inner] of Object.entries(next.value)) {
        const path = (at ? `${at}.${short(key)}` : short(key)).slice(0, 120);
        if (unwritable.test(key)) return path.replaceAll(/[\0\p{Surrogate}]/gu, '?');
        todo.push({ at: path, value: inner });
      }
  }
  return undefined;
}

/** A text as JSON that can be kept; throws what is wrong with it. */
export function parsedJson(text: string): unknown {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (e) {
    const reason = (e as Error).message.slice(0, 120);
    throw new Problem(400, 'Not JSON', `The body is not JSON: ${reason}.`, [
      { field: 'body', reason: 'Not JSON.' },
    ]);
  }
  const field = unwritableField(value);
  if (field !== undefined)
    throw invalid([
      { field, reason: 'Holds a character that cannot be kept: NUL or half a pair.' },
    ]);
  return value;
}
