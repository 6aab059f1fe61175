import { loadTypesFile } from '../../../features/types/pages.server';

/** Every type the shop knows, as CSV or JSON. */
export async function GET(request: Request) {
  const format = new URL(request.url).searchParams.get('format') === 'json' ? 'json' : 'csv';
  return new Response(await loadTypesFile(format), {
    headers: {
      'content-type': format === 'json' ? 'application/json' : 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="types.${format}"`,
    },
  });
}
