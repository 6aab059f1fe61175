import { expect, test } from './shop';
import { benchLine, donorCode, goTo, judgement } from './hands';

test('when the server does not answer, nothing typed is lost and the next try goes through', async ({ page }) => {
  const code = await donorCode(page, 'lamp driver');
  await goTo(page, `/donors/${code}/make-safe`);
  const reading = page.getByRole('form', { name: 'Reading of C1' });
  await reading.getByLabel('reading').fill('0.3V');
  await page.route('**/*', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
  await reading.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'The server did not answer' })).toBeVisible();
  await expect(reading.getByLabel('reading')).toHaveValue('0.3V');
  const line = page.getByLabel('Bench line');
  await line.fill('c1 0.2V');
  await line.press('Enter');
  await expect(page.locator('#bench-line-says')).toContainText('what you typed is kept');
  await expect(line).toHaveValue('c1 0.2V');
  await page.unroute('**/*');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await expect(judgement(page)).toContainText('200\u00a0mV');
});

test('two windows on one donor: what the other did since is not undone from under it', async ({ page, context }) => {
  const code = await donorCode(page, 'lamp driver');
  await goTo(page, `/donors/${code}/identify`);
  await benchLine(page, 'r60 4k7');
  const other = await context.newPage();
  await goTo(other, `/donors/${code}/identify`);
  await benchLine(other, 'r60 axial');
  await goTo(page, `/donors/${code}/record`);
  const steps = page.getByRole('table', { name: 'Journal' }).getByRole('row').filter({ hasText: 'R60' });
  await expect(steps).toHaveCount(2);
  await steps
    .first()
    .getByRole('button', { name: /^Undo: / })
    .click();
  await expect(steps.first()).toContainText('undone');
  await goTo(page, `/donors/${code}/identify`);
  await expect(page.getByRole('row', { name: /R60/ })).toContainText('4.7\u00a0kΩ');
});

test('a part that someone deleted meanwhile is named, and the page goes on', async ({ page, context }) => {
  // This window does not hear of what the other does: its form stays.
  await page.route('**/changes*', (route) => route.abort());
  const code = await donorCode(page, 'lamp driver');
  await goTo(page, `/donors/${code}/identify`);
  await benchLine(page, 'q9 nmos marked 4N60');
  await goTo(page, `/donors/${code}/identify?part=Q9`);
  const other = await context.newPage();
  await goTo(other, `/donors/${code}/identify?part=Q9`);
  await other.getByRole('button', { name: 'delete Q9' }).click();
  await other.getByRole('alertdialog').getByRole('button', { name: 'Delete it' }).click();
  await expect(other.getByRole('row', { name: /Q9/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Q9 is not logged on this donor' })).toBeVisible();
});
