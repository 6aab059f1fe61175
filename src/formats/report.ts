import { strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import type { Report } from '../core/report';
import type { Schematic } from '../core/schematic';
import { PdfPages } from './pdfPages';

/** What the blocks of a report point to, by their files. */
export interface ReportFiles {
  /** JPEG pictures. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
  readonly drawings: ReadonlyMap<string, Schematic>;
}

/** A report as a PDF of A4 pages; a picture whose file is missing is named in its place. */
export async function reportPdf({ title, subtitle, sections }: Report, of: ReportFiles): Promise<Uint8Array> {
  const pages = await PdfPages.begin(title);
  pages.text(title, { size: 17, font: 'bold' });
  pages.text(subtitle, { size: 10 });
  for (const { title: heading, blocks } of sections) {
    pages.heading(heading);
    for (const block of blocks)
      switch (block.kind) {
        case 'text':
          pages.text(block.text);
          break;
        case 'caution':
          pages.text(block.text, { size: 8.5, pale: true });
          break;
        case 'facts':
          for (const row of block.rows) pages.row(row, [0, 130]);
          break;
        case 'list':
          for (const [place, item] of block.items.entries())
            pages.text(`${block.isOrdered ? `${place + 1}.` : '-'}  ${item}`, { indent: 8 });
          break;
        case 'table':
          pages.table(block.head, block.rows);
          break;
        case 'picture': {
          const bytes = of.pictures.get(block.file);
          if (bytes) await pages.picture(bytes, block);
          else pages.text(`${block.caption}: its file is missing`, { size: 8.5, pale: true });
          break;
        }
        case 'plot':
          pages.plot(block.lines, block.caption);
          break;
        case 'drawing': {
          const drawing = of.drawings.get(block.file);
          if (drawing) pages.drawing(drawing);
          pages.text(block.caption, { size: 8.5, pale: true });
          break;
        }
      }
  }
  return pages.bytes();
}

/** A table as CSV with its head; a text that a spreadsheet would take for a formula is kept from it, a number stays as it is. */
export const csvOf = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  Papa.unparse({ fields: [...head], data: rows.map((row) => [...row]) }, { newline: '\n', escapeFormulae: true }) +
  '\n';

/** Files by their paths in one zip; pictures are not squeezed again. @param at when they were made, milliseconds since 1970 */
export function zipOf(files: ReadonlyMap<string, Uint8Array | string>, at: number): Uint8Array {
  return zipSync(
    Object.fromEntries(
      [...files].map(([path, content]) => [
        path,
        [
          typeof content === 'string' ? strToU8(content) : content,
          { level: /\.(?:jpe?g|png|pdf)$/iu.test(path) ? 0 : 6, mtime: at },
        ],
      ]),
    ),
  );
}
