import { expect, test } from './shop';
import { donorCode, goTo, judgement } from './hands';

test('a net lights up on the photo, and a pin seen through the board is joined by touching', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'tide-gauge')}/trace`);
  await expect(judgement(page)).toContainText('C5 sits the wrong way round');
  await page.getByRole('tab', { name: 'Photo' }).click();
  const spot = (pin: string) =>
    page.getByRole('button', { name: new RegExp(`^${pin.replace('+', '\\+')} on the photo`) });
  await spot('T1.2').click();
  await expect(spot('D1.A')).toHaveAttribute('data-lit', 'true');
  await expect(spot('C1.+')).toHaveAttribute('data-lit', 'false');
  await expect(spot('D1.A')).toHaveAttribute('data-own', 'false');
  await page.keyboard.press('v');
  await expect(spot('D1.A')).toHaveAttribute('data-own', 'true');
  await page.getByRole('button', { name: 'let go' }).click();
  await spot('U1.7').click();
  await spot('U1.8').click();
  await expect(page.getByText('U1.7 joined to U1.8.')).toBeVisible();
  await expect(spot('U1.8')).toHaveAttribute('data-lit', 'true');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(spot('U1.8')).toHaveAttribute('data-lit', 'false');
});

test('pins are taken off a photo and placed again, by pointer and by key', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'porch-light')}/trace`);
  await page.getByRole('tab', { name: 'Photo' }).click();
  await page.getByRole('button', { name: 'turn over' }).click();
  await page.getByRole('button', { name: 'Place pins' }).click();
  await page.getByLabel('Part whose pins are placed').selectOption('J2');
  await page.getByRole('button', { name: 'take J2 off' }).click();
  await expect(page.getByText('The pins of J2 are taken off the photo.')).toBeVisible();
  const picture = page.getByRole('group', { name: /copper side/ });
  const spot = (pin: string) => page.getByRole('button', { name: `${pin} on the photo` });
  await expect(spot('J2.1')).toHaveCount(0);
  await page.getByRole('button', { name: 'Place J2.1' }).click();
  await picture.click({ position: { x: 300, y: 210 } });
  await expect(page.getByText('J2.1 is placed.')).toBeVisible();
  await expect(spot('J2.1')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Place J2.2' })).toHaveAttribute('aria-pressed', 'true');
  await picture.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByText('J2.2 is placed.')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Photo' }).click();
  await expect(spot('J2.2')).toHaveAttribute('data-own', 'false');
});

test('a topology is fixed against the evidence, and let go again', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'tide-gauge')}/trace`);
  await expect(judgement(page)).toContainText('Flyback converter');
  await page.getByLabel('Part you fix').selectOption('T1');
  await page.getByLabel('What T1 is').selectOption('forward');
  await expect(judgement(page)).toContainText('because you have fixed it');
  await expect(judgement(page)).toContainText('the evidence reads as a flyback converter');
  await page.getByRole('button', { name: 'Let the evidence say what T1 is' }).click();
  await expect(judgement(page)).not.toContainText('because you have fixed it');
  await expect(judgement(page)).toContainText('Flyback converter');
});

test('the meter answers the probe, and is read by touching two pins', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/trace`);
  await expect(page.getByRole('button', { name: 'read the meter' })).toBeEnabled();
  await page.keyboard.press('r');
  const notice = page.getByRole('status').filter({ hasText: /(not joined|joined to|reads through a part)/ });
  await notice.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByLabel('What touching a second pin means').selectOption('continuity');
  await page.getByRole('button', { name: 'Hold a probe on T1.2' }).click();
  await page.getByRole('button', { name: 'Q1.D beeps with T1.2' }).click();
  await expect(page.getByText('T1.2 joined to Q1.D.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await page.getByLabel('What touching a second pin means').selectOption('diode');
  await page.getByRole('button', { name: 'D3.K beeps with T1.2' }).click();
  await expect(page.getByText(/T1\.2 to D3\.K reads through a part: 54\d\smV in diode mode/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
});

test('a photo is squared, mirrored and raised, and kept with its pins', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'oven')}/photos`);
  await page
    .getByRole('link', { name: /copper side/ })
    .first()
    .click();
  const corner = page.getByRole('button', { name: 'Corner top left of the board; arrow keys move it' });
  await corner.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByLabel('mirror it, so that a back lies as the front does').check();
  await page.getByRole('slider', { name: 'more contrast for the copper' }).fill('0.8');
  await page.getByRole('button', { name: 'Make it ready' }).click();
  await expect(page.getByRole('img', { name: 'The picture made ready' })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Save it as a photo' }).click();
  await expect(page.getByText('The picture was kept, paired with the other side.')).toBeVisible();
  await goTo(page, `/donors/${await donorCode(page, 'oven')}/trace`);
  await page.getByRole('tab', { name: 'Photo' }).click();
  await page.keyboard.press('v');
  await page.keyboard.press('v');
  await expect(page.getByRole('group', { name: /made ready/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'D1.K on the photo' })).toHaveAttribute('data-own', 'true');
});
