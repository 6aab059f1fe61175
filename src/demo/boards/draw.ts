import sharp from 'sharp';
import { routeCopper, type Copper } from './copper';
import { HEIGHT, MARGIN, WIDTH, type Body, type Layout } from './layout';

/** Mounting holes as shares: the spots by which front and back are paired. */
export const HOLES = [
  { x: 0.06, y: 0.1 },
  { x: 0.94, y: 0.1 },
  { x: 0.06, y: 0.92 },
] as const;
const ALL_HOLES = [...HOLES, { x: 0.94, y: 0.92 }];

const BENCH = '#cfc8b8';
const LAMINATE = { front: '#a98a58', back: '#456b3d' };
const COPPER = [128, 158, 84] as const;
const BODY_FILLS: Readonly<Record<string, string>> = {
  capacitor: '#34454f',
  transformer: '#8b7b4a',
  inductor: '#6b4a35',
  'common-mode-choke': '#7d6a52',
  resistor: '#c9b48a',
  fuse: '#d8d4c6',
  varistor: '#31557d',
  thermistor: '#3c4a2e',
  connector: '#e2ddcf',
  relay: '#2f5e8f',
  potentiometer: '#2b5d8a',
};
const FILMS: Readonly<Record<string, string>> = { x: '#c9b23c', y: '#4b6f9c', film: '#8f3b30' };

/** Pictures are read once more and stored as JPEG; squeezing them would be time lost. */
const QUICK = { compressionLevel: 1 } as const;

/** The parts' side and the copper side of a board as PNG bytes, the same each time: drawn, nobody's real board. */
export async function drawBoard(layout: Layout): Promise<{ readonly front: Buffer; readonly back: Buffer }> {
  const copper = routeCopper(layout.pads);
  const pour = await sharp(pourPixels(copper), { raw: { width: copper.columns, height: copper.rows, channels: 4 } })
    .resize(WIDTH, HEIGHT, { kernel: 'cubic' })
    .flop()
    .png(QUICK)
    .toBuffer();
  const back = sharp(Buffer.from(svg(board(LAMINATE.back)))).composite([
    { input: pour },
    { input: Buffer.from(jointsSvg(layout)) },
    { input: Buffer.from(lampSvg()), blend: 'multiply' },
  ]);
  return {
    front: await sharp(Buffer.from(frontSvg(layout, copper)))
      .png(QUICK)
      .toBuffer(),
    back: await back.png(QUICK).toBuffer(),
  };
}

/** The label of a unit as PNG bytes, line by line. */
export function drawLabel(lines: readonly string[]): Promise<Buffer> {
  const text = lines
    .map(
      (message, index) =>
        `<text x="110" y="${190 + index * 130}" font-size="${index === 0 ? 64 : 50}" font-weight="${index === 0 ? 700 : 400}">${message}</text>`,
    )
    .join('');
  const label = svg(
    `<rect width="100%" height="100%" fill="#202226"/><rect x="60" y="60" width="1380" height="780" rx="18" fill="#d9d6cc"/><g font-family="sans-serif" fill="#1c1d20">${text}</g>`,
  );
  return sharp(Buffer.from(label)).png().toBuffer();
}

const svg = (content: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">${content}</svg>`;
const board = (fill: string) =>
  `<rect width="100%" height="100%" fill="${BENCH}"/><rect x="${MARGIN}" y="${MARGIN}" width="${WIDTH - 2 * MARGIN}" height="${HEIGHT - 2 * MARGIN}" rx="14" fill="${fill}"/>`;
const holes = () =>
  ALL_HOLES.map(
    ({ x, y }) =>
      `<circle cx="${x * WIDTH}" cy="${y * HEIGHT}" r="20" fill="${BENCH}"/><circle cx="${x * WIDTH}" cy="${y * HEIGHT}" r="26" fill="none" stroke="#b9a86a" stroke-width="7"/>`,
  ).join('');

function frontSvg({ bodies }: Layout, { jumpers }: Copper): string {
  const wires = jumpers
    .map(
      ({ from, to }) =>
        `<path d="M${from.x} ${from.y}L${to.x} ${to.y}" stroke="#d9dcde" stroke-width="5" stroke-linecap="round"/>`,
    )
    .join('');
  return svg(
    `${board(LAMINATE.front)}${holes()}${wires}${bodies.map(bodySvg).join('')}${bodies.map(nameSvg).join('')}`,
  );
}

function bodySvg({ part, x, y, w, h, isRound }: Body): string {
  const { kind, subtype = '' } = part;
  const outline = `<rect x="${x - w / 2}" y="${y - h / 2}" width="${w}" height="${h}" rx="6" fill="none" stroke="#f3efe4" stroke-width="2"/>`;
  if (part.isEmpty) return outline;
  const fill = FILMS[subtype] ?? FILMS[subtype.slice(0, 1)] ?? BODY_FILLS[kind] ?? '#232327';
  const shape = isRound
    ? `<circle cx="${x}" cy="${y}" r="${w / 2}" fill="${fill}" stroke="#1a1a1a" stroke-width="3"/>`
    : `<rect x="${x - w / 2}" y="${y - h / 2}" width="${w}" height="${h}" rx="6" fill="${fill}" stroke="#1a1a1a" stroke-width="3"/>`;
  const vent =
    kind === 'capacitor' && isRound
      ? `<path d="M${x - 18} ${y}H${x + 18}M${x} ${y - 18}V${y + 18}" stroke="#77828c" stroke-width="4"/><path d="M${x + w / 2 - 14} ${y - w / 5}V${y + w / 5}" stroke="#cdd4d8" stroke-width="8"/>`
      : '';
  const band =
    kind === 'diode' ? `<rect x="${x + w / 2 - 22}" y="${y - h / 2}" width="9" height="${h}" fill="#d9dcde"/>` : '';
  const core =
    kind === 'transformer' || kind === 'common-mode-choke'
      ? `<rect x="${x - w / 4}" y="${y - h / 2}" width="${w / 2}" height="${h}" fill="#3a3a3e"/>`
      : '';
  return shape + vent + band + core;
}

function jointsSvg({ pads }: Layout): string {
  const joints = pads
    .map(
      ({ x, y }) =>
        `<circle cx="${x}" cy="${y}" r="10" fill="#c7c9cc"/><circle cx="${x - 2}" cy="${y - 2}" r="4" fill="#8a8e92"/>`,
    )
    .join('');
  return svg(`<g transform="translate(${WIDTH} 0) scale(-1 1)">${joints}${holes()}</g>`);
}

const nameSvg = ({ part, x, y, h }: Body) =>
  `<text x="${x}" y="${y + h / 2 + 21}" font-family="sans-serif" font-size="20" text-anchor="middle" fill="#f3efe4">${part.ref}</text>`;

/** A lamp from the upper left: the far corner lies in half shade, as on a bench. */
const lampSvg = () =>
  svg(
    `<defs><radialGradient id="lamp" cx="0.3" cy="0.25" r="1"><stop offset="0" stop-color="#ffffff"/><stop offset="1" stop-color="#7f7a70"/></radialGradient></defs><rect width="100%" height="100%" fill="url(#lamp)"/>`,
  );

function pourPixels({ columns, rows, nets }: Copper): Buffer {
  const pixels = Buffer.alloc(columns * rows * 4);
  for (const [cell, net] of nets.entries()) if (net !== -1) pixels.set([...COPPER, 255], cell * 4);
  return pixels;
}
