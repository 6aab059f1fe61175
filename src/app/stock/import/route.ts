import { z } from 'zod';
import { previewStock, takeStockIn } from '../../../features/stock/storeViews';

const question = z.object({ mode: z.enum(['preview', 'apply']) });

/** Reads a list of lots, and takes it in when asked to. */
export async function POST(request: Request) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
  if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
    return Response.json(
      { ok: false, problems: [{ message: 'A list of lots is expected as plain bytes, with a mode.' }] },
      { status: 400 },
    );
  const text = await request.text();
  // A person who stopped in the meantime wants nothing written.
  if (request.signal.aborted) return new Response(null, { status: 499 });
  if (asked.data.mode === 'preview') return Response.json({ ok: true, preview: await previewStock(text) });
  const outcome = await takeStockIn(text);
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
