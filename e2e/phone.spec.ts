import { expect, test } from '@playwright/test';
import { benchLine, donorCode, goTo, judgement } from './hands';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('at a phone’s width nothing is wider than the screen', async ({ page }) => {
  const code = await donorCode(page, 'label-printer');
  const paths = [
    '/',
    '/donors',
    '/donors/new',
    '/stock',
    '/stock/new',
    '/stock/bins',
    '/stock/scan',
    '/stock/bring',
    '/stock/count/B1-2',
    '/builds',
    '/sums',
    '/guide',
    '/guide/chips/TL494',
    '/types',
    '/types/bring',
  ].concat(
    [
      'intake',
      'make-safe',
      'open',
      'trace',
      'identify?part=U3',
      'identify?part=U1',
      'test?part=Q1',
      'test?part=T1',
      'test/wave?part=C21',
      'harvest',
      'harvest?part=Q1',
      'record',
    ].map((station) => `/donors/${code}/${station}`),
  );
  for (const path of paths) {
    await goTo(page, path);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width, path).toBeLessThanOrEqual(390);
  }
});

test('the judgement is a sheet pulled up from the bottom edge, and a reading is recorded with one hand', async ({
  page,
}) => {
  await goTo(page, `/donors/${await donorCode(page, 'scooter')}/make-safe`);
  const sheet = judgement(page);
  await expect(sheet).toContainText('Yes. C1 had 213 V');
  const before = await sheet.boundingBox();
  await page.getByRole('button', { name: 'Raise the judgement' }).tap();
  await expect.poll(async () => (await sheet.boundingBox())?.height ?? 0).toBeGreaterThan((before?.height ?? 0) + 100);
  await page.getByRole('button', { name: 'Lower the judgement' }).tap();
  await benchLine(page, 'c1 148V @ 76s');
  await expect(sheet).toContainText('C1 had 148 V');
  for (const button of await page.getByRole('button', { name: 'Record' }).all())
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(34);
});
