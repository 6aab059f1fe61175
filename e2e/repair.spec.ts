import { donorCode, goTo, judgement } from './hands';
import { expect, test } from './shop';

test('a blown fuse is followed to its cause, and the part that failed to what takes its place', async ({ page }) => {
  const donor = `/donors/${await donorCode(page, 'label-printer')}`;
  await goTo(page, `${donor}/record`);
  await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Diagnose' }).click();
  await page.getByLabel('what is wrong with it').selectOption('fuse-blown');
  await page.getByRole('button', { name: /Look for causes|Change it/ }).click();
  const says = page.getByRole('complementary', { name: 'Judgement' });
  const told = page.getByRole('region', { name: 'Evidence' }).getByRole('listitem');
  await expect(says).toContainText('Most likely');
  // What cannot be recorded is said at its field, and what was typed stays.
  await page.getByRole('button', { name: 'Tell it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Write what you saw' })).toBeVisible();
  await page.getByLabel('part, if one').fill('f1');
  await page.getByLabel('what you saw or know').fill('black inside, went with a bang');
  await page.getByRole('button', { name: 'Tell it' }).click();
  await expect(told.filter({ hasText: 'went with a bang' })).toContainText('F1');
  // The next check is answered by a reading until the switch is found.
  for (let asked = 0; asked < 6; asked += 1) {
    const next = says
      .getByRole('paragraph')
      .filter({ hasText: /^(?:Measure|Look at) / })
      .first();
    const words = (await next.textContent()) ?? '';
    if (words.includes('Q1')) break;
    await says.getByRole('button', { name: /^Good:/ }).click();
    await expect(next).not.toHaveText(words);
  }
  await expect(says).toContainText('Measure Q1, the main switch, in diode mode, D to S');
  const number = says.getByLabel('or it has another number here');
  await number.fill('the fat one');
  await says.getByRole('button', { name: 'Use that' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Write its number on the board' })).toBeVisible();
  await number.fill('q3');
  await says.getByRole('button', { name: 'Use that' }).click();
  await page.getByRole('button', { name: 'Take back: Q3 is the main switch' }).click();
  await expect(told.filter({ hasText: 'Q3 is the main switch' })).toHaveCount(0);
  // A part that is not there is not asked for again, until that is taken back.
  await says.getByRole('button', { name: 'there is no Q1' }).click();
  await expect(says.getByRole('button', { name: 'there is no Q1' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Take back: Q1 no such part' }).click();
  await expect(says).toContainText('Measure Q1, the main switch, in diode mode, D to S');
  await page.keyboard.press('r');
  await expect(says.getByLabel('or a reading')).toBeFocused();
  await page.keyboard.type('0.002 V both ways: shorted');
  await says.getByRole('button', { name: 'Record it' }).click();
  await expect(says).toContainText('Main switch shorted: Q1');
  await expect(told.filter({ hasText: '0.002 V both ways' })).toContainText(/from 0\.\d\d to 0\.[7-9]/);
  await says.getByRole('link', { name: 'What takes the place of Q1' }).click();
  await expect(says).toContainText('In the place of Q1');
  await expect(says).toContainText('gate resistor and driver');
  await expect(says).toContainText('To buy');
  // Taken back, the reading does not count any more.
  await page.goBack();
  await page.getByRole('button', { name: /^Take back: Q1 0\.002/ }).click();
  await expect(told.filter({ hasText: '0.002 V both ways' })).toHaveCount(0);
});

test('a part that fits leaves stock, the place is replaced, and the power-up names what is new', async ({ page }) => {
  const donor = `/donors/${await donorCode(page, 'label-printer')}`;
  await goTo(page, `${donor}/identify?part=C3`);
  await page.getByRole('link', { name: 'what takes its place' }).click();
  const evidence = page.getByRole('region', { name: 'Evidence' });
  const row = evidence.getByRole('listitem').filter({ hasText: /bin / }).first();
  const [lot = ''] = /[A-Z0-9]{3}-[A-Z0-9]{3}/.exec((await row.textContent()) ?? '') ?? [];
  await row.getByRole('button', { name: 'Fit it' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'It is fitted' }).click();
  await expect(page.getByText(/not read|not measured|Measure first/).first()).toBeVisible();
  // Only on a board that is off and dead: read both stores, then again.
  await goTo(page, `${donor}/make-safe?store=C3`);
  for (const store of ['C3', 'CX1']) {
    await goTo(page, `${donor}/make-safe?store=${store}`);
    await page
      .getByRole('form', { name: `Reading of ${store}` })
      .getByLabel('reading')
      .fill('0.2V');
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(evidence).toContainText('200 mV');
  }
  await goTo(page, `${donor}/replace?part=C3`);
  await row.getByRole('button', { name: 'Fit it' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'It is fitted' }).click();
  await expect(page.getByText(`of ${lot} now`)).toBeVisible();
  await expect(evidence).toContainText('replaced already');
  await goTo(page, `${donor}/diagnose`);
  await expect(evidence).toContainText(`of ${lot}`);
  await page.getByRole('link', { name: 'To the first power-up' }).click();
  await expect(page.getByRole('button', { name: /^STOP/ })).toBeVisible();
});

test('where no store is listed, no check says that every store was read dead', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'plug-top charger')}/diagnose`);
  await expect(judgement(page)).toContainText('first list its stores, and read each dead');
  await page.getByRole('link', { name: 'Make it safe' }).click();
  await expect(page).toHaveURL(/make-safe/);
});
