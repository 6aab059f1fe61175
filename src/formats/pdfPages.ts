import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { groundPath, supplyPath, usedBox, type Schematic } from '../core/schematic';
import { PLOT, plotted, type PlotLine, type ReportPin } from '../core/report';
import { printable } from './pdfText';

/** A4 in points, its margins, and how high the drawing may be. */
const PAGE = { width: 595.3, height: 841.9, edge: 42, drawing: 270 } as const;
const INK = rgb(0.1, 0.13, 0.18);
const PALE = rgb(0.4, 0.43, 0.48);
const PAPER = rgb(1, 1, 1);

/** Writes down a page from its top; a new page where one is full. */
export class PdfPages {
  private page: PDFPage;
  private y: number = PAGE.height - PAGE.edge;

  private constructor(
    private readonly document: PDFDocument,
    private readonly fonts: { readonly plain: PDFFont; readonly bold: PDFFont; readonly mono: PDFFont },
  ) {
    this.page = document.addPage([PAGE.width, PAGE.height]);
  }

  /** An empty document with its first page. */
  static async begin(title: string): Promise<PdfPages> {
    const document = await PDFDocument.create();
    document.setTitle(printable(title));
    return new PdfPages(document, {
      plain: await document.embedFont(StandardFonts.Helvetica),
      bold: await document.embedFont(StandardFonts.HelveticaBold),
      mono: await document.embedFont(StandardFonts.Courier),
    });
  }

  bytes(): Promise<Uint8Array> {
    return this.document.save();
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
    for (const line of text.split('\n').flatMap((part) => wrapped(printable(part), own, size, width))) {
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
      return wrapped(printable(cell.replaceAll(/\s*\n\s*/gu, ' ')), own, size, right - (at[place] ?? 0) - 6);
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

  /** A photo as wide as there is room, with its numbered pins. */
  async picture(
    jpeg: Uint8Array,
    { caption, pins }: { readonly caption: string; readonly pins: readonly ReportPin[] },
  ) {
    const image = await this.document.embedJpg(jpeg);
    const scale = Math.min((PAGE.width - 2 * PAGE.edge) / image.width, PAGE.drawing / image.height);
    const [width, height] = [image.width * scale, image.height * scale];
    this.room(height + 30);
    const [left, top] = [PAGE.edge, this.y];
    this.page.drawImage(image, { x: left, y: top - height, width, height });
    for (const { number, x, y } of pins) {
      const at = { x: left + x * width, y: top - y * height };
      this.page.drawCircle({ ...at, size: 6, color: PAPER, borderColor: INK, borderWidth: 0.8 });
      const label = String(number);
      this.page.drawText(label, {
        x: at.x - this.fonts.bold.widthOfTextAtSize(label, 7) / 2,
        y: at.y - 2.5,
        size: 7,
        font: this.fonts.bold,
        color: INK,
      });
    }
    this.y -= height + 2;
    this.text(caption, { size: 8.5, pale: true });
    for (const { number, note } of pins) if (note !== '') this.text(`${number}  ${note}`, { size: 8.5, indent: 10 });
    this.gap(6);
  }

  /** Courses of a recording in a frame, as wide as the page. */
  plot(lines: readonly PlotLine[], caption: string) {
    const { paths, legend, span } = plotted(lines);
    const scale = (PAGE.width - 2 * PAGE.edge) / PLOT.width;
    this.room(PLOT.height * scale + 30);
    this.text(legend.join('   '), { size: 8, font: 'mono' });
    const top = this.y;
    for (const path of paths)
      this.page.drawSvgPath(path, {
        x: PAGE.edge,
        y: top + PLOT.top * scale,
        scale,
        borderColor: INK,
        borderWidth: 0.8,
      });
    this.y -= (PLOT.height - PLOT.top - PLOT.bottom) * scale + 4;
    this.text(`${caption}; ${span}`, { size: 8.5, pale: true });
    this.gap(6);
  }

  /** A table whose columns share the width by what stands in them. */
  table(head: readonly string[], rows: readonly (readonly string[])[]) {
    const room = PAGE.width - 2 * PAGE.edge;
    const wants = head.map((cell, place) =>
      Math.min(36, Math.max(cell.length + 1, ...rows.map((row) => (row[place] ?? '').length + 1))),
    );
    const sum = wants.reduce((total, one) => total + one, 0);
    let x = 0;
    const at = wants.map((want) => {
      const here = x;
      x += (want / sum) * room;
      return here;
    });
    this.row(head, at, 'bold');
    for (const row of rows) this.row(row, at);
  }

  /**
   * The circuit in ink, as wide as the page or as high as there is room.
   * @param valueOf what stands under a reference; where it is left out, what the drawing says of itself
   */
  drawing(schematic: Schematic, valueOf?: (ref: string) => string) {
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
      const lines = valueOf ? [ref, valueOf(ref)].filter((line) => line !== '') : caption.lines.map(({ text }) => text);
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

/** A word that is wider than its column, in pieces that fit. */
function broken(word: string, font: PDFFont, size: number, width: number): readonly string[] {
  if (font.widthOfTextAtSize(word, size) <= width || word.length < 2) return [word];
  let end = word.length - 1;
  while (end > 1 && font.widthOfTextAtSize(word.slice(0, end), size) > width) end -= 1;
  return [word.slice(0, end), ...broken(word.slice(end), font, size, width)];
}

function wrapped(text: string, font: PDFFont, size: number, width: number): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ').flatMap((one) => broken(one, font, size, width))) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && font.widthOfTextAtSize(longer, size) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
