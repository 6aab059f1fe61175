import { goTo } from './hands';
import { expect, test } from './shop';

const LIST = [
  'Bauteil;Wert;Spannung [V];Anzahl;Wohin;Zustand',
  'Elko;1000 µF;25;12;Kiste 7;gut',
  'Elko;1000 µF;63;3;Kiste 8;',
  'Elko;220 µF;16;2;Kiste 9;defekt',
].join('\n');

test('a list of another hand comes in, its column put right once; the drawers answer in plain words; it is taken back', async ({
  page,
}) => {
  await goTo(page, '/stock/bring');
  const choose = () =>
    page
      .getByLabel('List of lots')
      .setInputFiles({ name: 'liste.csv', mimeType: 'text/csv', buffer: Buffer.from(LIST) });
  await choose();
  await expect(page.getByRole('table', { name: 'Refused lines' })).toContainText('which column is the bin');
  await page.getByLabel('Column Wohin is').selectOption('bin');
  await expect(page.getByRole('button', { name: 'Take 2 in' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Refused lines' })).toContainText('“defekt”');
  // What was said of such a list is known the next time.
  await page.reload();
  await choose();
  await page.getByRole('button', { name: 'Take 2 in' }).click();
  await expect(page).toHaveURL(/\/stock$/);
  await expect(page.getByText('2 lots came in from a list')).toBeVisible();

  await page.getByLabel('Find in stock').fill('electrolitic 1000u 25v bin:KISTE');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Asked for: electrolytic, about 1000 µF ± 20 %, at least 25 V, in KISTE')).toBeVisible();
  const found = page.getByRole('table', { name: 'Lots', exact: true });
  // The nearest above what is asked comes first.
  await expect(found.getByRole('row').nth(1)).toContainText('KISTE-7');
  await expect(found.getByRole('row').nth(2)).toContainText('KISTE-8');

  // A pasted list of needs, each with what the drawers have; what is set aside holds the list.
  await goTo(page, '/builds/new');
  await page.getByLabel('what it will be').fill('Lamp supply');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await page.getByRole('link', { name: 'bring a list of needs in' }).click();
  await page.getByLabel('Rows pasted here').fill('output: 2 x 1000u 25V\nsomething odd');
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(page.getByRole('table', { name: 'Needs that are added' })).toContainText('in KISTE-7, 12 free');
  await expect(page.getByRole('table', { name: 'Refused lines' })).toContainText('something odd');
  await page.getByRole('button', { name: 'Take 1 in' }).click();
  await page
    .getByRole('table', { name: 'Lots for output' })
    .getByRole('button', { name: 'Set aside 2' })
    .first()
    .click();
  await expect(page.getByText('2 set aside', { exact: true })).toBeVisible();
  await goTo(page, '/stock/bins');
  await page.getByText('recent changes, and undo').click();
  await page.getByRole('button', { name: /Undo.*came in from a list/ }).click();
  await expect(page.getByText(/moved, used or set aside since, so it stays/)).toBeVisible();
});
