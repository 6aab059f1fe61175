import { questionIn, readingFor } from '../../../features/shop/meterRoute.server';

export const dynamic = 'force-dynamic';

/** One reading of the bench meter as JSON. */
export async function GET(request: Request) {
  const question = questionIn(new URL(request.url).searchParams);
  if (!question) return Response.json({ ok: false, message: 'That is nothing a meter reads.' }, { status: 400 });
  return Response.json(await readingFor(question), { headers: { 'cache-control': 'no-store' } });
}
