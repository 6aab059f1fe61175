import { expect, test } from './shop';
import { donorCode, goTo, judgement } from './hands';

test('a pasted label becomes advice, and the advice shows its reasons and bends to their weights', async ({ page }) => {
  await goTo(page, '/donors/new');
  await page.getByLabel('what the label says').fill('INPUT 230V~ 50Hz 2A OUTPUT 24V 5A MAX. 120W CLASS II');
  await page.getByLabel('what it is').fill('model railway brick');
  const side = judgement(page);
  await expect(side).toContainText('120 W, 24 V 5 A');
  await expect(side).toContainText('II, double insulated');
  await page.getByLabel('how it came').selectOption('found');
  await page.getByLabel('what is wrong', { exact: true }).selectOption('works');
  await expect(side).toContainText('Leave it whole');
  await page.getByLabel('what is wrong', { exact: true }).selectOption('fuse-blown');
  await expect(side).toContainText(/Harvest it|Repair it/);
  await page.getByText('why, and how much each reason counts').click();
  await expect(side).toContainText('A blown fuse has a reason');
  // A fuse that cannot carry the claim is named as such: 0.5 A at 230 V stands for 80 W.
  await page.getByText('what bounds its power').click();
  await page.getByLabel('fuse', { exact: true }).fill('0.5A');
  await expect(side).toContainText('120 W behind a 500 mA fuse, which stands for about 80 W');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/\/donors\/[A-Z0-9]{3}-[A-Z0-9]{3}\/intake$/);
  await expect(page.getByLabel('fuse', { exact: true })).toHaveValue('500mA');

  // With nothing but the symptom counting, a working unit is left whole by full marks.
  await page.getByLabel('what is wrong', { exact: true }).selectOption('works');
  await page.getByText('why, and how much each reason counts').click();
  for (const factor of ['what can hurt', 'what it should give', 'what builds wait for', 'how long it takes'])
    await side.getByLabel(factor).fill('0');
  await expect(side.getByRole('list', { name: 'Advice' }).getByRole('listitem').first()).toContainText('100');
});

test('the plate is put right field by field, and counts instead of its text', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'plug-top')}/intake`);
  await page.getByText('The plate, field by field').click();
  await page.getByLabel('Volts of output 1').fill('9V');
  await page.getByLabel('Current of output 1').fill('three');
  await page.getByRole('button', { name: 'Save these fields' }).click();
  await expect(page.getByText('Current of output 1: “three”')).toBeVisible();
  await page.getByLabel('Current of output 1').fill('1.5A');
  await page.getByRole('button', { name: 'Save these fields' }).click();
  await expect(judgement(page)).toContainText('13.5 W, 9 V 1.5 A');
  await page.getByRole('button', { name: 'Read the text again' }).click();
  await expect(judgement(page)).toContainText('10 W, 5 V 2 A');
});

test('a unit that is not cleared gives no lots, until the record says who cleared it', async ({ page }) => {
  const code = await donorCode(page, 'lamp driver');
  await goTo(page, `/donors/${code}/intake`);
  await expect(judgement(page)).toContainText('Study it and put it back');
  await expect(judgement(page)).toContainText('Ask whose it is');
  await goTo(page, `/donors/${code}/harvest?part=D5`);
  await expect(page.getByRole('alert').filter({ hasText: 'No lot can be made of it' })).toBeVisible();
  await expect(judgement(page).getByLabel('bin')).toHaveCount(0);

  await goTo(page, `/donors/${code}/intake`);
  await page.getByLabel('right to take it apart').selectOption('cleared');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('Say who cleared it, or what changed')).toBeVisible();
  await page.getByLabel('who cleared it').fill('the harbour master');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('Cleared to be taken apart after all')).toBeVisible();
  await goTo(page, `/donors/${code}/harvest?part=D5`);
  await judgement(page).getByLabel('bin').fill('a9');
  await judgement(page).getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('region', { name: 'Taken from this donor' })).toContainText('A9');
  await goTo(page, `/donors/${code}/record`);
  await expect(page.getByRole('table', { name: 'Journal' })).toContainText('the harbour master');
});

test('a run under load is logged, drawn and read, and no store counts as dead after it', async ({ page }) => {
  const code = await donorCode(page, 'oven');
  await goTo(page, `/donors/${code}/intake`);
  const row = page.getByRole('form', { name: 'Row of the run' });
  for (const [celsius, volts, at] of [
    ['20C', '12.1V', '0'],
    ['31C', '12.0V', '5min'],
    ['38C', '11.2V', '12min'],
  ] as const) {
    await row.getByLabel('case').fill(celsius);
    await row.getByLabel('output').fill(volts);
    await row.getByLabel('at', { exact: true }).fill(at);
    await row.getByRole('button', { name: 'Add row' }).click();
    await expect(page.getByRole('table', { name: 'Run under load' })).toContainText(celsius.replace('C', '\u00a0°C'));
  }
  await expect(judgement(page)).toContainText('drying capacitors are likely');
  await expect(page.getByRole('img', { name: /^case temperature against minutes/ })).toBeVisible();
  await expect(page.locator('header')).toContainText('C2 not measured dead since power was on');
  await page.getByRole('button', { name: 'It is unplugged now' }).click();
  await expect(page.locator('header')).toContainText('C2 not measured dead since power was on');
});
