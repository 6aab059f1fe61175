import { readFile } from 'node:fs/promises';
import { datasheetOnDisk } from '../../../features/types/view.server';

/** A datasheet by its content's hash: it never changes, so a browser may keep it for good. */
export async function GET(_request: Request, { params }: { params: Promise<{ hash: string }> }) {
  const known = await datasheetOnDisk((await params).hash);
  const bytes = known && (await readFile(known.path).catch(() => undefined));
  if (!known || !bytes) return new Response('There is no such datasheet.', { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(known.name)}`,
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
