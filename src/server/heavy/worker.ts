import type { Static } from '@sinclair/typebox';
import { noise, stacks, survival } from '../compute.ts';
import { importTable, importText, type TableKind } from '../import.ts';
import { kitGaps } from '../kit.ts';
import { toldHere } from '../logbook.ts';
import { Problem } from '../problem.ts';
import { signals, type TakeSchema, takeSignals } from '../wheel-speed.ts';

/** What is worked out beside the server, so that a tap elsewhere does not wait for it. */
export const tasks = {
  noise: ({ recording, settings }: { recording: ArrayBuffer; settings: string }) =>
    noise(recording, settings),
  stacks,
  survival,
  signals,
  /** As it is sent: half a million figures are not written out beside a tap either. */
  take: async (asked: Static<typeof TakeSchema>) => JSON.stringify(await takeSignals(asked)),
  gaps: () => kitGaps(),
  logbook: toldHere,
  table: ({ kind, csv, rest }: { kind: TableKind; csv: string; rest: boolean }) =>
    importTable(kind, csv, rest),
  workshop: ({ json, asLead }: { json: string; asLead: boolean }) => importText(json, asLead),
};
export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;

/** An answer that can pass between threads: a problem loses its class on the way. */
export type Answer =
  { ok: true; value: unknown } | { ok: false; problem: ConstructorParameters<typeof Problem> };

export default async function work({
  task,
  input,
}: {
  task: TaskName;
  input: never;
}): Promise<Answer> {
  try {
    return { ok: true, value: await tasks[task](input) };
  } catch (e) {
    if (e instanceof Problem)
      return { ok: false, problem: [e.status, e.title, e.message, e.errors, e.more] };
    throw e;
  }
}
