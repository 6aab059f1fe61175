import { expect, test, type Page } from './shop';
import sharp from 'sharp';
import { donorCode, goTo, judgement } from './hands';

const board = (colour: string) =>
  sharp({ create: { width: 1200, height: 800, channels: 3, background: colour } })
    .withExif({
      IFD0: { Make: 'Tattle Optics' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '57/1 12/1 0/1' },
    })
    .jpeg()
    .toBuffer();

async function choose(page: Page, files: { name: string; buffer: Buffer }[]) {
  await page.getByLabel('Choose').setInputFiles(files.map((file) => ({ ...file, mimeType: 'image/jpeg' })));
}

test('photos go in with place and camera, and come out without; what is no picture is refused by name', async ({
  page,
}) => {
  await goTo(page, `/donors/${await donorCode(page, 'plug-top')}/intake`);
  const bytes = await board('#274d33');
  expect(bytes.includes('Tattle')).toBe(true);
  await choose(page, [
    { name: 'front.jpg', buffer: bytes },
    { name: 'notes.jpg', buffer: Buffer.from('not a picture') },
    { name: 'back.jpg', buffer: await board('#7a5a33') },
  ]);
  const photos = page.getByRole('list', { name: 'Photos so far' });
  await expect(photos.getByRole('link')).toHaveCount(2);
  await expect(page.getByText('notes.jpg is no picture. JPEG, PNG, WebP or AVIF is expected.')).toBeVisible();
  const small = await photos.getByRole('img').first().getAttribute('src');
  for (const size of ['small', 'medium', 'large']) {
    const answer = await page.request.get((small ?? '').replace('small', size));
    expect(answer.headers()['content-type']).toBe('image/jpeg');
    const kept = await answer.body();
    expect(kept.includes('Tattle')).toBe(false);
    expect((await sharp(kept).metadata()).exif).toBeUndefined();
  }
  expect((await page.request.get('/photos/..%2f..%2fzorvek.db/small')).status()).toBe(404);
});

test('a photo is captioned, pinned, zoomed by key, paired with its other side, and deleted', async ({ page }) => {
  const code = await donorCode(page, 'scooter');
  await goTo(page, `/donors/${code}/photos`);
  await choose(page, [
    { name: 'front.jpg', buffer: await board('#1f3d57') },
    { name: 'back.jpg', buffer: await board('#57401f') },
  ]);
  const photos = page.getByRole('list', { name: 'Photos so far' });
  await expect(photos.getByRole('link')).toHaveCount(2);
  await photos.getByRole('link').first().click();
  await expect(page).toHaveURL(/photos\/\w+/);

  const caption = page.getByRole('form', { name: 'Caption' });
  await expect(caption.getByRole('button', { name: 'Save it' })).toBeEnabled();
  await caption.getByLabel('caption').fill('parts side');
  await caption.getByLabel('what it shows').selectOption('front');
  await caption.getByRole('button', { name: 'Save it' }).click();
  await expect(judgement(page)).toContainText('parts side, front');

  const picture = page.getByRole('group', { name: /^parts side/ });
  await picture.focus();
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect(page.getByRole('group', { name: /enlarged 1\.8 times/ })).toBeVisible();
  await page.keyboard.press('0');
  await expect(page.getByRole('group', { name: /enlarged 1\.0 times/ })).toBeVisible();

  await page.getByRole('button', { name: 'Put pins' }).click();
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.5);
  await page.getByLabel('Note of the pin').fill('the fat can');
  await page.getByRole('button', { name: 'Pin it there' }).click();
  await expect(page.getByRole('list', { name: 'Pins' })).toContainText('the fat can');

  await page.getByLabel('Pair it with').selectOption({ index: 1 });
  const [here, there] = [page.getByLabel('parts side, front, this photo'), page.getByLabel(/, the other side$/)];
  const point = async (target: typeof here, x: number, y: number) => {
    const size = await target.boundingBox();
    await target.click({ position: { x: (size?.width ?? 0) * x, y: (size?.height ?? 0) * y } });
  };
  for (const [x, y] of [
    [0.1, 0.15],
    [0.9, 0.15],
    [0.1, 0.85],
  ] as const) {
    await point(here, x, y);
    await point(there, 1 - x, y);
  }
  await page.getByRole('button', { name: 'Pair them' }).click();
  await expect(page.getByText(/^Paired with/)).toBeVisible();
  // The pin at the left comes out at the right of the other side.
  const ghost = page.getByRole('region', { name: 'Other side' }).getByText('1', { exact: true });
  expect(parseFloat((await ghost.getAttribute('style'))?.match(/left: ([\d.]+)%/)?.[1] ?? '0')).toBeGreaterThan(50);

  await page.getByRole('button', { name: 'delete it' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('list', { name: 'Photos so far' }).getByRole('link')).toHaveCount(1);
});
