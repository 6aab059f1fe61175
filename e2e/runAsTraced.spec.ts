import { expect, test } from './shop';
import { donorCode, goTo } from './hands';

test('a traced adapter runs as it was traced, and gives what its plate says', async ({ page }) => {
  test.slow();
  await goTo(page, `/donors/${await donorCode(page, 'notebook')}/trace`);
  await page.getByRole('link', { name: 'Run it as traced' }).click();
  const told = page.getByRole('complementary', { name: 'As traced' });
  await expect(told).toContainText('Runs, and agrees with its plate', { timeout: 30_000 });
  await expect(told).toContainText('turns ratio');

  // The output within 5 % of the 19 V of the plate; the run under load read 19.2 V.
  const rail = page.getByRole('table', { name: 'Rails' }).getByRole('row', { name: /C21\.\+/ });
  const volts = Number.parseFloat((await rail.getByRole('cell').nth(1).textContent()) ?? '');
  expect(Math.abs(volts / 19 - 1)).toBeLessThan(0.05);
  await expect(rail).toContainText('19.2');
  await expect(rail).toContainText('R15 R16 U3');
  await expect(page.getByRole('table', { name: 'Parts' }).getByRole('row', { name: /Q1/ })).toContainText(/of\s650\sV/);
  await expect(page.getByRole('img', { name: /^Waves over two periods: Q1, drain/ })).toBeVisible();

  // What it rests on says where each value comes from.
  await page.getByText(/^What it rests on/).click();
  const values = page.getByRole('table', { name: 'What it rests on' });
  await expect(values.getByRole('row', { name: /T1 inductance/ })).toContainText('measured');
  await expect(values.getByRole('row', { name: /T1 turns ratio/ })).toContainText('typical');

  // What cannot be read is kept and named; another input is in the address, and comes back with it.
  const input = page.getByLabel('input, AC');
  await input.fill('mains');
  await input.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'mains' })).toBeVisible();
  await expect(input).toHaveValue('mains');
  await input.press('Escape');
  await page.getByRole('button', { name: /^lowest/ }).click();
  await expect(page).toHaveURL(/volts=100/);
  await expect(told).toContainText('Runs, ', { timeout: 30_000 });
  await page.reload();
  await expect(input).toHaveValue(/100/);
});

test('what does not agree is told, and the part that accounts for it is found', async ({ page }) => {
  test.slow();
  await goTo(page, `/donors/${await donorCode(page, 'tide-gauge')}/trace/run`);
  const told = page.getByRole('complementary', { name: 'As traced' });
  await expect(told).toContainText('Runs, but one thing does not agree', { timeout: 30_000 });
  await expect(told).toContainText(/C5 has 12\sV the wrong way round/);
  await told.getByRole('button', { name: 'which part may it be?' }).click();
  await expect(told.getByRole('progressbar', { name: 'Trials' })).toBeVisible();
  await expect(told.getByRole('listitem').filter({ hasText: 'C5 the other way round' })).toContainText('100', {
    timeout: 60_000,
  });
  const stop = told.getByRole('button', { name: 'Stop' });
  if (await stop.isVisible()) await stop.click();
  await expect(told).toContainText(/Stopped after|29 trials/, { timeout: 60_000 });
  await expect(told.getByRole('listitem').filter({ hasText: 'C5 the other way round' })).toBeVisible();
});

test('a board that is not traced far enough says what is missing', async ({ page }) => {
  test.slow();
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/trace/run`);
  const told = page.getByRole('complementary', { name: 'As traced' });
  await expect(told).toContainText('Cannot be run yet', { timeout: 30_000 });
  await expect(told).toContainText('No stage is traced whole yet');
  await expect(page.getByText('Nothing of this board can be run yet')).toBeVisible();
});
