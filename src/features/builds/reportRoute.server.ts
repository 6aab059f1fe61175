import 'server-only';
import { z } from 'zod';
import { appContext } from '../../db/appContext';
import { zipOf } from '../../formats/report';
import { buildReportFiles } from './report.server';

const route = z.object({ code: z.string().min(1).max(64), as: z.enum(['md', 'pdf', 'zip']) });
const TYPES = { md: 'text/markdown; charset=utf-8', pdf: 'application/pdf', zip: 'application/zip' } as const;

/** The report of a build as a file. */
export async function answerBuildReport(
  _request: Request,
  { params }: { params: Promise<{ code: string; as: string }> },
): Promise<Response> {
  const asked = route.safeParse(await params);
  const app = appContext();
  const files = asked.success ? await buildReportFiles(app, asked.data.code) : undefined;
  if (!asked.success || !files)
    return new Response('A build of this shop is expected, and its report as md, pdf or zip.', { status: 404 });
  const { as, code } = asked.data;
  const content = as === 'zip' ? zipOf(files, app.now()) : (files.get(`report.${as}`) ?? '');
  return new Response(typeof content === 'string' ? content : Buffer.from(content), {
    headers: {
      'content-type': TYPES[as],
      'content-disposition': `${as === 'pdf' ? 'inline' : 'attachment'}; filename="report-${code.toUpperCase()}.${as}"`,
    },
  });
}
