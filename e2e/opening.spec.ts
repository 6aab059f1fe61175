import { expect, test } from './shop';
import { donorCode, goTo, judgement } from './hands';

test('an opening is timed and noted step by step, and the next of its kind learns from it', async ({ page }) => {
  const code = await donorCode(page, 'scooter');
  await goTo(page, `/donors/${code}/open`);
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByRole('button', { name: 'Stop the clock' })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();

  const step = page.getByRole('form', { name: 'Step of the opening' });
  await step.getByLabel('what holds it').selectOption('screws');
  await step.getByLabel('where it hides').fill('under the rubber feet');
  await step.getByLabel('how many').fill('four');
  await step.getByRole('button', { name: 'Add the step' }).click();
  await expect(step.getByText('“four” is not a number of pieces')).toBeVisible();
  await expect(step.getByLabel('where it hides')).toHaveValue('under the rubber feet');
  await step.getByLabel('how many').fill('4');
  await step.getByLabel('drive and size').fill('TR9');
  await step.getByLabel('damage').selectOption('cosmetic');
  await step.getByRole('button', { name: 'Add the step' }).click();
  const steps = page.getByRole('table', { name: 'Steps of the opening' });
  await expect(steps).toContainText('4 x TR9 screws');
  await expect(steps).toContainText('under the rubber feet');

  const together = page.getByRole('form', { name: 'Put together again' });
  await together.getByLabel('put together again').selectOption('loose');
  await together.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Last note: together, with something loose')).toBeVisible();

  await goTo(page, '/donors/new');
  await page.getByLabel('what it is').fill('drill battery charger');
  await page.getByLabel('maker').fill('Marlo');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/intake$/);
  await page.getByRole('link', { name: /^Open:/ }).click();
  await expect(judgement(page)).toContainText('the same kind, the same maker');
  await expect(judgement(page)).toContainText('under the rubber feet');
});
