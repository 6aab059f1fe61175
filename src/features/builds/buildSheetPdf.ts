import type { BuiltStep } from '../../core/design';
import { PdfPages } from '../../formats/pdfPages';
import { formatQuantity } from '../../core/quantity';
import type { DesignView } from './designView.server';

/** What a build sheet tells. */
export interface BuildSheetText {
  readonly code: string;
  readonly title: string;
  readonly design: DesignView;
  readonly steps: readonly BuiltStep[];
  readonly cautions: readonly string[];
}

/** A build sheet as a PDF: the circuit, its parts bin by bin, the small parts, what it does, and its first power-up step by step. */
export async function buildSheetPdf({ code, title, design, steps, cautions }: BuildSheetText): Promise<Uint8Array> {
  const writer = await PdfPages.begin(`${title}, ${code}`);
  writer.text(title, { size: 17, font: 'bold' });
  writer.text(`Build ${code}. ${design.headline}`, { size: 10.5 });
  for (const caution of cautions) writer.text(caution, { size: 8.5, pale: true });
  if (design.hazard !== undefined) writer.text(design.hazard, { font: 'bold' });
  writer.gap(8);
  writer.drawing(design.schematic, (ref) => {
    const figure = design.figures[ref];
    return figure ? formatQuantity(figure.value, figure.unit, { digits: 3 }) : '';
  });
  writer.heading('Parts, bin by bin');
  const at = [0, 50, 110, 130, 185, 340, 410, 465];
  writer.row(['bin', 'lot', 'n', 'goes in as', 'part', 'must stand', 'stands', 'margin'], at, 'bold');
  const sorted = design.rows.toSorted((a, b) => a.bin.localeCompare(b.bin, 'en', { numeric: true }));
  for (const { bin, lot, count, refs, title: part, must, stands, margin, notes } of sorted)
    writer.row(
      [
        bin || '-',
        lot ?? 'to buy',
        String(count),
        refs.join(' '),
        [part, ...notes].join('; '),
        must,
        stands,
        margin === undefined ? '' : `${margin.toFixed(1)}x`,
      ],
      at,
    );
  if (design.control) {
    writer.heading(`Around U1, ${design.control.title}`);
    for (const { name, value, why } of design.control.outer) writer.row([name, value, why], [0, 150, 215]);
    if (design.loop !== undefined) writer.text(design.loop, { size: 9 });
    writer.text(`${design.control.notes.join('; ')}.`, { size: 8.5, pale: true });
  }
  if (design.winding.length > 0) {
    writer.heading('Winding sheet');
    for (const { name, value } of design.winding) writer.row([name, value], [0, 80]);
  }
  writer.heading('As it runs');
  writer.text(
    `${design.lost} lost at full load: ${design.losses.map(({ refs, text }) => `${refs} ${text}`).join(', ')}. At ${design.frequency}.`,
  );
  for (const text of design.shows) writer.text(text);
  writer.heading('First power-up');
  for (const [index, { text, expect }] of steps.entries()) {
    writer.text(`${index + 1}.  ${text}`);
    writer.text(`expected: ${expect}`, { indent: 16, size: 9, pale: true });
  }
  return writer.bytes();
}
