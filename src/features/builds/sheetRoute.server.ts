import 'server-only';
import { z } from 'zod';
import { designFrom, firstPowerOf } from '../../core/design';
import { appContext } from '../../db/appContext';
import { findBuild } from '../../db/repositories/builds';
import { buildSheetPdf } from './buildSheetPdf';
import { runWithin } from './designView.server';
import { keptDesign } from './keptDesign.server';

const route = z.object({ code: z.string().min(1).max(64) });
type Asked = { params: Promise<{ code: string }> };

const CAUTIONS = [
  'Worked out, not built: equations of textbooks, derating and heat by common practice; losses in cores and spikes are left out.',
  'Below 60 V DC at its ends, and never on the mains, floating or not. Cans hold charge; parts get hot; local codes and licensed practice come first.',
];

const NONE = () =>
  new Response(
    'A build that was made by a design is expected; this one has none, its parts no longer fit it, or one of them is still missing.',
    {
      status: 404,
      headers: { 'content-type': 'text/plain; charset=utf-8' },
    },
  );

/** The build sheet of a designed build as a PDF. */
export async function answerSheet(_request: Request, { params }: Asked): Promise<Response> {
  const { code } = route.parse(await params);
  const app = appContext();
  const build = (await findBuild(app.db.read, code.toUpperCase()))?.build;
  const record = build?.design;
  const view = record && (await keptDesign(app, record));
  const design = record && designFrom(record);
  if (!build || !view || !design) return NONE();
  const bytes = await buildSheetPdf({
    code: build.code,
    title: build.title,
    design: view,
    steps: firstPowerOf(design, record.spec),
    cautions: CAUTIONS,
  });
  return new Response(Buffer.from(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="build-${build.code}.pdf"`,
    },
  });
}

/** The circuit of a designed build as a deck in the language of SPICE. */
export async function answerDeck(_request: Request, { params }: Asked): Promise<Response> {
  const { code } = route.parse(await params);
  const record = (await findBuild(appContext().db.read, code.toUpperCase()))?.build.design;
  const design = record && designFrom(record);
  const run = design && runWithin(design, record.spec);
  if (!run) return NONE();
  return new Response(run.spice, {
    headers: {
      'content-type': 'text/plain; charset=utf-8',
      'content-disposition': `attachment; filename="build-${code.toUpperCase()}.cir"`,
    },
  });
}
