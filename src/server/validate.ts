import type { Static, TSchema } from '@sinclair/typebox';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import { type FieldFault, invalid } from './problem.ts';

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
  let check = compiled.get(schema);
  if (!check) compiled.set(schema, (check = ajv.compile(schema)));
  return check(value) ? undefined : faultsOf(check.errors ?? []);
}

function faultsOf(errors: readonly ErrorObject[]): FieldFault[] {
  const faults = errors.map((e): FieldFault => {
    const path = e.instancePath.slice(1).replaceAll('/', '.');
    const at = (key: string) => (path ? `${path}.${key}` : key);
    switch (e.keyword) {
      case 'additionalProperties':
        return {
          field: at(e.params['additionalProperty']),
          reason: `Unknown field “${e.params['additionalProperty']}”.`,
        };
      case 'required':
        return { field: at(e.params['missingProperty']), reason: 'Missing.' };
      case 'enum':
        return {
          field: path,
          reason: `Must be one of: ${(e.params['allowedValues'] as string[]).join(', ')}.`,
        };
      case 'exclusiveMinimum':
        return { field: path, reason: `Must be more than ${e.params['limit']}.` };
      case 'minimum':
        return { field: path, reason: `Must be at least ${e.params['limit']}.` };
      case 'maximum':
        return { field: path, reason: `Must be at most ${e.params['limit']}.` };
      case 'type':
        return {
          field: path || 'body',
          reason: `Must be ${e.params['type'] === 'object' ? 'an object' : `${/^[aeiou]/u.test(String(e.params['type'])) ? 'an' : 'a'} ${e.params['type']}`}.`,
        };
      case 'pattern':
        return {
          field: path,
          reason: `Has not the form asked for${(e.parentSchema as { description?: string }).description ? `: ${(e.parentSchema as { description?: string }).description}` : ''}.`,
        };
      default:
        return { field: path || 'body', reason: `${e.message ?? 'is not valid'}.` };
    }
  });
  // A union reports every branch that failed; the first word on a field is the one to show.
  return faults
    .filter((f, i) => faults.findIndex((g) => g.field === f.field && g.reason === f.reason) === i)
    .slice(0, 20);
}
