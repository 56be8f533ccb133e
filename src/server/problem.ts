import type { Answer } from './answer.ts';
import { reasonOf, type Refusal } from '../core/job/index.ts';
import type { RuleId } from '../core/rules/index.ts';

/** An error as RFC 9457 says it, with the fields that caused it. */
export interface FieldFault {
  field: string;
  reason: string;
}

export class Problem extends Error {
  readonly status: number;
  readonly title: string;
  readonly errors: FieldFault[];
  /** Further members of the document, such as both values of a conflict. */
  readonly more: Record<string, unknown>;

  constructor(
    status: number,
    title: string,
    detail: string,
    errors: FieldFault[] = [],
    more: Record<string, unknown> = {},
  ) {
    super(detail);
    this.status = status;
    this.title = title;
    this.errors = errors;
    this.more = more;
  }

  toAnswer(): Answer {
    const body = {
      type: 'about:blank',
      title: this.title,
      status: this.status,
      detail: this.message,
      errors: this.errors,
      ...this.more,
    };
    return {
      status: this.status,
      headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
      body: JSON.stringify(body),
    };
  }
}

export const notFound = (what: string, id: string) =>
  new Problem(404, 'Not found', `There is no ${what} “${id}”.`, [
    { field: 'id', reason: `No ${what} has this id.` },
  ]);
export const idTaken = (id: string, what: string): Problem =>
  new Problem(409, 'Id already used', `The id ${id} already names another ${what}.`, [
    { field: 'id', reason: 'Already used for something else.' },
  ]);
export const invalid = (
  errors: FieldFault[],
  detail = errors[0] ? `${errors[0].field}: ${errors[0].reason}` : 'The input is not valid.',
) => new Problem(422, 'Input refused', detail, errors);

/** What may not happen yet, or no more: the field it hangs on, why, and by which rule. */
export const notNow = (field: string, reason: string, rule?: RuleId) =>
  new Problem(422, 'Not now', reason, [{ field, reason }], rule ? { rule } : {});

/** What a rule of the job refuses. */
export const refused = (no: Refusal) => notNow(no.field, reasonOf(no), no.rule);
