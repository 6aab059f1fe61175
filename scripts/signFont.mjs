// Writes the small face with signs of nameplates that the shipped faces lack: ⎓, direct current. One glyph in quadratic
// outlines, as the TrueType tables of ISO/IEC 14496-22 want them. Run it when a sign is added: node scripts/signFont.mjs
import { writeFileSync } from 'node:fs';

const UNITS = 1000;
const WIDTH = 600;
/** Boxes of each glyph: left, bottom, right, top. */
const GLYPHS = [
  { sign: 0, boxes: [] },
  {
    sign: 0x2393,
    boxes: [
      [60, 420, 540, 490],
      [60, 230, 180, 300],
      [240, 230, 360, 300],
      [420, 230, 540, 300],
    ],
  },
];

const bytes = (...parts) => Buffer.concat(parts);
const u16 = (...values) => bytes(...values.map((value) => Buffer.from([(value >> 8) & 255, value & 255])));
const u32 = (...values) => bytes(...values.map((value) => u16((value >>> 16) & 65535, value & 65535)));
const text = (value) => Buffer.from(value, 'latin1');
const padded = (buffer) => bytes(buffer, Buffer.alloc((4 - (buffer.length % 4)) % 4));

function glyph(boxes) {
  if (boxes.length === 0) return Buffer.alloc(0);
  const points = boxes.flatMap(([left, bottom, right, top]) => [
    [left, bottom],
    [left, top],
    [right, top],
    [right, bottom],
  ]);
  const all = (index) => points.map((point) => point[index]);
  const deltas = (index) => u16(...points.map((point, at) => point[index] - (at === 0 ? 0 : points[at - 1][index])));
  return padded(
    bytes(
      u16(boxes.length, Math.min(...all(0)), Math.min(...all(1)), Math.max(...all(0)), Math.max(...all(1))),
      u16(...boxes.map((_, index) => index * 4 + 3)),
      u16(0),
      Buffer.alloc(points.length, 1),
      deltas(0),
      deltas(1),
    ),
  );
}

const glyphs = GLYPHS.map(({ boxes }) => glyph(boxes));
const offsets = glyphs.reduce((ends, { length }) => [...ends, ends.at(-1) + length], [0]);
const { sign } = GLYPHS[1];
const cmap = bytes(
  u16(0, 1, 3, 1),
  u32(12),
  // Format 4 with the one sign and the closing segment.
  u16(4, 32, 0, 4, 4, 1, 0),
  u16(sign, 0xffff, 0, sign, 0xffff, (1 - sign) & 0xffff, 1, 0, 0),
);
const names = ['Zorvek Signs', 'Regular', 'Zorvek Signs 1', 'Zorvek Signs', 'Version 1', 'ZorvekSigns'];
const wide = names.map((value) => Buffer.from([...value].flatMap((letter) => [0, letter.charCodeAt(0)])));
const name = bytes(
  u16(0, names.length, 6 + 12 * names.length),
  ...wide.map((value, index) =>
    u16(
      3,
      1,
      0x409,
      index + 1,
      value.length,
      wide.slice(0, index).reduce((sum, { length }) => sum + length, 0),
    ),
  ),
  ...wide,
);
const tables = {
  'OS/2': bytes(
    u16(4, WIDTH, 400, 5, 0, 650, 600, 0, 75, 650, 600, 0, 350, 50, 250, 0),
    Buffer.alloc(10),
    u32(0, 0, 0, 0),
    text('ZRVK'),
    u16(0x40, sign, sign, 800, -200, 100, 800, 200),
    u32(0, 0),
    u16(500, 700, 0, 32, 1),
  ),
  cmap,
  glyf: bytes(...glyphs),
  head: bytes(
    u32(0x10000, 0x10000, 0, 0x5f0f3cf5),
    u16(0, UNITS),
    Buffer.alloc(16),
    u16(60, 230, 540, 490, 0, 8, 2, 1, 0),
  ),
  hhea: bytes(u32(0x10000), u16(800, -200, 100, WIDTH, 60, 60, 540, 1, 0, 0, 0, 0, 0, 0, 0, GLYPHS.length)),
  hmtx: u16(...GLYPHS.flatMap(({ boxes }) => [WIDTH, boxes[0]?.[0] ?? 0])),
  loca: u32(...offsets),
  maxp: bytes(u32(0x10000), u16(GLYPHS.length, 16, 4, 0, 0, 2, 0, 0, 0, 0, 0, 0, 0, 0)),
  name,
  post: bytes(u32(0x30000, 0), u16(-100, 50), u32(1, 0, 0, 0, 0)),
};

const checksum = (buffer) => {
  const whole = padded(buffer);
  let sum = 0;
  for (let at = 0; at < whole.length; at += 4) sum = (sum + whole.readUInt32BE(at)) >>> 0;
  return sum;
};
const tags = Object.keys(tables);
const power = Math.floor(Math.log2(tags.length));
let at = 12 + 16 * tags.length;
const directory = tags.map((tag) => {
  const entry = bytes(text(tag), u32(checksum(tables[tag]), at, tables[tag].length));
  at += padded(tables[tag]).length;
  return entry;
});
const font = bytes(
  u32(0x10000),
  u16(tags.length, 16 * 2 ** power, power, 16 * tags.length - 16 * 2 ** power),
  ...directory,
  ...tags.map((tag) => padded(tables[tag])),
);
const headAt = font.readUInt32BE(12 + 16 * tags.indexOf('head') + 8);
font.writeUInt32BE((0xb1b0afba - checksum(font)) >>> 0, headAt + 8);
writeFileSync('src/ui/fonts/signs.ttf', font);
