import { expect, test } from './shop';
import { goTo } from './hands';

test('a circuit answers while its values are turned, and tells what gives way first', async ({ page }) => {
  test.slow();
  await goTo(page, '/sums');
  await page.getByRole('link', { name: 'What if, on a whole circuit' }).click();
  await page.getByRole('link', { name: /^Flyback/ }).click();
  const told = page.getByRole('complementary', { name: 'How it runs' });
  await expect(told.getByRole('heading', { level: 2 })).toContainText('Runs in discontinuous mode; Q1 sees 558');
  await expect(page.getByRole('img', { name: 'Circuit: Flyback' })).toContainText('558');
  await expect(page.getByRole('img', { name: /^Waves over two periods: Q1, drain from/ })).toBeVisible();

  // A larger primary never runs empty; the state is in the address and comes back with it.
  const slider = page.getByRole('slider', { name: 'primary, slider' });
  await slider.focus();
  for (let press = 0; press < 60; press += 1) await slider.press('ArrowRight');
  await expect(told.getByRole('heading', { level: 2 })).toContainText('Runs in continuous mode');
  await expect(page).toHaveURL(/inductance=/);
  // It follows when the knob rests.
  await expect(async () => {
    const before = page.url();
    await page.waitForTimeout(400);
    expect(page.url()).toBe(before);
  }).toPass();
  const typed = page.getByLabel('primary', { exact: true });
  const turned = await typed.inputValue();
  await page.reload();
  await expect(typed).toHaveValue(turned);

  // What cannot be read, or lies beyond the span, is kept and named.
  await typed.fill('3 V');
  await typed.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '3 V' })).toBeVisible();
  await typed.fill('50u');
  await typed.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '50u' })).toContainText('expected');
  await expect(typed).toHaveValue('50u');
  await typed.fill('340u');
  await typed.press('Enter');
  await expect(told.getByRole('heading', { level: 2 })).toContainText('Runs in discontinuous mode');

  const clamp = told.getByRole('button', { name: /^The clamp opens/ });
  await expect(clamp).toContainText('Q1, F1');
  await clamp.click();
  await expect(told).toContainText('must go another way, and swings Q1 past its 650');
  await expect(page).toHaveURL(/fault=clamp/);

  const deck = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Circuit as SPICE deck' }).click();
  expect((await deck).suggestedFilename()).toBe('flyback.cir');
  const waves = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Waves as CSV' }).click();
  expect((await waves).suggestedFilename()).toBe('flyback.csv');
});

test('a duty that is held by hand follows again', async ({ page }) => {
  await goTo(page, '/sums/what-if/buck');
  await page.getByRole('button', { name: 'follows; hold it' }).click();
  const duty = page.getByRole('slider', { name: 'duty' });
  await duty.focus();
  for (let press = 0; press < 30; press += 1) await duty.press('ArrowRight');
  await expect(page.getByText(/; 5\.\d+\sV\s[\d.]+\sA out/)).toBeVisible();
  await page.getByRole('button', { name: 'let it follow' }).click();
  await expect(page.getByText(/; 5\sV\s3\sA out/)).toBeVisible();
});

test('a deck is run, a bad one refused with its line, a long one cancelled', async ({ page }) => {
  await goTo(page, '/sums/deck');
  const told = page.getByRole('complementary', { name: 'What came of it' });
  const deck = page.getByLabel('Deck');
  await page.getByRole('button', { name: 'Run' }).click();
  await expect(told).toContainText('Ran 5');
  await expect(told).toContainText('avg v(out) last 10 periods');

  const good = await deck.inputValue();
  await deck.fill(good.replace('R1 out 0 1.67', 'R1 out 0 nothing'));
  await page.getByRole('button', { name: 'Run' }).click();
  await expect(told).toContainText('Line 12');
  await expect(told).toContainText('nothing');

  await deck.fill(good.replace('.tran 50n 5m', '.tran 50n 500'));
  await page.getByRole('button', { name: 'Run' }).click();
  await told.getByRole('button', { name: 'Cancel' }).click();
  await expect(told).toContainText('Cancelled; the deck is as you left it.');
  await expect(deck).toHaveValue(/500/);
});
