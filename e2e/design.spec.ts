import { expect, test } from './shop';

test('24 V to 48 V at 1 A is designed out of the drawers, and becomes a build with its lots set aside', async ({
  page,
}) => {
  await page.goto('/builds');
  await page.getByRole('link', { name: 'Design from stock' }).click();
  const wanted = page.getByRole('form', { name: 'What is wanted' });
  await wanted.getByLabel('input from').fill('22V');
  await wanted.getByLabel('to', { exact: true }).fill('26V');
  await wanted.getByLabel('output').fill('4x8V');
  await wanted.getByLabel('at', { exact: true }).fill('1A');
  await wanted.getByRole('button', { name: 'Look for designs' }).click();
  // What cannot be read is named, and stays as it was typed.
  await expect(page.getByRole('alert').filter({ hasText: 'Output' })).toBeVisible();
  await expect(wanted.getByLabel('output')).toHaveValue('4x8V');
  await wanted.getByLabel('output').fill('48V');
  await wanted.getByRole('button', { name: 'Look for designs' }).click();
  const says = page.getByRole('complementary', { name: 'Judgement' });
  await expect(says).toContainText('Step-up (boost)');
  await expect(says).toContainText(/As it runs.*48\sV out/s);
  await says.getByRole('button', { name: 'Make a build of it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/48\sV at 1\sA out/);
  for (const role of ['choke', 'switch', 'rectifier', 'output capacitor'])
    await expect(page.getByRole('listitem', { name: role, exact: true })).toContainText('1 set aside');
});
