import { groundPath, supplyPath, wordsOf } from './signs';
import type { NetLabel, PlacedSymbol, Schematic, Shape, Wire } from './types';

const escape = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign);

/** Millimetres that a drawing may take on a sheet of A4 laid across, and those of a drawing unit where there is room. */
const SHEET = { width: 277, height: 190 } as const;
const UNIT_MM = 0.254;

/** Size on paper: as it is drawn, or smaller to stay on one sheet. */
function paperSize(width: number, height: number): string {
  const scale = Math.min(UNIT_MM, SHEET.width / width, SHEET.height / height);
  return `width="${(width * scale).toFixed(1)}mm" height="${(height * scale).toFixed(1)}mm"`;
}

/** The schematic as an SVG document in ink on a plain ground, sized for A4; line weight and pattern carry the meaning. */
export function schematicSvg(schematic: Schematic): string {
  const { width, height, symbols, wires, labels, dots, barrier, title } = schematic;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" ${paperSize(width, height)} role="img" aria-label="${escape(title)}">`,
    `<title>${escape(title)}</title>`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<g fill="none" stroke="#1b2430" stroke-width="1.2" stroke-linecap="round" stroke-linejoin="round" font-family="'Spline Sans Mono', monospace" font-size="10">`,
    barrier ? barrierSvg(barrier, height) : '',
    ...wires.map(wireSvg),
    ...dots.map(({ x, y }) => `<circle cx="${x}" cy="${y}" r="2.5" fill="#1b2430"/>`),
    ...symbols.map(symbolSvg),
    ...labels.map(labelSvg),
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}

const words = (x: number, y: number, text: string, anchor: string) =>
  `<text x="${x}" y="${y}" text-anchor="${anchor}" fill="#1b2430" stroke="none">${escape(text)}</text>`;

function barrierSvg({ x, width }: { x: number; width: number }, height: number): string {
  const middle = x + width / 2;
  return `<g class="barrier"><path d="M${middle} 10V${height - 10}" stroke-dasharray="2 6" stroke-width="2"/>${words(middle, 24, 'barrier', 'middle')}</g>`;
}

const wireSvg = ({ points, isPower, isOpen }: Wire) =>
  `<path class="wire" d="M${points.map(({ x, y }) => `${x} ${y}`).join('L')}" stroke-width="${isPower ? 2 : 1}"${isOpen ? ' stroke-dasharray="3 2"' : ''}/>`;

export const shapeSvg = (shape: Shape): string =>
  'text' in shape
    ? words(shape.at.x, shape.at.y, shape.text, shape.anchor).replace('<text', '<text font-size="8"')
    : `<path d="${shape.path}"${shape.isFilled ? ' fill="#1b2430"' : ''}${shape.isHeavy ? ' stroke-width="2"' : ''}/>`;

function symbolSvg({ ref, symbol, at, caption, isPower }: PlacedSymbol): string {
  const lines = caption.lines.map(({ text, x, y }, index) =>
    words(x, y, text, caption.anchor).replace(
      '<text',
      index === 0 ? '<text font-weight="600" font-size="11"' : '<text font-size="9"',
    ),
  );
  return `<g class="part" data-ref="${escape(ref)}" transform="translate(${at.x} ${at.y})"${isPower ? ' stroke-width="1.7"' : ''}>${symbol.shapes.map(shapeSvg).join('')}${lines.join('')}</g>`;
}

function labelSvg(label: NetLabel): string {
  const { text, at, kind } = label;
  const { x, y } = at;
  if (kind === 'ground' || kind === 'isolated-ground')
    return `<path class="ground" d="${groundPath(label)}" stroke-width="${kind === 'ground' ? 3 : 2}"/>`;
  if (kind === 'open')
    return `<path class="open" d="M${x - 4} ${y}A4 4 0 1 1 ${x + 4} ${y}A4 4 0 1 1 ${x - 4} ${y}" stroke-dasharray="2 2"/>`;
  const { dx, dy, anchor } = wordsOf(label);
  const bar = kind === 'supply' ? `<path d="${supplyPath(label)}"/>` : '';
  return `<g class="net-name">${bar}${words(x + dx, y + dy, text, anchor).replace('<text', '<text font-size="9"')}</g>`;
}
