import { pictureOf } from '../../../../features/donor/photos/route.server';

/** A picture by its content's hash: it never changes, so a browser may keep it for good. */
export async function GET(_request: Request, { params }: { params: Promise<{ hash: string; size: string }> }) {
  const { hash, size } = await params;
  const bytes = await pictureOf(hash, size);
  if (!bytes) return new Response('There is no such picture.', { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
