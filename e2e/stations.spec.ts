import { expect, test } from './shop';
import { benchLine, donorCode, goTo, judgement, station } from './hands';

test('going on beside a store that is not dead is asked once and shown in the record', async ({ page }) => {
  const code = await donorCode(page, 'scooter');
  await goTo(page, `/donors/${code}/identify`);
  await benchLine(page, 'r1 4k7');
  await benchLine(page, 'r1 measures 4k71');
  await goTo(page, `/donors/${code}/harvest?part=R1`);
  await expect(judgement(page).getByLabel('bin')).toHaveCount(0);
  await page.getByRole('button', { name: 'I go on all the same' }).click();
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('can kill');
  await dialog.getByRole('button', { name: 'I go on' }).click();
  await expect(page.getByText('You said that you go on')).toBeVisible();
  await judgement(page).getByLabel('bin').fill('a9');
  await judgement(page).getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('region', { name: 'Taken from this donor' })).toContainText('A9');
  await station(page, 'Record');
  await expect(page.getByRole('table', { name: 'Journal' })).toContainText(
    'Went on at Harvest all the same. C1 not measured dead.',
  );
});

test('a question is asked, chased on the bench, and answered', async ({ page }) => {
  const code = await donorCode(page, 'lamp driver');
  await goTo(page, `/donors/${code}/trace`);
  await benchLine(page, '? where does the fifth leg of U1 go');
  await goTo(page, '/');
  await expect(judgement(page)).toContainText('where does the fifth leg of U1 go');
  await goTo(page, `/donors/${code}/record`);
  await judgement(page)
    .getByRole('button', { name: /^Answered:/ })
    .first()
    .click();
  await expect(judgement(page)).toContainText('No open question');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(judgement(page)).toContainText('1 issue is open');
});

test('a station is declared done, and the line shows it', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'lamp driver')}/open`);
  await page.getByRole('textbox', { name: 'a note' }).fill('two clips, no glue');
  await page.getByRole('form', { name: 'Note' }).getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('list', { name: 'Notes' })).toContainText('two clips, no glue');
  await page.getByRole('button', { name: 'This station is done' }).click();
  await expect(page.getByRole('link', { name: /^Open: done/ })).toBeVisible();
});

test('a donor is amended, archived and brought back', async ({ page }) => {
  const code = await donorCode(page, 'plug-top');
  await goTo(page, `/donors/${code}/intake`);
  await page.getByLabel('where it came from').fill('the drawer under the kettle');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByRole('heading', { level: 1 }).locator('..')).toContainText('the drawer under the kettle');
  await page.getByRole('button', { name: 'archive' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Archive it' }).click();
  await expect(page).toHaveURL(/\/donors$/);
  await expect(page.getByText(code)).toHaveCount(1);
  await page.getByRole('link', { name: 'archive' }).click();
  await page.getByRole('listitem').filter({ hasText: code }).getByRole('button', { name: 'Bring back' }).click();
  await expect(page).toHaveURL(new RegExp(`/donors/${code}/`));
});

test('the table is sorted, filtered and cut to the columns one wants', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'PC supply')}/identify`);
  const table = page.getByRole('table', { name: 'Parts' });
  const first = table.getByRole('row').nth(1);
  await table.getByRole('button', { name: 'part' }).click();
  await expect(first).toContainText('BR1');
  await table.getByRole('button', { name: 'part' }).click();
  await expect(first).toContainText('U1');
  await page.getByLabel('Filter Parts').fill('schottky');
  await expect(table.getByRole('row')).toHaveCount(2);
  await page.getByLabel('Filter Parts').fill('nothing is so');
  await expect(page.getByText('No row fits.')).toBeVisible();
  await page.getByLabel('Filter Parts').fill('');
  await page.getByRole('button', { name: 'columns' }).click();
  await expect(table.getByRole('columnheader', { name: 'verdict' })).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'verdict' }).check();
  await expect(table.getByRole('columnheader', { name: 'verdict' })).toBeVisible();
  await expect(table.getByRole('row', { name: /C23/ })).toContainText('bulged');
});

test('the drawers are asked, narrowed by what is offered, and pieces are taken and brought back', async ({ page }) => {
  await goTo(page, '/stock');
  await page
    .getByRole('link', { name: /^grade A/ })
    .or(page.getByRole('link', { name: /^A \d/ }))
    .first()
    .click();
  await expect(page.getByLabel('Find in stock')).toHaveValue('grade A');
  await goTo(page, '/stock?find=UF4007');
  await page.getByRole('table', { name: 'Lots', exact: true }).getByRole('link').first().click();
  const take = page.getByRole('form', { name: 'Take out' });
  await take.getByLabel('for what').fill('doorbell');
  await take.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByRole('table', { name: 'Ledger' })).toContainText('taken out: doorbell');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Ledger' })).toContainText('undone');
});
