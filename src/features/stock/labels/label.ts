import { create } from 'qrcode';
import { labelSize, type LabelSize } from './labelSizes';

/** What stands on a label. */
export interface LabelText {
  readonly code: string;
  readonly title: string;
  readonly lines: readonly string[];
  /** Where the QR code leads. */
  readonly url: string;
}

/** Where everything on a label goes, in millimetres from its upper left corner. */
export interface LabelLayout {
  /** Dark squares of the QR code. */
  readonly squares: readonly { readonly x: number; readonly y: number }[];
  readonly squareSide: number;
  readonly texts: readonly {
    readonly x: number;
    /** Of the base line. */
    readonly y: number;
    readonly size: number;
    readonly bold: boolean;
    readonly mono: boolean;
    readonly text: string;
  }[];
}

const MARGIN = 2;
/** The square takes this share of the width at most: what is in the bag wants room too. */
const QR_SHARE = 0.42;
/** Width of a letter as a share of its size, of a mono and of a plain face. */
const LETTER = { mono: 0.6, plain: 0.52 } as const;
/** Lines of a label with their size as a share of its height; the code is the largest. */
const ROWS = { code: 0.2, title: 0.117, line: 0.093 } as const;

/** Lays a label out: the QR code of the lot's page on the left, its code in letters and what is in the bag on the right. */
export function layOutLabel({ code, title, lines, url }: LabelText, { width, height }: LabelSize): LabelLayout {
  const { modules } = create(url, { errorCorrectionLevel: 'M' });
  const side = Math.min(height - 2 * MARGIN, width * QR_SHARE);
  const step = side / modules.size;
  const top = (height - side) / 2;
  const squares: { x: number; y: number }[] = [];
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column)) squares.push({ x: MARGIN + column * step, y: top + row * step });
  const left = 2 * MARGIN + side;
  const room = width - left - 1;
  const rows = [
    { text: code, share: ROWS.code, bold: true, mono: true },
    { text: title, share: ROWS.title, bold: true, mono: false },
    ...lines.slice(0, 3).map((text) => ({ text, share: ROWS.line, bold: false, mono: false })),
  ];
  let y = height * 0.08;
  return {
    squares,
    squareSide: step,
    texts: rows.map(({ text, share, bold, mono }) => {
      const letter = mono ? LETTER.mono : LETTER.plain;
      // The code is never cut: it shrinks until it fits.
      const size = mono ? Math.min(height * share, room / (letter * text.length)) : height * share;
      y += size * 1.36;
      return { x: left, y, size, bold, mono, text: mono ? text : cut(text, Math.floor(room / (letter * size))) };
    }),
  };
}

/** A printable label as SVG: plain black on white, in millimetres, so that any printer takes it. */
export function labelSvg(label: LabelText, size: LabelSize = labelSize(undefined)): string {
  const { squares, squareSide, texts } = layOutLabel(label, size);
  const at = (value: number) => value.toFixed(3);
  const side = at(squareSide);
  const path = squares.map(({ x, y }) => `M${at(x)} ${at(y)}h${side}v${side}h-${side}z`).join('');
  const rows = texts.map(
    ({ x, y, size: font, bold, mono, text }) =>
      `<text x="${at(x)}" y="${at(y)}" font-size="${at(font)}"${bold ? ' font-weight="700"' : ''} font-family="${mono ? 'monospace' : 'sans-serif'}">${escape(text)}</text>`,
  );
  const { width, height } = size;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" role="img" aria-label="Label of lot ${escape(label.code)}"><rect width="${width}" height="${height}" fill="#fff"/><path d="${path}" fill="#000"/>${rows.join('')}</svg>`;
}

function cut(text: string, longest: number): string {
  return text.length > longest ? `${text.slice(0, Math.max(1, longest - 1))}…` : text;
}

function escape(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}
