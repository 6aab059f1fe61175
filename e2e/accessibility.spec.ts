import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { donorCode, goTo } from './hands';

/** The addresses of one area; those that hang on the demo's codes are looked up on the way. */
const AREAS: Readonly<Record<string, (page: Page) => Promise<readonly string[]>>> = {
  'shop pages': () =>
    Promise.resolve([
      '/',
      '/donors',
      '/donors/new',
      '/donors/put-away',
      '/builds/new',
      '/sums',
      '/settings',
      '/nowhere',
    ]),
  'guide and types': async (page) => [
    ...['/guide', '/guide/chips', '/guide/chips/TL494', '/guide/markings', '/types', '/types/new', '/types/bring'],
    await hrefOn(page, '/types?find=KBP206', (at) => at.getByRole('table', { name: 'Types' }).getByRole('link')),
  ],
  'stock and builds': async (page) => {
    const lot = await hrefOn(page, '/stock?find=MBR20100CT', (at) =>
      at.getByRole('table', { name: 'Lots', exact: true }).getByRole('link'),
    );
    const pages = [
      '?find=nmos',
      '/new',
      '/bins',
      '/scan',
      '/bring',
      '/count/B1-2',
      `/labels?lots=${lot.split('/').at(-1)}`,
    ];
    return [
      ...pages.map((rest) => `/stock${rest}`),
      lot,
      '/builds',
      await hrefOn(page, '/builds', (at) => at.getByRole('link', { name: /Reading lamp/ })),
    ];
  },
  'first stations': async (page) => {
    const donor = `/donors/${await donorCode(page, 'label-printer')}`;
    const photos = (at: Page) => at.getByRole('list', { name: 'Photos so far' }).getByRole('link');
    return [
      ...['intake', 'make-safe', 'open', 'trace', 'photos'].map((station) => `${donor}/${station}`),
      await hrefOn(page, `${donor}/photos`, photos),
    ];
  },
  'later stations': async (page) => {
    const donor = `/donors/${await donorCode(page, 'label-printer')}`;
    return [
      ...['identify?part=U3', 'identify?part=U1', 'identify?part=C23', 'test?part=C21', 'test?part=T1'],
      ...['test/wave?part=C21', 'harvest', 'harvest?part=C21', 'record'],
    ].map((station) => `${donor}/${station}`);
  },
};

async function hrefOn(page: Page, path: string, link: (page: Page) => Locator): Promise<string> {
  await goTo(page, path);
  return (await link(page).first().getAttribute('href')) ?? '';
}

for (const colorScheme of ['light', 'dark'] as const)
  for (const [area, pathsOf] of Object.entries(AREAS))
    test(`axe finds no serious fault on ${area} (${colorScheme})`, async ({ page }) => {
      test.slow();
      await page.emulateMedia({ colorScheme });
      const faults: string[] = [];
      for (const path of await pathsOf(page)) {
        await goTo(page, path);
        await page.waitForLoadState('networkidle');
        const axe = new AxeBuilder({ page });
        // Beside its colours a page is the same in the dark.
        const { violations } = await (colorScheme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze();
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
