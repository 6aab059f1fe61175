import { donorCode, goTo } from './hands';
import { expect, test } from './shop';

test('a sum answers while one types, says what it cannot read, and is linked as it stands', async ({
  page,
  browser,
}) => {
  await goTo(page, '/sums');
  await page.getByRole('link', { name: 'Time until it is discharged' }).click();
  const says = page.getByRole('complementary', { name: 'What it comes to' });
  // 150 µF at 325 V through 2.2 kΩ, by hand: 48 W at first, a time constant of 0.33 s.
  for (const text of ['48 W', '330 ms']) await expect(says).toContainText(text.replace(' ', '\u00a0'));
  await page.getByLabel('charged to').fill('high');
  await expect(page.getByRole('alert').filter({ hasText: '“high” is not a voltage' })).toBeVisible();
  await expect(says).toContainText('Not yet');
  await page.getByLabel('charged to').fill('400V');
  await expect(says).toContainText('72.7\u00a0W');
  await expect(page).toHaveURL(/\/sums\/discharge\?v=400V/);
  // The address alone brings it back, in a browser that knows nothing.
  const other = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage();
  await other.goto(page.url());
  await expect(other.getByLabel('charged to')).toHaveValue('400V');
  await expect(other.getByRole('complementary', { name: 'What it comes to' })).toContainText('72.7\u00a0W');
  await other.context().close();
});

test('a sum is typed at the foot, and another is held beside it', async ({ page }) => {
  await goTo(page, '/sums');
  await page.keyboard.press('/');
  await page.keyboard.type('wire 5A 100k');
  await expect(page.getByText('Current a wire carries: current, rms 5A, frequency 100k')).toBeVisible();
  await page.keyboard.press('Enter');
  const says = page.getByRole('complementary', { name: 'What it comes to' });
  await expect(says).toContainText('0.209\u00a0mm');
  await page.getByRole('button', { name: 'Hold another beside it' }).click();
  await page.getByLabel('frequency, beside').fill('65k');
  const depth = says.getByRole('row', { name: /^skin depth/ });
  await expect(depth).toContainText('0.209\u00a0mm');
  await expect(depth).toContainText('0.259\u00a0mm');
  await expect(depth).toHaveAttribute('data-differs', '');
  await expect(page).toHaveURL(/b\.f=65k/);
});

test('a sum is opened from a part by keyboard, kept with its donor, and taken away again', async ({ page }) => {
  const code = await donorCode(page, 'label-printer');
  await goTo(page, `/donors/${code}/test?part=C3`);
  await page.getByText(/^Sums with its values/).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'What a capacitor still holds' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What a capacitor still holds');
  await expect(page.getByRole('link', { name: /^back to C3 of/ })).toBeVisible();
  const says = page.getByRole('complementary', { name: 'What it comes to' });
  const answer = (await says.locator('.say').textContent()) ?? '';
  await page.getByRole('button', { name: `Keep with ${code}` }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/What a capacitor still holds, C3: .*J/).first()).toBeVisible();
  await goTo(page, `/donors/${code}/record`);
  const kept = page.getByRole('region', { name: 'Sums kept' });
  await expect(kept).toContainText(answer);
  await expect(kept).toContainText('computed');
  await kept.getByRole('link', { name: 'What a capacitor still holds, C3' }).click();
  await expect(says.locator('.say')).toHaveText(answer);
  await page.goBack();
  await kept.getByRole('button', { name: 'Do not keep What a capacitor still holds' }).click();
  await expect(kept).toContainText('None yet');
});
