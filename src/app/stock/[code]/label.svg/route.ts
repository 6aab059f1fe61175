import { loadLabels } from '../../../../features/stock/pages.server';
import { originOf } from '../../origin';

/** The label of a lot as a picture. */
export async function GET(request: Request, { params }: { params: Promise<{ code: string }> }) {
  const { code } = await params;
  const size = new URL(request.url).searchParams.get('size') ?? undefined;
  const [label] = await loadLabels([code], await originOf(), size);
  return label
    ? new Response(label.svg, { headers: { 'content-type': 'image/svg+xml; charset=utf-8' } })
    : new Response(`There is no lot ${code}.`, {
        status: 404,
        headers: { 'content-type': 'text/plain; charset=utf-8' },
      });
}
