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
/** Width of a letter as a share of its size, of a mono, a bold and a plain face; capitals and digits are wider than most. */
const LETTER = { mono: 0.6, bold: 0.62, plain: 0.54 } as const;
/** A line may be set so much smaller before words are left out, and a word alone before it is cut. */
const LEAST_SHARE = { line: 0.72, word: 0.5 } as const;
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
      const letter = mono ? LETTER.mono : bold ? LETTER.bold : LETTER.plain;
      const fitted = fit(text, { size: height * share, room, letter, isWhole: mono });
      y += fitted.size * 1.36;
      return { x: left, y, bold, mono, ...fitted };
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

/**
 * A line that fits its room: set smaller, then without its last words. A word is set as small as it must be rather
 * than cut, as long as it can be read; a code always.
 */
function fit(
  text: string,
  { size, room, letter, isWhole }: { size: number; room: number; letter: number; isWhole: boolean },
): { readonly size: number; readonly text: string } {
  const sizeFor = (words: string) => Math.min(size, room / (letter * Math.max(1, words.length)));
  const least = isWhole ? 0 : size * LEAST_SHARE.line;
  const words = text.split(' ');
  for (let count = words.length; count > 1; count -= 1) {
    const shown = count === words.length ? text : `${words.slice(0, count).join(' ')} …`;
    if (sizeFor(shown) >= least) return { size: sizeFor(shown), text: shown };
  }
  const [first = ''] = words;
  const shown = words.length > 1 ? `${first} …` : first;
  if (isWhole || sizeFor(shown) >= size * LEAST_SHARE.word) return { size: sizeFor(shown), text: shown };
  const smallest = size * LEAST_SHARE.word;
  return { size: smallest, text: `${first.slice(0, Math.floor(room / (letter * smallest)) - 1)}…` };
}

function escape(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}
