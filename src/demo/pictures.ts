import sharp from 'sharp';

/** Drawn stand-ins for photos: nobody's real board is shown. */
export type PictureName = 'label' | 'board-front' | 'board-back';

const WIDTH = 1500;
const HEIGHT = 900;

/** Parts of the drawn board by their middle and size in pixels, seen from the front. */
const PARTS: readonly { readonly ref: string; readonly x: number; readonly y: number; readonly w: number; readonly h: number; readonly fill: string; readonly round?: true }[] = [
  { ref: 'CX1', x: 230, y: 220, w: 150, h: 90, fill: '#c9b23c' },
  { ref: 'L1', x: 230, y: 420, w: 150, h: 150, fill: '#7d6a52' },
  { ref: 'BR1', x: 430, y: 230, w: 150, h: 80, fill: '#2b2b2e' },
  { ref: 'C3', x: 470, y: 480, w: 210, h: 210, fill: '#31424f', round: true },
  { ref: 'Q1', x: 690, y: 210, w: 110, h: 140, fill: '#26262a' },
  { ref: 'T1', x: 830, y: 470, w: 230, h: 230, fill: '#8b7b4a' },
  { ref: 'U1', x: 660, y: 620, w: 70, h: 60, fill: '#1e1e22' },
  { ref: 'U2', x: 930, y: 690, w: 80, h: 70, fill: '#1e1e22' },
  { ref: 'CY1', x: 930, y: 250, w: 90, h: 60, fill: '#4b6f9c' },
  { ref: 'D8', x: 1080, y: 220, w: 110, h: 140, fill: '#26262a' },
  { ref: 'C21', x: 1150, y: 470, w: 120, h: 120, fill: '#3a4a57', round: true },
  { ref: 'C22', x: 1290, y: 470, w: 100, h: 100, fill: '#3a4a57', round: true },
  { ref: 'L5', x: 1300, y: 250, w: 90, h: 130, fill: '#6b4a35' },
]; // prettier-ignore

/** Mounting holes: the spots by which front and back are paired. */
export const HOLES = [
  { x: 0.08, y: 0.12 },
  { x: 0.92, y: 0.12 },
  { x: 0.08, y: 0.88 },
] as const;

/** A drawn picture as PNG bytes, the same each time. */
export async function drawPicture(name: PictureName): Promise<Buffer> {
  return sharp(Buffer.from(name === 'label' ? label() : board(name === 'board-back')))
    .png()
    .toBuffer();
}

function label(): string {
  const lines = [
    ['VELKIN  AC/DC ADAPTER', 64, 700],
    ['MODEL VK-2402', 50, 500],
    ['INPUT: 100-240V~ 50/60Hz 1.5A', 54, 400],
    ['OUTPUT: 24V = 2.5A', 54, 400],
    ['EFFICIENCY LEVEL VI      DATE 2148', 42, 400],
  ] as const;
  const text = lines
    .map(
      ([says, size, weight], index) =>
        `<text x="110" y="${190 + index * 130}" font-size="${size}" font-weight="${weight}">${says}</text>`,
    )
    .join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="#202226"/><rect x="60" y="60" width="1380" height="780" rx="18" fill="#d9d6cc"/><g font-family="sans-serif" fill="#1c1d20">${text}</g></svg>`;
}

function board(back: boolean): string {
  const holes = [...HOLES, { x: 0.92, y: 0.88 }]
    .map(
      ({ x, y }) =>
        `<circle cx="${x * WIDTH}" cy="${y * HEIGHT}" r="26" fill="#d8d2c4"/><circle cx="${x * WIDTH}" cy="${y * HEIGHT}" r="34" fill="none" stroke="#b9a86a" stroke-width="8"/>`,
    )
    .join('');
  // The back is the front turned over: mirrored left to right.
  const content = back
    ? `<g transform="translate(${WIDTH} 0) scale(-1 1)">${copper()}${holes}</g>`
    : `${bodies()}${holes}`;
  const slot = `<rect x="${back ? WIDTH - 1010 : 990}" y="330" width="20" height="250" rx="10" fill="#d8d2c4"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="#d8d2c4"/><rect x="50" y="50" width="1400" height="800" rx="16" fill="${back ? '#4f7a45' : '#a98a58'}"/>${content}${slot}</svg>`;
}

function bodies(): string {
  return PARTS.map(({ ref, x, y, w, h, fill, round }) =>
    round
      ? `<circle cx="${x}" cy="${y}" r="${w / 2}" fill="${fill}" stroke="#1a1a1a" stroke-width="3"/><path d="M${x - 22} ${y}H${x + 22}M${x} ${y - 22}V${y + 22}" stroke="#77828c" stroke-width="4"/>${print(ref, x, y + w / 2 + 34)}`
      : `<rect x="${x - w / 2}" y="${y - h / 2}" width="${w}" height="${h}" rx="8" fill="${fill}" stroke="#1a1a1a" stroke-width="3"/>${print(ref, x, y + h / 2 + 34)}`,
  ).join('');
}

const print = (ref: string, x: number, y: number) =>
  `<text x="${x}" y="${y}" font-family="sans-serif" font-size="30" text-anchor="middle" fill="#f3efe4">${ref}</text>`;

/** Joints of each part with wide copper between neighbours of a row. */
function copper(): string {
  const joints = PARTS.flatMap(({ x, y, w }) => [x - w / 4, x + w / 4].map((at) => ({ x: at, y })));
  const runs = joints
    .map(({ x, y }, index) => {
      const next = joints[index + 2];
      return next && Math.abs(next.x - x) < 330
        ? `<path d="M${x} ${y}L${next.x} ${next.y}" stroke="#c98d4a" stroke-width="34" stroke-linecap="round"/>`
        : '';
    })
    .join('');
  const pads = joints
    .map(
      ({ x, y }) =>
        `<circle cx="${x}" cy="${y}" r="20" fill="#c7c9cc"/><circle cx="${x}" cy="${y}" r="7" fill="#6d7074"/>`,
    )
    .join('');
  return runs + pads;
}
