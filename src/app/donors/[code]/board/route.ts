import { z } from 'zod';
import { boardFileOf, bringBoardFile } from '../../../../features/donor/trace/boardRoute.server';

const question = z.object({ as: z.enum(['board', 'spice', 'csv']).default('board') });
const sending = z.object({ name: z.string().min(1).max(200).default('The file') });
const searched = (request: Request) => Object.fromEntries(new URL(request.url).searchParams);

/** The traced board as a file. */
export async function GET(request: Request, { params }: { params: Promise<{ code: string }> }) {
  const asked = question.safeParse(searched(request));
  const file = asked.success ? await boardFileOf((await params).code.toUpperCase(), asked.data.as) : undefined;
  if (!file) return new Response('There is no such board.', { status: 404 });
  return new Response(file.content, {
    headers: { 'content-type': file.type, 'content-disposition': `attachment; filename="${file.name}"` },
  });
}

/** Takes a board file in, its text as the body. */
export async function POST(request: Request, { params }: { params: Promise<{ code: string }> }) {
  const asked = sending.safeParse(searched(request));
  // Only a page of this server can send this type: from elsewhere a browser asks first, and is refused.
  if (!asked.success || request.headers.get('content-type') !== 'application/octet-stream')
    return Response.json(
      { ok: false, problems: [{ message: 'A board file is expected as plain bytes, with its name.' }] },
      { status: 400 },
    );
  const outcome = await bringBoardFile({
    code: (await params).code.toUpperCase(),
    name: asked.data.name,
    content: await request.text(),
  });
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
