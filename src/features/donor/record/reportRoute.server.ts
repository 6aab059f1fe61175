import 'server-only';
import { z } from 'zod';
import { markdownOf } from '../../../core/report';
import { appContext } from '../../../db/appContext';
import { findDonor } from '../../../db/repositories/donors';
import { reportPdf, zipOf } from '../../../formats/report';
import { openDossier, type Dossier } from '../../../services/dossier';
import { donorReport, type LeftOut } from './report.server';
import { leftOutIn, picturesOf, reportBundle } from './reportBundle';

const route = z.object({ code: z.string().min(1).max(64), as: z.enum(['md', 'pdf', 'zip']) });
const query = z.object({ without: z.string().max(40).default('') });

const TYPES = { md: 'text/markdown; charset=utf-8', pdf: 'application/pdf', zip: 'application/zip' } as const;

/** The report of a donor as a file. */
export async function answerReport(
  request: Request,
  { params }: { params: Promise<{ code: string; as: string }> },
): Promise<Response> {
  const asked = route.safeParse(await params);
  const typed = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  const app = appContext();
  const donor = asked.success ? await findDonor(app.db.read, asked.data.code.toUpperCase()) : undefined;
  if (!asked.success || !typed.success || !donor)
    return new Response('A donor of this shop is expected, and its report as md, pdf or zip.', { status: 404 });
  const { as } = asked.data;
  const dossier = openDossier(app.db.read, donor, app.now());
  const without = leftOutIn(typed.data.without);
  const bytes =
    as === 'zip' ? zipOf(await reportBundle(dossier, without), app.now()) : await oneFile(dossier, without, as);
  return new Response(typeof bytes === 'string' ? bytes : Buffer.from(bytes), {
    headers: {
      'content-type': TYPES[as],
      'content-disposition': `${as === 'pdf' ? 'inline' : 'attachment'}; filename="report-${donor.code}.${as}"`,
    },
  });
}

async function oneFile(dossier: Dossier, without: readonly LeftOut[], as: 'md' | 'pdf'): Promise<Uint8Array | string> {
  const told = await donorReport(dossier, without);
  return as === 'md'
    ? markdownOf(told.report)
    : reportPdf(told.report, { pictures: await picturesOf(told), drawings: told.drawings });
}
