import fc from 'fast-check';
import sharp from 'sharp';
import { cornersProblem, preparationMaps, preparedSize, preparePicture, type Corners, type Picture } from '.';

const point = (x: number, y: number) => ({ x, y });
const WHOLE: Corners = [point(0, 0), point(1, 0), point(1, 1), point(0, 1)];

const share = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
/** A board seen askew: each corner somewhere in its own quarter. */
const askew = fc
  .tuple(...Array.from({ length: 4 }, () => fc.tuple(share(0.02, 0.35), share(0.02, 0.35))))
  .map(([a = [0, 0], b = [0, 0], c = [0, 0], d = [0, 0]]): Corners => [
    point(a[0], a[1]),
    point(1 - b[0], b[1]),
    point(1 - c[0], 1 - c[1]),
    point(d[0], 1 - d[1]),
  ]);

/** A picture from the colour of every spot, by shares. */
function pictureOf(width: number, height: number, colour: (x: number, y: number) => readonly number[]): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      data.set([...colour((x + 0.5) / width, (y + 0.5) / height), 255], (y * width + x) * 4);
  return { width, height, data };
}
const brightnessAt = ({ width, height, data }: Picture, x: number, y: number) =>
  data[(Math.floor(y * height) * width + Math.floor(x * width)) * 4] ?? 0;

test('the corners of a board become those of the picture, and every spot is found back', () => {
  fc.assert(
    fc.property(askew, fc.boolean(), share(0, 1), share(0, 1), (corners, mirror, x, y) => {
      const { toPrepared, toPicture } = preparationMaps({ corners, mirror });
      const [first] = corners;
      expect(toPrepared(first).x).toBeCloseTo(mirror ? 1 : 0, 9);
      expect(toPrepared(first).y).toBeCloseTo(0, 9);
      const there = toPicture({ x, y });
      const back = toPrepared(there);
      expect(back.x).toBeCloseTo(x, 7);
      expect(back.y).toBeCloseTo(y, 7);
    }),
    { seed: 11, numRuns: 400 },
  );
});

test('straight lines stay straight: three spots in a row of the board are in a row on the picture', () => {
  fc.assert(
    fc.property(askew, share(0, 1), share(0, 1), (corners, a, b) => {
      const { toPicture } = preparationMaps({ corners, mirror: false });
      const [p, q, r] = [toPicture(point(0, a)), toPicture(point(0.4, a + 0.4 * (b - a))), toPicture(point(1, b))];
      expect((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)).toBeCloseTo(0, 8);
    }),
    { seed: 12, numRuns: 200 },
  );
});

test.each([
  ['crossed', [point(0, 0), point(1, 1), point(1, 0), point(0, 1)]],
  ['crossed', [point(0, 0), point(0, 1), point(1, 1), point(1, 0)]],
  ['crossed', [point(0, 0), point(1, 0), point(0.3, 0.3), point(0, 1)]],
  ['too-small', [point(0.5, 0.5), point(0.51, 0.5), point(0.51, 0.9), point(0.5, 0.9)]],
  [undefined, WHOLE],
] as const)('corners are %s', (problem, corners) => {
  expect(cornersProblem(corners)).toBe(problem);
});

test('a chequered board seen askew comes out square', () => {
  const corners: Corners = [point(0.2, 0.1), point(0.85, 0.2), point(0.95, 0.9), point(0.1, 0.8)];
  const { toPrepared } = preparationMaps({ corners, mirror: false });
  const isDark = (x: number, y: number) => (Math.floor(x * 8) + Math.floor(y * 6)) % 2 === 0;
  const seen = pictureOf(640, 480, (x, y) => {
    const at = toPrepared({ x, y });
    const shade = at.x < 0 || at.x > 1 || at.y < 0 || at.y > 1 ? 128 : isDark(at.x, at.y) ? 20 : 230;
    return [shade, shade, shade];
  });
  const straight = preparePicture(seen, { corners, mirror: false, contrast: 0 });
  expect(straight).toMatchObject(preparedSize({ corners, mirror: false, contrast: 0 }, seen));
  for (let column = 0; column < 8; column += 1)
    for (let row = 0; row < 6; row += 1) {
      const [x, y] = [(column + 0.5) / 8, (row + 0.5) / 6];
      expect(Math.abs(brightnessAt(straight, x, y) - (isDark(x, y) ? 20 : 230))).toBeLessThan(3);
    }
});

test('a mirrored picture is the one that sharp flops', async () => {
  const picture = pictureOf(61, 40, (x, y) => [x * 255, y * 255, (x * 7 + y * 3) % 1 > 0.5 ? 255 : 0]);
  const raw = { width: 61, height: 40, channels: 4 as const };
  const flopped = await sharp(picture.data, { raw }).flop().raw().toBuffer();
  expect([...preparePicture(picture, { mirror: true, contrast: 0 }).data]).toEqual([...flopped]);
});

test('copper under uneven light stands out: one threshold tells it from the laminate, which before it did not', () => {
  const isCopper = (x: number, y: number) => Math.sin(x * 40) + Math.cos(y * 33) > 0.2;
  const lamp = (x: number, y: number) => 0.35 + 0.65 * Math.exp(-((x - 0.2) ** 2 + (y - 0.3) ** 2) * 3);
  const dull = pictureOf(300, 200, (x, y) =>
    (isCopper(x, y) ? [150, 165, 80] : [70, 120, 62]).map((value) => value * lamp(x, y)),
  );
  const misread = (picture: Picture) => {
    const levels = Array.from({ length: 255 }, (_, level) => level);
    return Math.min(
      ...levels.map((level) => {
        let wrong = 0;
        for (let y = 0; y < 200; y += 2)
          for (let x = 0; x < 300; x += 2) {
            const bright = (picture.data[(y * 300 + x) * 4] ?? 0) > level;
            wrong += Number(bright !== isCopper((x + 0.5) / 300, (y + 0.5) / 200));
          }
        return wrong / 15000;
      }),
    );
  };
  expect(misread(dull)).toBeGreaterThan(0.05);
  expect(misread(preparePicture(dull, { mirror: false, contrast: 1 }))).toBeLessThan(0.02);
});

test('progress runs from nothing to the whole', () => {
  const shares: number[] = [];
  preparePicture(
    pictureOf(200, 200, () => [9, 9, 9]),
    { corners: WHOLE, mirror: false, contrast: 0.5 },
    (done) => shares.push(done),
  );
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  expect(shares.at(-1)).toBe(1);
});
