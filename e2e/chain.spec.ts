import { expect, test } from './shop';
import { benchLine, goTo, judgement, station } from './hands';

// One dead adapter from the pavement to a labelled MOSFET in a bin, and from there into a build.
test('a dead adapter goes through the whole chain', async ({ page }) => {
  await goTo(page, '/');
  await page.getByRole('link', { name: 'New donor' }).first().click();

  // Intake: the sums are there while one types.
  await page.getByLabel('what the label says').fill('INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A');
  await expect(judgement(page)).toContainText('90.1 W, 19 V 4.74 A');
  await expect(judgement(page)).toContainText('at 230 V');
  await page.getByLabel('what it is').fill('pavement adapter');
  await page.getByLabel('maker').fill('Skarn');
  await page.getByLabel('length').fill('120mm');
  await page.getByLabel('width').fill('55mm');
  await page.getByLabel('height').fill('32mm');
  await expect(judgement(page)).toContainText('426 W');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/\/donors\/[A-Z0-9]{3}-[A-Z0-9]{3}\/intake/);
  const code = /donors\/(.{7})/.exec(page.url())?.[1] ?? '';

  // Make safe: nothing is listed, so it is assumed to bite.
  await station(page, 'Make safe');
  await expect(judgement(page)).toContainText('Assume that it can');
  const stores = page.getByRole('form', { name: 'New store' });
  await stores.getByLabel('name').fill('c3');
  await stores.getByLabel('capacitance').fill('150u');
  await stores.getByLabel('rated').fill('400V');
  await stores.getByLabel('bleed path').fill('330k');
  await stores.getByRole('button', { name: 'List it' }).click();
  await expect(judgement(page)).toContainText('C3 was never read and may hold 400 V');
  await expect(page.getByText('C3 not measured dead')).toBeVisible();
  for (const line of ['c3 300V @ 0s', 'c3 245V @ 10s', 'c3 201V @ 20s', 'c3 164V @ 30s', 'c3 135V @ 40s'])
    await benchLine(page, line);
  // 300 V falling to 135 V in 40 s: tau 50.0 s, 60 V after 80.5 s (least squares by hand).
  await expect(judgement(page)).toContainText('Time constant 50 s');
  await expect(judgement(page)).toContainText(/under 60\sV at about 81\ss/);
  await expect(page.getByRole('img', { name: /Voltage of C3 against time/ })).toBeVisible();

  // Harvest is held back until a reading is under the limit.
  await station(page, 'Harvest');
  await expect(page.getByRole('alert').filter({ hasText: 'C3 not measured dead' })).toBeVisible();
  await station(page, 'Make safe');
  const reading = page.getByRole('form', { name: 'Reading of C3' });
  await reading.getByLabel('reading').fill('0.4V');
  await reading.getByRole('button', { name: 'Record' }).click();
  await expect(judgement(page)).toContainText('C3 is measured dead: 400 mV');
  await expect(page.getByText('C3 not measured dead')).toHaveCount(0);

  // Identify: a marking is read with its rule, and the person takes the reading.
  await station(page, 'Identify');
  await benchLine(page, 'q1 nmos to-220 marked 12N65');
  await page.getByRole('row', { name: /Q1/ }).click();
  await expect(judgement(page)).toContainText('12N65: 12 A, N channel, 650 V');
  await expect(judgement(page)).toContainText('rule current-N-voltage');
  await judgement(page).getByRole('button', { name: 'Take it' }).click();
  await expect(judgement(page).getByText('taken')).toBeVisible();
  await expect(judgement(page)).toContainText('650 V');

  // Test: the meter's readings become a verdict with reasons.
  await judgement(page).getByRole('link', { name: 'Test it' }).click();
  const measure = page.getByRole('form', { name: 'Measure Q1' });
  await measure.getByLabel('source to drain').fill('0.51');
  await measure.getByLabel('drain to source').fill('OL');
  await measure.getByLabel('gate to source').fill('ol');
  await measure.getByLabel('gate holds its charge for').fill('15s');
  await measure.getByRole('button', { name: 'Judge it' }).click();
  await expect(judgement(page)).toContainText('grade A');
  await expect(judgement(page)).toContainText('Body diode 510 mV');

  // Harvest: into a bin, with a label.
  await judgement(page).getByRole('link', { name: 'Harvest Q1' }).click();
  await judgement(page).getByLabel('bin').fill('c2-9');
  await judgement(page).getByRole('button', { name: 'Take it' }).click();
  const taken = page.getByRole('region', { name: 'Taken from this donor' });
  await expect(taken).toContainText('C2-9');
  const lot = (await taken.getByRole('listitem').getByRole('link').first().textContent()) ?? '';
  await goTo(page, `/stock/labels?lots=${lot}`);
  await expect(page.getByRole('img', { name: `Label of lot ${lot}` })).toBeVisible();
  const svg = await page.request.get(`/stock/${lot}/label.svg`);
  expect(svg.headers()['content-type']).toContain('image/svg+xml');
  expect(await svg.text()).toContain(lot);

  // Stock: found again by what it must be.
  await goTo(page, '/stock');
  await page.getByLabel('Find in stock').fill('nmos >=650V');
  await page.getByLabel('Find in stock').press('Enter');
  const row = page.getByRole('row', { name: new RegExp(lot) });
  await expect(row).toContainText(`${code} Q1`);
  await expect(row).toContainText('decoded');

  // Builds: a need in the same words, matched, set aside and built in; the ledger shows each step.
  await goTo(page, '/builds/new');
  await page.getByLabel('what it will be').fill('Test jig for relays');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await page.getByLabel('what it is for').fill('switch');
  await page.getByLabel('what it must be').fill('nmos >=320V id>=10');
  await page.getByRole('button', { name: 'Add it' }).click();
  const match = page.getByRole('row', { name: new RegExp(lot) });
  await expect(match).toContainText('fits');
  await expect(match).toContainText('at half its voltage');
  await match.getByRole('button', { name: 'Set aside 1' }).click();
  await expect(page.getByText('12N65 1 set aside')).toBeVisible();
  await page.getByRole('button', { name: 'Build in 1' }).click();
  await expect(page.getByText('12N65 1 built in')).toBeVisible();
  await goTo(page, `/stock/${lot}`);
  const ledger = page.getByRole('table', { name: 'Ledger' });
  await expect(ledger).toContainText('came in: Q1 taken from the board');
  await expect(ledger).toContainText('used: for Test jig for relays');

  // Record: the journal tells the whole story.
  await goTo(page, `/donors/${code}/record`);
  const journal = page.getByRole('table', { name: 'Journal' });
  await expect(journal).toContainText('C3 reads 135 V at 40 s');
  await expect(journal).toContainText(`went into bin C2-9 as lot ${lot}`);
});
