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
    idleTimeout: 30_000,
    maxQueue: mostWaiting,
    resourceLimits: { maxOldGenerationSizeMb: 320 },
  }));

/** Longest that one piece of work may take, ms. */
const patienceMs = 30_000;

interface Options {
  /** Without end: what writes is not stopped half-way. */
  endless?: boolean;
  /** Given to the worker instead of copied. */
  transfer?: ArrayBuffer[];
}

const busy = () =>
  new Problem(503, 'Busy', 'Too much is being worked out just now. Try again in a moment.');

/** Works something out in a thread of its own, in turn, for a limited time. */
export async function heavy<T extends TaskName>(
  task: T,
  input: Parameters<Tasks[T]>[0],
  { endless = false, transfer = [] }: Options = {},
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  const inTurn = threads();
  if (inTurn.queueSize >= mostWaiting) throw busy();
  const answer = (await inTurn
    .run(
      { task, input },
      {
        transferList: transfer,
        ...(endless ? {} : { signal: AbortSignal.timeout(patienceMs) }),
      },
    )
    .catch((e: Error) => {
      if (/queue/iu.test(e.message)) throw busy();
      if (e.name === 'AbortError' || /abort/iu.test(e.message))
        throw new Problem(
          503,
          'Took too long',
          `This was not worked out within ${patienceMs / 1000} s. Nothing was changed.`,
        );
      throw e;
    })) as Answer;
  if (!answer.ok) throw new Problem(...answer.problem);
  return answer.value as Awaited<ReturnType<Tasks[T]>>;
}
