import { z } from 'zod';

const question = z.object({
  find: z.string().max(400).default(''),
  kind: z.string().max(40).default(''),
  page: z.coerce.number().int().min(0).max(1_000_000),
  order: z.string().max(40).default(''),
});

/** Answers the request for a further page of a list that is scrolled. */
export function rowsRoute(rowsOf: (asked: z.infer<typeof question>) => Promise<readonly unknown[]>) {
  return async (request: Request): Promise<Response> => {
    const asked = question.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!asked.success) return Response.json({ rows: [] }, { status: 400 });
    return Response.json({ rows: await rowsOf(asked.data) });
  };
}
