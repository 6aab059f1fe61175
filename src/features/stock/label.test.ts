import jsQR from 'jsqr';
import { labelSvg } from './label';

/** Draws the label's squares into a bitmap, eight pixels a millimetre. */
function bitmapOf(svg: string): { data: Uint8ClampedArray; width: number; height: number } {
  const scale = 8;
  const [width, height] = [62 * scale, 29 * scale];
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  const path = /<path transform="translate\((\d+) (\d+)\)" d="([^"]+)"/.exec(svg);
  const [left, top] = [Number(path?.[1]), Number(path?.[2])];
  for (const square of (path?.[3] ?? '').matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)/g)) {
    const [x, y, side] = square.slice(1).map(Number) as [number, number, number];
    for (let row = Math.round((top + y) * scale); row < Math.round((top + y + side) * scale); row += 1)
      for (let column = Math.round((left + x) * scale); column < Math.round((left + x + side) * scale); column += 1)
        data.fill(0, (row * width + column) * 4, (row * width + column) * 4 + 3);
  }
  return { data, width, height };
}

// Reference: jsQR, an independent reader of QR codes.
test.each`
  url
  ${'http://127.0.0.1:3000/stock/K7F-2QM'}
  ${'http://barn.example:3000/stock/ZXH-ZN6'}
`('the square of a label leads to $url', ({ url }) => {
  const svg = labelSvg({ code: 'K7F-2QM', title: '12N65', lines: ['650 V'], url });
  const { data, width, height } = bitmapOf(svg);
  expect(jsQR(data, width, height)?.data).toBe(url);
});

test('texts cannot break out of the picture, and long ones are cut', () => {
  const svg = labelSvg({ code: 'K7F-2QM', title: '<script>"&', lines: ['a'.repeat(60)], url: 'http://127.0.0.1/' });
  expect(svg).not.toContain('<script>');
  expect(svg).toContain('&#60;script&#62;&#34;&#38;');
  expect(svg).toMatch(/>a+…</);
});
