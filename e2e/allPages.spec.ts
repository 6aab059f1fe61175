import type axe from 'axe-core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { donorCode, goTo } from './hands';
import { expect, test, type Locator, type Page } from './shop';

// One walk over the pages: each is loaded once, and looked at for errors in the browser, for what is loaded from
// elsewhere, for faults that keep people out (contrast in both schemes), and at a phone's width. It takes longest, and by
// its name comes first, so that neither worker waits for it in the end.
test.describe.configure({ mode: 'parallel' });

/** The addresses of one area; those that hang on the demo's codes are looked up on the way. */
const AREAS: Readonly<Record<string, (page: Page) => Promise<readonly string[]>>> = {
  'shop pages': () =>
    Promise.resolve([
      '/',
      '/donors',
      '/donors/new',
      '/donors/archive',
      '/donors/trends',
      '/donors/questions',
      '/glance',
      '/builds/new',
      '/builds/design?from=22V&to=26V&out=48V&amps=1A',
      '/sums',
      '/sums/snubber?b.heat=6W',
      '/sums/marking',
      '/settings',
      '/nowhere',
    ]),
  'guide and types': async (page) => [
    ...[
      '/guide',
      '/guide?find=snubber',
      '/guide/seams',
      '/guide/packages',
      '/guide/chips',
      '/guide/chips/TL494',
      '/guide/markings',
      '/guide/topologies',
      '/guide/topologies/llc',
      '/types',
      '/types/new',
      '/types/bring',
    ],
    await hrefOn(page, '/types?find=KBP206', (at) => at.getByRole('table', { name: 'Types' }).getByRole('link')),
  ],
  'stock and builds': async (page) => {
    const lot = await hrefOn(page, '/stock?find=MBR20100CT', (at) =>
      at.getByRole('table', { name: 'Lots', exact: true }).getByRole('link'),
    );
    const pages = [
      '',
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
      '/builds/design?from=22V&to=26V&out=48V&amps=1A',
      '/builds/whole?volts=36V&amps=1A',
      '/builds/design?from=mains&out=12V&amps=5A',
      await hrefOn(page, '/builds', (at) => at.getByRole('link', { name: /Reading lamp/ })),
    ];
  },
  'first stations': async (page) => {
    const donor = `/donors/${await donorCode(page, 'label-printer')}`;
    const photos = (at: Page) => at.getByRole('list', { name: 'Photos so far' }).getByRole('link');
    return [
      ...['intake', 'make-safe', 'open', 'trace', 'trace/sheets', 'trace/run', 'photos'].map(
        (station) => `${donor}/${station}`,
      ),
      await hrefOn(page, `${donor}/photos`, photos),
    ];
  },
  'later stations': async (page) => {
    const donor = `/donors/${await donorCode(page, 'label-printer')}`;
    const older = await donorCode(page, 'VK-2402A');
    return [
      `/donors/compare?of=${older},${donor.split('/').at(-1) ?? ''}`,
      ...['identify?part=U3', 'identify?part=U1', 'identify?part=C23', 'test?part=C21', 'test?part=T1'],
      ...['test?part=Q1', 'test/wave?part=C21', 'harvest', 'harvest?part=C21', 'harvest?part=Q1', 'record'],
      ...['diagnose', 'replace?part=Q1', 'power-up', 'report'],
    ].map((station) => (station.startsWith('/') ? station : `${donor}/${station}`));
  },
};

async function hrefOn(page: Page, path: string, link: (page: Page) => Locator): Promise<string> {
  await goTo(page, path);
  return (await link(page).first().getAttribute('href')) ?? '';
}

const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };

