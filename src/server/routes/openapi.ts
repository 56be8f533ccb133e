import { Type } from '@sinclair/typebox';
import { closed } from '../../core/schemas/common.ts';
import { choiceBodies, choiceKeys, eventBodies, eventTypes } from '../../core/schemas/events.ts';

import type { Route } from './route.ts';

/** The interface's own description, from the same schemas that check it. */
export function openapi(routes: readonly Route[]) {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const r of routes) {
    const names = [...r.path.matchAll(/\{(\w+)\}/gu)].map((m) => m[1]);
    (paths[r.path] ??= {})[r.method.toLowerCase()] = {
      summary: r.summary,
      parameters: names.map((name) => ({
        name,
        in: 'path',
        required: true,
        schema: { type: 'string' },
      })),
      ...(r.body || r.takes !== 'application/json'
        ? {
            requestBody: {
              required: true,
              content: { [r.takes]: { schema: r.body ?? { type: 'string' } } },
            },
          }
        : {}),
      responses: {
        200: {
          description: 'Done',
          ...(r.gives ? { content: { 'application/json': { schema: r.gives } } } : {}),
        },
        default: {
          description: 'Problem document (RFC 9457)',
          content: {
            'application/problem+json': { schema: { $ref: '#/components/schemas/problem' } },
          },
        },
      },
    };
  }
  const problem = closed({
    type: Type.String(),
    title: Type.String(),
    status: Type.Integer(),
    detail: Type.String(),
    errors: Type.Array(closed({ field: Type.String(), reason: Type.String() })),
  });
  return {
    openapi: '3.1.0',
    info: {
      title: 'True Spindle',
      version: '1',
      description:
        'Lengths in mm, forces in kN, torque in N·m unless a name says otherwise. Times in UTC milliseconds.',
    },
    paths,
    components: {
      schemas: {
        problem,
        ...Object.fromEntries(eventTypes.map((t) => [`event-${t}`, eventBodies[t]])),
        ...Object.fromEntries(choiceKeys.map((k) => [`choice-${k}`, choiceBodies[k]])),
      },
    },
  };
}
