import { create } from 'qrcode';

/** What stands on a label. */
export interface LabelText {
  readonly code: string;
  readonly title: string;
  readonly lines: readonly string[];
  /** Where the QR code leads. */
  readonly url: string;
}

/** Label size in millimetres: a common address label. */
const SIZE = { width: 62, height: 29, margin: 2 } as const;
const QR = SIZE.height - 2 * SIZE.margin;

/**
 * A printable label as SVG: the QR code of the lot's page, its code, and what is in the bag. Plain
 * black on white, in millimetres, so that any printer takes it.
 */
export function labelSvg({ code, title, lines, url }: LabelText): string {
  const textX = SIZE.margin * 2 + QR;
  const rows = [
    `<text x="${textX}" y="8" font-size="6" font-weight="700" font-family="monospace">${escape(code)}</text>`,
    `<text x="${textX}" y="13.6" font-size="3.4" font-weight="700" font-family="sans-serif">${escape(cut(title, 15))}</text>`,
    ...lines
      .slice(0, 3)
      .map(
        (line, index) =>
          `<text x="${textX}" y="${18.2 + index * 4}" font-size="2.7" font-family="sans-serif">${escape(cut(line, 23))}</text>`,
      ),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE.width}mm" height="${SIZE.height}mm" viewBox="0 0 ${SIZE.width} ${SIZE.height}" role="img" aria-label="Label of lot ${escape(code)}"><rect width="${SIZE.width}" height="${SIZE.height}" fill="#fff"/><path transform="translate(${SIZE.margin} ${SIZE.margin})" d="${qrPath(url)}" fill="#000"/>${rows.join('')}</svg>`;
}

/** The dark modules of a QR code as one path, scaled to the label. */
function qrPath(text: string): string {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const step = QR / modules.size;
  const at = (index: number) => (index * step).toFixed(3);
  const squares: string[] = [];
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column))
        squares.push(`M${at(column)} ${at(row)}h${step.toFixed(3)}v${step.toFixed(3)}h-${step.toFixed(3)}z`);
  return squares.join('');
}

function cut(text: string, longest: number): string {
  return text.length > longest ? `${text.slice(0, longest - 1)}…` : text;
}

function escape(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}
