import { expect, test, type Page } from './shop';
import { donorCode, goTo, judgement } from './hands';

/** The field keeps what was typed and its message names it. */
async function refused(page: Page, field: ReturnType<Page['getByLabel']>, typed: string, message: RegExp) {
  await expect(field).toHaveValue(typed);
  const shown = page.locator(`[id="${await field.getAttribute('aria-describedby')}"]`);
  await expect(shown).toHaveText(message);
  await expect(field).toHaveAttribute('aria-invalid', 'true');
}

test('the sheet of a unit', async ({ page }) => {
  await goTo(page, '/donors/new');
  await page.getByLabel('maker').fill('Skarn');
  await page.getByLabel('length').fill('longish');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await refused(page, page.getByLabel('what it is'), '', /What is it\?/);
  await refused(page, page.getByLabel('length'), 'longish', /“longish”/);
  await expect(page.getByLabel('maker')).toHaveValue('Skarn');
});

test('stores and their readings', async ({ page }) => {
  const code = await donorCode(page, 'label-printer');
  await goTo(page, `/donors/${code}/make-safe`);
  const form = page.getByRole('form', { name: 'New store' });
  await form.getByLabel('name').fill('3C!');
  await form.getByLabel('capacitance').fill('82V');
  await form.getByRole('button', { name: 'List it' }).click();
  await refused(page, form.getByLabel('name'), '3C!', /short name such as C3/);
  await refused(page, form.getByLabel('capacitance'), '82V', /“82V”.*capacitance/);
  const reading = page.getByRole('form', { name: 'Reading of C3' });
  await reading.getByLabel('reading').fill('lots');
  await reading.getByRole('button', { name: 'Record' }).click();
  await refused(page, reading.getByLabel('reading'), 'lots', /“lots”/);
  await reading.getByLabel('reading').fill('');
  await reading.getByRole('button', { name: 'Record' }).click();
  await refused(page, reading.getByLabel('reading'), '', /No voltage was typed/);
});

test('parts, ratings and measurements', async ({ page }) => {
  const code = await donorCode(page, 'notebook brick');
  await goTo(page, `/donors/${code}/identify?part=Q1`);
  const log = page.getByRole('form', { name: 'Log a part' });
  await log.getByLabel('part', { exact: true }).fill('c40');
  await log.getByLabel('values as printed').fill('82u purple');
  await log.getByRole('button', { name: 'Log it' }).click();
  await refused(page, log.getByLabel('values as printed'), '82u purple', /“purple”/);
  const rating = page.getByRole('form', { name: 'Rating of Q1' });
  await rating.getByLabel('value').fill('high');
  await rating.getByRole('button', { name: 'Record' }).click();
  await refused(page, rating.getByLabel('value'), 'high', /“high”/);
  await goTo(page, `/donors/${code}/test?part=R9`);
  const measure = page.getByRole('form', { name: 'Measure R9' });
  await measure.getByLabel('resistance').fill('about a third');
  await measure.getByRole('button', { name: 'Judge it' }).click();
  await refused(page, measure.getByLabel('resistance'), 'about a third', /“about a third”/);
});

test('bins, takes and moves', async ({ page }) => {
  const code = await donorCode(page, 'notebook brick');
  await goTo(page, `/donors/${code}/harvest?part=C21`);
  await judgement(page).getByLabel('bin').fill('the red one');
  await judgement(page).getByRole('button', { name: 'Take it' }).click();
  await refused(page, judgement(page).getByLabel('bin'), 'the red one', /A bin such as C2-5/);
  await goTo(page, '/stock?find=MBR20100CT');
  await page.getByRole('table', { name: 'Lots', exact: true }).getByRole('link').first().click();
  const take = page.getByRole('form', { name: 'Take out' });
  await take.getByLabel('pieces').fill('99');
  await take.getByLabel('for what').fill('the lathe');
  await take.getByRole('button', { name: 'Take out' }).click();
  await refused(page, take.getByLabel('pieces'), '99', /99 cannot be taken: 2 of 2 are free/);
  await expect(take.getByLabel('for what')).toHaveValue('the lathe');
  await take.getByLabel('pieces').fill('half');
  await take.getByRole('button', { name: 'Take out' }).click();
  await refused(page, take.getByLabel('pieces'), 'half', /“half” is not a number of pieces/);
  const move = page.getByRole('form', { name: 'Move' });
  await move.getByLabel('to bin').fill('?');
  await move.getByRole('button', { name: 'Move it' }).click();
  await refused(page, move.getByLabel('to bin'), '?', /A bin such as C2-5/);
});

test('a lot counted in by hand', async ({ page }) => {
  await goTo(page, '/stock/new');
  await page.getByLabel('kind').selectOption('nmos');
  await page.getByLabel('values').fill('vds rather high');
  await page.getByLabel('pieces').fill('4');
  await page.getByLabel('bin').fill('e7');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await refused(page, page.getByLabel('values'), 'vds rather high', /“rather”/);
  await expect(page.getByLabel('bin')).toHaveValue('e7');
  await page.getByLabel('values').fill('650V 12A datasheet');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await expect(page).toHaveURL(/\/stock\/[A-Z0-9]{3}-[A-Z0-9]{3}$/);
  await expect(judgement(page)).toContainText('650\u00a0V');
  await expect(page.getByRole('table', { name: 'Ledger' })).toContainText('counted in: by hand');
});

test('builds, needs, notes and the search', async ({ page }) => {
  await goTo(page, '/builds/new');
  await page.getByLabel('a note').fill('some day');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await refused(page, page.getByLabel('what it will be'), '', /What will it be\?/);
  await expect(page.getByLabel('a note')).toHaveValue('some day');
  await goTo(page, '/builds');
  await page.getByRole('link', { name: /Reading lamp/ }).click();
  await page.getByLabel('what it is for').fill('heat sink');
  await page.getByLabel('what it must be').fill('nmos vds>=tall');
  await page.getByRole('button', { name: 'Add it' }).click();
  await refused(page, page.getByLabel('what it must be'), 'nmos vds>=tall', /“vds>=tall”/);
  const code = await donorCode(page, 'plug-top');
  await goTo(page, `/donors/${code}/open`);
  await page.getByRole('form', { name: 'Note' }).getByRole('button', { name: 'Note it' }).click();
  await refused(page, page.getByRole('textbox', { name: 'a note' }), '', /nothing to note yet/);
  await goTo(page, '/stock');
  await page.getByLabel('Find in stock').fill('nmos >=purple');
  await page.getByLabel('Find in stock').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '“>=purple”' })).toBeVisible();
  await expect(page.getByLabel('Find in stock')).toHaveValue('nmos >=purple');
});

test('the bench line keeps what it refuses, and a pasted list keeps its bad lines', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const code = await donorCode(page, 'plug-top');
  await goTo(page, `/donors/${code}/identify`);
  const line = page.getByLabel('Bench line');
  await line.fill('c5 350');
  await line.press('Enter');
  await expect(line).toHaveValue('c5 350');
  await expect(page.locator('#bench-line-says')).toContainText('350 what?');
  await line.fill('');
  await page.evaluate(() => navigator.clipboard.writeText('r1 4k7\nr2 soup\nr3 10k'));
  await line.press('Control+v');
  await expect(page.getByText('2 of 3 lines recorded.')).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'r2 soup' })).toContainText('“soup”');
  await expect(page.getByRole('row', { name: /R3/ })).toContainText('10 kΩ');
});
