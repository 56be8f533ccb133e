import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { Piscina } from 'piscina';
import { Problem } from '../problem.ts';
import type { Answer, TaskName, Tasks } from './worker.ts';

/** The built worker lies beside the program, or where the build puts it. */
const beside = resolve(dirname(process.argv[1] ?? '.'), 'worker.mjs');
const filename = existsSync(beside) ? beside : resolve('dist/worker.mjs');

/** Work that waits for a thread; more is refused at once. */
const mostWaiting = 24;
let pool: Piscina | undefined;
const threads = (): Piscina =>
  (pool ??= new Piscina({
    filename,
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: 5000,
    resourceLimits: { maxOldGenerationSizeMb: 320, maxYoungGenerationSizeMb: 32 },
  }));

/** Longest that one piece of work may take, ms. */
const patienceMs = 30_000;

interface Options {
  /** Without end: what writes takes the time it takes. */
  endless?: boolean;
  /** Given to the worker instead of copied. */
  transfer?: ArrayBuffer[];
  /** Who asked has gone, or thought better of it. */
  signal?: AbortSignal;
}

const busy = () =>
  new Problem(503, 'Busy', 'Too much is being worked out just now. Try again in a moment.');
const tooLong = () =>
  new Problem(
    503,
    'Took too long',
    `This was not worked out within ${patienceMs / 1000} s. Nothing was changed.`,
  );
const stopped = () => new Problem(503, 'Stopped', 'This was stopped. Nothing was changed.');

/** Works something out in a thread of its own, in turn, for a limited time; stopped, its thread ends and nothing is kept. */
export async function heavy<T extends TaskName>(
  task: T,
  ...[input, { endless = false, transfer = [], signal } = {}]: Parameters<Tasks[T]> extends []
    ? [input?: undefined, options?: Options]
    : [input: Parameters<Tasks[T]>[0], options?: Options]
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  const inTurn = threads();
  if (inTurn.queueSize >= mostWaiting) throw busy();
  const patience = endless ? undefined : AbortSignal.timeout(patienceMs);
  const either = [patience, signal].filter((s) => s !== undefined);
  const answer = (await inTurn
    .run({ task, input }, { transferList: transfer, signal: AbortSignal.any(either) })
    .catch((e: unknown) => {
      if (signal?.aborted) throw stopped();
      throw patience?.aborted ? tooLong() : e;
    })) as Answer;
  if (!answer.ok) throw new Problem(...answer.problem);
  return answer.value as Awaited<ReturnType<Tasks[T]>>;
}
