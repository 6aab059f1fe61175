import { z } from 'zod';
import { receiveDatasheet } from '../../../../features/types/views';

const question = z.object({ name: z.string().min(1).max(200).default('The file') });

/** Takes one datasheet, its bytes as the body. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
  if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
    return Response.json(
      { ok: false, problems: [{ message: 'A datasheet is expected as plain bytes, with its name.' }] },
      { status: 400 },
    );
  const bytes = new Uint8Array(await request.arrayBuffer());
  const outcome = await receiveDatasheet({ id: (await params).id, ...asked.data, bytes });
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
