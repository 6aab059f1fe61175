import { inflateSync } from 'node:zlib';
import jsQR from 'jsqr';
import { PDFArray, PDFDocument, PDFRawStream } from 'pdf-lib';
import { labelSvg, layOutLabel, type LabelText } from './label';
import { labelsPdf } from './labelPdf';
import { LABEL_SIZES, labelSize } from './labelSizes';

const label = (code: string, url = `http://barn.example:3000/stock/${code}`): LabelText => ({
  code,
  title: '12N65',
  lines: ['bin C2-5, grade A', '650 V  620 mΩ', 'low ripple only, not for mains'],
  url,
});

interface Square {
  readonly x: number;
  readonly y: number;
  readonly side: number;
}

/** What an independent reader of QR codes makes of dark squares on white, drawn some pixels a unit. */
function read(squares: readonly Square[], size: { width: number; height: number }, scale: number): string | undefined {
  const [width, height] = [Math.round(size.width * scale), Math.round(size.height * scale)];
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  for (const { x, y, side } of squares)
    for (let row = Math.round(y * scale); row < Math.round((y + side) * scale); row += 1)
      for (let column = Math.round(x * scale); column < Math.round((x + side) * scale); column += 1)
        data.fill(0, (row * width + column) * 4, (row * width + column) * 4 + 3);
  return jsQR(data, width, height)?.data;
}

// Reference: jsQR, an independent reader of QR codes.
test.each(LABEL_SIZES.map((size) => [size.id, size] as const))('a label of %s leads to its lot', (_id, size) => {
  const { width, height } = size;
  const svg = labelSvg(label('K7F-2QM'), size);
  const path = /<path d="([^"]+)"/.exec(svg)?.[1] ?? '';
  const squares = [...path.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)/g)].map((match) => {
    const [x, y, side] = match.slice(1).map(Number) as [number, number, number];
    return { x, y, side };
  });
  expect(read(squares, { width, height }, 12)).toBe('http://barn.example:3000/stock/K7F-2QM');
  const { texts } = layOutLabel(label('K7F-2QM'), size);
  expect(texts[0]).toMatchObject({ text: 'K7F-2QM' });
  expect(texts.every(({ x, y }) => x > 0 && x < width && y > 0 && y <= height)).toBe(true);
});

/** Rectangles that a page of a PDF fills, in points, its origin below on the left. */
function rectanglesOf(document: PDFDocument, index: number): Square[] {
  const page = document.getPage(index);
  const contents = page.node.Contents();
  const streams =
    contents instanceof PDFArray ? contents.asArray().map((ref) => document.context.lookup(ref)) : [contents];
  const text = streams
    .map((stream) => (stream instanceof PDFRawStream ? inflateSync(stream.contents).toString('latin1') : ''))
    .join('\n');
  // A rectangle is moved to its place, then drawn from its own corner.
  return [...text.matchAll(/1 0 0 1 ([\d.]+) ([\d.]+) cm\s+(?:1 0 0 1 0 0 cm\s+)*0 0 m\s+0 ([\d.]+) l/g)].map(
    (match) => {
      const [x, y, side] = match.slice(1).map(Number) as [number, number, number];
      return { x, y: page.getHeight() - y - side, side };
    },
  );
}

describe('labels as a PDF', () => {
  test('on a roll each is a page, and its square is read back', async () => {
    const bytes = await labelsPdf([label('K7F-2QM'), label('ZXH-ZN6')], labelSize('62x29'));
    const document = await PDFDocument.load(bytes);
    expect(document.getPageCount()).toBe(2);
    const size = document.getPage(1).getSize();
    expect(size.width / (72 / 25.4)).toBeCloseTo(62, 3);
    expect(read(rectanglesOf(document, 1), size, 5)).toBe('http://barn.example:3000/stock/ZXH-ZN6');
  });

  test('a sheet begun goes on behind the labels that are used, then on the next sheet', async () => {
    const many = Array.from({ length: 23 }, () => label('K7F-2QM'));
    const document = await PDFDocument.load(await labelsPdf(many, labelSize('a4-24'), 3));
    expect(document.getPageCount()).toBe(2);
    const first = Math.min(...rectanglesOf(document, 0).map(({ y }) => y));
    // Three are used: the first one printed stands in the second row.
    expect(first / (72 / 25.4)).toBeGreaterThan(37);
    expect(rectanglesOf(document, 1).length).toBe((rectanglesOf(document, 0).length / 21) * 2);
  });

  test('signs that the fonts lack are written in letters', async () => {
    const odd = { ...label('K7F-2QM'), title: '4.7 kΩ ±5 % 電', lines: ['−12 V…'] };
    await expect(labelsPdf([odd], labelSize('62x29'))).resolves.toBeInstanceOf(Uint8Array);
  });
});

test('texts cannot break out of the picture, and long ones are cut', () => {
  const svg = labelSvg({ code: 'K7F-2QM', title: '<script>"&', lines: ['a'.repeat(60)], url: 'http://127.0.0.1/' });
  expect(svg).not.toContain('<script>');
  expect(svg).toContain('&#60;script&#62;&#34;&#38;');
  expect(svg).toMatch(/>a+…</);
});

test.each(LABEL_SIZES.map((size) => [size.id, size] as const))(
  'no label of %s cuts a word or leaves its room',
  (_id, size) => {
    const said = {
      code: 'K7F-2QM',
      title: '447 µF 200 V capacitor, electrolytic',
      lines: ['bin SHELF-12, grade B', '447 µF  200 V  105 °C  0.31 Ω ESR', 'low ripple only, not for mains'],
      url: 'http://barn.example:3000/stock/K7F-2QM',
    };
    const { texts } = layOutLabel(said, size);
    const whole = [said.code, said.title, ...said.lines];
    for (const [index, { text, x, size: letters, mono }] of texts.entries()) {
      const kept = text.replace(/ …$/, '');
      expect(whole[index]?.startsWith(kept)).toBe(true);
      expect([undefined, '', ' ', ',']).toContain(whole[index]?.charAt(kept.length));
      expect(x + text.length * letters * (mono ? 0.6 : 0.54)).toBeLessThanOrEqual(size.width);
    }
  },
);
