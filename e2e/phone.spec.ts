import { expect, test } from './shop';
import { benchLine, donorCode, goTo, judgement } from './hands';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

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
