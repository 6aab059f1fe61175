import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import type { BuiltStep } from '../../core/design';
import { groundPath, supplyPath, usedBox, type Schematic } from '../../core/schematic';
import { printable } from '../../formats/pdfText';
import { formatQuantity } from '../../core/quantity';
import type { DesignView } from './designView.server';

/** A4 in points, its margins, and how high the drawing may be. */
const PAGE = { width: 595.3, height: 841.9, edge: 42, drawing: 270 } as const;
const INK = rgb(0.1, 0.13, 0.18);
const PALE = rgb(0.4, 0.43, 0.48);

/** What a build sheet tells. */
export interface BuildSheetText {
  readonly code: string;
  readonly title: string;
  readonly design: DesignView;
  readonly steps: readonly BuiltStep[];
  readonly cautions: readonly string[];
}

/** Writes down a page from its top; a new page where one is full. */
class Writer {
  private page: PDFPage;
  private y: number = PAGE.height - PAGE.edge;

  constructor(
    private readonly document: PDFDocument,
    private readonly fonts: { readonly plain: PDFFont; readonly bold: PDFFont; readonly mono: PDFFont },
  ) {
    this.page = document.addPage([PAGE.width, PAGE.height]);
  }

  private room(height: number) {
    if (this.y - height > PAGE.edge) return;
    this.page = this.document.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.edge;
  }

  gap(points: number) {
    this.y -= points;
  }

  text(
    text: string,
    of: {
      readonly size?: number;
      readonly font?: 'plain' | 'bold' | 'mono';
      readonly indent?: number;
      readonly pale?: boolean;
    } = {},
  ) {
    const { size = 9.5, font = 'plain', indent = 0, pale = false } = of;
    const own = this.fonts[font];
    const width = PAGE.width - 2 * PAGE.edge - indent;
    for (const line of wrapped(printable(text), own, size, width)) {
      this.room(size * 1.35);
      this.y -= size * 1.35;
      this.page.drawText(line, { x: PAGE.edge + indent, y: this.y, size, font: own, color: pale ? PALE : INK });
    }
  }

  heading(text: string) {
    this.gap(9);
    this.room(40);
    this.text(text, { size: 11.5, font: 'bold' });
    this.gap(2);
  }

  /** A row of cells at given places; the last may be long. */
  row(cells: readonly string[], at: readonly number[], font: 'plain' | 'bold' = 'plain') {
    const size = 8.5;
    const own = this.fonts[font];
    const columns = cells.map((cell, place) => {
      const right = at[place + 1] ?? PAGE.width - 2 * PAGE.edge;
      return wrapped(printable(cell), own, size, right - (at[place] ?? 0) - 6);
    });
    const lines = Math.max(...columns.map((one) => one.length));
    this.room(lines * size * 1.3 + 4);
    const top = this.y;
    for (const [place, column] of columns.entries())
      for (const [index, line] of column.entries())
        this.page.drawText(line, {
          x: PAGE.edge + (at[place] ?? 0),
          y: top - (index + 1) * size * 1.3,
          size,
          font: own,
          color: INK,
        });
    this.y = top - lines * size * 1.3 - 3;
    this.page.drawLine({
      start: { x: PAGE.edge, y: this.y },
      end: { x: PAGE.width - PAGE.edge, y: this.y },
      thickness: 0.4,
      color: PALE,
    });
    this.y -= 1;
  }

  /** The circuit in ink, as wide as the page or as high as there is room. */
  drawing(schematic: Schematic, valueOf: (ref: string) => string) {
    if (schematic.symbols.length === 0) return;
    const box = usedBox(schematic);
    const [width, height] = [box.right - box.left, box.bottom - box.top];
    const scale = Math.min((PAGE.width - 2 * PAGE.edge) / width, PAGE.drawing / height);
    this.room(height * scale + 10);
    // The drawing begins at its own box, in the middle of the page.
    const left = (PAGE.width - width * scale) / 2 - box.left * scale;
    const top = this.y + box.top * scale;
    const draw = (path: string, x: number, y: number, weight: number, isFilled = false) =>
      this.page.drawSvgPath(path, {
        x: left + x * scale,
        y: top - y * scale,
        scale,
        ...(isFilled ? { color: INK } : {}),
        borderColor: INK,
        borderWidth: weight,
      });
    const letters = (text: string, x: number, y: number, size: number, anchor: string) => {
      const own = printable(text);
      const wide = this.fonts.mono.widthOfTextAtSize(own, size * scale);
      this.page.drawText(own, {
        x: left + x * scale - (anchor === 'middle' ? wide / 2 : anchor === 'end' ? wide : 0),
        y: top - y * scale,
        size: size * scale,
        font: this.fonts.mono,
        color: INK,
      });
    };
    for (const { points, isPower } of schematic.wires)
      draw(`M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`, 0, 0, isPower ? 2 : 1);
    for (const { x, y } of schematic.dots)
      this.page.drawCircle({ x: left + x * scale, y: top - y * scale, size: 2.5 * scale, color: INK });
    for (const { ref, at, symbol, caption } of schematic.symbols) {
      for (const shape of symbol.shapes)
        if ('text' in shape) letters(shape.text, at.x + shape.at.x, at.y + shape.at.y, 9, shape.anchor);
        else draw(shape.path, at.x, at.y, shape.isHeavy ? 2 : 1.2, shape.isFilled ?? false);
      const lines = [ref, valueOf(ref)].filter((line) => line !== '');
      for (const [index, line] of caption.lines.slice(0, lines.length).entries())
        letters(lines[index] ?? line.text, at.x + line.x, at.y + line.y, 13, caption.anchor);
    }
    for (const label of schematic.labels) {
      if (label.kind === 'ground' || label.kind === 'isolated-ground') draw(groundPath(label), 0, 0, 3);
      else if (label.kind === 'supply') draw(supplyPath(label), 0, 0, 1.2);
    }
    this.y -= height * scale + 10;
  }
}

function wrapped(text: string, font: PDFFont, size: number, width: number): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && font.widthOfTextAtSize(longer, size) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}

/** A build sheet as a PDF: the circuit, its parts bin by bin, the small parts, what it does, and its first power-up step by step. */
export async function buildSheetPdf({ code, title, design, steps, cautions }: BuildSheetText): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(printable(`${title}, ${code}`));
  const writer = new Writer(document, {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
    mono: await document.embedFont(StandardFonts.Courier),
  });
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
  return document.save();
}
