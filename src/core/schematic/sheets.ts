import { escapeText, inkOf } from './svg';
import type { Schematic } from './types';

/** Papers a drawing is kept on, laid across: width and height in millimetres. */
export const PAPERS = { A4: { width: 297, height: 210 }, A3: { width: 420, height: 297 } } as const;
export type Paper = keyof typeof PAPERS;

/** Millimetres: of the frame from the edge, of the title block, and of a drawing unit where there is room. */
const FRAME = 10;
const BLOCK = { width: 120, height: 24 } as const;
const UNIT_MM = 0.36;
const INK = '#1b2430';

/** What the title block says. */
export interface SheetTitle {
  readonly title: string;
  /** What of the board this sheet shows. */
  readonly section: string;
  /** Such as the code of the unit and the day. */
  readonly lines: readonly string[];
  readonly number: number;
  readonly of: number;
}

/** A schematic on a sheet of paper laid across, with a frame and a title block, as an SVG document sized in millimetres. */
export function sheetSvg(
  schematic: Schematic,
  paper: Paper,
  { title, section, lines, number, of }: SheetTitle,
): string {
  const { width, height } = PAPERS[paper];
  const room = { width: width - 2 * FRAME - 8, height: height - 2 * FRAME - BLOCK.height - 8 };
  const scale = Math.min(UNIT_MM, room.width / schematic.width, room.height / schematic.height);
  const drawn = { width: schematic.width * scale, height: schematic.height * scale };
  const at = { x: (width - drawn.width) / 2, y: FRAME + 4 + (room.height - drawn.height) / 2 };
  const block = { x: width - FRAME - BLOCK.width, y: height - FRAME - BLOCK.height };
  const words = (x: number, y: number, size: number, text: string, weight = 400) =>
    `<text x="${x}" y="${y}" font-size="${size}" font-weight="${weight}" fill="${INK}">${escapeText(text)}</text>`;
  const name = `${title}: ${section}`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}mm" height="${height}mm" role="img" aria-label="${escapeText(name)}">`,
    `<title>${escapeText(name)}</title>`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<path d="M${FRAME} ${FRAME}H${width - FRAME}V${height - FRAME}H${FRAME}Z" fill="none" stroke="${INK}" stroke-width="0.5"/>`,
    `<svg x="${at.x}" y="${at.y}" width="${drawn.width}" height="${drawn.height}" viewBox="0 0 ${schematic.width} ${schematic.height}">${inkOf(schematic)}</svg>`,
    `<path d="M${block.x} ${height - FRAME}V${block.y}H${width - FRAME}M${block.x} ${block.y + 9}H${width - FRAME}M${width - FRAME - 30} ${block.y + 9}V${height - FRAME}" fill="none" stroke="${INK}" stroke-width="0.35"/>`,
    `<g font-family="'Instrument Sans Variable', 'Instrument Sans', sans-serif">`,
    words(block.x + 2.5, block.y + 6, 4.2, cut(title, TITLE_LETTERS), 600),
    words(block.x + 2.5, block.y + 14, 3.4, cut(section, LINE_LETTERS), 600),
    ...lines
      .slice(0, 2)
      .map((line, index) => words(block.x + 2.5, block.y + 18 + index * 4, 2.8, cut(line, LINE_LETTERS))),
    words(width - FRAME - 27.5, block.y + 14, 3.4, `sheet ${number} of ${of}`, 600),
    words(width - FRAME - 27.5, block.y + 18, 2.8, paper),
    words(width - FRAME - 27.5, block.y + 22, 2.8, 'traced by hand'),
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}

/** Letters that have room in the title block. */
const TITLE_LETTERS = 52;
const LINE_LETTERS = 56;
const cut = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text);
