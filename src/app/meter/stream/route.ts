import { questionIn, readingEvents } from '../../../features/shop/meterRoute.server';

export const dynamic = 'force-dynamic';

/** What the bench meter shows, as it changes. */
export function GET(request: Request) {
  const question = questionIn(new URL(request.url).searchParams);
  if (!question) return new Response('That is nothing a meter reads.', { status: 400 });
  return new Response(readingEvents(question, request.signal), {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
