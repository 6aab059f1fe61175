import { loadMark } from '../../features/shop/pages.server';

export const dynamic = 'force-dynamic';

/** A mark that is another one whenever something in the shop was changed. */
export async function GET(): Promise<Response> {
  return Response.json({ mark: await loadMark() }, { headers: { 'cache-control': 'no-store' } });
}
