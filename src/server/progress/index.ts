import { setImmediate as breath } from 'node:timers/promises';
import { z } from 'zod';
import type { Pause } from '../../core/steps';

const HEADERS = { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store, no-transform' };

/**
 * Answers a long work as lines of JSON: `{"share":0.3}` while it goes on, and what it answers as the last. The work is
 * let others in at every pause, and stopped there when nobody listens any more; an error breaks the answer off.
 */
export function answerWithProgress(request: Request, work: (pause: Pause) => Promise<object>): Response {
  const stopping = new AbortController();
  request.signal.addEventListener('abort', () => stopping.abort(), { once: true });
  const encoder = new TextEncoder();
  const lines = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      try {
        const answer = await work(async (share) => {
          send({ share });
          await breath();
          stopping.signal.throwIfAborted();
        });
        send(answer);
        controller.close();
      } catch (error) {
        if (!stopping.signal.aborted) controller.error(error);
      }
    },
    cancel: () => stopping.abort(),
  });
  return new Response(lines, { headers: HEADERS });
}

const question = z.object({ mode: z.enum(['preview', 'apply']) });

/** A route that reads a list sent as plain bytes: what it would bring, or the taking in of it, each with its progress. */
export function listRoute(of: {
  /** What the list is of, for the refusal of a request that is none. */
  what: string;
  preview: (text: string, pause: Pause) => Promise<object>;
  apply: (text: string, pause: Pause) => Promise<object>;
}): (request: Request) => Promise<Response> {
  return async (request) => {
    const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
    if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
      return Response.json(
        { ok: false, problems: [{ message: `A list of ${of.what} is expected as plain bytes, with a mode.` }] },
        { status: 400 },
      );
    const text = await request.text();
    return answerWithProgress(request, async (pause) =>
      asked.data.mode === 'preview' ? { ok: true, preview: await of.preview(text, pause) } : of.apply(text, pause),
    );
  };
}
