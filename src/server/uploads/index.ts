import { setImmediate as breath } from 'node:timers/promises';
import { z } from 'zod';
import { BIN_CODE } from '../../core/ident';
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

/** No list has more columns. */
const MOST_COLUMNS = 200;

const question = z.object({
  mode: z.enum(['preview', 'apply']),
  /** What each column is, in their order; nothing where it stands as it was understood. */
  roles: z
    .string()
    .default('')
    .transform((text) =>
      text === ''
        ? []
        : text
            .split(',')
            .slice(0, MOST_COLUMNS)
            .map((word) => (word === '' ? undefined : word.slice(0, 40))),
    ),
  /** Where pieces lie of which the list says nothing; what is no bin is none. */
  bin: z
    .string()
    .default('')
    .transform((text) => text.trim().toUpperCase())
    .refine((text) => text === '' || BIN_CODE.pattern.test(text))
    .catch(''),
});

/** What the address says of a list besides. */
export type ListSaid = Readonly<Pick<z.output<typeof question>, 'roles' | 'bin'>>;

/** A route that reads a list sent as plain bytes: what it would bring, or the taking in of it, each with its progress. */
export function listRoute(of: {
  /** What the list is of, for the refusal of a request that is none. */
  what: string;
  preview: (text: string, pause: Pause, said: ListSaid) => Promise<object>;
  apply: (text: string, pause: Pause, said: ListSaid) => Promise<object>;
}): (request: Request) => Promise<Response> {
  return async (request) => {
    const asked = askedOf(request, question);
    if (!asked) return refused(`A list of ${of.what} is expected as plain bytes, with a mode.`);
    const text = await request.text();
    return answerWithProgress(request, async (pause) =>
      asked.mode === 'preview'
        ? { ok: true, preview: await of.preview(text, pause, asked) }
        : of.apply(text, pause, asked),
    );
  };
}

/**
 * A route that takes a file sent as plain bytes, with what the address says of it.
 * @param of.expected what a request that is none is told
 */
export function fileRoute<Q, P>(of: {
  question: z.ZodType<Q>;
  expected: string;
  /** @param route the words of the address, such as a code */
  receive: (route: P, of: Q & { bytes: Uint8Array }) => Promise<{ ok: boolean }>;
}): (request: Request, route: { params: Promise<P> }) => Promise<Response> {
  return async (request, { params }) => {
    const asked = askedOf(request, of.question);
    if (!asked) return refused(of.expected);
    const bytes = new Uint8Array(await request.arrayBuffer());
    const outcome = await of.receive(await params, { ...asked, bytes });
    return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
  };
}

/** What the address asks. Only a page of this server can send plain bytes: from elsewhere a browser asks first, and is refused. */
function askedOf<Q>(request: Request, question: z.ZodType<Q>): Q | undefined {
  if (request.headers.get('content-type') !== 'application/octet-stream') return undefined;
  return question.safeParse(Object.fromEntries(new URL(request.url).searchParams)).data;
}

const refused = (message: string) => Response.json({ ok: false, problems: [{ message }] }, { status: 400 });
