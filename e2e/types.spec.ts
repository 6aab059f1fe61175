import { expect, test } from './shop';
import { goTo, judgement } from './hands';

const PDF = Buffer.from('%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n%%EOF\n');

/** A list of 5,000 types in which every five hundredth line is bad. */
function longList(): string {
  const lines = Array.from({ length: 5000 }, (_, index) => {
    if (index % 500 === 17) return `nmos,ZZ${index},twelve volts`;
    if (index % 500 === 18) return `gadget,ZZ${index},600V`;
    return `nmos,ZZ${index},${400 + (index % 7) * 50}V; datasheet p. ${1 + (index % 9)}`;
  });
  return ['kind,name,vds', ...lines].join('\r\n');
}

test('5,000 types are brought in with some bad lines, which are named; one step takes them back', async ({ page }) => {
  await goTo(page, '/types/bring');
  await page
    .getByLabel('List of types')
    .setInputFiles({ name: 'types.csv', mimeType: 'text/csv', buffer: Buffer.from(longList()) });
  await expect(judgement(page)).toContainText('4980 new, 0 changed, 0 stay, 20 refused');
  const refused = page.getByRole('table', { name: 'Refused lines' });
  await expect(refused.getByRole('row')).toHaveCount(21);
  await expect(refused).toContainText('“twelve volts” is unreadable');
  await expect(refused).toContainText('Kind “gadget” is not known');
  await judgement(page).getByRole('button', { name: 'Take 4980 in' }).click();
  await expect(page.getByText('4980 types added, 0 changed, 20 lines refused.')).toBeVisible();
  await page.getByLabel('Find a type').fill('ZZ4999');
  await page.getByLabel('Find a type').press('Enter');
  await expect(page.getByRole('table', { name: 'Types' })).toContainText('ZZ4999');

  // The same list again changes nothing.
  await goTo(page, '/types/bring');
  await page
    .getByLabel('List of types')
    .setInputFiles({ name: 'types.csv', mimeType: 'text/csv', buffer: Buffer.from(longList()) });
  await expect(judgement(page)).toContainText('0 new, 0 changed, 4980 stay');
  await expect(judgement(page).getByRole('button', { name: /^Take/ })).toHaveCount(0);
});

test('a type is written down, rated with the page of its datasheet, merged, split, kept as a file', async ({
  page,
}) => {
  for (const name of ['ww840', 'ww840a']) {
    await goTo(page, '/types/new');
    const form = page.getByRole('form', { name: 'New type' });
    await form.getByLabel('number').fill(name);
    await form.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name.toUpperCase());
  }
  const rating = page.getByRole('form', { name: 'Rating of WW840A' });
  await rating.getByLabel('value').fill('high');
  await rating.getByRole('button', { name: 'Record' }).click();
  await expect(rating.getByRole('alert')).toContainText('“high”');
  await rating.getByLabel('value').fill('500V');
  await rating.getByLabel('page').fill('3');
  await rating.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByRole('table', { name: 'Ratings' })).toContainText('500 V');

  const upload = page.getByLabel('Datasheet of WW840A');
  await upload.setInputFiles({ name: 'notes.pdf', mimeType: 'application/pdf', buffer: Buffer.from('hello') });
  await expect(page.getByText('notes.pdf is no PDF')).toBeVisible();
  await upload.setInputFiles({ name: 'ww840a.pdf', mimeType: 'application/pdf', buffer: PDF });
  await expect(judgement(page).getByRole('link', { name: /ww840a.pdf/ })).toBeVisible();
  const link = page.getByRole('link', { name: 'page 3' });
  await expect(link).toHaveAttribute('href', /\/datasheets\/[0-9a-f]{64}#page=3/);
  const sheet = await page.request.get((await link.getAttribute('href'))?.replace(/#.*/, '') ?? '');
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  expect(await sheet.body()).toEqual(PDF);

  // A weaker source does not take the place of the datasheet.
  await rating.getByLabel('value').fill('550V');
  await rating.getByLabel('from').selectOption('guessed');
  await rating.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByText(/is weaker than datasheet/)).toBeVisible();
  await expect(page.getByRole('table', { name: 'Ratings' })).toContainText('500 V');

  const merge = page.getByRole('form', { name: 'Merge into WW840A' });
  await merge.getByLabel('the same part as').fill('ww840');
  await merge.getByRole('button', { name: 'Merge it in' }).click();
  const markings = judgement(page).getByRole('list', { name: 'Markings' });
  await expect(markings).toContainText('WW840');
  await markings.getByRole('button', { name: /split off|type of its own/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('WW840');
  await expect(page.getByRole('table', { name: 'Ratings' })).toContainText('500 V');

  const csv = await (await page.request.get('/types/export?format=csv')).text();
  expect(csv).toMatch(/nmos,WW840A,.*500V; datasheet p\. 3/);
  const json = (await (await page.request.get('/types/export?format=json')).json()) as { format: string };
  expect(json.format).toBe('zorvek.types/1');

  await judgement(page).getByRole('button', { name: 'forget WW840' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete it' }).click();
  await expect(page).toHaveURL(/\/types$/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/Undone: WW840 is deleted/)).toBeVisible();
});

test('chip families and the rules of markings stand in the Guide', async ({ page }) => {
  await goTo(page, '/guide/chips');
  await page.getByRole('link', { name: 'TL494', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Pins' })).toContainText('12 VCC');
  await goTo(page, '/guide/markings');
  await expect(page.getByRole('table', { name: 'Rules of markings' })).toContainText('eia-96');
});
