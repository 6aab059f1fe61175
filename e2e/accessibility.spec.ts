import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { donorCode, goTo } from './hands';

for (const colorScheme of ['light', 'dark'] as const)
  test(`axe finds no serious fault on any main view (${colorScheme})`, async ({ page }) => {
    test.slow();
    await page.emulateMedia({ colorScheme });
    const code = await donorCode(page, 'label-printer');
    const paths = [
      '/',
      '/donors',
      '/donors/new',
      '/stock?find=nmos',
      '/builds',
      '/builds/new',
      '/stock/new',
      '/stock/bins',
      '/stock/scan',
      '/stock/count/B1-2',
      '/donors/put-away',
      '/sums',
      '/guide',
      '/guide/chips',
      '/guide/chips/TL494',
      '/guide/markings',
      '/types',
      '/types/new',
      '/types/bring',
      '/settings',
      '/nowhere',
    ].concat(
      [
        'intake',
        'make-safe',
        'open',
        'trace',
        'identify?part=U3',
        'identify?part=U1',
        'identify?part=C23',
        'test?part=C21',
        'test?part=T1',
        'test/wave?part=C21',
        'harvest',
        'harvest?part=C21',
        'record',
      ].map((station) => `/donors/${code}/${station}`),
    );
    paths.push(`/donors/${code}/photos`);
    await goTo(page, `/donors/${code}/photos`);
    const photo = page.getByRole('list', { name: 'Photos so far' }).getByRole('link').first();
    paths.push((await photo.getAttribute('href')) ?? '');
    await goTo(page, '/builds');
    paths.push((await page.getByRole('link', { name: /Reading lamp/ }).getAttribute('href')) ?? '');
    await goTo(page, '/stock?find=MBR20100CT');
    const lot =
      (await page.getByRole('table', { name: 'Lots', exact: true }).getByRole('link').first().getAttribute('href')) ??
      '';
    await goTo(page, '/types?find=KBP206');
    const type = page.getByRole('table', { name: 'Types' }).getByRole('link').first();
    paths.push((await type.getAttribute('href')) ?? '');
    paths.push(lot, `/stock/labels?lots=${lot.split('/').at(-1)}`);
    const faults: string[] = [];
    for (const path of paths) {
      await goTo(page, path);
      await page.waitForLoadState('networkidle');
      const { violations } = await new AxeBuilder({ page }).analyze();
      for (const { impact, id, nodes } of violations)
        if (impact === 'serious' || impact === 'critical')
          faults.push(`${path}: ${id} on ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
    }
    expect(faults).toEqual([]);
  });

test('axe finds no serious fault in what opens over a page', async ({ page }) => {
  const serious = async () =>
    (await new AxeBuilder({ page }).analyze()).violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
  await goTo(page, `/donors/${await donorCode(page, 'notebook brick')}/identify?part=R9`);
  await page.getByRole('button', { name: 'point instead of typing' }).click();
  expect(await serious()).toEqual([]);
  await page.getByRole('button', { name: 'put the keys away' }).click();
  await page.getByRole('button', { name: 'columns' }).click();
  await expect(page.getByRole('checkbox', { name: 'verdict' })).toBeVisible();
  expect(await serious()).toEqual([]);
  await page.keyboard.press('Escape');
  await page.locator('body').press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await serious()).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'strike R9' }).click();
  await expect(page.getByRole('alertdialog')).toBeVisible();
  expect(await serious()).toEqual([]);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByLabel('Bench line').fill('r9 measures soup');
  await page.getByLabel('Bench line').press('Enter');
  await expect(page.locator('#bench-line-says')).toHaveAttribute('data-understood', 'false');
  expect(await serious()).toEqual([]);
});
