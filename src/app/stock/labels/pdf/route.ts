import { z } from 'zod';
import { loadLabelsPdf } from '../../../../features/stock/pages.server';
import { originOf } from '../../origin';

const question = z.object({
  lots: z.string().min(1).max(4000),
  size: z.string().max(20).optional(),
  skip: z.coerce.number().int().min(0).max(200).default(0),
});

/** Labels as a PDF for a sheet or a roll. */
export async function GET(request: Request) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success)
    return new Response('Lots by their codes are expected, with a size and how many labels of the sheet are used.', {
      status: 400,
      headers: { 'content-type': 'text/plain; charset=utf-8' },
    });
  const { lots, size, skip } = asked.data;
  const bytes = await loadLabelsPdf(lots.split(','), await originOf(), { size, skip });
  return new Response(Buffer.from(bytes), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="labels.pdf"' },
  });
}
