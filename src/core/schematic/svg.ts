import { TYPE } from './caption';
import { groundPath, supplyPath, wordsOf } from './signs';
import type { NetLabel, PlacedSymbol, Schematic, Shape, Wire } from './types';

export const escapeText = (text: string) =>
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
  const { width, height, title } = schematic;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" ${paperSize(width, height)} role="img" aria-label="${escapeText(title)}">`,
    `<title>${escapeText(title)}</title>`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    inkOf(schematic),
    '</svg>',
    '',
  ].join('\n');
}

/** The drawing itself, in its own units, to stand within a document. */
export function inkOf({ height, symbols, wires, labels, dots, barrier }: Schematic): string {
  return [
    `<defs><pattern id="barrier" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V8" stroke="#1b2430" stroke-width="0.6" opacity="0.35"/></pattern></defs>`,
    `<g fill="none" stroke="#1b2430" stroke-width="1.2" stroke-linecap="round" stroke-linejoin="round" font-family="'Spline Sans Mono', monospace" font-size="10">`,
    barrier ? barrierSvg(barrier, height) : '',
    ...wires.map(wireSvg),
    ...dots.map(({ x, y }) => `<circle cx="${x}" cy="${y}" r="2.5" fill="#1b2430"/>`),
    ...symbols.map(symbolSvg),
    ...labels.map(labelSvg),
    '</g>',
  ].join('\n');
}

/** Words keep a ground of their own, so that what lies under them does not disturb. */
const words = (x: number, y: number, text: string, anchor: string) =>
  `<text x="${x}" y="${y}" text-anchor="${anchor}" fill="#1b2430" stroke="#fff" stroke-width="3" paint-order="stroke">${escapeText(text)}</text>`;

function barrierSvg({ x, width }: { x: number; width: number }, height: number): string {
  return `<g class="barrier"><path d="M${x} 0V${height}H${x + width}V0Z" fill="url(#barrier)" stroke="none"/><path d="M${x} 0V${height}M${x + width} 0V${height}" stroke-width="0.6"/>${words(x + width / 2, 16, 'barrier', 'middle')}</g>`;
}

const wireSvg = ({ points, isPower, isOpen }: Wire) =>
  `<path class="wire" d="M${points.map(({ x, y }) => `${x} ${y}`).join('L')}" stroke-width="${isPower ? 2 : 1}"${isOpen ? ' stroke-dasharray="3 2"' : ''}/>`;

export const shapeSvg = (shape: Shape): string =>
  'text' in shape
    ? words(shape.at.x, shape.at.y, shape.text, shape.anchor).replace('<text', `<text font-size="${TYPE.pin}"`)
    : `<path d="${shape.path}"${shape.isFilled ? ' fill="#1b2430"' : ''}${shape.isHeavy ? ' stroke-width="2"' : ''}/>`;

function symbolSvg({ ref, symbol, at, caption, isPower }: PlacedSymbol): string {
  const lines = caption.lines.map(({ text, x, y }, index) =>
    words(x, y, text, caption.anchor).replace(
      '<text',
      index === 0 ? `<text font-weight="600" font-size="${TYPE.ref}"` : `<text font-size="${TYPE.value}"`,
    ),
  );
  return `<g class="part" data-ref="${escapeText(ref)}" transform="translate(${at.x} ${at.y})"${isPower ? ' stroke-width="1.7"' : ''}>${symbol.shapes.map(shapeSvg).join('')}${lines.join('')}</g>`;
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
  return `<g class="net-name">${bar}${words(x + dx, y + dy, text, anchor).replace('<text', `<text font-size="${TYPE.value}"`)}</g>`;
}
