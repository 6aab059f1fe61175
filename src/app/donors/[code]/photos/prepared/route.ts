import { preparedForm } from '../../../../../features/donor/photos/schema';
import { receivePreparedUpload } from '../../../../../features/donor/photos/view.server';

/** Takes a picture that was made ready from a photo, its bytes as the body. */
export async function POST(request: Request, { params }: { params: Promise<{ code: string }> }) {
  const asked = preparedForm.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
  if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
    return Response.json(
      { ok: false, problems: [{ message: 'A picture is expected as plain bytes, with the photo it was made from.' }] },
      { status: 400 },
    );
  const { from, mirror, corners } = asked.data;
  const outcome = await receivePreparedUpload({
    code: (await params).code.toUpperCase(),
    fromId: from,
    how: { mirror, ...(corners ? { corners } : {}) },
    bytes: new Uint8Array(await request.arrayBuffer()),
  });
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
