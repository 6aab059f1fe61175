import { z } from 'zod';
import { STATIONS } from '../../../../../core/station';
import { receiveUpload } from '../../../../../features/donor/views/photos';

const question = z.object({ station: z.enum(STATIONS), name: z.string().min(1).max(200).default('The file') });

/** Takes one photo, its bytes as the body. */
export async function POST(request: Request, { params }: { params: Promise<{ code: string }> }) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
  if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
    return Response.json(
      { ok: false, problems: [{ message: 'A photo is expected as plain bytes, with its station.' }] },
      { status: 400 },
    );
  const bytes = new Uint8Array(await request.arrayBuffer());
  const outcome = await receiveUpload({ code: (await params).code.toUpperCase(), ...asked.data, bytes });
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
