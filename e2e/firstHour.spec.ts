import { expect, test } from './shop';
import { benchLine, goTo, judgement, station } from './hands';
import type { Page } from '@playwright/test';

/** A unit of one's own, from the label on. */
async function aUnit(page: Page, description: string) {
  await goTo(page, '/donors/new');
  await page.getByLabel('what it is').fill(description);
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/\/donors\/[A-Z0-9]{3}-[A-Z0-9]{3}\/intake/);
}

/** A first adapter, in the words of someone who has read nothing, until the circuit has its name. */
async function nameFirstAdapter(page: Page) {
  await aUnit(page, 'first adapter');
  await expect(page.locator('header')).toContainText('No store listed: treat it as charged');
  await station(page, 'Trace');
  // From the first part on there is something to do, with the reason.
  await expect(judgement(page)).toContainText('Log the inlet');
  await benchLine(page, 'J1 is the mains inlet');
  await benchLine(page, 'f1 fuse t2a 250v');
  await expect(judgement(page)).toContainText('Does pin L of J1 go straight to pin 1 of F1?');
  for (const line of [
    'br1 gbu806',
    'C1 Elko 47 µF 400 V',
    't1 trasformer, windings 1-2 and 3-4',
    'Q1 is a power MOSFET marked 4N65',
    'u1 uc3843 so8',
    'd5 SR560',
    'c5 1000/25',
    'j2 12v out',
  ])
    await benchLine(page, line);
  for (const line of [
    'j1 L goes to f1 pin 1',
    'f1.2 - br1.AC1; j1.N - br1.AC2',
    'BR1 plus to C1 plus beeps, and t1.1',
    'br1 minus to c1 minus',
    'q1 drain to t1 pin 2',
    'q1 source goes to c1 minus',
    'gate of q1 to pin 6 of u1 through r3',
    'u1 pin 5 goes to c1 minus',
    't1.3 = d5 anode',
    'd5 cathode - c5+ - j2+',
    't1 pin 4 to c5 minus and j2 minus',
  ])
    await benchLine(page, line);
  await expect(judgement(page)).toContainText('Flyback converter');
}

test('a newcomer names the topology in words of their own, and is asked where two things may be meant', async ({
  page,
}) => {
  await nameFirstAdapter(page);
  const line = page.getByLabel('Bench line');
  await line.fill('c1 350');
  await line.press('Enter');
  await expect(page.getByRole('group', { name: 'What may have been meant' })).toContainText('c1 350V');
  await line.press('3');
  await expect(line).toHaveValue('');
});

test('power on is seen from every station, and nothing is next until it is unplugged', async ({ page }) => {
  await aUnit(page, 'plugged in');
  await benchLine(page, 'c1 47u 400V');
  await benchLine(page, 'plugged in');
  for (const name of ['Make safe', 'Open', 'Trace', 'Identify', 'Test', 'Harvest']) {
    await station(page, name);
    await expect(page.getByRole('alert').filter({ hasText: 'Power is on. Unplug it first' })).toBeVisible();
    if (name !== 'Make safe') await expect(judgement(page)).toContainText('Unplug it, then read every store again.');
  }
  await goTo(page, '/');
  await expect(judgement(page)).toContainText('power is on: unplug it first');
  await page.goBack();
  await page.getByRole('alert').getByRole('button', { name: 'It is unplugged now' }).click();
  await expect(page.getByText('Power is on. Unplug it first')).toHaveCount(0);
  // A capacitor that is read is a store from then on; under the touch limit it is not dead.
  await benchLine(page, 'c1 drops to 44 V in 1 min');
  await expect(page.locator('header')).toContainText('C1 below the touch limit, and not dead');
  await benchLine(page, 'c1 reads 0.0V');
  await expect(page.locator('header')).not.toContainText('C1');
});

test('a made-up unit is looked at and removed in one step, which can be undone', async ({ page }) => {
  await goTo(page, '/donors/new');
  await page.getByRole('button', { name: 'Try a made-up unit' }).click();
  await expect(page).toHaveURL(/\/donors\/[A-Z0-9]{3}-[A-Z0-9]{3}\//);
  await expect(page.locator('header')).toContainText('made-up sample');
  await station(page, 'Trace');
  await expect(judgement(page)).toContainText('Flyback converter');
  await expect(judgement(page)).toContainText('The circuit is named and its way of the power is traced');
  await goTo(page, '/');
  await page.getByRole('button', { name: 'Remove the made-up unit' }).click();
  await expect(page.getByText('made-up sample')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('made-up sample').first()).toBeVisible();
});

test('what was typed and not saved is asked about, and Esc leaves a field', async ({ page }) => {
  await aUnit(page, 'half typed');
  await page.getByLabel('maker').fill('Velkin');
  await page.getByRole('link', { name: 'Stock', exact: true }).click();
  const dialog = page.getByRole('alertdialog', { name: /Leave without keeping/ });
  await dialog.getByRole('button', { name: 'Stay' }).click();
  await expect(page.getByLabel('maker')).toHaveValue('Velkin');
  await page.getByLabel('maker').focus();
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('maker')).not.toBeFocused();
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('The sheet of the donor was changed.')).toBeVisible();
  await page.getByRole('link', { name: 'Stock', exact: true }).click();
  await expect(page).toHaveURL(/\/stock/);
});

test.describe('by touch', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a newcomer names the topology with one thumb', async ({ page }) => {
    await nameFirstAdapter(page);
    // The sheet rests at one line, and comes up by a tap.
    const sheet = judgement(page);
    expect((await sheet.boundingBox())?.height).toBeLessThan(110);
    await sheet.getByText('What this board is').tap();
    await expect.poll(async () => (await sheet.boundingBox())?.height ?? 0).toBeGreaterThan(300);
    await page.getByRole('button', { name: 'examples and keys' }).tap();
    await page.getByRole('dialog').getByRole('button', { name: 'c3 212V @ 15s' }).tap();
    await expect(page.getByLabel('Bench line')).toHaveValue('c3 212V @ 15s');
  });

  test('what may have been meant is tapped, and an example goes into the line', async ({ page }) => {
    await aUnit(page, 'in one hand');
    const line = page.getByLabel('Bench line');
    await line.fill('r7 22');
    const offered = page.getByRole('group', { name: 'What may have been meant' });
    const first = offered.getByRole('button').first();
    expect((await first.boundingBox())?.height).toBeGreaterThanOrEqual(44);
    await first.tap();
    await expect(page.getByText('R7 is a resistor, 22 Ω')).toBeVisible();
    await expect(line).toHaveValue('');
  });
});
