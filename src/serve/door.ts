import type { IncomingMessage, ServerResponse } from 'node:http';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Answer } from '../server/answer.ts';
import { askedBy } from '../server/asked.ts';
import { answerTo, unforeseen } from '../server/dispatch.ts';
import { letIn } from '../server/let-in.ts';
import { log } from '../server/log.ts';
import { Problem } from '../server/problem.ts';
import { bodies } from '../server/routes/index.ts';
import { readied } from '../server/validate.ts';

void readied(bodies);

async function answered(
  request: IncomingMessage,
  response: ServerResponse,
): Promise<Answer | Response> {
  const asked = askedBy(request, response);
  const url = new URL(asked.url);
  const who = await letIn(asked, url);
  if (who instanceof Problem) return who.toAnswer();
  const sender = asked.headers.get('x-forwarded-for') ?? request.socket.remoteAddress;
  return answerTo(asked, url, { address: sender ?? 'unknown', ...who });
}

async function send(answer: Answer | Response, response: ServerResponse): Promise<void> {
  if (!(answer instanceof Response)) {
    const length = String(Buffer.byteLength(answer.body));
    response.writeHead(answer.status, { ...answer.headers, 'content-length': length });
    response.end(answer.body);
    return;
  }
  response.writeHead(answer.status, Object.fromEntries(answer.headers));
  // What is streamed is heard from its first piece on.
  response.flushHeaders();
  if (!answer.body) response.end();
  else
    await pipeline(
      Readable.fromWeb(answer.body as Parameters<typeof Readable.fromWeb>[0]),
      response,
    );
}

/** The interface, straight from Node's own server: pages go by the way of pages, and a tablet's writes need none of it. */
export async function answerAtDoor(
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const answer = await answered(request, response).catch((e: unknown) =>
    unforeseen(e, '/api').toAnswer(),
  );
  await send(answer, response).catch((e: unknown) => {
    // Most often whoever asked has hung up.
    if ((e as NodeJS.ErrnoException).code !== 'ERR_STREAM_PREMATURE_CLOSE')
      log.error({ err: e, path: request.url }, 'answer broken off');
    response.destroy();
  });
}
