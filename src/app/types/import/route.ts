import { z } from 'zod';
import { importPreview, importTypes } from '../../../features/types/views';

const question = z.object({ mode: z.enum(['preview', 'apply']) });

/** Reads a list of types, and takes it in when asked to. */
export async function POST(request: Request) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
  if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
    return Response.json(
      { ok: false, problems: [{ message: 'A list of types is expected as plain bytes, with a mode.' }] },
      { status: 400 },
    );
  const text = await request.text();
  // A person who stopped in the meantime wants nothing written.
  if (request.signal.aborted) return new Response(null, { status: 499 });
  if (asked.data.mode === 'preview') return Response.json({ ok: true, preview: await importPreview(text) });
  const outcome = await importTypes(text);
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
