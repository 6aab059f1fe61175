import { expect, test } from './shop';
import { donorCode, goTo } from './hands';

test('a unit is taken in, read and searched without a mouse', async ({ page }) => {
  await goTo(page, '/');
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/donors\/new/);
  await page.getByLabel('what the label says').focus();
  await page.keyboard.type('INPUT 230V~ 0.2A OUTPUT 12V 1A');
  await page.keyboard.press('Tab');
  await page.keyboard.type('keyboard adapter');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/intake/);

  await page.keyboard.press('Escape');
  await page.locator('body').press('5');
  await expect(page).toHaveURL(/identify/);
  await page.keyboard.press('/');
  await expect(page.getByLabel('Bench line')).toBeFocused();
  await page.keyboard.type('q1 nm');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Bench line')).toHaveValue('q1 nmos');
  await page.keyboard.type(' to-220 marked 7N65');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Bench line')).toHaveValue('');
  await expect(page.getByRole('status').filter({ hasText: 'Q1 is an N-FET' })).toBeVisible();

  // The parts table: arrows move, Enter opens, and the reading is taken by Enter.
  await page.keyboard.type('r1 4k7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /R1/ })).toBeVisible();
  await page.getByRole('row', { name: /Q1/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('row', { name: /R1/ })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/part=Q1/);
  await page.getByRole('button', { name: 'Take it' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary').getByText('taken')).toBeVisible();

  // Undo by the line, and by the notice.
  await page.locator('body').press('/');
  await page.keyboard.type('undo');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Undone' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it' })).toBeVisible();

  await page.keyboard.press('Escape');
  await page.locator('body').press('s');
  await expect(page).toHaveURL(/stock/);
});

test('a part logged by the form leaves the hands where the next one begins', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'lamp driver')}/identify`);
  const log = page.getByRole('form', { name: 'Log a part' });
  await log.getByLabel('part', { exact: true }).focus();
  await page.keyboard.type('r41');
  await log.getByLabel('values as printed').focus();
  await page.keyboard.type('10k 1%');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /R41/ })).toContainText('10 kΩ');
  await expect(log.getByLabel('part', { exact: true })).toBeFocused();
  await expect(log.getByLabel('part', { exact: true })).toHaveValue('R42');
});

test('? shows the keys of the screen, and closing gives the focus back', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'notebook brick')}/test`);
  await page.locator('body').press('?');
  const dialog = page.getByRole('dialog', { name: 'Keys of this screen' });
  await expect(dialog).toContainText('go to Make safe');
  await expect(dialog).toContainText('type into the bench line');
  await expect(dialog).toContainText('c11..c20 1000u 16V polymer');
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
});

test('a code off a label jumps to what carries it, in any spelling; a mistyped one is noticed', async ({ page }) => {
  const code = await donorCode(page, 'scooter');
  await goTo(page, '/');
  await page.locator('body').press('/');
  await page.keyboard.type(code.toLowerCase().replace('-', ''));
  await expect(page.locator('#find-line-says')).toContainText(`go to donor ${code}`);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`${code}/make-safe`));
});

test('a dialog asks before a step that is hard to see, and undo brings the part back', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'notebook brick')}/identify?part=R9`);
  await page.getByRole('button', { name: 'delete R9' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('Delete R9 from the log?');
  await expect(dialog.getByRole('button', { name: 'Cancel' })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /R9/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /R9/ })).toBeVisible();
});
