import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { donorCode } from './bench';

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
      '/sums',
      '/guide',
      '/nowhere',
    ].concat(
      ['intake', 'make-safe', 'open', 'trace', 'identify?part=Q1', 'test?part=C21', 'harvest?part=C21', 'record'].map(
        (station) => `/donors/${code}/${station}`,
      ),
    );
    await page.goto('/builds');
    paths.push((await page.getByRole('link', { name: /Reading lamp/ }).getAttribute('href')) ?? '');
    await page.goto('/stock?find=MBR20100CT');
    const lot =
      (await page.getByRole('table', { name: 'Lots', exact: true }).getByRole('link').first().getAttribute('href')) ??
      '';
    paths.push(lot, `/stock/labels?lots=${lot.split('/').at(-1)}`);
    const faults: string[] = [];
    for (const path of paths) {
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      const { violations } = await new AxeBuilder({ page }).analyze();
      for (const { impact, id, nodes } of violations)
        if (impact === 'serious' || impact === 'critical')
          faults.push(`${path}: ${id} on ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
    }
    expect(faults).toEqual([]);
  });
