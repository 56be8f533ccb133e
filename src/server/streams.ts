import { standInIndicator } from '../devices/indicator.ts';
import { invalid } from './problem.ts';

/** How much faster than a hand the stand-ins work; for trying things out. */
export const standInSpeed = Math.max(1, Number(process.env['STANDIN_SPEED'] ?? 1) || 1);

/** Server-sent events from a generator; closing the page ends it, and `onEnd` is called once either way. */
export function sse<T>(stream: AsyncGenerator<T>, onEnd: () => void = () => undefined): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { value, done } = await stream.next();
      if (done) {
        onEnd();
        return controller.close();
      }
      controller.enqueue(encoder.encode(`data: ${JSON.stringify(value)}\n\n`));
    },
    async cancel() {
      onEnd();
      await stream.return(undefined);
    },
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}

/** Readings of the stand-in indicator near a nominal size until it stands still. */
export function indicatorStream(nominal: string): Response {
  const mm = Number(nominal);
  if (!(mm > 0 && mm < 500))
    throw invalid([{ field: 'nominal', reason: 'A size over 0 and under 500 mm.' }]);
  return sse(standInIndicator(mm, Date.now() % 1_000_000).stream());
}
