import { expect, type Page } from './shop';

/** The judgement: the right half of a screen. */
export const judgement = (page: Page) => page.getByRole('complementary', { name: 'Judgement' });

/** Opens a page and waits until it has come alive: keys and clicks before that go nowhere. */
export async function goTo(page: Page, path: string) {
  const response = await page.goto(path);
  const line = page.locator('#bench-line, #find-line').filter({ visible: true }).first();
  if ((await line.count()) > 0) await expect(line).toBeEnabled();
  return response;
}

/** Types a bench line and waits until it was taken; the notice says what was recorded. */
export async function benchLine(page: Page, line: string) {
  const input = page.getByLabel('Bench line');
  await input.fill(line);
  await expect(page.locator('#bench-line-says')).toHaveAttribute('data-understood', 'true');
  await input.press('Enter');
  await expect(input).toHaveValue('');
}

/** The demo's donor that is called so, by its code. */
export async function donorCode(page: Page, title: string): Promise<string> {
  await page.goto(`/donors?find=${encodeURIComponent(title)}`);
  const tag = await page.locator('.tag').first().textContent();
  return tag ?? '';
}

/** Goes to a station of the donor whose page is open. */
export async function station(page: Page, name: string) {
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(`^${name}:`) })
    .click();
  await expect(page.locator('.joint[aria-current="step"]')).toContainText(name);
}
