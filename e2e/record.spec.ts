import { expect, test } from './shop';

test('a donor is told to its family, reported, compared, questioned and closed', async ({ page }) => {
  // The older one of the family told what the next should know: it stands at Intake of the younger.
  await page.goto('/donors?find=VK-2402');
  const younger = page.getByRole('link', { name: /Velkin VK-2402 label-printer adapter$/ }).first();
  const code = /donors\/([A-Z0-9-]+)/.exec((await younger.getAttribute('href')) ?? '')?.[1] ?? '';
  await page.goto(`/donors/${code}/intake`);
  const kin = page.getByRole('list', { name: 'From others of its family' });
  await expect(kin).toContainText('test C8 before power');
  await expect(kin).toContainText('variant, parked for later');

  await page.goto(`/donors/${code}/record`);
  await page.getByLabel('for the next one of its kind').fill('The fin is at mains: a pad lies under it.');
  await page.getByRole('button', { name: 'Tell it' }).click();
  await expect(page.getByRole('list', { name: 'Told to the next one' })).toContainText('a pad lies under it');
  await page.getByText('ask somebody').click();
  const ask = page.getByRole('form', { name: 'Ask somebody' });
  await ask.getByLabel('what is asked').fill('Which chip is the six-pin one?');
  await ask.getByLabel('asked of').fill('the tool room');
  await ask.getByLabel('answer by').fill('when it rains');
  await ask.getByRole('button', { name: 'Write it down' }).click();
  await expect(ask).toContainText('names no day');
  await ask.getByLabel('answer by').fill('2 weeks');
  await ask.getByRole('button', { name: 'Write it down' }).click();
  const says = page.getByRole('complementary', { name: 'Judgement' });
  await expect(says).toContainText('asked of the tool room');

  // Its report, whole and without its maker.
  await says.getByRole('link', { name: 'Report' }).click();
  const report = page.getByRole('article');
  await expect(report).toContainText('a pad lies under it');
  await expect(report.getByRole('table', { name: 'Parts' })).toContainText('8N60');
  await page.getByRole('link', { name: 'leave out its maker' }).click();
  await expect(report).not.toContainText('Velkin');
  const zip = await page.request.get((await page.getByRole('link', { name: 'All as zip' }).getAttribute('href')) ?? '');
  expect([zip.status(), zip.headers()['content-type'], (await zip.body()).subarray(0, 2).toString()]).toEqual([
    200,
    'application/zip',
    'PK',
  ]);

  // Beside the older one, role by role.
  await page.goto(`/donors/${code}/record`);
  await says.getByRole('link', { name: 'Compare' }).click();
  await page.getByRole('checkbox', { name: /VK-2402A/ }).check();
  await page.getByRole('button', { name: 'Lay them side by side' }).click();
  await expect(page.getByRole('table', { name: 'Role by role' })).toContainText(
    /drop 0\.62 V to 1\.00 V|drop 0\.62 V to 1\.05 V/,
  );
  await expect(page.getByRole('region', { name: 'Only in some of them' })).toContainText('a varistor against surges');

  // It is closed only when what stands against it is confirmed.
  await page.goto(`/donors/${code}/record`);
  const close = page.getByRole('form', { name: 'Close it' });
  await close.getByLabel('it ends as').selectOption('scrapped');
  await expect(close).toContainText('Not measured dead: C3');
  await close.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByText(/Tick “all the same”/)).toBeVisible();
  await close.getByLabel('close it all the same').check();
  await close.getByRole('button', { name: 'Close it' }).click();
  await expect(says).toContainText('Scrapped');
  await says.getByRole('button', { name: 'Take it up again' }).click();
  await expect(close).toBeVisible();
});

test('questions of all donors, the shop at a glance, the years, and the Guide by its words', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'all questions' }).click();
  await expect(page.getByRole('list', { name: 'Open questions and claims' })).toContainText('overdue since');
  await page.goto('/');
  await page.getByRole('link', { name: 'The shop at a glance' }).click();
  await expect(page.getByRole('region', { name: 'What the drawers lack' })).toContainText('nmos');
  await page.goto('/donors/trends');
  await expect(page.getByRole('img', { name: /^Power density by year/ })).toBeVisible();
  await page.goto('/stock');
  await page.getByLabel('Find line').fill('guide ultrasonic weld');
  await page.keyboard.press('Enter');
  await page.getByRole('list', { name: 'Found in the Guide' }).getByRole('link', { name: 'Ultrasonic weld' }).click();
  await expect(page.getByRole('heading', { name: 'Fasteners and seams' })).toBeVisible();
  await expect(page.getByText('met in').first()).toBeVisible();
});
