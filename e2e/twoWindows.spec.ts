import { benchLine, donorCode, goTo } from './hands';
import { expect, test } from './shop';

test('two windows on one donor: each follows the other, and neither saves over the other in silence', async ({
  page,
  context,
}) => {
  const code = await donorCode(page, 'label-printer');
  const other = await context.newPage();
  await goTo(page, `/donors/${code}/identify?part=R12`);
  await goTo(other, `/donors/${code}/identify?part=R12`);
  const place = page.getByRole('form', { name: 'Place of R12' });
  const theirs = other.getByRole('form', { name: 'Place of R12' });

  // What one logs the other sees, without a touch.
  await benchLine(other, 'q77 nmos to-220 marked 12N65');
  await page.bringToFront();
  await expect(page.getByRole('table').getByText('Q77')).toBeVisible({ timeout: 10_000 });

  await other.bringToFront();
  await theirs.getByLabel('block').selectOption('standby');
  await theirs.getByRole('button', { name: 'Save it' }).click();
  await expect(other.getByText(/^R12: in the/)).toBeVisible();

  // What only one of them changed is saved beside what the other did; what both changed is asked about.
  await page.bringToFront();
  await place.getByLabel('burnt').check();
  await place.getByLabel('block').selectOption('switch');
  await place.getByRole('button', { name: 'Save it' }).click();
  const asks = place.getByRole('alert');
  await expect(asks).toContainText('One field was changed elsewhere since this page was read');
  await expect(asks.getByRole('group', { name: 'block' })).toContainText('as it stands now: standby');
  await expect(place.getByLabel('burnt')).toBeChecked();
  await asks.getByRole('radio', { name: 'as typed here: switch' }).check();
  await asks.getByRole('button', { name: 'Save with these answers' }).click();
  await expect(page.getByText(/^R12: in the switch block.*burnt/)).toBeVisible();

  // A step that others rest on stays, and says why; one that is taken back may be done again.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/^Undone: R12/)).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByText(/^Done again: R12/)).toBeVisible();
  await benchLine(page, 'undo');
});

test('a reference that is logged already says what it would change before it does', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/identify`);
  await page.getByLabel('Bench line').fill('r12 resistor 330R');
  await expect(page.locator('#bench-line-says')).toContainText('R12 is logged already: resistance');
  await page.getByLabel('Bench line').fill('');
  const form = page.getByRole('form', { name: 'Log a part' });
  await form.getByLabel('part', { exact: true }).fill('R12');
  await form.getByLabel('values as printed').fill('330R');
  await form.getByRole('button', { name: 'Log it' }).click();
  const asks = form.getByRole('alert');
  await expect(asks).toContainText('If it is another part, give it a reference of its own');
  await form.getByLabel('part', { exact: true }).fill('R99');
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText(/^R99 is a resistor/)).toBeVisible();
});
