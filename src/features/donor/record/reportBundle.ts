import 'server-only';
import { withNetNames } from '../../../core/board';
import { markdownOf, plotSvg, type PlotLine } from '../../../core/report';
import { runBoard } from '../../../core/traced';
import { boardAs } from '../../../formats/anyBoard';
import { csvOf, reportPdf } from '../../../formats/report';
import { photoName, photoStore } from '../../../services/attachments';
import { tracedBoard, tracedValues } from '../../../services/board';
import type { Dossier } from '../../../services/dossier';
import { donorReport, LEFT_OUT, type DonorReport, type LeftOut } from './report.server';

/** What is left out, of an address such as `without=maker,origin`. */
export const leftOutIn = (text: string): readonly LeftOut[] =>
  LEFT_OUT.filter((name) => text.split(',').includes(name));

/** Milliseconds that the stages of a board may be run for their decks. */
const BUDGET = 4000;

/** The pictures of a report by their files; one that is lost is left out. */
export const picturesOf = async ({ photos }: DonorReport): Promise<ReadonlyMap<string, Uint8Array>> => {
  const found = await Promise.all(
    [...photos].map(async ([file, hash]) => [file, await photoStore().get(photoName(hash, 'medium'))] as const),
  );
  return new Map(found.flatMap(([file, bytes]) => (bytes ? [[file, bytes] as const] : [])));
};

/** Courses as a table: the channel, its unit, seconds and values. */
const coursesOf = (lines: readonly PlotLine[]): string =>
  csvOf(
    ['channel', 'unit', 'seconds', 'value'],
    lines.flatMap(({ label, unit, points }) => points.map(({ t, v }) => [label, unit, t, v])),
  );

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
    for (const block of blocks) {
      if (block.kind === 'drawing') files.set(block.file, block.svg);
      if (block.kind === 'plot') {
        files.set(block.file, plotSvg(block.lines, block.caption));
        files.set(block.file.replace(/svg$/u, 'csv'), coursesOf(block.lines));
      }
    }
  const board = await tracedBoard(dossier, false);
  if (board.parts.length > 0) {
    // A title may name the maker.
    const { title: _, notes: __, ...rest } = board;
    const told = without.includes('maker') ? rest : board;
    files.set('board.json', boardAs('board', told).result);
    if ((board.joined?.length ?? 0) > 0) {
      files.set('netlist.cir', boardAs('spice', withNetNames(told)).result);
      const end = Date.now() + BUDGET;
      const { stages } = runBoard({ board, ...(await tracedValues(dossier)) }, { isOver: () => Date.now() > end });
      for (const [place, { topology, deck }] of stages.entries()) files.set(`stage-${place + 1}-${topology}.cir`, deck);
    }
  }
  return files;
}
