import { datasheetOf } from '../../../features/types/datasheetRoute.server';

/** A datasheet by its content's hash: it never changes, so a browser may keep it for good. */
export async function GET(_request: Request, { params }: { params: Promise<{ hash: string }> }) {
  const known = await datasheetOf((await params).hash);
  if (!known) return new Response('There is no such datasheet.', { status: 404 });
  return new Response(new Uint8Array(known.bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(known.name)}`,
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
