import { Type } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import type { DecidedAt } from './address.ts';
import { isRule, type Said } from './index.ts';

const Short = Type.String({ maxLength: 300 });
const Figure = Type.Number();

/** A finding as it travels in an address, from a verdict to the rule behind it. */
const FoundInAddress = Type.Object(
  {
    rule: Short,
    role: Type.Optional(Short),
    part: Type.Optional(Short),
    value: Type.Optional(Figure),
    min: Type.Optional(Figure),
    max: Type.Optional(Figure),
    unit: Type.Optional(Short),
    with: Type.Optional(Type.Record(Short, Type.Union([Short, Figure]))),
    source: Type.Optional(Short),
  },
  { additionalProperties: false },
);
const AtInAddress = Type.Object(
  { what: Short, href: Type.String({ pattern: '^/jobs/[\\w-]+/[\\w-]+$' }) },
  { additionalProperties: false },
);
function parsed(text: string | null | undefined): unknown {
  if (!text || text.length > 4000) return undefined;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

interface Query {
  found?: string | null | undefined;
  at?: string | null | undefined;
}

/** What an address says a rule found; undefined when it says nothing that can be read. */
export function foundIn(query: Query): { said?: Said; at?: DecidedAt } {
  const found = parsed(query.found);
  const at = parsed(query.at);
  const said =
    Value.Check(FoundInAddress, found) && isRule(found.rule) ? (found as Said) : undefined;
  return {
    ...(said ? { said } : {}),
    ...(said && Value.Check(AtInAddress, at) ? { at } : {}),
  };
}
