import 'server-only';
import { z } from 'zod';
import { withNetNames } from '../../../core/board';
import { markdownOf } from '../../../core/report';
import { appContext } from '../../../db/appContext';
import { findDonor } from '../../../db/repositories/donors';
import { boardAs } from '../../../formats/anyBoard';
import { csvOf, reportPdf, zipOf } from '../../../formats/report';
import { photoName, photoStore } from '../../../services/attachments';
import { tracedBoard } from '../../../services/board';
import { openDossier, type Dossier } from '../../../services/dossier';
import { donorReport, LEFT_OUT, type DonorReport, type LeftOut } from './report.server';

const route = z.object({ code: z.string().min(1).max(64), as: z.enum(['md', 'pdf', 'zip']) });
const query = z.object({ without: z.string().max(40).default('') });

/** What is left out, of an address such as `without=maker,origin`. */
export const leftOutIn = (text: string): readonly LeftOut[] =>
  LEFT_OUT.filter((name) => text.split(',').includes(name));

const picturesOf = async ({ photos }: DonorReport): Promise<ReadonlyMap<string, Uint8Array>> => {
  const found = await Promise.all(
    [...photos].map(async ([file, hash]) => [file, await photoStore().get(photoName(hash, 'medium'))] as const),
  );
  return new Map(found.flatMap(([file, bytes]) => (bytes ? [[file, bytes] as const] : [])));
};

/** Everything of a donor in open formats, each file by its path. */
export async function reportBundle(
  dossier: Dossier,
  without: readonly LeftOut[],
): Promise<ReadonlyMap<string, Uint8Array | string>> {
  const told = await donorReport(dossier, without);
  const { report, tables, drawings } = told;
  const pictures = await picturesOf(told);
  const files = new Map<string, Uint8Array | string>([
    ['report.md', markdownOf(report)],
    ['report.pdf', await reportPdf(report, { pictures, drawings })],
    ['parts.csv', csvOf(tables.parts.head, tables.parts.rows)],
    ['measurements.csv', csvOf(tables.measurements.head, tables.measurements.rows)],
    ...pictures,
  ]);
  for (const { blocks } of report.sections)
    for (const block of blocks) if (block.kind === 'drawing') files.set(block.file, block.svg);
  const board = await tracedBoard(dossier, false);
  if (board.parts.length > 0) {
    // A title may name the maker.
    const { title: _, notes: __, ...rest } = board;
    const told = without.includes('maker') ? rest : board;
    files.set('board.json', boardAs('board', told).result);
    if ((board.joined?.length ?? 0) > 0) files.set('netlist.cir', boardAs('spice', withNetNames(told)).result);
  }
  return files;
}

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
