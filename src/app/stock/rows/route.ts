import { z } from 'zod';
import { loadStockRows } from '../../../features/stock/pages.server';

const question = z.object({
  find: z.string().max(400),
  page: z.coerce.number().int().min(0).max(1_000_000),
  order: z.string().max(40).default(''),
});

/** A page of the lots that a question finds, for a list that is scrolled. */
export async function GET(request: Request) {
  const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ rows: [] }, { status: 400 });
  return Response.json({ rows: await loadStockRows(asked.data.find, asked.data.page, asked.data.order) });
}