for (const [area, pathsOf] of Object.entries(AREAS))
  test(`${area}: no errors, nothing from elsewhere, no serious fault in either scheme, no wider than a phone`, async ({
    page,
    baseURL,
  }) => {
    test.setTimeout(240_000);
    const faults: string[] = [];
    const known = { light: new Set<string>(), dark: new Set<string>() };
    let path = '';
    page.on('console', (message) => {
      // A page that is not there says so; that is its purpose.
      if (message.type() === 'error' && !/status of 404/.test(message.text()))
        faults.push(`${path}: ${message.text()}`);
    });
    page.on('pageerror', (error) => faults.push(`${path}: ${error.message}`));
    page.on('request', (request) => {
      if (!request.url().startsWith(baseURL ?? '') && !/^(data|blob):/.test(request.url())) faults.push(request.url());
    });
    for (path of await pathsOf(page)) {
      await page.setViewportSize(DESK);
      await page.emulateMedia({ colorScheme: 'light' });
      await goTo(page, path);
      faults.push(...(await seriousFaults(page, path, known.light)));
      await page.emulateMedia({ colorScheme: 'dark' });
      faults.push(...(await contrastFaults(page, `${path} in the dark`, known.dark)));
      await page.setViewportSize(PHONE);
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      if (width > PHONE.width) faults.push(`${path} is ${width} pixels wide on a phone`);
    }
    expect(faults).toEqual([]);
  });

const CONTRAST = 'color-contrast';
/** As it is served to browsers: less than half the size. */
const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

/** Faults that keep people out, found on the page as it is; of looks that are known, the contrast is not measured again. */
async function seriousFaults(page: Page, where: string, known = new Set<string>()): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const { violations } = await page.evaluate(
    (rules) => (window as unknown as { axe: typeof axe }).axe.run(document, { resultTypes: ['violations'], rules }),
    { [CONTRAST]: { enabled: false } },
  );
  return [...serious(violations, where), ...(await contrastFaults(page, where, known))];
}

/**
 * Text that is hard to read. Where pages repeat one look, as the rows of a table and the frame around each page do, the
 * first of them is measured.
 * @param known the looks that were measured before; those of this page are added
 */
async function contrastFaults(page: Page, where: string, known: Set<string>): Promise<string[]> {
  const measured = await page.evaluate(
    async ([rule, before]) => {
      const LOOK =
        /^(class|style|role|type|disabled|data-.*|aria-(current|pressed|selected|checked|disabled|invalid))$/;
      const looks = new Map<Element | null, string>([[null, '']]);
      const lookOf = (element: Element | null): string => {
        const known = looks.get(element);
        if (known !== undefined || !element) return known ?? '';
        const own = [...element.attributes].filter(({ name }) => LOOK.test(name));
        const told = own.map(({ name, value }) => `${name}=${value}`).join(' ');
        const look = `${lookOf(element.parentElement)} > ${element.tagName} ${told}`;
        looks.set(element, look);
        return look;
      };
      const isRead = (element: Element) =>
        element.matches('input, select, textarea') ||
        [...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim());
      const seen = new Set(before);
      const first = new Map<string, Element>();
      for (const element of [...document.body.querySelectorAll('*')].filter(isRead))
        if (!seen.has(lookOf(element)) && !first.has(lookOf(element))) first.set(lookOf(element), element);
      if (first.size === 0) return { looks: [], violations: [] };
      const here = (window as unknown as { axe: typeof axe }).axe;
      const include = [...first.values()];
      const { violations } = await here.run({ include }, { resultTypes: ['violations'], runOnly: [rule] });
      return { looks: [...first.keys()], violations };
    },
    [CONTRAST, [...known]] as const,
  );
  for (const look of measured.looks) known.add(look);
  return serious(measured.violations, where);
}

const serious = (violations: readonly axe.Result[], where: string) =>
  violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${where}: ${id} on ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);

test('axe finds no serious fault in what opens over a page', async ({ page }) => {
  const found = () => seriousFaults(page, 'open');
  await goTo(page, `/donors/${await donorCode(page, 'notebook brick')}/identify?part=R9`);
  await page.getByRole('button', { name: 'point instead of typing' }).click();
  expect(await found()).toEqual([]);
  await page.getByRole('button', { name: 'close the keys' }).click();
  await page.getByRole('button', { name: 'columns' }).click();
  await expect(page.getByRole('checkbox', { name: 'verdict' })).toBeVisible();
  expect(await found()).toEqual([]);
  await page.keyboard.press('Escape');
  await page.locator('body').press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await found()).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'delete R9' }).click();
  await expect(page.getByRole('alertdialog')).toBeVisible();
  expect(await found()).toEqual([]);
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByLabel('Bench line').fill('r9 measures soup');
  await page.getByLabel('Bench line').press('Enter');
  await expect(page.locator('#bench-line-says')).toHaveAttribute('data-understood', 'false');
  expect(await found()).toEqual([]);
});
