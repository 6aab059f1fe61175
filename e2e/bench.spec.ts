import { expect, test } from './shop';
import { benchLine, donorCode, goTo, judgement } from './hands';

test('the bench shows what is in hand, where it stands, and what is not safe first', async ({ page }) => {
  const printer = await donorCode(page, 'label-printer');
  await goTo(page, '/');
  const row = page.getByRole('table', { name: 'Donors' }).getByRole('row').filter({ hasText: printer });
  await expect(row).toContainText('Velkin VK-2402 label-printer adapter');
  await expect(row).toContainText('60\u00a0W, 25 parts seen, dead');
  await expect(row).toContainText('read C3');
  await expect(row.getByRole('img', { name: /Make safe not safe/ })).toBeVisible();
  await expect(judgement(page)).toContainText(/(Two|Three) units are not measured dead/);
  await judgement(page)
    .getByRole('listitem')
    .filter({ hasText: printer })
    .filter({ hasText: 'C3' })
    .getByRole('link')
    .click();
  await expect(page).toHaveURL(new RegExp(`${printer}/make-safe`));
});

test('builds say what they wait for, and which drawer or board has it', async ({ page }) => {
  await goTo(page, '/');
  const builds = page.getByRole('region', { name: 'Builds' });
  await expect(builds.getByRole('listitem').filter({ hasText: 'Bench charger' })).toContainText(
    'lacks 1 choke, 1 output capacitor',
  );
  const lamp = builds.getByRole('listitem').filter({ hasText: 'Reading lamp' });
  await expect(lamp).toContainText('in Q1-2 fits');
  await lamp.getByRole('link', { name: /fits/ }).click();
  await expect(page.getByRole('listitem', { name: 'rectifier' })).toContainText('Still on a board');
});

test('donors are found by maker, label and origin', async ({ page }) => {
  await goTo(page, '/donors');
  await page.getByLabel('Find a donor').fill('ferry');
  await page.getByLabel('Find a donor').press('Enter');
  await expect(page.locator('main .tag')).toHaveCount(1);
  await expect(page.getByText('Tarn TB-1990 notebook brick')).toBeVisible();
  await page.getByText('Tarn TB-1990 notebook brick').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tarn TB-1990 notebook brick');
});

test('the sums of the demo come out right', async ({ page }) => {
  // 470 uF through 150 kΩ is 70.5 s; 158 V falling to 67.4 V in 60 s is 70.4 s.
  await goTo(page, `/donors/${await donorCode(page, 'PC supply')}/make-safe?store=C1`);
  await expect(judgement(page)).toContainText(/Time constant 70\.\d\u00a0s/);
  await goTo(page, `/donors/${await donorCode(page, 'scooter')}/make-safe`);
  // 100 uF through 1 MΩ is 100 s; 318 V falling to 213 V in 40 s is 99.8 s.
  await expect(judgement(page)).toContainText(/Time constant (99\.\d|100)\u00a0s/);
  // 99.8 s through 1 MΩ beside the meter's 10 MΩ, 909 kΩ: 110 µF.
  await expect(judgement(page)).toContainText('that is 110\u00a0µF; 100\u00a0µF is printed');
  // 204 W at 0.90 and power factor 0.97: 1.02 A at 230 V.
  await goTo(page, `/donors/${await donorCode(page, 'console')}/intake`);
  await expect(judgement(page)).toContainText('1.02\u00a0A');
  // 3.3 × 14 + 5 × 16 + 12 × 16 + 12 × 0.3 + 5 × 2 = 331.8 W behind a printed 300 W.
  await goTo(page, `/donors/${await donorCode(page, 'PC supply')}/intake`);
  await expect(judgement(page)).toContainText('add up to 332\u00a0W');
  await expect(judgement(page)).toContainText('300\u00a0W over 5 outputs');
});

test('labels print without the frame round them', async ({ page }) => {
  await goTo(page, '/stock');
  await page.getByRole('link', { name: 'Labels' }).click();
  await expect(page.getByRole('img', { name: /^Label of lot/ }).first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Areas' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('img', { name: /^Label of lot/ }).first()).toBeVisible();
});

test('a reading by the clock, and the wait it saves', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'plug-top')}/make-safe`);
  await benchLine(page, 'store c7 22u 400V bleed 220k');
  await page.getByLabel('a resistor at hand').fill('10k');
  await judgement(page).getByLabel('rated').fill('5W');
  // 26.4 uF (22 uF and 20 %) at 373 V through 10 kΩ: 13.9 W at first, under 60 V in 0.49 s.
  await expect(judgement(page)).toContainText('14\u00a0W, 37\u00a0mA');
  await expect(judgement(page)).toContainText('0.5\u00a0s');
  const reading = page.getByRole('form', { name: 'Reading of C7' });
  await reading.getByLabel('reading').fill('0.2V');
  await reading.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByRole('table', { name: 'Readings on C7' })).toContainText('200\u00a0mV');
  await expect(page.getByText('not measured dead')).toHaveCount(0);
});
