import { z } from 'zod';
import { loadStockFile } from '../../../features/stock/pages.server';

const question = z.object({ as: z.enum(['csv', 'json']), find: z.string().max(200).default('') });
const TYPE = { csv: 'text/csv', json: 'application/json' } as const;

/** The lots of a filter as a file. */
export async function GET(request: Request) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  const text = asked.success ? await loadStockFile(asked.data.find, asked.data.as) : undefined;
  if (!asked.success || text === undefined)
    return new Response('A format, csv or json, and a question that stock can read are expected.', {
      status: 400,
      headers: { 'content-type': 'text/plain; charset=utf-8' },
    });
  const { as } = asked.data;
  return new Response(text, {
    headers: {
      'content-type': `${TYPE[as]}; charset=utf-8`,
      'content-disposition': `attachment; filename="stock.${as}"`,
    },
  });
}
