import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { folderStore } from '../../server/blobs';
import { PHOTO_SIZES, photoName, photoProblemText, storePhoto } from '.';

const folder = mkdtempSync(join(tmpdir(), 'zorvek-photos-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const pathOf = (hash: string, size: 'small' | 'medium' | 'large') => join(folder, photoName(hash, size));

/** A board-coloured picture, 3 by 2, with a white corner at the top left, so that turning shows. */
const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#2f5d3a' } }).composite([
    {
      input: {
        create: { width: Math.round(width / 4), height: Math.round(height / 4), channels: 3, background: '#fff' },
      },
      left: 0,
      top: 0,
    },
  ]);

const stored = async (bytes: Buffer) => {
  const outcome = await storePhoto(folderStore(folder), bytes);
  if (!outcome.ok) throw new Error(photoProblemText('it', outcome.problem));
  return outcome.photo;
};

test('place, camera and all other metadata are gone from every size', async () => {
  const bytes = await picture(2400, 1600)
    .withExif({
      IFD0: { Make: 'Tattle Optics', Model: 'Snoop 9', Software: 'diary' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '57/1 12/1 0/1', GPSLongitudeRef: 'W', GPSLongitude: '7/1 18/1 0/1' },
    })
    .withXmp('<x:xmpmeta xmlns:x="adobe:ns:meta/"><owner>Somebody</owner></x:xmpmeta>')
    .jpeg()
    .toBuffer();
  expect((await sharp(bytes).metadata()).exif).toBeDefined();
  expect(bytes.includes('Tattle')).toBe(true);
  const { hash } = await stored(bytes);
  for (const size of ['small', 'medium', 'large'] as const) {
    const file = readFileSync(pathOf(hash, size));
    const { exif, xmp, iptc, icc, orientation } = await sharp(file).metadata();
    expect({ exif, xmp, iptc, icc, orientation }).toEqual({});
    for (const secret of ['Tattle', 'Snoop', 'diary', 'Somebody', 'GPS']) expect(file.includes(secret)).toBe(false);
  }
});

// EXIF orientations: 1 upright, 3 upside down, 6 and 8 lying; the white corner must come out where a viewer shows it.
test.each`
  orientation | width  | height | corner
  ${1}        | ${300} | ${200} | ${'top left'}
  ${3}        | ${300} | ${200} | ${'bottom right'}
  ${6}        | ${200} | ${300} | ${'top right'}
  ${8}        | ${200} | ${300} | ${'bottom left'}
`('orientation $orientation is turned upright: $corner', async ({ orientation, width, height, corner }) => {
  const photo = await stored(await picture(300, 200).withMetadata({ orientation }).jpeg().toBuffer());
  expect(photo).toMatchObject({ width, height });
  const { data, info } = await sharp(pathOf(photo.hash, 'large')).raw().toBuffer({ resolveWithObject: true });
  const bright = (x: number, y: number) => (data[(y * info.width + x) * info.channels] ?? 0) > 200;
  const [low, right] = [corner.startsWith('bottom'), corner.endsWith('right')];
  expect(bright(right ? info.width - 5 : 5, low ? info.height - 5 : 5)).toBe(true);
  expect(bright(right ? 5 : info.width - 5, low ? 5 : info.height - 5)).toBe(false);
});

test.each`
  format    | side    | sides
  ${'jpeg'} | ${4200} | ${[360, 1400, PHOTO_SIZES.large]}
  ${'png'}  | ${900}  | ${[360, 900, 900]}
  ${'webp'} | ${900}  | ${[360, 900, 900]}
  ${'avif'} | ${900}  | ${[360, 900, 900]}
`('$format of $side pixels is kept as JPEG in three sizes: $sides', async ({ format, side, sides }) => {
  const { hash, width, height } = await stored(
    await picture(side, (side * 2) / 3)
      .toFormat(format)
      .toBuffer(),
  );
  expect([width, height]).toEqual([sides[2], (sides[2] * 2) / 3]);
  const found = await Promise.all(
    (['small', 'medium', 'large'] as const).map((size) => sharp(pathOf(hash, size)).metadata()),
  );
  expect(found.map((entry) => entry.width)).toEqual(sides);
  expect(found.map((entry) => entry.format)).toEqual(['jpeg', 'jpeg', 'jpeg']);
});

test('a small picture is not blown up, and the same one twice is kept once', async () => {
  const bytes = await picture(120, 80).png().toBuffer();
  const [one, two] = [await stored(bytes), await stored(bytes)];
  expect(one).toEqual(two);
  expect(one.width).toBe(120);
  const files = readdirSync(join(folder, one.hash.slice(0, 2))).filter((name) => name.startsWith(one.hash));
  expect(files.sort()).toEqual(['large', 'medium', 'small'].map((size) => `${one.hash}-${size}.jpg`));
});

const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)]);
test.each`
  what                | bytes                                                                                  | message
  ${'nothing'}        | ${() => Buffer.alloc(0)}                                                               | ${/is empty/}
  ${'text'}           | ${() => Buffer.from('not a picture at all')}                                           | ${/is no picture/}
  ${'a HEIC'}         | ${() => heic}                                                                          | ${/HEIC.*JPEG/}
  ${'a GIF'} | ${() => sharp({ create: { width: 9, height: 9, channels: 3, background: '#fff' } })
    .gif()
    .toBuffer()} | ${/of the kind gif/}
  ${'a drawing'}      | ${() => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')} | ${/of the kind svg/}
  ${'half a JPEG'}    | ${async () => (await picture(900, 600).jpeg().toBuffer()).subarray(0, 2000)}           | ${/damaged/}
  ${'too many bytes'} | ${() => Buffer.alloc(31 * 1024 * 1024)}                                                | ${/31 MB/}
`('$what is refused in words', async ({ bytes, message }) => {
  const outcome = await storePhoto(folderStore(folder), await bytes());
  expect(outcome.ok ? '' : photoProblemText('board.jpg', outcome.problem)).toMatch(message);
});

test('no path comes from outside', async () => {
  for (const hash of ['../../etc/passwd', 'a'.repeat(63), 'A'.repeat(64), `${'a'.repeat(63)}/`])
    await expect(async () => folderStore(folder).get(photoName(hash, 'large'))).rejects.toThrow(/no name of a blob/);
});
